import { type GroupOption, type SeasonProblem, WAYS } from "#core/season/season-problem.ts";

export interface MadeUpSize {
  readonly batches: number;
  readonly days: number;
  /** Days of a batch's window, from which a made-up one is drawn. */
  readonly window: readonly [number, number];
}

/**
 * A season out of a seed, for tests and for measuring: batches that grow, a crew that is larger on some days, a fridge, a
 * freezer that empties slowly, and every third place that does both.
 */
export function madeUpSeason(seed: number, { batches, days, window }: MadeUpSize): SeasonProblem {
  const draws = drawsOf(seed);
  const between = (low: number, high: number) => low + Math.floor(draws() * (high - low + 1));
  const from = 20_600;
  const birdsOf = Array.from({ length: batches }, () => between(15, 120));
  const all = birdsOf.reduce((sum, birds) => sum + birds, 0);
  const needed = Math.ceil(all / Math.max(1, Math.min(days / 3, batches)));
  const groups = birdsOf.map((birds, group) => madeUpGroup({ draws, between, days, window }, group, birds));
  const roomDays = days + 4;
  return {
    days: Array.from({ length: days }, (_, day) => ({
      number: from + day,
      openCents: between(4000, 22_000),
      mostWork: draws() < 0.35 ? between(50, 120) : between(0, 45),
      heldWork: 0,
      heldBirds: 0,
    })),
    groups,
    pins: [],
    leastBirds: between(0, 12),
    strength: {
      "everyone-placed": { isFirm: false, cents: 1500 },
      "latest-age": { isFirm: false, cents: 500 },
      crew: { isFirm: true },
      "least-birds": { isFirm: true },
      "rest-room": { isFirm: true },
      "freezer-room": { isFirm: draws() < 0.5, cents: 300 },
      "yearly-cap": { isFirm: true },
    },
    room: {
      rest: between(20, 40) + Math.floor(needed / 2),
      freezer: between(60, 120) + Math.floor(all / 3),
      eitherRest: seed % 3 === 0 ? 40 : 0,
      eitherFreezer: seed % 3 === 0 ? 50 : 0,
      frozenNow: between(0, 60),
      from,
      resting: Array(roomDays).fill(0),
      restSlack: Array(roomDays).fill(0),
      freezerSlack: Array(roomDays).fill(0),
      entering: Array(roomDays).fill(0),
      leaving: Array(roomDays).fill(all / days / 1.3),
    },
    yearly: [{ fromDay: from, toDay: from + days, birds: Math.ceil(all * (0.8 + 0.4 * draws())) }],
  };
}

interface Draws {
  readonly draws: () => number;
  readonly between: (low: number, high: number) => number;
  readonly days: number;
  readonly window: readonly [number, number];
}

/** A batch that is worth the most on one day of its window, and less the farther from it. */
function madeUpGroup({ draws, between, days, window }: Draws, group: number, birds: number) {
  const length = Math.min(days, between(...window));
  const start = between(0, Math.max(0, days - length));
  const [peak, worth] = [start + length * (0.4 + 0.4 * draws()), between(1400, 3200)];
  const options: GroupOption[] = [];
  for (let day = start; day < start + length; day += 1) {
    const grown = worth * (1 - 0.4 * ((day - peak) / length) ** 2);
    for (const way of WAYS)
      options.push({
        day,
        way,
        centsEach: Math.round(way === "whole" ? grown : grown * 1.12 - 150),
        workEach: way === "whole" ? 1 : 1.6,
        freezerRoomEach: way === "whole" ? 1 : 0.75,
        isLate: day > start + length * 0.9,
      });
  }
  return {
    name: `batch ${group + 1}`,
    birds,
    mustBePlaced: draws() < 0.5,
    unplacedCents: 400,
    restDays: between(1, 3),
    options,
  };
}

/** Uniform random numbers from 0 to 1 from a seed (mulberry32). */
function drawsOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let scrambled = Math.imul(state ^ (state >>> 15), 1 | state);
    scrambled = (scrambled + Math.imul(scrambled ^ (scrambled >>> 7), 61 | scrambled)) ^ scrambled;
    return ((scrambled ^ (scrambled >>> 14)) >>> 0) / 4_294_967_296;
  };
}
