import { type DayFormSetting, dayFields, seatsAsText } from "#app/days/plan/choices/day-form.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** How many of a day's choices differ from what is saved; who comes and where they stand counts as one. */
export function changedChoices(
  saved: DatedChoices,
  savedSeats: readonly CrewSeat[],
  shown: DatedChoices,
  seats: readonly CrewSeat[],
  setting: DayFormSetting,
): number {
  const { peopleCount: _saved, ...before } = dayFields(saved, setting);
  const { peopleCount: _shown, ...after } = dayFields(shown, setting);
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  const fields = [...names].filter((name) => (before[name] ?? "") !== (after[name] ?? ""));
  return fields.length + (seatsAsText(savedSeats) === seatsAsText(seats) ? 0 : 1);
}
