import type { BatchView } from "#app/batches/batch-view.server.ts";
import { brokenSum } from "#app/words/rule-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import type { Against, WhenRow, WhenToGo } from "#core/day/season/when-to-go.ts";

/** What speaks against a day, in words. */
export function againstWords(against: Against, { season }: WhenRow, show: Show): string {
  switch (against.reason) {
    case "out":
      return season.marks.find(({ kind }) => kind === "out")?.what ?? "marked unavailable";
    case "nobody":
      return season.people.length === 0 ? "no people on the list" : "no one is free";
    case "not-booked":
      return `the ${season.hiredThing.toLowerCase()} is not booked`;
    case "too-young":
      return "too young";
    case "too-old":
      return "past the best age (leg and heart trouble)";
    case "hot":
      return `hot, ${show.temperature(season.highCelsius)}`;
    case "too-many":
      return `${plural(against.most, "bird")} is the crew's limit`;
    case "dark":
      return `${show.value(against.hoursOfWork, "hours")} of work, ${show.value(against.hoursOfLight, "hours")} of daylight`;
    case "rule":
      return brokenSum(against.rule);
  }
}

/** The day that is recommended, and why, in a sentence. */
export function recommendation({ rows, best, rival }: WhenToGo, show: Show): string {
  if (best === undefined) {
    const reasons = new Set(
      rows.flatMap((row) => row.against.slice(0, 1).map((one) => againstWords(one, row, show))),
    );
    return `No day in these weeks works: ${[...reasons].slice(0, 2).join("; ")}.`;
  }
  const row = rows[best]!;
  const neighbors = [rows[best - 1], rows[best + 1]].filter(
    (other) => other !== undefined && other !== rows[rival ?? -1],
  );
  const why = neighbors.map((other) => whyNot(row, other!, show));
  const weighs = `They dress at ${show.value(row.worth.dressedKilograms, "carcass-kg")} then`;
  const next = rival === undefined ? "" : ` ${rivalWords(row, rows[rival]!, show)}`;
  return `${weighs}.${next} ${why.join(" ")}`.trim();
}

/** Within five of the farm's money two days are as good as each other. */
const NEARLY_EVEN_CENTS = 500;

function rivalWords(row: WhenRow, rival: WhenRow, show: Show): string {
  const less = row.netValueCents - rival.netValueCents;
  const start = less < NEARLY_EVEN_CENTS ? "Nearly as good:" : "Next best:";
  const against = rival.against.map((one) => `, ${againstWords(one, rival, show)}`).join("");
  return `${start} ${show.shortDay(rival.day)}: ${weightWords(row, rival, show)}, ${show.money(less)} less${against}.`;
}

function weightWords(row: WhenRow, other: WhenRow, show: Show): string {
  const heavier = other.worth.dressedKilograms - row.worth.dressedKilograms;
  return `${show.value(Math.abs(heavier), "carcass-kg")} ${heavier < 0 ? "lighter" : "heavier"}`;
}

function whyNot(row: WhenRow, other: WhenRow, show: Show): string {
  const day = show.shortDay(other.day);
  const [reason] = other.against;
  if (reason) return `On ${day}: ${againstWords(reason, other, show)}.`;
  const money = Math.abs(row.netValueCents - other.netValueCents);
  const less = row.netValueCents >= other.netValueCents ? "less" : "more";
  return `On ${day} they are ${weightWords(row, other, show)} and are worth ${show.money(money)} ${less}.`;
}

/** What would change the mind of the recommendation. */
export function whatWouldChangeIt(
  { rows, rival, breakEvenFeedCents, breakEvenPrice }: WhenToGo,
  { terms, feedPrice }: Pick<BatchView, "terms" | "feedPrice">,
  show: Show,
): string | undefined {
  if (rival === undefined) return undefined;
  const changes = [
    breakEvenFeedCents !== undefined &&
      `feed at ${show.moneyPerWeight(breakEvenFeedCents)} instead of ${show.moneyPerWeight(feedPrice.value)}`,
    breakEvenPrice !== undefined &&
      `whole birds selling at ${show.moneyPerWeight(breakEvenPrice)} instead of ${show.moneyPerWeight(terms.wholeCentsPerKilogram.value)}`,
  ].filter((change) => change !== false);
  if (changes.length === 0) return undefined;
  return `${changes.join(", or ")} would change it to ${show.shortDay(rows[rival]!.day)}.`;
}
