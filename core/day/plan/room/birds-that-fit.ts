import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";

/** What a day can run short of, so that not all of its birds fit. */
export type DayLimit = "light" | "hours" | "tanks" | "rest-room";

export interface BirdsThatFit {
  readonly limit: DayLimit;
  /** As many as fit, fewer than were chosen; 0 where none do. */
  readonly birds: number;
}

/**
 * The limits that a day's birds do not fit within, and how many would. Birds follow each other down the line, so those
 * that are chilled in time are as many whether or not others come after them.
 *
 * @param longestLineMinutes from the first bird to the last in the chill tank, as long as the farm wants a line to be
 * @param restFree birds that there is room for to rest; undefined where no one said how much there is, or nothing rests
 */
export function birdsThatFit(
  { choices, plan, sun }: Pick<PlanForDate, "choices" | "plan" | "sun">,
  { longestLineMinutes, restFree }: { longestLineMinutes: number; restFree: number | undefined },
): BirdsThatFit[] {
  const { line, chill } = plan;
  const birds = birdsOf(choices);
  const chilledBy = (minute: number) => line.answer.chills.filter(({ p50 }) => p50 <= minute).length;
  const afterLastBird = line.cleanAt.value - line.likelyAt.value;
  const light =
    sun.sunset === undefined ? birds : chilledBy((sun.sunset - afterLastBird - choices.startAt) / MINUTE);
  const limits: readonly BirdsThatFit[] = [
    { limit: "light", birds: light },
    { limit: "hours", birds: chilledBy(longestLineMinutes) },
    { limit: "tanks", birds: Math.floor(chill.tank.birdsThatFit.value) },
    { limit: "rest-room", birds: choices.packsSameDay ? birds : (restFree ?? birds) },
  ];
  return limits.filter((one) => one.birds < birds);
}
