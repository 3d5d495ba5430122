import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { type LineAnswer, LineTally } from "#core/processing-line/line-tally.ts";

/** Replications of a day of up to 60 birds, as many as a page refines to, so that every screen says the same hour. */
const REPLICATIONS = 2000;
const BIRDS = 60;
const LEAST_MORNINGS = 200;
/** Days kept: playing one takes a quarter of a second, and the same few are asked for again and again. */
const KEPT_DAYS = 40;
const kept = new Map<string, LineAnswer>();

/** A day's line, played on the server as often as a page would; the last days are remembered. */
export function playedLine(day: LineDay, replications = REPLICATIONS): LineAnswer {
  const key = `${replications} ${JSON.stringify(day)}`;
  const known = kept.get(key);
  if (known) return known;
  const tally = new LineTally(day, LINE_SEED);
  tally.play(
    Math.max(LEAST_MORNINGS, Math.min(replications, Math.round((replications * BIRDS) / day.birds))),
  );
  const answer = tally.answer();
  if (kept.size >= KEPT_DAYS) kept.delete(kept.keys().next().value!);
  kept.set(key, answer);
  return answer;
}
