import { plural, type Show } from "#app/words/show.ts";
import { type ChangeOfPlan, noChange } from "#core/day/forecast/changed-choices.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";

const PLUCK_WORDS = {
  drum: "Plucked by the drum.",
  hand: "Plucked by hand.",
  skin: "Skinned.",
} as const;

interface Names {
  readonly seats: readonly string[];
  readonly helpers: readonly { readonly id: number; readonly name: string }[];
  readonly splitOn: string | undefined;
}

/** What changed, for the day's log. Empty where nothing did. */
export function changeInWords(
  day: DayChoices,
  change: ChangeOfPlan,
  { seats, helpers, splitOn }: Names,
  show: Show,
): string {
  const before = noChange(day);
  const nameOf = (id: number) => helpers.find((helper) => helper.id === id)?.name ?? "someone";
  const left = before.birds - change.birds;
  return [
    ...change.missing.map((seat) => `Without ${seats[seat] ?? "one"}.`),
    ...change.coming.map((id) => `${nameOf(id)} comes.`),
    ...(change.pluckBy === before.pluckBy ? [] : [PLUCK_WORDS[change.pluckBy]]),
    ...(change.isRaining === before.isRaining ? [] : [change.isRaining ? "Rain." : "No rain."]),
    ...(change.laterMinutes > 0 ? [`First bird ${show.minutes(change.laterMinutes)} later.`] : []),
    ...(left > 0 ? [`${plural(change.birds, "bird")} of ${before.birds}.`] : []),
    ...(left > 0 && splitOn ? [`The other ${left} on ${show.shortDay(splitOn)}.`] : []),
  ].join(" ");
}
