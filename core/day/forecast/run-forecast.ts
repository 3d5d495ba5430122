import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { CrewMember } from "#core/day/crew/crew.ts";
import { mayWorkAlone } from "#core/day/crew/crew.ts";
import { dayAsRun } from "#core/day/forecast/day-as-run.ts";
import type { IceAhead } from "#core/day/forecast/ice-ahead.ts";
import { type PaceNow, pacesNow } from "#core/day/forecast/paces-now.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";
import { type BirdsAt, birdsNow, lineNow } from "#core/processing-line/forecast/line-now.ts";
import { liveForecast } from "#core/processing-line/forecast/live-forecast.ts";
import { type LiveMove, liveMoves } from "#core/processing-line/forecast/live-moves.ts";
import { isSilent, MILESTONES, type Milestone } from "#core/processing-line/forecast/milestone.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import { birdsOf, type LineDay, type LinePerson } from "#core/processing-line/line-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { Moment } from "#core/processing-line/line-tally.ts";

/** A moment by the clock: one in ten before, as likely earlier as later, and nine in ten before. */
export interface Chance {
  readonly oneInTenAt: number;
  readonly likelyAt: number;
  readonly nineInTenAt: number;
}

/** A moment of the line by the clock. */
export const chanceAt = (originAt: number, moment: Moment | undefined): Chance | undefined =>
  moment && {
    oneInTenAt: Math.round(originAt + moment.p10 * MINUTE),
    likelyAt: Math.round(originAt + moment.p50 * MINUTE),
    nineInTenAt: Math.round(originAt + moment.p90 * MINUTE),
  };

/** How a running day is likely to go on, by the clock, epoch milliseconds. */
export interface RunForecast {
  /** Minute 0 of what the moves say. */
  readonly originAt: number;
  /** Undefined where no one is left who may do what is next. */
  readonly lastInChill: Chance | undefined;
  readonly allDone: Chance | undefined;
  /** Birds of the day, without those that are not killed. */
  readonly birds: number;
  /** When the tanks are likely full; undefined where they never are, or where that is past. */
  readonly tankFullAt: number | undefined;
  /** When the last bird is likely killed. */
  readonly lastKillAt: number | undefined;
  /** Where the birds are, as far as it is known. */
  readonly birdsAt: Partial<Record<Station, BirdsAt>>;
  readonly paces: readonly PaceNow[];
  /** The tanks' ice by the clock; undefined where no plan of it was given. */
  readonly ice: IceAhead | undefined;
  /** What would help now; undefined until it is worked out, which takes about as long again. */
  readonly moves: readonly LiveMove[] | undefined;
  /** Posts that were tapped and are not heard from any more. */
  readonly silent: readonly Milestone[];
}

export interface RunForecastInput {
  /** Minute 0 is the planned start. */
  readonly planned: LineDay;
  readonly crew: readonly CrewMember[];
  /** In order of time. */
  readonly facts: readonly DayFact[];
  readonly startAt: number;
  readonly now: number;
  readonly isSkinned: boolean;
  /** Works out the ice from when the birds reach the tanks; undefined where that is not asked for. */
  readonly iceOf?: (chills: readonly Moment[], originAt: number) => IceAhead;
}

/** A forecast, and what takes about as long again: what would help. */
export interface ForecastThenMoves {
  readonly forecast: RunForecast;
  readonly moves: () => readonly LiveMove[];
}

/** Plays the day on from where it stands. Takes some tenths of a second: not for the thread that answers pages. */
export function runForecast({
  planned,
  crew,
  facts,
  startAt,
  now,
  isSkinned,
  iceOf,
}: RunForecastInput): ForecastThenMoves {
  const { day, soFar, originAt } = dayAsRun(planned, facts, { startAt, now });
  const forecast = liveForecast(day, soFar, LINE_SEED);
  const instant = (minute: number) => Math.round(originAt + minute * MINUTE);
  const rulesOf = new Map(crew.map(({ name, rules }) => [name, rules]));
  const line = lineNow(day, forecast, LINE_SEED);
  const full = forecast.chills[day.kit.tankBirds];
  const lastKill = forecast.kills.at(-1);
  const answer: RunForecast = {
    originAt,
    lastInChill: chanceAt(originAt, forecast.lastInChill),
    allDone: chanceAt(originAt, forecast.finish),
    birds: birdsOf(day),
    tankFullAt: full && full.p50 > soFar.nowMinute ? instant(full.p50) : undefined,
    lastKillAt: lastKill && instant(lastKill.p50),
    birdsAt: forecast.lastInChill ? birdsNow(day, line) : {},
    paces: pacesNow(day, facts, originAt),
    ice: forecast.lastInChill && iceOf?.(forecast.chills, originAt),
    moves: undefined,
    silent: silentOf(soFar.taps, soFar.nowMinute, day.setUpMinutes),
  };
  // Someone whose rules are not known stays at the stations they have, and so does everyone where birds are skinned.
  const mayStand = ({ name, stations }: LinePerson) => {
    const rules = rulesOf.get(name);
    return rules && !isSkinned ? mayWorkAlone(rules) : stations;
  };
  return { forecast: answer, moves: () => liveMoves(day, forecast, LINE_SEED, mayStand, line) };
}

/** Fewer taps have no usual gap. */
const LEAST_TAPS = 3;

function silentOf(
  taps: readonly { readonly milestone: Milestone; readonly minute: number }[],
  nowMinute: number,
  fromMinute: number,
): Milestone[] {
  return MILESTONES.filter((milestone) => {
    const own = taps.filter((tap) => tap.milestone === milestone);
    const lastMinute = Math.max(...own.map(({ minute }) => minute));
    return own.length >= LEAST_TAPS && isSilent({ taps: own.length, lastMinute, fromMinute, nowMinute });
  });
}
