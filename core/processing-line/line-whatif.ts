import { LAST_WORK, type LineContext, lineContext } from "#core/processing-line/line-context.ts";
import { type LineDay, neededStations } from "#core/processing-line/line-day.ts";
import { playMorning } from "#core/processing-line/line-run.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { quantile } from "#core/processing-line/line-tally.ts";

/** When each morning of a day ends, played as it is asked for. Plans compared on one seed meet the same luck. */
export class Mornings {
  readonly #context: LineContext;
  readonly #finishes: number[] = [];
  readonly #cleanUpMinutes: number;

  /** @throws {RangeError} if the day holds no bird, nobody or no cone */
  constructor(day: LineDay, seed: number) {
    this.#context = lineContext(day, seed);
    this.#cleanUpMinutes = day.cleanUpMinutes;
  }

  /** Minute at which a morning's work is done and cleaned up; Infinity where it gets stuck. */
  finish(morning: number): number {
    while (this.#finishes.length <= morning) {
      const isFinished = playMorning(this.#context, this.#finishes.length);
      this.#finishes.push(
        isFinished ? this.#context.state.clock[LAST_WORK]! + this.#cleanUpMinutes : Infinity,
      );
    }
    return this.#finishes[morning]!;
  }

  evenChance(mornings: number): number {
    this.finish(mornings - 1);
    return quantile(Float64Array.from(this.#finishes.slice(0, mornings)).sort(), 0.5);
  }
}

/** Minute at which half the mornings of a day are over, on given luck; Infinity where most get stuck. */
export function evenChance(day: LineDay, seed: number, mornings: number): number {
  return new Mornings(day, seed).evenChance(mornings);
}

/** How much faster a station is made to see what it holds up. */
const QUICKER = 0.9;
/** Less than so many minutes is luck, not a bottleneck. */
const LEAST_MINUTES = 0.05;

/** What holds the line, and by how many minutes sooner half the mornings would be over with work there a tenth quicker. */
export interface Bottleneck {
  readonly station: Station;
  readonly savedMinutes: number;
}

/**
 * The station that holds the line: the one at which work a tenth quicker would end the day soonest, on common luck.
 * Undefined where none would.
 */
export function bottleneck(day: LineDay, seed: number, mornings: number): Bottleneck | undefined {
  const now = evenChance(day, seed, mornings);
  if (now === Infinity) return undefined;
  const saved = neededStations(day).map((station) => ({
    station,
    savedMinutes: now - evenChance(quicker(day, station), seed, mornings),
  }));
  const most = saved.reduce((best, one) => (one.savedMinutes > best.savedMinutes ? one : best));
  return most.savedMinutes > LEAST_MINUTES ? most : undefined;
}

function quicker(day: LineDay, station: Station): LineDay {
  const { minutes } = day;
  const cut = (change: Partial<LineDay["minutes"]>): LineDay => ({
    ...day,
    minutes: { ...minutes, ...change },
  });
  if (station === "cones") return cut({ cones: minutes.cones * QUICKER, bleed: minutes.bleed * QUICKER });
  return cut({ [station]: minutes[station] * QUICKER });
}
