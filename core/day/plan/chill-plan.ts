import { waterUptake } from "#core/carcass-yield/water-uptake.ts";
import { BRINE_UPTAKE, brineRecipe, MEAT_WATER } from "#core/chill/brine.ts";
import {
  CHILL,
  END_BIRD_DEVIATIONS,
  ICE,
  REFRIGERATOR,
  SLUSH_UPTAKE,
  SURFACE_COEFFICIENT,
  TANK,
  TANK_LOSS,
} from "#core/chill/chill-constants.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import { fridgeChill } from "#core/chill/fridge-chill.ts";
import { iceNeed, tankRoom } from "#core/chill/ice-need.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import { meanOfBirds, type PlanInput } from "#core/day/plan/plan-input.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
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
  /** Hours that all of the day's birds would take from warm in a household refrigerator. */
  readonly refrigeratorHours: number;
  /** Water that a bird takes up in the tank, as a share of its warm weight: lifted out, and drained for half an hour. */
  readonly uptake: { readonly atLift: number; readonly afterDrain: number };
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
export function chillPlan(plan: PlanInput, line: LinePlan): ChillPlan {
  const { lots, choices, means } = plan;
  const birds = birdsOf(choices);
  const mean = meanOfBirds(lots, ({ flock }) => flock.dressed.value);
  const heavy = Math.max(
    ...lots.map(({ flock }) => flock.dressed.value * (1 + END_BIRD_DEVIATIONS * flock.cv)),
  );
  const hours = hoursOf(heavy, means);
  const waterKilograms = TANK.waterRatio * birds * mean;
  const heldHours = line.lineMinutes / 60 + hours.value;
  const need = iceNeed({
    birds,
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
  const ice = iceReckoning(plan, mean, need, heldHours);
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
    brine: brinePlan(choices.brineFraction, birds * mean),
    bags: bagsReckoning(ice.value, ownKilograms, means),
    hours,
    quotedHours: quotedChillHours(heavy),
    isWithinQuoted: hours.value <= quotedChillHours(heavy),
    refrigeratorHours: refrigeratorHours(birds, heavy),
    uptake: waterUptake({ ...SLUSH_UPTAKE, hours: hours.value }),
    tank: {
      birdsThatFit: reckoning({
        value: room.birdsThatFit,
        unit: "birds",
        inputs: [
          inputSetting("tank-volume", means.tankLiters, "liters"),
          input("space-per-bird-with-water-and-ice", room.litersPerBird, "liters", "our-estimate"),
        ],
        rule: "birds-in-tanks",
        source: "ice",
      }),
      fillsNeeded: room.birdsThatFit > 0 ? Math.ceil(birds / room.birdsThatFit) : Infinity,
    },
  };
}

/** Hours to 40 °F of a bird, in its deepest part, in the farm's slush. */
function hoursOf(carcassKilograms: number, { chillMethod }: PlanInput["means"]): Reckoning {
  const { seconds } = chillTime({
    carcassKilograms,
    surfaceCoefficient: SURFACE_COEFFICIENT[chillMethod],
    startCelsius: ICE.carcassStartCelsius,
    mediumCelsius: ICE.bathCelsius,
    targetCelsius: CHILL.targetCelsius,
  }).finish!;
  return reckoning({
    value: seconds / SECONDS_PER_HOUR,
    unit: "hours",
    inputs: [
      input("heavy-bird-in-this-flock", carcassKilograms, "carcass-kg", "calculated"),
      input("carcass-start-temperature", ICE.carcassStartCelsius, "°C", "our-estimate"),
      input("slush-temperature", ICE.bathCelsius, "°C", "our-estimate"),
      input("target-temperature", CHILL.targetCelsius, "°C", "our-estimate"),
    ],
    rule: "chill-time",
    source: "chill",
  });
}

function iceReckoning(
  { lots, choices, means }: PlanInput,
  mean: number,
  need: ReturnType<typeof iceNeed>,
  heldHours: number,
): Reckoning {
  return reckoning({
    value: need.iceKilograms,
    unit: "kg",
    inputs: [
      input("birds", birdsOf(choices), "birds", "farm-setting"),
      input("dressed-weight-per-bird", mean, "carcass-kg", lots[0]!.flock.dressed.provenance),
      input("ice-for-the-birds", need.carcassJoules / need.coldPerKilogramJoules, "kg", "calculated"),
      inputSetting("water-temperature", means.tapCelsius, "°C"),
      input("ice-for-the-water", need.waterJoules / need.coldPerKilogramJoules, "kg", "calculated"),
      inputSetting("air-temperature", means.ambientCelsius, "°C"),
      input("hours-tanks-stay-cold", heldHours, "hours", "calculated"),
      input("ice-for-the-tanks", need.wallJoules / need.coldPerKilogramJoules, "kg", "calculated"),
      input("margin-for-spilled-and-wet-ice", ICE.margin, "fraction", "our-estimate"),
    ],
    rule: "ice-needed",
    source: "ice",
  });
}

/** Whole bags to buy, beyond what the farm makes itself. */
function bagsReckoning(iceKilograms: number, ownKilograms: number, means: PlanInput["means"]): Reckoning {
  const toBuy = Math.max(0, iceKilograms - ownKilograms);
  return reckoning({
    value: Math.ceil(toBuy / means.bagKilograms.value - 1e-9),
    unit: "count",
    inputs: [
      input("ice-needed", iceKilograms, "kg", "calculated"),
      ...(ownKilograms > 0 ? [input("ice-made-by-the-farm", ownKilograms, "kg", "farm-setting")] : []),
      inputSetting("weight-of-a-bag", means.bagKilograms, "kg"),
    ],
    rule: ownKilograms > 0 ? "bags-of-ice-beyond-own" : "bags-of-ice",
    source: "ice",
  });
}

function refrigeratorHours(birds: number, carcassKilograms: number): number {
  return fridgeChill({
    birds,
    carcassKilograms,
    surfaceCoefficient: REFRIGERATOR.surfaceCoefficient,
    startCelsius: ICE.carcassStartCelsius,
    fridgeCelsius: REFRIGERATOR.celsius,
    targetCelsius: CHILL.targetCelsius,
    spareWatts: REFRIGERATOR.spareWatts,
  })!.hours;
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
        input("meat", meatKilograms, "kg", "calculated"),
        input("water-to-cover-it", waterLiters, "liters", "our-estimate"),
        input("final-salt-in-the-meat", saltFraction, "fraction", "farm-setting"),
        input("water-content-of-the-meat", MEAT_WATER, "fraction", "our-estimate"),
      ],
      rule: "equilibrium-brine",
      source: "brine",
    }),
    waterLiters,
    strength: recipe.strength,
    salinometerDegrees: recipe.salinometerDegrees,
    dissolves: recipe.dissolves,
    uptake: BRINE_UPTAKE,
  };
}
