import { MINUTE } from "#core/calendar/milliseconds.ts";
import { birdsIn, type DayFact } from "#core/day/run/day-fact.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

/** What happened on the day, as it was tapped. Taps that were removed are not among them. */
export type RunEvent = Pick<DayFact, "kind" | "at"> & Partial<Pick<DayFact, "birds">>;

export type RunState = "not-started" | "running" | "paused" | "finished";

export interface RunProgress {
  readonly state: RunState;
  readonly startedAt: number | undefined;
  readonly finishedAt: number | undefined;
  readonly firstBirdAt: number | undefined;
  readonly lastBirdAt: number | undefined;
  readonly done: number;
  /** Never negative: a bird more than planned is done, not minus one to go. */
  readonly toGo: number;
  readonly pausedMinutes: number;
  /** Undefined until two birds give a pace, or when there is nothing to go. */
  readonly doneAt: Reckoning | undefined;
}

/** The present pace is that of the last so many birds. Our choice: long enough not to jump, short enough to follow. */
const PACE_BIRDS = 10;

/** How far a day has come, and when it will be done at its present pace with pauses left out. Events in any order. */
export function runProgress(events: readonly RunEvent[], plannedBirds: number, now: number): RunProgress {
  const inOrder = events.toSorted((one, other) => one.at - other.at);
  const birds = inOrder
    .filter(({ kind }) => kind === "bird")
    .flatMap(({ at, birds: count }) => Array.from({ length: birdsIn({ birds: count }) }, () => at));
  const startedAt = inOrder.find((event) => event.kind === "start")?.at;
  const finishedAt = inOrder.findLast((event) => event.kind === "finish")?.at;
  const pauses = pausesOf(inOrder, finishedAt ?? now);
  const isPaused =
    inOrder.findLast((event) => event.kind === "pause" || event.kind === "resume")?.kind === "pause";
  const toGo = Math.max(0, plannedBirds - birds.length);
  return {
    state:
      finishedAt !== undefined
        ? "finished"
        : startedAt === undefined
          ? "not-started"
          : isPaused
            ? "paused"
            : "running",
    startedAt,
    finishedAt,
    firstBirdAt: birds[0],
    lastBirdAt: birds.at(-1),
    done: birds.length,
    toGo,
    pausedMinutes: pauses.reduce((sum, pause) => sum + pause.to - pause.from, 0) / MINUTE,
    doneAt: finishedAt === undefined && toGo > 0 ? doneAtPresentPace(birds, pauses, toGo, now) : undefined,
  };
}

/** Nobody worked, from one moment to another, epoch milliseconds. */
export interface Pause {
  readonly from: number;
  readonly to: number;
}

/** @param until when a pause that goes on is taken to end */
export function pausesOf(inOrder: readonly RunEvent[], until: number): Pause[] {
  const pauses: Pause[] = [];
  let from: number | undefined;
  for (const { kind, at } of inOrder) {
    if (kind === "pause") from ??= at;
    if ((kind === "resume" || kind === "finish") && from !== undefined) {
      pauses.push({ from, to: at });
      from = undefined;
    }
  }
  return from === undefined ? pauses : [...pauses, { from, to: Math.max(from, until) }];
}

function doneAtPresentPace(
  birds: readonly number[],
  pauses: readonly Pause[],
  toGo: number,
  now: number,
): Reckoning | undefined {
  const lately = birds.slice(-(PACE_BIRDS + 1));
  const from = lately[0];
  const last = lately.at(-1);
  if (from === undefined || last === undefined || last === from) return undefined;
  const interval = workedBetween(from, last, pauses) / (lately.length - 1);
  if (interval <= 0) return undefined;
  const sinceLast = workedBetween(last, now, pauses);
  // A bird that is late takes at least as long as it has already taken.
  const left = Math.max(0, interval - sinceLast) + (toGo - 1) * interval;
  return reckoning({
    value: now + left,
    unit: "instant",
    inputs: [
      input("birds-to-go", toGo, "birds", "calculated"),
      input("birds-setting-the-pace", lately.length - 1, "birds", "measured"),
      input("pace", interval / MINUTE, "minutes-per-bird", "measured"),
    ],
    rule: "time-left",
    source: "own-log",
  });
}

/** Milliseconds between two moments, with pauses left out. */
export function workedBetween(from: number, to: number, pauses: readonly Pause[]): number {
  const paused = pauses.reduce(
    (sum, pause) => sum + Math.max(0, Math.min(to, pause.to) - Math.max(from, pause.from)),
    0,
  );
  return to - from - paused;
}
