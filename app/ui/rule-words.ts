import { plural } from "#app/ui/show.ts";
import type { RuleSum } from "#core/season/season-moves.ts";

/** A rule of the season that is kept again, in words. */
export function mendedSum({
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
      return `${birds} fewer than were too many for the crew`;
    case "least-birds":
      return "again a day worth lighting the burner for";
    case "rest-room":
      return `room in the fridge for ${nights} more`;
    case "freezer-room":
      return `room in the freezers for ${nights} more`;
    case "yearly-cap":
      return `${birds} fewer over the year's cap`;
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
      return `${birds} more than the crew can do`;
    case "least-birds":
      return `${birds} short of a day worth lighting the burner for`;
    case "rest-room":
      return `no room in the fridge to rest ${nights}`;
    case "freezer-room":
      return `no room in the freezers for ${nights}`;
    case "yearly-cap":
      return `${birds} over the year's cap`;
    case "pin":
      return "not as you pinned it";
    default:
      return "not possible at all";
  }
}
