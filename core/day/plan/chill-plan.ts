import { BRINE_UPTAKE, brineRecipe, MEAT_WATER } from "#core/chill/brine.ts";
import {
  CHILL,
  END_BIRD_DEVIATIONS,
  ICE,
  SURFACE_COEFFICIENT,
  TANK,
  TANK_LOSS,
} from "#core/chill/chill-constants.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import { iceNeed, tankRoom } from "#core/chill/ice-need.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { PlanInput } from "#core/day/plan/plan-input.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { inputSetting } from "#core/reckoning/setting.ts";

const SECONDS_PER_HOUR = 3600;

export interface ChillPlan {
  readonly ice: Reckoning;
  /** What of it goes to the birds, the water and the walls, each with its part of the margin. */
  readonly parts: {
    readonly carcassKilograms: number;
    readonly waterKilograms: number;
    readonly wallKilograms: number;
  };
  /** Frozen or made by the farm, kg. */
  readonly ownKilograms: number;
  /** To buy, beyond the farm's own. */
  readonly bags: Reckoning;
  readonly brine: BrinePlan | undefined;
  /** Hours to 40 °F of a heavy bird, in its deepest part. */
  readonly hours: Reckoning;
  readonly quotedHours: number;
  readonly isWithinQuoted: boolean;
  readonly tank: { readonly birdsThatFit: Reckoning; readonly fillsNeeded: number };
}

/** A brine for all of the day's birds, by weight. */
export interface BrinePlan {
  readonly salt: Reckoning;
  readonly waterLiters: number;
  /** Of the brine as it is mixed, by weight. */
  readonly strength: number;
  readonly salinometerDegrees: number;
  readonly dissolves: boolean;
  /** Weight that a bird may take up in it, as a share of its own. */
  readonly uptake: number;
}

