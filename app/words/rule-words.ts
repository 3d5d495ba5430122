import { plural } from "#app/words/show.ts";
import type { RuleSum } from "#core/season/season-moves.ts";

/** A rule of the season that is kept again, in words. */
export function repairedSum({
  rule,
  by,
  most,
  times,
}: Pick<RuleSum, "rule" | "by" | "most" | "times">): string {
  const birds = plural(Math.ceil(by - 1e-6), "bird");
  const nights = `${plural(Math.ceil(most - 1e-6), "bird")}, ${plural(times, "night")}`;
  switch (rule) {
    case "everyone-placed":
      return `a day for ${birds} more`;
    case "latest-age":
      return `${birds} fewer past the best age`;
    case "crew":
      return `${birds} fewer over the crew limit`;
    case "least-birds":
      return "enough birds to be worth the day again";
    case "rest-room":
      return `refrigerator space for ${nights} more`;
    case "freezer-room":
      return `freezer space for ${nights} more`;
    case "yearly-cap":
      return `${birds} fewer over the yearly limit`;
    default:
      return "as you pinned it";
  }
}

/** A rule of the season that is not kept, in words: how far and for how long. */
export function brokenSum(
  { rule, by, most, times }: Pick<RuleSum, "rule" | "by" | "most" | "times">,
  name?: string,
): string {
  const birds = plural(Math.ceil(by - 1e-6), "bird");
  const nights = `${plural(Math.ceil(most - 1e-6), "bird")}, ${plural(times, "night")}`;
  switch (rule) {
    case "everyone-placed":
      return times === 1 && name ? `${birds} of ${name} without a day` : `${birds} without a day`;
    case "latest-age":
      return `${birds} past the best age`;
    case "crew":
      return `${birds} over the crew limit`;
    case "least-birds":
      return `${birds} short of enough birds for a day`;
    case "rest-room":
      return `no refrigerator space to rest ${nights}`;
    case "freezer-room":
      return `no freezer space for ${nights}`;
    case "yearly-cap":
      return `${birds} over the yearly limit`;
    case "pin":
      return "not as you pinned it";
    default:
      return "not possible";
  }
}
