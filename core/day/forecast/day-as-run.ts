import { MINUTE } from "#core/calendar/milliseconds.ts";
import { peopleAsRun } from "#core/day/forecast/people-as-run.ts";
import { birdsIn, countOf, type DayFact, type FactKind } from "#core/day/run/day-fact.ts";
import { type Pause, pausesOf } from "#core/day/run/run-progress.ts";
import { scaldLoads } from "#core/day/run/scald-loads.ts";
import type { DaySoFar } from "#core/processing-line/forecast/forecast-answer.ts";
import type { Milestone, MilestoneTap } from "#core/processing-line/forecast/milestone.ts";
import { birdsOf, type LineDay, type LineLot } from "#core/processing-line/line-day.ts";

/** A day as its facts have it until now and its plan from now on, to be forecast. */
export interface DayAsRun {
  readonly day: LineDay;
  readonly soFar: DaySoFar;
  /** Minute 0 of both. */
  readonly originAt: number;
}

/** The facts that count birds on their way, and the milestone that each tells of. */
const MILESTONE_OF: Partial<Record<FactKind, Milestone>> = {
  kill: "kill",
  "dip-in": "dip-in",
  "dip-out": "dip-out",
  plucked: "plucked",
  table: "table",
  bird: "chill",
};

/**
 * Joins a day's plan with what was tapped of it. Where nothing was said, the plan stands.
 *
 * @param planned minute 0 is the planned start
 * @param facts of the day, in order of time
 */
export function dayAsRun(
  planned: LineDay,
  facts: readonly DayFact[],
  { startAt, now }: { readonly startAt: number; readonly now: number },
): DayAsRun {
  const past = facts.filter(({ at }) => at <= now);
  const begunAt = begunOf(planned, past, startAt);
  const originAt = Math.min(startAt, begunAt ?? startAt, now);
  const minuteOf = (at: number) => (at - originAt) / MINUTE;
  const later = minuteOf(startAt);
  const lots = lotsAsRun(planned.lots, past);
  const day: LineDay = {
    ...planned,
    lots,
    people: peopleAsRun(planned.people, past, { minuteOf, later }),
    setUpMinutes: begunAt === undefined ? later + planned.setUpMinutes : minuteOf(begunAt),
    breaks: breaksAsRun(planned, past, { minuteOf, later, now }),
    slowSpell: planned.slowSpell && {
      ...planned.slowSpell,
      fromMinute: planned.slowSpell.fromMinute + later,
    },
  };
  return {
    day,
    soFar: { nowMinute: minuteOf(now), taps: milestoneTaps(past, birdsOf(day), minuteOf) },
    originAt,
  };
}

/** When the first bird was killed, as far as it can be known; undefined where nothing was tapped. */
function begunOf(
  { lots, setUpMinutes }: LineDay,
  facts: readonly DayFact[],
  startAt: number,
): number | undefined {
  const plannedAt = startAt + setUpMinutes * MINUTE;
  const firstOf = (kind: FactKind) => facts.find((fact) => fact.kind === kind)?.at;
  const killedAt = firstOf("kill");
  if (killedAt !== undefined) return killedAt;
  const chilledAt = firstOf("bird");
  const startedAt = firstOf("start");
  const throughMinutes = throughLine(lots[0]!);
  // A day that its first bird in the chill has started began when that bird was killed.
  if (chilledAt !== undefined && (startedAt === undefined || chilledAt - startedAt < throughMinutes * MINUTE))
    return Math.min(
      startedAt ?? plannedAt,
      Math.max(plannedAt, chilledAt - throughMinutes * MINUTE),
      chilledAt,
    );
  return startedAt;
}

/** From the knife to the chill with no wait in between, minutes. */
const throughLine = ({ minutes }: LineLot): number =>
  minutes.cones +
  minutes.bleed +
  minutes.scald +
  minutes.pluck +
  minutes.feet +
  minutes.pins +
  minutes.gut +
  minutes.rinse;

/** Birds that are not killed are taken off the last lots; birds beyond the plan are the last lot's. */
function lotsAsRun(lots: readonly LineLot[], facts: readonly DayFact[]): LineLot[] {
  const planned = birdsOf({ lots });
  const chilled = countOf(facts, "bird");
  const notKilled = countOf(facts, "dead-in-crate") + countOf(facts, "not-killed");
  let less = Math.min(notKilled, planned - 1, Math.max(0, planned - chilled));
  const kept = lots.toReversed().flatMap((lot) => {
    const gone = Math.min(less, lot.birds);
    less -= gone;
    return gone === lot.birds
      ? []
      : [{ ...lot, birds: lot.birds - gone, cutUp: Math.min(lot.cutUp, lot.birds - gone) }];
  });
  const more = Math.max(0, chilled - kept.reduce((sum, { birds }) => sum + birds, 0));
  return kept.map((lot, index) => (index === 0 ? { ...lot, birds: lot.birds + more } : lot)).toReversed();
}

/** A planned break that was taken up to so much earlier is not taken again. */
const TAKEN_EARLY_MINUTES = 45;

/** Pauses as they were tapped, then the breaks that are still to come. Where no pause was tapped, breaks were as planned. */
function breaksAsRun(
  { breaks }: LineDay,
  facts: readonly DayFact[],
  { minuteOf, later, now }: { minuteOf: (at: number) => number; later: number; now: number },
): { fromMinute: number; minutes: number }[] {
  const planned = breaks.map(({ fromMinute, minutes }) => ({ fromMinute: fromMinute + later, minutes }));
  const pauses = pausesOf(facts, now);
  if (pauses.length === 0) return planned;
  const nowMinute = minuteOf(now);
  const isOpen = facts.findLast(({ kind }) => kind === "pause" || kind === "resume")?.kind === "pause";
  const taken = pauses.map(({ from, to }: Pause, index) => {
    const fromMinute = minuteOf(from);
    const meant = planned.find((one) => Math.abs(one.fromMinute - fromMinute) <= TAKEN_EARLY_MINUTES);
    const isGoingOn = isOpen && index === pauses.length - 1;
    const minutes = (to - from) / MINUTE;
    return { fromMinute, minutes: isGoingOn ? Math.max(minutes, meant?.minutes ?? 0) : minutes };
  });
  const last = taken.at(-1)!;
  const ahead = planned.filter(
    ({ fromMinute }) =>
      fromMinute > nowMinute &&
      fromMinute > last.fromMinute + last.minutes &&
      taken.every((one) => fromMinute - one.fromMinute > TAKEN_EARLY_MINUTES || one.minutes < 5),
  );
  return [...taken.filter(({ minutes }) => minutes > 0), ...ahead];
}

/** The taps of each milestone, no more than the day has birds. A load that held and is dipped again counts once. */
function milestoneTaps(
  facts: readonly DayFact[],
  birds: number,
  minuteOf: (at: number) => number,
): MilestoneTap[] {
  const counted: Partial<Record<Milestone, number>> = {};
  const again = new Set(
    scaldLoads(facts).flatMap(({ dips }) => [
      ...dips.slice(1).map(({ into }) => into),
      ...dips.slice(0, -1).map(({ lift }) => lift),
    ]),
  );
  return facts.flatMap((fact) => {
    const milestone = MILESTONE_OF[fact.kind];
    if (milestone === undefined || again.has(fact)) return [];
    const before = counted[milestone] ?? 0;
    const more = Math.min(birdsIn(fact), birds - before);
    counted[milestone] = before + more;
    return more > 0 ? [{ milestone, minute: minuteOf(fact.at), birds: more }] : [];
  });
}
