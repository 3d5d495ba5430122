import { SECOND } from "#core/calendar/milliseconds.ts";
import {
  READING_HOLDS_MILLISECONDS,
  SHOWN_MILLISECONDS,
  type WaterReading,
} from "#core/day/run/bath-readings.ts";
import { birdsIn, countOf, type DayFact } from "#core/day/run/day-fact.ts";
import { scaldLoads } from "#core/day/run/scald-loads.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { DOSE_RATIOS, SCALD_DOSE, type ScaldMethod, TARGET_SECONDS } from "#core/scald/scald-constants.ts";
import { type FeatherAnswer, learnTarget, type ScaldedBird } from "#core/scald/scald-learn.ts";
import { type BathReading, doseBy, secondsToDose } from "#core/scald/scald-trace.ts";

/** What the scald is to do to a lot's birds. */
export interface ScaldSetting {
  readonly kind: BirdKind;
  readonly method: ScaldMethod;
  readonly bathCelsius: number;
}

/** The dip that is under way. Seconds are from the dunk. */
export interface DipNow {
  readonly dip: DayFact;
  readonly birds: number;
  readonly inSeconds: number;
  /** Worth trying a wing feather; undefined where the water is too cold for that ever to come. */
  readonly trySeconds: number | undefined;
  /** When the dose is met, and when the skin begins to suffer. */
  readonly targetSeconds: number | undefined;
  readonly liftBySeconds: number | undefined;
  /** By how much the water of this dip is longer, or shorter, than the bath as it was set. */
  readonly longerSeconds: number | undefined;
}

export interface ScaldNow {
  readonly dip: DipNow | undefined;
  /** The latest, and those of the last ten minutes in order of time. */
  readonly water: WaterReading | undefined;
  readonly lately: readonly WaterReading[];
  /** Seconds in a bath at its setting: as the plan began, and as the feathers have moved it. */
  readonly plannedSeconds: number | undefined;
  readonly learnedSeconds: number | undefined;
  /** Birds whose feathers answered, and how many of the last dozen did so each way. */
  readonly answered: number;
  readonly lastDozen: Readonly<Record<FeatherAnswer, number>>;
  /** Birds since the water was changed. */
  readonly sinceChange: number;
}

const DOZEN = 12;
/** A wing feather is tried once this share of the dose is had: before that it holds in any case. Our choice. */
const TRY_AT = 0.85;

/**
 * The scald as it stands: the bath, the dip that is under way, and the target as the feathers have taught it.
 *
 * @param facts of the day, in order of time
 * @param readings of the bath, in order of time: from the probe, and typed
 */
export function scaldNow(
  facts: readonly DayFact[],
  readings: readonly WaterReading[],
  setting: ScaldSetting,
  now: number,
): ScaldNow {
  const ours = TARGET_SECONDS[setting.kind][setting.method];
  const ratios = DOSE_RATIOS[setting.method];
  const birds = answeredBirds(facts, readings, setting);
  const { targetFactor } = learnTarget({
    underRatio: ratios.under,
    overRatio: ratios.over,
    birds,
  });
  const target = ours * targetFactor;
  const atSetting = (dose: number) =>
    secondsToDose({
      readings: [{ seconds: 0, celsius: setting.bathCelsius }],
      targetSeconds: dose,
      scale: SCALD_DOSE,
    });
  const lastDozen = { hold: 0, slip: 0, tear: 0 };
  for (const { answer } of birds.slice(-DOZEN)) lastDozen[answer] += 1;
  const changedAt = facts.findLast(({ kind }) => kind === "water-changed")?.at ?? -Infinity;
  const dip = dipUnderWay(facts);
  return {
    dip: dip && dipNow(dip, { readings, setting, target, over: ratios.over, now, usual: atSetting(target) }),
    water: readings.findLast(({ at }) => at <= now),
    lately: readings.filter(({ at }) => at > now - SHOWN_MILLISECONDS && at <= now),
    plannedSeconds: atSetting(ours),
    learnedSeconds: atSetting(target),
    answered: birds.length,
    lastDozen,
    sinceChange: countOf(
      facts.filter(({ at }) => at > changedAt),
      "dip-in",
    ),
  };
}

/** The last dip, while it was not lifted. */
function dipUnderWay(facts: readonly DayFact[]): DayFact | undefined {
  const last = scaldLoads(facts).at(-1)?.dips.at(-1);
  return last?.lift === undefined ? last?.into : undefined;
}

interface DipContext {
  readonly readings: readonly WaterReading[];
  readonly setting: ScaldSetting;
  readonly target: number;
  readonly over: number;
  readonly now: number;
  readonly usual: number | undefined;
}

/** The countdown of a dip follows the water as it was read; from the last reading on, the bath is taken to stay as it is. */
function dipNow(dip: DayFact, { readings, setting, target, over, now, usual }: DipContext): DipNow {
  const trace = traceOf(dip.at, now, readings, setting);
  const secondsTo = (dose: number) =>
    secondsToDose({ readings: trace, targetSeconds: dose, scale: SCALD_DOSE });
  const targetSeconds = secondsTo(target);
  return {
    dip,
    birds: birdsIn(dip),
    inSeconds: Math.max(0, (now - dip.at) / SECOND),
    trySeconds: secondsTo(TRY_AT * target),
    targetSeconds,
    liftBySeconds: secondsTo(over * target),
    longerSeconds: targetSeconds === undefined || usual === undefined ? undefined : targetSeconds - usual,
  };
}

/** The bath from a dunk on; as it was set, where nobody read it from a minute before. */
function traceOf(
  from: number,
  to: number,
  readings: readonly WaterReading[],
  { bathCelsius }: ScaldSetting,
): BathReading[] {
  const before = readings.findLast(({ at }) => at <= from && at >= from - READING_HOLDS_MILLISECONDS);
  const during = readings.filter(({ at }) => at > from && at <= to);
  const first = before ? [{ seconds: 0, celsius: before.celsius }] : [];
  const trace = [...first, ...during.map(({ at, celsius }) => ({ seconds: (at - from) / SECOND, celsius }))];
  return trace.length > 0 ? trace : [{ seconds: 0, celsius: bathCelsius }];
}

/** Birds whose feathers answered, once each, at the last lift of their load, with the dose of all its dips. */
function answeredBirds(
  facts: readonly DayFact[],
  readings: readonly WaterReading[],
  setting: ScaldSetting,
): ScaldedBird[] {
  const ours = TARGET_SECONDS[setting.kind][setting.method];
  return scaldLoads(facts).flatMap(({ birds, dips }) => {
    const answer = dips.at(-1)!.lift?.word as FeatherAnswer | undefined;
    const dose = dips.reduce((sum, { into, lift }) => {
      if (!lift || lift.at <= into.at) return sum;
      const trace = { readings: traceOf(into.at, lift.at, readings, setting), scale: SCALD_DOSE };
      return sum + doseBy((lift.at - into.at) / SECOND, trace);
    }, 0);
    if (answer === undefined || dose <= 0) return [];
    return Array.from({ length: birds }, () => ({ doseRatio: dose / ours, answer }));
  });
}
