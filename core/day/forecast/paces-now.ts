import { MINUTE } from "#core/calendar/milliseconds.ts";
import { birdsIn, type DayFact } from "#core/day/run/day-fact.ts";
import { PACE_SPREADS, paceUpdate } from "#core/learning/pace-update.ts";
import { SLOW_START, TIREDNESS } from "#core/processing-line/line-constants.ts";
import type { LineDay, LinePerson } from "#core/processing-line/line-day.ts";

/** How long someone takes for a bird at the evisceration table, as today's taps have moved it. */
export interface PaceNow {
  readonly name: string;
  readonly plannedMinutes: number;
  readonly minutes: number;
  /** Birds that it is learned from. */
  readonly birds: number;
}

/** A gap so many times longer than planned was a wait for birds, or a rest, and no bird's own time. Our choice. */
const LONGEST_GAP = 2.2;

/**
 * The paces of those whose phones tap each bird at the table: from one tap to the next, as far as there was no wait, with
 * the slow start, tiredness, and rain taken out. The plan is the prior, so a few quick taps move it little.
 *
 * @param facts of the day, in order of time
 * @param day minute 0 is at `originAt`
 */
export function pacesNow(day: LineDay, facts: readonly DayFact[], originAt: number): PaceNow[] {
  const names = new Set(
    day.people.filter(({ stations }) => stations.includes("gut")).map(({ name }) => name),
  );
  return [...names].flatMap((name) => {
    const person = day.people.find((one) => one.name === name && one.stations.includes("gut"))!;
    const plannedMinutes = day.lots[0]!.minutes.gut * (person.pace.gut ?? 1);
    const logs = gapLogs(day, person, facts, { originAt, plannedMinutes });
    if (logs.length === 0) return [];
    const meanLnMinutes = logs.reduce((sum, log) => sum + log, 0) / logs.length;
    const { minutes } = paceUpdate({
      priorMinutes: plannedMinutes,
      ...PACE_SPREADS,
      daySdLn: 0,
      seen: [{ birds: logs.length, meanLnMinutes }],
    });
    return [{ name, plannedMinutes, minutes, birds: logs.length }];
  });
}

/** Natural logarithms of someone's minutes a bird, on fresh and practiced hands in dry weather. */
function gapLogs(
  { slowSpell }: LineDay,
  { name }: LinePerson,
  facts: readonly DayFact[],
  { originAt, plannedMinutes }: { originAt: number; plannedMinutes: number },
): number[] {
  const own = facts.filter(({ kind, person }) => kind === "table" && person === name);
  return own.slice(1).flatMap((fact, index) => {
    const minute = (fact.at - originAt) / MINUTE;
    const isSlow =
      slowSpell && minute >= slowSpell.fromMinute && minute < slowSpell.fromMinute + slowSpell.minutes;
    const tired = 1 + TIREDNESS.perMinute * Math.max(0, minute - TIREDNESS.afterMinutes);
    const slowStart = 1 + SLOW_START.extra * Math.exp(-(index + 1) / SLOW_START.birds);
    const gap = (fact.at - own[index]!.at) / MINUTE / birdsIn(fact);
    const minutes = gap / (tired * slowStart * (isSlow ? slowSpell.factor : 1));
    return minutes > 0 && minutes <= LONGEST_GAP * plannedMinutes ? [Math.log(minutes)] : [];
  });
}