/** Ice to buy, how long to 40 °F, and whether the tanks hold the birds. */
export function chillPlan({ flock, choices, means }: PlanInput, line: LinePlan): ChillPlan {
  const mean = flock.dressed.value;
  const heavy = mean * (1 + END_BIRD_DEVIATIONS * flock.cv);
  const chill = chillTime({
    carcassKilograms: heavy,
    surfaceCoefficient: SURFACE_COEFFICIENT[means.chillMethod],
    startCelsius: ICE.carcassStartCelsius,
    mediumCelsius: ICE.bathCelsius,
    targetCelsius: CHILL.targetCelsius,
  }).finish!;
  const chillHours = chill.seconds / SECONDS_PER_HOUR;
  const hours = reckoning({
    value: chillHours,
    unit: "hours",
    inputs: [
      input("a heavy bird of this flock", heavy, "carcass kg", "worked out"),
      input("carcass from", ICE.carcassStartCelsius, "°C", "our default"),
      input("slush at", ICE.bathCelsius, "°C", "our default"),
      input("to", CHILL.targetCelsius, "°C", "our default"),
    ],
    rule: "Heat leaving the thickest part on both sides, cavity open to the water. A probe in the breast decides, not the clock.",
    source: "chill",
  });
  const waterKilograms = TANK.waterRatio * choices.birds * mean;
  const heldHours = line.lineMinutes / 60 + chillHours;
  const need = iceNeed({
    birds: choices.birds,
    carcassKilograms: mean,
    carcassStartCelsius: ICE.carcassStartCelsius,
    carcassEndCelsius: ICE.carcassEndCelsius,
    waterKilograms,
    tapCelsius: means.tapCelsius.value,
    bathCelsius: ICE.bathCelsius,
    lossWattPerKelvin: TANK_LOSS[means.tankWall],
    ambientCelsius: means.ambientCelsius.value,
    hours: heldHours,
    iceCelsius: ICE.iceCelsius,
    margin: ICE.margin,
    bagKilograms: means.bagKilograms.value,
  });
  const ice = reckoning({
    value: need.iceKilograms,
    unit: "kg",
    inputs: [
      input("birds", choices.birds, "birds", "the farm's default"),
      input("dressed bird", mean, "carcass kg", flock.dressed.provenance),
      input("ice for the birds", need.carcassJoules / need.coldPerKilogramJoules, "kg", "worked out"),
      inputSetting("water at", means.tapCelsius, "°C"),
      input("ice for the water", need.waterJoules / need.coldPerKilogramJoules, "kg", "worked out"),
      inputSetting("air", means.ambientCelsius, "°C"),
      input("hours the tanks are held", heldHours, "hours", "worked out"),
      input("ice for the tanks", need.wallJoules / need.coldPerKilogramJoules, "kg", "worked out"),
      input("more for spilled and wet ice", ICE.margin, "fraction", "our default"),
    ],
    rule: "Heat of the birds, the water and the tanks, over the cold in a pound of ice, and a margin.",
    source: "ice",
  });
  const room = tankRoom(mean, means.tankLiters.value);
  const ownKilograms = means.ownIce.jugKilograms + means.ownIce.madeKilograms;
  const part = (joules: number) => (joules / need.coldPerKilogramJoules) * (1 + ICE.margin);
  return {
    ice,
    parts: {
      carcassKilograms: part(need.carcassJoules),
      waterKilograms: part(need.waterJoules),
      wallKilograms: part(need.wallJoules),
    },
    ownKilograms,
    brine: brinePlan(choices.brineFraction, choices.birds * mean),
    bags: reckoning({
      value: Math.ceil(Math.max(0, ice.value - ownKilograms) / means.bagKilograms.value - 1e-9),
      unit: "count",
      inputs: [
        input("ice", ice.value, "kg", "worked out"),
        ...(ownKilograms > 0
          ? [input("frozen or made by the farm", ownKilograms, "kg", "the farm's default")]
          : []),
        inputSetting("a bag", means.bagKilograms, "kg"),
      ],
      rule:
        ownKilograms > 0
          ? "Ice less the farm's own, over the weight of a bag, whole bags."
          : "Ice over the weight of a bag, whole bags.",
      source: "ice",
    }),
    hours,
    quotedHours: quotedChillHours(heavy),
    isWithinQuoted: chillHours <= quotedChillHours(heavy),
    tank: {
      birdsThatFit: reckoning({
        value: room.birdsThatFit,
        unit: "birds",
        inputs: [
          inputSetting("room in the tanks", means.tankLiters, "liters"),
          input("a bird with its water and ice", room.litersPerBird, "liters", "our default"),
        ],
        rule: "Room in the tanks over what a bird takes with its water and ice, and a tenth of headroom.",
        source: "ice",
      }),
      fillsNeeded: room.birdsThatFit > 0 ? Math.ceil(choices.birds / room.birdsThatFit) : Infinity,
    },
  };
}

/** Water to cover the birds, and salt for what the meat is to end up with. See docs/sources.md#brine. */
function brinePlan(saltFraction: number | undefined, meatKilograms: number): BrinePlan | undefined {
  if (saltFraction === undefined) return undefined;
  const waterLiters = TANK.waterRatio * meatKilograms;
  const recipe = brineRecipe({ aim: "equilibrium", saltFraction, waterLiters, meatKilograms });
  return {
    salt: reckoning({
      value: recipe.saltKilograms,
      unit: "kg",
      inputs: [
        input("meat", meatKilograms, "kg", "worked out"),
        input("water to cover it", waterLiters, "liters", "our default"),
        input("salt in the meat in the end", saltFraction, "fraction", "the farm's default"),
        input("of the meat that is water", MEAT_WATER, "fraction", "our default"),
      ],
      rule: "Salt spreads evenly over the water of the brine and of the meat until both are as salty. Weigh it, never by the spoon.",
      source: "brine",
    }),
    waterLiters,
    strength: recipe.strength,
    salinometerDegrees: recipe.salinometerDegrees,
    dissolves: recipe.dissolves,
    uptake: BRINE_UPTAKE,
  };
}
