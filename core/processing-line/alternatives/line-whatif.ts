import { LAST_WORK, type LineContext, lineContext } from "#core/processing-line/line-context.ts";
import { type LineDay, type LineMinutes, neededStations } from "#core/processing-line/line-day.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { quantile } from "#core/processing-line/line-tally.ts";

/** When each replication of a day ends, played as it is asked for. Plans compared on one seed use common random numbers. */
export class Replications {
  readonly #context: LineContext;
  readonly #finishes: number[] = [];
  readonly #cleanUpMinutes: number;

  /** @throws {RangeError} if the day holds no bird, no one or no cone */
  constructor(day: LineDay, seed: number) {
    this.#context = lineContext(day, seed);
    this.#cleanUpMinutes = day.cleanUpMinutes;
  }

  /** Minute at which a replication's work is done and cleaned up; Infinity where it gets stuck. */
  finish(replication: number): number {
    while (this.#finishes.length <= replication) {
      const isFinished = playReplication(this.#context, this.#finishes.length);
      this.#finishes.push(
        isFinished ? this.#context.state.clock[LAST_WORK]! + this.#cleanUpMinutes : Infinity,
      );
    }
    return this.#finishes[replication]!;
  }

  likelyMinutes(replications: number): number {
    this.finish(replications - 1);
    return quantile(Float64Array.from(this.#finishes.slice(0, replications)).sort(), 0.5);
  }
}

/** Minute at which half the replications of a day are over, on given random draws; Infinity where most get stuck. */
export function likelyMinutes(day: LineDay, seed: number, replications: number): number {
  return new Replications(day, seed).likelyMinutes(replications);
}

/** How much faster a station is made to see what it holds up. */
const QUICKER = 0.9;
/** Less than this many minutes is chance, not a bottleneck. */
const LEAST_MINUTES = 0.05;

/** What holds the line, and by how many minutes sooner half the replications would be over with work there a tenth quicker. */
export interface Bottleneck {
  readonly station: Station;
  readonly savedMinutes: number;
}

/**
 * The station that limits the line: the one where working 10 % faster would end the day soonest, on common random numbers.
 * Undefined where none would.
 */
export function bottleneck(day: LineDay, seed: number, replications: number): Bottleneck | undefined {
  const now = likelyMinutes(day, seed, replications);
  if (now === Infinity) return undefined;
  const saved = neededStations(day).map((station) => ({
    station,
    savedMinutes: now - likelyMinutes(quicker(day, station), seed, replications),
  }));
  const most = saved.reduce((best, one) => (one.savedMinutes > best.savedMinutes ? one : best));
  return most.savedMinutes > LEAST_MINUTES ? most : undefined;
}

function quicker(day: LineDay, station: Station): LineDay {
  const cut = (minutes: LineMinutes): LineMinutes =>
    station === "cones"
      ? { ...minutes, cones: minutes.cones * QUICKER, bleed: minutes.bleed * QUICKER }
      : { ...minutes, [station]: minutes[station] * QUICKER };
  return { ...day, lots: day.lots.map((lot) => ({ ...lot, minutes: cut(lot.minutes) })) };
}
