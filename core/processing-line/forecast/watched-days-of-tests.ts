import type { Milestone, MilestoneTap } from "#core/processing-line/forecast/milestone.ts";
import { CHILLED, IN_SCALD, LAST_WORK, lineContext } from "#core/processing-line/line-context.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import { CONES, GUT, RINSE, SCALD } from "#core/processing-line/line-station.ts";

/** A day as it went, and all that could have been tapped of it. Minutes are after the day's start. */
export interface WatchedDay {
  readonly lastInChill: number;
  readonly finish: number;
  readonly taps: readonly MilestoneTap[];
}

/** Plays a day that the forecast knows nothing of, and writes down what its people could have tapped. */
export function watchedDay(day: LineDay, seed: number, replication: number): WatchedDay {
  const context = lineContext(day, seed);
  const taps: MilestoneTap[] = [];
  const tap = (milestone: Milestone, minute: number, birds = 1) => taps.push({ milestone, minute, birds });
  playReplication(context, replication, {
    passes: () => undefined,
    begins: (minute, station) => {
      if (station === CONES) tap("kill", minute);
      if (station === SCALD) tap("dip-in", minute, inScald());
    },
    ends: (minute, station) => {
      if (station === SCALD) tap("dip-out", minute, inScald());
      if (station === GUT) tap("table", minute);
      if (station === RINSE) tap("chill", minute);
    },
  });
  const { clock, chilledAt, counts } = context.state;
  return {
    lastInChill: chilledAt[counts[CHILLED]! - 1]!,
    finish: clock[LAST_WORK]! + day.cleanUpMinutes,
    taps,
  };
  function inScald(): number {
    return context.state.counts[IN_SCALD]!;
  }
}
