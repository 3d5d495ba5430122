import type { BrokenView, LotView, MoveView } from "#app/season/season-view.server.ts";
import { plural, type Show } from "#app/ui/show.ts";
import { daysBetween } from "#core/calendar/local-day.ts";

/** A rule that is not kept, in words: how far and for how long. */
export function brokenWords({ rule, by, most, times, name }: BrokenView): string {
  const birds = plural(Math.ceil(by - 1e-6), "bird");
  const nights = `${plural(Math.ceil(most - 1e-6), "bird")} at most, ${plural(times, "night")}`;
  switch (rule) {
    case "everyone-placed":
      return times === 1 && name ? `${birds} of ${name} without a day` : `${birds} without a day`;
    case "latest-age":
      return `${birds} past the best age`;
    case "crew":
      return `${birds} more than the crew can do`;
    case "least-birds":
      return `${birds} short of a day worth lighting the burner for`;
    case "rest-room":
      return `nowhere to rest: ${nights}`;
    case "freezer-room":
      return `freezers too full: ${nights}`;
    case "yearly-cap":
      return `${birds} over the year's cap`;
    case "pin":
      return "not as you pinned it";
    default:
      return "not possible at all";
  }
}

/** What it costs beside what is broken; a firm rule has no price. */
export function priceWords({ isFirm, cents }: BrokenView, show: Show): string {
  return isFirm ? "against a firm rule" : show.money(Math.round(cents));
}

/** The money of a move: better, worse or the same. */
export function differenceWords(cents: number, show: Show): string {
  if (Math.abs(cents) < 50) return "as good";
  return `${show.money(Math.abs(cents))} ${cents > 0 ? "better" : "less"}`;
}

/** Why birds are on a day, and what the next best would cost. */
export function whyWords(lot: LotView, show: Show): string {
  const weight = show.value(lot.dressedKilograms, "carcass kg");
  const age = `${Math.floor(lot.ageDays / 7)} weeks old, ${weight} dressed`;
  const who = lot.people.length > 0 ? `, with ${listWords(lot.people)}` : "";
  const chosen = `${age}${who}.`;
  if (!lot.next) return `${chosen} There is no other day for them.`;
  return `${chosen} ${nextBestWords(lot, lot.next, show)}`;
}

function nextBestWords(lot: LotView, next: MoveView, show: Show): string {
  const day = show.shortDay(next.day);
  const weights = weightWords(lot, next, show);
  const trouble = next.breaks[0];
  const against = trouble ? `${weights}, and ${brokenWords(trouble)}` : weights;
  if (Math.abs(next.cents) < 500)
    return `It is nearly even with ${day}: ${differenceWords(next.cents, show)}; ${against}.`;
  return `Next best is ${day}, ${differenceWords(next.cents, show)}: ${against}.`;
}

/** How much heavier and older they would be. */
export function weightWords(lot: LotView, { day, dressedKilograms }: MoveView, show: Show): string {
  const difference = dressedKilograms - lot.dressedKilograms;
  const days = daysBetween(lot.day, day);
  const when = `${plural(Math.abs(days), "day")} ${days > 0 ? "later" : "earlier"}`;
  return `${when}, ${show.value(Math.abs(difference), "carcass kg")} ${difference > 0 ? "heavier" : "lighter"}`;
}

export function listWords(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? "nobody") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
}
