import type { LiveForecast, PlayedOn } from "#core/processing-line/forecast/forecast-answer.ts";
import { type Snapshot, snapshotOf } from "#core/processing-line/forecast/taken-over.ts";
import {
  BLEEDING,
  IN_PLUCKER,
  IN_SCALD,
  type LineContext,
  lineContext,
} from "#core/processing-line/line-context.ts";
import { type LineDay, neededStations } from "#core/processing-line/line-day.ts";
import { replicationKey } from "#core/processing-line/line-draws.ts";
import { beginReplication, playOn } from "#core/processing-line/line-run.ts";
import { STATION_NUMBER, type Station } from "#core/processing-line/line-station.ts";
import { quantile } from "#core/processing-line/line-tally.ts";

/** Replications that are looked at as they stand. */
const DRAWN = 32;

/** Replications that agree with the taps, drawn by their weights, as they stand now. */
export interface LineNow {
  readonly context: LineContext;
  readonly minute: number;
  readonly drawn: readonly PlayedOn[];
  readonly snapshots: readonly Snapshot[];
}

export function lineNow(day: LineDay, forecast: LiveForecast, seed: number): LineNow {
  const context = lineContext(day, seed);
  const minute = Math.max(forecast.nowMinute, day.setUpMinutes);
  const drawn = drawnByWeight(forecast.played, DRAWN);
  return { context, minute, drawn, snapshots: drawn.map((played) => snapshotAt(context, played, minute)) };
}

/** Birds at a station: in hand there, and waiting before it; at the cones, those that bleed. */
export interface BirdsAt {
  readonly inHand: number;
  readonly waiting: number;
}

/** Where the birds of a running day are now, in the middle of what agrees with the taps. */
export function birdsNow(day: LineDay, { snapshots }: LineNow): Partial<Record<Station, BirdsAt>> {
  const middle = (of: (snapshot: Snapshot) => number) =>
    Math.round(quantile(Float64Array.from(snapshots, of).sort(), 0.5));
  if (snapshots.length === 0) return {};
  return Object.fromEntries(
    neededStations(day).map((station) => {
      const number = STATION_NUMBER[station];
      const inHand = middle(({ state }) =>
        station === "cones"
          ? state.counts[BLEEDING]!
          : station === "scald"
            ? state.counts[IN_SCALD]!
            : station === "pluck" && day.pluckBy === "drum"
              ? state.counts[IN_PLUCKER]!
              : state.working[number]!,
      );
      const waiting = middle(({ state }) => state.tail[number]! - state.head[number]!);
      return [station, { inHand, waiting }];
    }),
  );
}

/** Replications drawn by their weights, evenly (systematic resampling). */
function drawnByWeight(played: readonly PlayedOn[], count: number): PlayedOn[] {
  const total = played.reduce((sum, { weight }) => sum + weight, 0);
  const drawn: PlayedOn[] = [];
  let passed = 0;
  for (const one of played) {
    passed += one.weight;
    while (drawn.length < count && (drawn.length + 0.5) * total <= passed * count) drawn.push(one);
  }
  return drawn;
}

function snapshotAt(context: LineContext, { replication, dayFactor }: PlayedOn, minute: number): Snapshot {
  const key = replicationKey(context.seed, replication);
  beginReplication(context, key, dayFactor);
  playOn(context, key, { minute, count: Infinity, counted: () => 0 });
  return snapshotOf(context);
}
