import { remembered } from "#app/server/remembered.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";
import { type LineAnswer, LineTally } from "#core/processing-line/line-tally.ts";

/** Replications of a day of up to 60 birds, as many as a page refines to, so that every screen says the same hour. */
const REPLICATIONS = 2000;
const BIRDS = 60;
const LEAST_REPLICATIONS = 200;
/** Days kept: playing one takes a quarter of a second, and the same few are asked for again and again. */
const KEPT_DAYS = 40;

/** A day's line, played on the server as often as a page would; the last days are remembered. */
export const playedLine = (day: LineDay, replications = REPLICATIONS): LineAnswer =>
  played({ day, replications });

const played = remembered(({ day, replications }: { day: LineDay; replications: number }) => {
  const tally = new LineTally(day, LINE_SEED);
  const fewer = Math.round((replications * BIRDS) / birdsOf(day));
  tally.play(Math.max(LEAST_REPLICATIONS, Math.min(replications, fewer)));
  return tally.answer();
}, KEPT_DAYS);
