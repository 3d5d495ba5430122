import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";

/** A day that is played as often as is ever asked: a bigger one takes longer and says the same with fewer replications. */
const ORDINARY_BIRDS = 60;

/**
 * Replications of a day, the same wherever it is played, so that every screen says the same hour.
 *
 * @param ordinary replications of a day of up to 60 birds
 * @param least replications of any day
 */
const fewerOfMany = (day: Pick<LineDay, "lots">, ordinary: number, least: number): number =>
  Math.max(least, Math.min(ordinary, Math.round((ordinary * ORDINARY_BIRDS) / birdsOf(day))));

/** By which one day in ten is told from nine. */
export const refinedReplications = (day: Pick<LineDay, "lots">): number => fewerOfMany(day, 2000, 100);

/** For a first answer, which must come while a name is being moved. */
export const firstReplications = (day: Pick<LineDay, "lots">): number => fewerOfMany(day, 80, 4);

/** By which an ordinary one is chosen to be watched. */
export const lookedAtReplications = (day: Pick<LineDay, "lots">): number => fewerOfMany(day, 61, 5);

/** By which the line's own pace is known well enough. */
export const paceReplications = (day: Pick<LineDay, "lots">): number => fewerOfMany(day, 16, 2);

/** By which two days are told apart on the same random numbers. */
export const comparedReplications = (day: Pick<LineDay, "lots">): number => fewerOfMany(day, 150, 12);
