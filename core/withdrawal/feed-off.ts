import { mostWithin } from "#core/quantity/most-within.ts";
import { hoursOf, type Kills } from "#core/withdrawal/feed-share.ts";
import type { WithdrawalRule } from "#core/withdrawal/withdrawal-constants.ts";

export interface FeedOff {
  /** When to pull the feed, on the same clock as the kills. */
  readonly feedOffHours: number;
  /** From the first kill to the last. */
  readonly spanHours: number;
  /** Window less span; negative if one feed-off time can't serve all birds. */
  readonly slackHours: number;
  readonly allFit: boolean;
  readonly mostBirdsInOneWindow: number;
}

/**
 * The best single feed-off time for kills, evenly spaced or each at its own hour: fewest birds outside the window, then
 * fewest too full, then least shrink. Closed form: F = K0 - a - min(buffer, max(0, slack)).
 * See docs/sources.md#withdrawal.
 *
 * @throws {RangeError} if there is no bird, or the interval is not more than 0
 */
export function bestFeedOff(
  rule: WithdrawalRule,
  kills: Kills | readonly number[],
  bufferHours: number,
): FeedOff {
  const killHours = hoursOf(kills);
  const [least, most] = rule.windowHours;
  const spanHours = killHours.at(-1)! - killHours[0]!;
  const slackHours = most - least - spanHours;
  return {
    feedOffHours: killHours[0]! - least - Math.min(bufferHours, Math.max(0, slackHours)),
    spanHours,
    slackHours,
    allFit: slackHours >= -1e-9,
    mostBirdsInOneWindow: mostWithin(killHours, most - least),
  };
}
