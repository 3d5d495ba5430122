import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import { bathSetup, type ScaldPlan, settingChange } from "#core/day/plan/scald-plan.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";
import { type LineAnswer, LineTally } from "#core/processing-line/line-tally.ts";
import { paceReplications } from "#core/processing-line/replications.ts";
import { mostWithin } from "#core/quantity/most-within.ts";
import { bathThroughput } from "#core/scald/bath.ts";
import { BATH } from "#core/scald/bath-constants.ts";
import { type BathDay, bathDay, bathDunk } from "#core/scald/bath-day.ts";
import type { BathSetting } from "#core/scald/bath-setting.ts";
import {
  CUTICLE_LIMIT_CELSIUS,
  DOSE_RATIOS,
  METHOD_BATH,
  SCALD_DOSE,
  TARGET_SECONDS,
} from "#core/scald/scald-constants.ts";
import { doseBy, secondsToDose } from "#core/scald/scald-trace.ts";
import { type ScaldVerdict, scaldVerdict } from "#core/scald/scald-verdict.ts";

/** Something that lets a bath that can't keep up keep up, cheapest first. */
export interface Remedy {
  readonly what: "lid-between-birds" | "cooler-method" | "hot-top-up" | "more-power";
  /** Birds an hour that the bath could hold then; for more power, those that are asked for. */
  readonly birdsPerHour: number;
  readonly isEnough: boolean;
  /** Only of more power. */
  readonly watts: number | undefined;
}

/** How the bath fares with one lot. */
export interface BathOfLot {
  /** What a load does: degrees, and minutes until it is back; undefined where it never is. */
  readonly sagKelvin: number;
  readonly recoveryMinutes: number | undefined;
  /** In the lot's fastest hour. */
  readonly demandBirdsPerHour: number;
  readonly heldBirdsPerHour: number;
  /** At the pace of an ordinary morning: the first bird of the day that finds the water below the method's band; undefined if none. */
  readonly failsAtBird: number | undefined;
  /** How far below its setting the water gets, °C. */
  readonly lowestBelow: number;
  /** A dip where the water is at its lowest for the lot, coming back as it does. */
  readonly coldest: ColdestDip;
  /** Empty where it keeps up. */
  readonly remedies: readonly Remedy[];
  /** From the setting of the lot before; undefined where that is the same. */
  readonly setting: BathSetting | undefined;
}

export interface BathOnDay {
  /** In the order of the lots. */
  readonly lots: readonly BathOfLot[];
  readonly energy: BathDay;
  readonly waterChanges: { readonly count: number; readonly minutes: number };
}

export interface ColdestDip {
  /** Seconds that the dose takes there; undefined where it is never reached. */
  readonly seconds: number | undefined;
  /** What comes of a bird that is taken out there after the usual seconds: its share of the dose, and how it plucks. */
  readonly afterUsual: { readonly ratio: number; readonly verdict: ScaldVerdict };
  /** Whether the method leaves the yellow cuticle on, where the water is at its setting. */
  readonly isCuticleLikelyKept: boolean;
}

/** A tap or kettle of hot water, °C: choice. See docs/sources.md#bath. */
const HOT_TOP_UP_CELSIUS = 50;
/** From the cut to the scald at its soonest, minutes: kill and bleed. */
const KILL_TO_SCALD_MINUTES = 3;

/** Whether the farm's bath stays hot for the birds as the line brings them, and what to do where it doesn't. See docs/sources.md#bath. */
export function bathOnDay(plan: PlanInput, scalds: readonly ScaldPlan[], line: LinePlan): BathOnDay {
  const { means } = plan;
  const { day } = line.setup;
  const asking = withoutBath(day);
  const scaldMinutes = asking.kills.map(({ p50 }) => p50 + KILL_TO_SCALD_MINUTES);
  let from = 0;
  const lots = plan.lots.map((lot, index) => {
    const own = scaldMinutes.slice(from, from + lot.choices.birds).toSorted((a, b) => a - b);
    const ofLot = bathOfLot(lot, scalds[index]!, means, own);
    const setting = settingChange(means, scalds[index - 1], scalds[index]!);
    const failsAtBird = ofLot.failsAtBird === undefined ? undefined : from + ofLot.failsAtBird;
    from += lot.choices.birds;
    return { ...ofLot, failsAtBird, setting };
  });
  const breaks = day.breaks.reduce((sum, { minutes }) => sum + minutes, 0);
  const workingHours = Math.max(0.25, ((asking.lastInChill?.p50 ?? line.lineMinutes) - breaks) / 60);
  const changes = day.changeWaterEvery === undefined ? 0 : Math.floor((from - 1) / day.changeWaterEvery);
  return {
    lots,
    energy: energyOfDay(plan, scalds, workingHours),
    waterChanges: { count: changes, minutes: changes > 0 ? day.lots[0]!.waterChangeMinutes : 0 },
  };
}

