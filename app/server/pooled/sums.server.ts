import { pooled } from "#app/server/pooled/pooled.server.ts";
import { crewReach } from "#core/day/crew/crew-reach.ts";
import { fillOrdersOf } from "#core/orders/fill-orders.ts";
import { fairShareOf } from "#core/sharing/share-fair.ts";
import {
  firstPlanOfDay,
  limitOfLine,
  plannedDay,
  plannedMinutes,
  playedLines,
  predictedMinutes,
} from "#workers/line/planned-day.ts";

/** Lines that were played: they are the same however much ice is in stock. */
const linesInPool = pooled("lines-of-day", playedLines, 80);

/** The plan of a day, its line played as often as a page refines it, so that every screen says the same hour. */
export const planInPool = pooled("plan", plannedDay, 40, (asked) => ({
  ...asked,
  lines: linesInPool({ ...asked, basis: { ...asked.basis, iceBagsInStock: undefined } }),
}));

/** The plan of a day as a page begins with it, before it is refined. */
export const firstPlanInPool = pooled("first-plan", firstPlanOfDay, 40);

/** Planned minutes of a line that nobody tapped: books ask this of every day there ever was. */
export const plannedMinutesInPool = pooled("planned-minutes", plannedMinutes, 5000);

/** Minutes that our times would have said of a day that is over: the same few are asked for by every plan. */
export const predictedInPool = pooled("predicted-minutes", predictedMinutes, 60);

/** What can be filled of all orders: a farm of many takes a tenth of a second. */
export const fillOrdersInPool = pooled("fill-orders", fillOrdersOf, 20);

/** Birds shared among households: a few dozen ways of a large lot are searched. */
export const fairShareInPool = pooled("fair-share", fairShareOf, 40);

/** The station that limits a day's line. */
export const limitInPool = pooled("limit-of-line", limitOfLine, 40);

/** Birds that a crew brings in: the few crews of a farm come again and again. */
export const crewReachInPool = pooled("crew-reach", crewReach, 200);
