import type { BrokenView, GroupView, MoveView } from "#app/season/calendar/season-view.server.ts";
import { listed } from "#app/words/lot-words.ts";
import { brokenSum, repairedSum } from "#app/words/rule-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { daysBetween } from "#core/calendar/local-day.ts";

/** A rule that is not kept, in words. */
export const brokenWords = (broken: BrokenView): string => brokenSum(broken, broken.name);

/** What it costs beside what is broken; a firm rule has no price. */
export function priceWords({ isFirm, cents }: BrokenView, show: Show): string {
  return isFirm ? "breaks a firm rule" : show.money(Math.round(cents));
}

/** The money of a move: better, worse or the same. */
export function differenceWords(cents: number, show: Show): string {
  if (Math.abs(cents) < 50) return "equal";
  return `${show.money(Math.abs(cents))} ${cents > 0 ? "better" : "less"}`;
}

/** Why birds are on a day, and what the next best would cost. */
export function whyWords(group: GroupView, show: Show): string {
  const weight = show.value(group.dressedKilograms, "carcass-kg");
  const age = `${Math.floor(group.ageDays / 7)} weeks old, ${weight} dressed`;
  const who = group.people.length > 0 ? `, with ${listed(group.people)}` : "";
  const chosen = `${age}${who}.`;
  if (!group.next) return `${chosen} No other day has room for all of them.`;
  return `${chosen} ${nextBestWords(group, group.next, show)}`;
}

/** What it saves that birds share their day with others. */
export const sharedWords = ({ names, savedCents }: NonNullable<GroupView["shared"]>, show: Show): string =>
  `On one day with ${listed(names)}, as another lot: one setup, one heating, and one hire instead of two, which saves about ${show.money(savedCents)}.`;

function nextBestWords(group: GroupView, next: MoveView, show: Show): string {
  const day = show.shortDay(next.day);
  const weights = weightWords(group, next, show);
  const trouble = next.breaks[0];
  const against = trouble ? `${weights}, and ${brokenWords(trouble)}` : weights;
  if (isTorn(group)) return `Nearly as good: ${day}: ${differenceWords(next.cents, show)}; ${against}.`;
  return `Next best: ${day}, ${differenceWords(next.cents, show)}: ${against}.`;
}

/** Within five of the farm's money the next best day is as good. */
const NEARLY_EVEN_CENTS = 500;

/** Whether the next best day is nearly as good as the one that is proposed. */
export const isTorn = ({ next }: GroupView): boolean =>
  next !== undefined && Math.abs(next.cents) < NEARLY_EVEN_CENTS;

/** What the second day would bring and cost against the first. */
export function tornWords(group: GroupView, show: Show): string {
  const next = group.next!;
  const worse = next.breaks.map((one) => `; worse: ${brokenWords(one)}, ${priceWords(one, show)}`).join("");
  const better = next.repairs.map((one) => `; better: ${repairedSum(one)}`).join("");
  return `${show.shortDay(next.day)} is ${weightWords(group, next, show)}${worse}${better}. Overall it is ${differenceWords(next.cents, show)}.`;
}

/** How much heavier and older they would be. */
export function weightWords(group: GroupView, { day, dressedKilograms }: MoveView, show: Show): string {
  const difference = dressedKilograms - group.dressedKilograms;
  const days = daysBetween(group.day, day);
  const when = `${plural(Math.abs(days), "day")} ${days > 0 ? "later" : "earlier"}`;
  return `${when}, ${show.value(Math.abs(difference), "carcass-kg")} ${difference > 0 ? "heavier" : "lighter"}`;
}
