import type { LocalDay } from "#core/calendar/local-day.ts";
import { comes } from "#core/day/crew/who-can-come.ts";
import type { SeasonFacts } from "#core/day/season/season-facts.ts";

/** Someone of the farm who can't come on a day. */
export interface Absence {
  readonly personId: number;
  readonly name: string;
  /** In the words of whoever entered it; empty where it is only not one of their weekdays. */
  readonly why: string;
}

/** Who of the farm's people can't come on a day, in the order of the list. */
export function absences(
  people: readonly { readonly id: number; readonly name: string; readonly weekdayMask: number }[],
  personDays: SeasonFacts["personDays"],
  day: LocalDay,
): Absence[] {
  return people.flatMap((person) => {
    const { canCome, why } = comes(person, personDays, day);
    return canCome ? [] : [{ personId: person.id, name: person.name, why }];
  });
}
