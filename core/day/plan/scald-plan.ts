import { SECOND } from "#core/calendar/milliseconds.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { type Input, input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { RuleName } from "#core/reckoning/reckoning-names.ts";
import { inputSetting } from "#core/reckoning/setting.ts";
import { circuitLoad } from "#core/safety/circuit.ts";
import { bathHeatUp, bathLoss, bathThroughput } from "#core/scald/bath.ts";
import { BATH, BATH_AT_WORST } from "#core/scald/bath-constants.ts";
import { type BathSetting, bathSetting } from "#core/scald/bath-setting.ts";
import { bathOfVolume } from "#core/scald/bath-shape.ts";
import {
  DOSE_RATIOS,
  METHOD_BATH,
  SCALD_DOSE,
  type ScaldMethod,
  SKIN_CEILING,
  TARGET_SECONDS,
} from "#core/scald/scald-constants.ts";
import { type ScaldTime, scaldTime } from "#core/scald/scald-time.ts";

/** The bath and the dip of a lot. */
export interface ScaldPlan {
  readonly bath: Reckoning;
  readonly seconds: Reckoning;
  readonly secondsRange: readonly [number, number];
  readonly skinCeilingCelsius: number;
  readonly birdsPerHour: Reckoning;
}

/** Heating the day's bath for its first lot. */
export interface HeatPlan {
  readonly burner: BurnerPlan;
  /** Undefined for propane, or where the farm has not said what circuit it is on. */
  readonly circuit:
    | { readonly neededAmps: Reckoning; readonly breakerAmps: number; readonly isOverloaded: boolean }
    | undefined;
}

/** When to light the burner or switch the element on, or that the bath can never get there. */
export type BurnerPlan =
  | { readonly possible: true; readonly likelyAt: Reckoning; readonly safeAt: Reckoning }
  | { readonly possible: false; readonly ceiling: Reckoning };

/** The bath and the dip of a lot: how hot, how long, how many birds an hour it can hold for. */
export function scaldPlan({ kind, flock, choices }: LotInput, means: Means): ScaldPlan {
  const { scaldMethod, scaldCelsius } = choices;
  const bathCelsius = scaldCelsius ?? METHOD_BATH[scaldMethod].set;
  const dip = dipAt(bathCelsius, kind, scaldMethod);
  const bath = reckoning({
    value: bathCelsius,
    unit: "°C",
    provenance: scaldCelsius === undefined ? "our-estimate" : "farm-setting",
    inputs: [input("skin-tears-after", SKIN_CEILING[kind], "°C", "our-estimate")],
    rule: "bath-temperature",
    source: "scald",
  });
  const seconds = reckoning({
    value: dip.seconds!,
    unit: "seconds",
    inputs: [
      input("bath-temperature", bathCelsius, "°C", bath.provenance),
      input("seconds-needed-at-60-c", TARGET_SECONDS[kind][scaldMethod], "seconds", "our-estimate"),
      input("dose-per-second-in-this-bath", dip.rate, "fraction", "calculated"),
    ],
    rule: "scald-seconds",
    source: "scald",
  });
  return {
    bath,
    seconds,
    secondsRange: [dip.secondsEarliest!, dip.secondsLatest!],
    skinCeilingCelsius: SKIN_CEILING[kind],
    birdsPerHour: heldBirds(bathCelsius, flock.live, means),
  };
}

/** When to light for the first lot's bath, and whether the circuit bears the element. */
export const heatPlan = (first: ScaldPlan, startAt: number, means: Means): HeatPlan => ({
  burner: burnerPlan(first.bath.value, startAt, means),
  circuit: circuitPlan(means),
});

/** How long birds of a kind need in a bath, by a method's dose. */
export function dipAt(bathCelsius: number, kind: BirdKind, method: ScaldMethod): ScaldTime {
  const ratios = DOSE_RATIOS[method];
  return scaldTime({
    bathCelsius,
    targetSeconds: TARGET_SECONDS[kind][method],
    underRatio: ratios.under,
    overRatio: ratios.over,
    skinCeilingCelsius: SKIN_CEILING[kind],
    scale: SCALD_DOSE,
  });
}

type Means = PlanInput["means"];

/** The bath with its losses likely or at their worst. */
export function bathSetup(
  { scalder, ambientCelsius }: Means,
  loss: "likely" | "worst",
  lid: "as-it-is" | "open",
) {
  const constants = loss === "likely" ? BATH : BATH_AT_WORST;
  const shape = bathOfVolume(scalder.waterLiters.value);
  const isLidded = scalder.isLidded && lid === "as-it-is";
  const efficiency = scalder.heat === "electric" ? constants.elementEfficiency : constants.burnerEfficiency;
  return {
    waterKilograms: scalder.waterLiters.value,
    vesselJoulePerKelvin: shape.vesselJoulePerKelvin,
    powerWatts: scalder.powerWatts.value,
    efficiency,
    lossWattPerKelvin: bathLoss(
      {
        coefficient: isLidded
          ? constants.surfaceLiddedWattPerSquareMeterKelvin
          : constants.surfaceOpenWattPerSquareMeterKelvin,
        area: shape.surfaceSquareMeters,
      },
      {
        coefficient: scalder.isInsulated
          ? constants.wallInsulatedWattPerSquareMeterKelvin
          : constants.wallBareWattPerSquareMeterKelvin,
        area: shape.wallSquareMeters,
      },
    ),
    ambientCelsius: ambientCelsius.value,
  };
}

