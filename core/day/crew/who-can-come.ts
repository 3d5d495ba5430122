import { type LocalDay, weekdayOf } from "#core/calendar/local-day.ts";
import type { SeasonFacts } from "#core/day/season/season-facts.ts";

/** Whether someone can come on a day, and why: the last word about the day, else their usual weekdays. */
export function comes(
  person: { readonly id: number; readonly weekdayMask: number },
  personDays: SeasonFacts["personDays"],
  day: LocalDay,
): { readonly canCome: boolean; readonly why: string } {
  const said = personDays.findLast(({ personId, onDay }) => personId === person.id && onDay === day);
  const usually = (person.weekdayMask & (1 << weekdayOf(day))) !== 0;
  return { canCome: said?.canCome ?? usually, why: said?.why ?? "" };
}