/** @param scaldMinutes when each of its birds comes to a bath that never sags; rising */
function bathOfLot(
  lot: LotInput,
  scald: ScaldPlan,
  means: Means,
  scaldMinutes: readonly number[],
): Omit<BathOfLot, "setting"> {
  const setCelsius = scald.bath.value;
  const open = bathSetup(means, "likely", "open");
  const birds = birdsInBath(lot, means);
  const dunk = bathDunk({
    bath: open,
    bathCelsius: setCelsius,
    setCelsius,
    birds: means.scalder.scaldAtOnce,
    ...birds,
  });
  const { netWatts } = bathThroughput({ bath: open, setCelsius, ...birds });
  const capacity = open.waterKilograms * BATH.waterJoulePerKilogramKelvin + open.vesselJoulePerKelvin;
  const recoveryPerMinute = (netWatts * 60) / capacity;
  const band = METHOD_BATH[lot.choices.scaldMethod];
  const walked = walk({
    scaldMinutes,
    sagPerBird: dunk.sagKelvin / means.scalder.scaldAtOnce,
    recoveryPerMinute,
    band: band.set - band.band[0],
  });
  const demandBirdsPerHour = mostWithin(scaldMinutes, 60);
  return {
    sagKelvin: dunk.sagKelvin,
    recoveryMinutes: dunk.recoverySeconds === undefined ? undefined : dunk.recoverySeconds / 60,
    demandBirdsPerHour,
    heldBirdsPerHour: scald.birdsPerHour.value,
    ...walked,
    coldest: coldestDip(lot, scald, walked.lowestBelow, recoveryPerMinute),
    remedies: walked.failsAtBird === undefined ? [] : remedies(lot, means, setCelsius, demandBirdsPerHour),
  };
}

type Means = PlanInput["means"];

const birdsInBath = ({ flock }: LotInput, means: Means) => ({
  liveKilograms: flock.live.value,
  tapCelsius: means.tapCelsius.value,
  isToppedUp: true,
});

/** The bath is heated for the first lot and held for each in turn, by its share of the birds. */
function energyOfDay(
  { lots, means }: PlanInput,
  scalds: readonly ScaldPlan[],
  workingHours: number,
): BathDay {
  const open = bathSetup(means, "likely", "open");
  const all = birdsOf({ lots: lots.map(({ choices }) => choices) });
  const parts = lots.map((lot, index) =>
    bathDay({
      bath: open,
      heatUpLossWattPerKelvin: bathSetup(means, "likely", "as-it-is").lossWattPerKelvin,
      workingLossWattPerKelvin: open.lossWattPerKelvin,
      fillCelsius: index === 0 ? means.scalder.fillCelsius.value : scalds[index - 1]!.bath.value,
      setCelsius: scalds[index]!.bath.value,
      birds: lot.choices.birds,
      workingHours: (workingHours * lot.choices.birds) / all,
      ...birdsInBath(lot, means),
    }),
  );
  const sum = (of: (part: BathDay) => number | undefined) =>
    parts.reduce<number | undefined>((running, part) => {
      const value = of(part);
      return running === undefined || value === undefined ? undefined : running + value;
    }, 0);
  const [first] = parts;
  if (parts.length === 1) return first!;
  return {
    heatUpKilowattHours: sum(({ heatUpKilowattHours }) => heatUpKilowattHours),
    workingKilowattHours: sum(({ workingKilowattHours }) => workingKilowattHours)!,
    totalKilowattHours: sum(({ totalKilowattHours }) => totalKilowattHours),
    duty: Math.max(...parts.map(({ duty }) => duty)),
    keepsUp: parts.every(({ keepsUp }) => keepsUp),
    propaneKilograms: sum(({ propaneKilograms }) => propaneKilograms),
  };
}

