import { type LineDay, neededStations } from "#core/processing-line/line-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { LineTally } from "#core/processing-line/line-tally.ts";

/** Minute at which half the mornings of a day are over, on given luck. Plans compared on one seed meet the same luck. */
export function evenChance(day: LineDay, seed: number, mornings: number): number {
  const tally = new LineTally(day, seed);
  tally.play(mornings);
  return tally.evenChance();
}

/** How much faster a station is made to see what it holds up. */
const QUICKER = 0.9;
/** Less than so many minutes is luck, not a bottleneck. */
const LEAST_MINUTES = 0.05;

/**
 * The station that holds the line: the one at which work a tenth quicker would end the day soonest, on common luck.
 * Undefined where none would.
 */
export function bottleneck(day: LineDay, seed: number, mornings: number): Station | undefined {
  const now = evenChance(day, seed, mornings);
  if (now === Infinity) return undefined;
  const saved = neededStations(day).map((station) => ({
    station,
    minutes: now - evenChance(quicker(day, station), seed, mornings),
  }));
  const most = saved.reduce((best, one) => (one.minutes > best.minutes ? one : best));
  return most.minutes > LEAST_MINUTES ? most.station : undefined;
}

function quicker(day: LineDay, station: Station): LineDay {
  const { minutes } = day;
  const cut = (change: Partial<LineDay["minutes"]>): LineDay => ({
    ...day,
    minutes: { ...minutes, ...change },
  });
  if (station === "cones") return cut({ kill: minutes.kill * QUICKER, bleed: minutes.bleed * QUICKER });
  if (station === "scald") return cut({ scaldLoad: minutes.scaldLoad * QUICKER });
  return cut({ [station]: minutes[station] * QUICKER });
}
