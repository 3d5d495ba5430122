import { listed } from "#app/words/lot-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { SCALD_OPTIONS, WITHDRAWAL_OPTIONS } from "#app/words/words.ts";
import { clockOfMinute, instantOf } from "#core/calendar/farm-time.ts";
import type { LocalDay } from "#core/calendar/local-day.ts";
import { type CrewSeat, isNameless } from "#core/day/crew/crew.ts";
import type { DayChoices, LotChoices } from "#core/day/plan/plan-input.ts";

/** What is chosen for a day, said as parts of a sentence. Each part opens the fields that it is about. */

/** "Tobias, Maren, and 2 helpers": people by name, those without one counted. */
export function peopleInWords(seats: readonly CrewSeat[]): string {
  const nameless = seats.filter(isNameless).length;
  const named = seats.filter((seat) => !isNameless(seat)).map(({ name }) => name);
  return listed([...named, ...(nameless > 0 ? [plural(nameless, "helper")] : [])]);
}

export const birdsInWords = ({ birds, whichBirds }: LotChoices): string =>
  whichBirds === "biggest" ? `${plural(birds, "bird")}, largest first,` : plural(birds, "bird");

export const cutUpInWords = ({ cutUp }: LotChoices): string =>
  cutUp === 0 ? "none cut up" : `${cutUp} cut up`;

export const scaldInWords = ({ scaldMethod, scaldCelsius }: LotChoices, show: Show): string => {
  const method = SCALD_OPTIONS.find(({ value }) => value === scaldMethod)!.label.toLowerCase();
  return scaldCelsius === undefined ? method : `${method} at ${show.temperature(scaldCelsius)}`;
};

export const withdrawalInWords = ({ withdrawalMethod }: LotChoices): string => {
  const { label, line } = WITHDRAWAL_OPTIONS.find(({ value }) => value === withdrawalMethod)!;
  return `${label.toLowerCase()}, ${line}`;
};

export function breakInWords(
  {
    breakMinutes,
    breakAtMinute,
    processedOn,
  }: Pick<DayChoices, "breakMinutes" | "breakAtMinute"> & { readonly processedOn: LocalDay },
  show: Show,
): string {
  if (breakMinutes === 0) return "no break";
  const clock = clockOfMinute(breakAtMinute);
  const begins = instantOf(processedOn, clock, show.timeZone);
  return `a break of ${breakMinutes} min at ${begins.exists ? show.time(begins.at) : clock}`;
}

export const PLUCK_WORDS: Readonly<Record<DayChoices["pluckBy"], string>> = {
  drum: "plucked in the drum",
  hand: "plucked by hand",
  skin: "skinned",
};

/** Water, brine and weather; empty where none of it is chosen. */
export function extrasInWords(choices: DayChoices, show: Show): string {
  const { isRainExpected, rinsesFirst, coolsAfter, changeWaterBirds, brineFraction } = choices;
  return listed([
    ...(isRainExpected ? ["rain"] : []),
    ...(rinsesFirst ? ["a rinse before the scald"] : []),
    ...(coolsAfter ? ["a cool dip after it"] : []),
    ...(changeWaterBirds === undefined
      ? []
      : [`fresh scald water every ${plural(changeWaterBirds, "bird")}`]),
    ...(brineFraction === undefined ? [] : [`brine to ${show.decimal(brineFraction * 100, 1)} % salt`]),
  ]);
}