/** The dip at the lowest water of the day, which comes back towards its setting or, without heat to spare, stays. */
function coldestDip(
  { kind, choices }: LotInput,
  scald: ScaldPlan,
  lowestBelow: number,
  recoveryPerMinute: number,
): ColdestDip {
  const setCelsius = scald.bath.value;
  const start = { seconds: 0, celsius: setCelsius - lowestBelow };
  const back = { seconds: (lowestBelow / recoveryPerMinute) * 60, celsius: setCelsius };
  const readings = recoveryPerMinute > 0 && lowestBelow > 0 ? [start, back] : [start];
  const trace = { readings, scale: SCALD_DOSE };
  const { under: underRatio, over: overRatio } = DOSE_RATIOS[choices.scaldMethod];
  const judged = (doseSeconds: number) =>
    scaldVerdict({
      doseSeconds,
      targetSeconds: TARGET_SECONDS[kind][choices.scaldMethod],
      peakCelsius: setCelsius,
      underRatio,
      overRatio,
      skinCeilingCelsius: scald.skinCeilingCelsius,
      cuticleLimitCelsius: CUTICLE_LIMIT_CELSIUS,
    });
  const { ratio, verdict } = judged(doseBy(scald.seconds.value, trace));
  return {
    seconds: secondsToDose({ ...trace, targetSeconds: TARGET_SECONDS[kind][choices.scaldMethod] }),
    afterUsual: { ratio, verdict },
    isCuticleLikelyKept: judged(TARGET_SECONDS[kind][choices.scaldMethod]).isCuticleLikelyKept,
  };
}

/** What the line would ask of a bath that never sags. */
function withoutBath(day: LineDay): LineAnswer {
  const tally = new LineTally(
    { ...day, lots: day.lots.map((lot) => ({ ...lot, bath: undefined })) },
    LINE_SEED,
  );
  tally.play(paceReplications(day));
  return tally.answer();
}

/** The water, bird by bird, as it sags and comes back. A bath without heat to spare only ever falls. */
function walk({
  scaldMinutes,
  sagPerBird,
  recoveryPerMinute,
  band,
}: {
  scaldMinutes: readonly number[];
  sagPerBird: number;
  recoveryPerMinute: number;
  band: number;
}): Pick<BathOfLot, "failsAtBird" | "lowestBelow"> {
  let below = 0;
  let lowestBelow = 0;
  let failsAtBird: number | undefined;
  let before = scaldMinutes[0] ?? 0;
  for (const [bird, minute] of scaldMinutes.entries()) {
    below = Math.max(0, below - recoveryPerMinute * (minute - before));
    before = minute;
    if (below > band) failsAtBird ??= bird + 1;
    below += sagPerBird;
    lowestBelow = Math.max(lowestBelow, below);
  }
  return { failsAtBird, lowestBelow };
}

function remedies({ choices, flock }: LotInput, means: Means, setCelsius: number, asked: number): Remedy[] {
  const held = (bath: ReturnType<typeof bathSetup>, set: number, tapCelsius: number) =>
    bathThroughput({ bath, setCelsius: set, liveKilograms: flock.live.value, tapCelsius, isToppedUp: true })
      .birdsPerHour;
  const open = bathSetup(means, "likely", "open");
  const tap = means.tapCelsius.value;
  const lidded = bathSetup({ ...means, scalder: { ...means.scalder, isLidded: true } }, "likely", "as-it-is");
  const { joulePerBird } = bathThroughput({
    bath: open,
    setCelsius,
    liveKilograms: flock.live.value,
    tapCelsius: tap,
    isToppedUp: true,
  });
  const way = (what: Remedy["what"], birdsPerHour: number, watts?: number): Remedy => ({
    what,
    birdsPerHour,
    isEnough: birdsPerHour >= asked - 1e-9,
    watts,
  });
  const lost = open.lossWattPerKelvin * (setCelsius - open.ambientCelsius);
  return [
    way("lid-between-birds", held(lidded, setCelsius, tap)),
    ...(choices.scaldMethod === "gentle"
      ? []
      : [way("cooler-method", held(open, METHOD_BATH.gentle.set, tap))]),
    way("hot-top-up", held(open, setCelsius, HOT_TOP_UP_CELSIUS)),
    way("more-power", asked, (lost + (asked * joulePerBird) / 3600) / open.efficiency),
  ];
}
