import { CHILLED, KILLED, type LineState } from "#core/processing-line/line-context.ts";
import { FEET, PLUCK, RINSE, SCALD } from "#core/processing-line/line-station.ts";

/** What a tap can say that a bird has passed, in the order in which a bird passes it. */
export const MILESTONES = ["kill", "dip-in", "dip-out", "plucked", "table", "chill"] as const;
export type Milestone = (typeof MILESTONES)[number];

/** Birds of a replication that have passed each: killed, into and out of the scald, plucked, drawn, in the chill. */
export const COUNTED: Readonly<Record<Milestone, (state: LineState) => number>> = {
  kill: ({ counts }) => counts[KILLED]!,
  "dip-in": ({ head }) => head[SCALD]!,
  "dip-out": ({ tail }) => tail[PLUCK]!,
  plucked: ({ tail }) => tail[FEET]!,
  table: ({ tail }) => tail[RINSE]!,
  chill: ({ counts }) => counts[CHILLED]!,
};

/** So many birds more passed a milestone. Minutes are after the day's start, as in LineDay. */
export interface MilestoneTap {
  readonly milestone: Milestone;
  readonly minute: number;
  /** More than 0. */
  readonly birds: number;
}

/** How many birds had passed a milestone at a minute. */
export interface Sighting {
  readonly milestone: Milestone;
  readonly minute: number;
  readonly count: number;
  /** Whether the last of them passed in this very minute. */
  readonly isTap: boolean;
  /** Whether it is the latest that is known of the milestone. */
  readonly isLatest: boolean;
}

/** Taps of one milestone that are compared: the last, and two before it that tell the pace as it went. */
const COMPARED_SHARES = [1 / 3, 2 / 3, 1];
/** A milestone that has been silent for longer than so many of its usual gaps is not heard from; until then it says that nothing passed. */
const SILENT_GAPS = 3;

/** The minutes of a milestone's taps, and of the day so far. */
interface Hearing {
  readonly taps: number;
  readonly lastMinute: number;
  readonly fromMinute: number;
  readonly nowMinute: number;
}

/** Whether a milestone is not heard from any more. */
export const isSilent = ({ taps, lastMinute, fromMinute, nowMinute }: Hearing): boolean =>
  nowMinute - lastMinute > (SILENT_GAPS * (lastMinute - fromMinute)) / taps;

/**
 * What a day's taps say, milestone by milestone in the order in which a bird passes them: how far it was at a third, at
 * two thirds, and at the last of its taps, and that nothing has passed since.
 *
 * @param taps in any order, none after now
 * @param fromMinute the line's first minute
 */
export function sightingsOf(
  taps: readonly MilestoneTap[],
  { fromMinute, nowMinute }: { fromMinute: number; nowMinute: number },
): Sighting[] {
  return MILESTONES.flatMap((milestone) => {
    const own = taps
      .filter((tap) => tap.milestone === milestone)
      .toSorted((one, other) => one.minute - other.minute);
    const last = own.at(-1);
    if (!last) return [];
    const places = new Set(COMPARED_SHARES.map((share) => Math.ceil(share * own.length) - 1));
    let count = 0;
    const hearing = { taps: own.length, lastMinute: last.minute, fromMinute, nowMinute };
    const isHeard = nowMinute > last.minute && !isSilent(hearing);
    const seen = own.flatMap(({ minute, birds }, place) => {
      count += birds;
      const isLatest = !isHeard && place === own.length - 1;
      return places.has(place) ? [{ milestone, minute, count, isTap: true, isLatest }] : [];
    });
    return isHeard ? [...seen, { milestone, minute: nowMinute, count, isTap: false, isLatest: true }] : seen;
  });
}