/** How the water that one lot leaves gets to the next one's bath; undefined for the first lot, or where it is the same or never gets there. */
export function settingChange(
  means: Means,
  before: ScaldPlan | undefined,
  after: ScaldPlan,
): BathSetting | undefined {
  if (!before || before.bath.value === after.bath.value) return undefined;
  return bathSetting({
    bath: bathSetup(means, "likely", "as-it-is"),
    fromCelsius: before.bath.value,
    toCelsius: after.bath.value,
    tapCelsius: means.tapCelsius.value,
  });
}

function burnerPlan(bathCelsius: number, startAt: number, means: Means): BurnerPlan {
  const likelySetup = bathSetup(means, "likely", "as-it-is");
  const worstSetup = bathSetup(means, "worst", "as-it-is");
  const fill = means.scalder.fillCelsius.value;
  const likely = bathHeatUp(likelySetup, fill, bathCelsius);
  const worst = bathHeatUp(worstSetup, fill, bathCelsius);
  if (likely.seconds === undefined || worst.seconds === undefined) {
    return { possible: false, ceiling: ceilingOf(likely.seconds === undefined ? likely : worst) };
  }
  const lit = (seconds: number, used: typeof likelySetup, rule: RuleName) =>
    reckoning({
      value: startAt - seconds * SECOND,
      unit: "instant",
      inputs: [
        ...heatingInputs(means),
        input("target-bath-temperature", bathCelsius, "°C", "our-estimate"),
        input("heat-loss-per-degree-above-air", used.lossWattPerKelvin, "watts", "calculated"),
        input("share-of-heat-reaching-the-water", used.efficiency, "fraction", "our-estimate"),
        input("heating-time", seconds / 60, "minutes", "calculated"),
        input("first-bird", startAt, "instant", "farm-setting"),
      ],
      rule,
      source: "bath",
    });
  return {
    possible: true,
    likelyAt: lit(likely.seconds, likelySetup, "light-burner-likely"),
    safeAt: lit(worst.seconds, worstSetup, "light-burner-safe"),
  };

  function ceilingOf(heatUp: typeof likely): Reckoning {
    return reckoning({
      value: Math.min(100, heatUp.ceilingCelsius),
      unit: "°C",
      inputs: heatingInputs(means),
      rule: "heating-ceiling",
      source: "bath",
    });
  }
}

function heatingInputs({ scalder, ambientCelsius }: Means): Input[] {
  return [
    inputSetting("water", scalder.waterLiters, "liters"),
    inputSetting("power", scalder.powerWatts, "watts"),
    inputSetting("fill-temperature", scalder.fillCelsius, "°C"),
    inputSetting("air-temperature", ambientCelsius, "°C"),
  ];
}

function heldBirds(bathCelsius: number, live: Reckoning, means: Means): Reckoning {
  const held = bathThroughput({
    bath: bathSetup(means, "likely", "open"),
    setCelsius: bathCelsius,
    liveKilograms: live.value,
    tapCelsius: means.tapCelsius.value,
    isToppedUp: true,
  });
  return reckoning({
    value: held.birdsPerHour,
    unit: "birds-per-hour",
    inputs: [
      input("live-weight-per-bird", live.value, "live-kg", live.provenance),
      input("heat-to-spare-with-the-lid-off", Math.max(0, held.netWatts), "watts", "calculated"),
      inputSetting("top-up-water-temperature", means.tapCelsius, "°C"),
    ],
    rule: "birds-bath-can-heat",
    source: "bath",
  });
}

function circuitPlan({ scalder }: Means): HeatPlan["circuit"] {
  if (scalder.heat !== "electric" || scalder.circuit === undefined) return undefined;
  const { volts, breakerAmps } = scalder.circuit;
  const load = circuitLoad([{ powerWatts: scalder.powerWatts.value, isContinuous: true, powerFactor: 1 }], {
    volts,
    breakerAmps,
    phases: 1,
  });
  const neededAmps = reckoning({
    value: load.breakerNeededAmps,
    unit: "amps",
    inputs: [
      inputSetting("element", scalder.powerWatts, "watts"),
      input("circuit", volts, "volts", "farm-setting"),
      input("breaker", breakerAmps, "amps", "farm-setting"),
    ],
    rule: "breaker-needed",
    source: "power",
  });
  return { neededAmps, breakerAmps, isOverloaded: load.isOverloaded };
}
