import type { LinePlan } from "#core/day/line-plan.ts";
import type { PlanInput } from "#core/day/plan-input.ts";
import { type Input, input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { bestFeedOff } from "#core/withdrawal/feed-off.ts";
import { type FeedShare, feedShare } from "#core/withdrawal/feed-share.ts";
import {
  FEED_OFF_BUFFER_HOURS,
  MORNING_FEED_HOURS,
  WITHDRAWAL,
} from "#core/withdrawal/withdrawal-constants.ts";

const MILLISECONDS_PER_HOUR = 3_600_000;
/** A bird too full costs more than one off feed too long: a burst gut against an hour's shrink. See docs/sources.md#withdrawal. */
const TOO_FULL_WEIGHT = 3;

export interface WithdrawalPlan {
  readonly feedOffAt: Reckoning;
  readonly firstBirdHours: Reckoning;
  readonly lastBirdHours: Reckoning;
  readonly windowHours: readonly [number, number];
  readonly share: FeedShare;
  /** Dusk comes before the feed is due off, so the birds stop eating by themselves. */
  readonly isDuskBound: boolean;
  /** Most birds that one feed-off time can keep inside the window. */
  readonly mostBirdsInOneWindow: number;
}

/** When to pull the feed for a day's birds in one visit, and how long each will have been off it. */
export function withdrawalPlan({ choices, means, night }: PlanInput, line: LinePlan): WithdrawalPlan {
  const rule = WITHDRAWAL[choices.withdrawalSchool];
  const kills = { firstKillHours: 0, intervalHours: line.killIntervalHours, birds: choices.birds };
  const best = bestFeedOff(rule, kills, FEED_OFF_BUFFER_HOURS);
  const hoursFromStart = (at: number) => (at - choices.startAt) / MILLISECONDS_PER_HOUR;
  const dark =
    night && !means.arePensLit
      ? { fromHours: hoursFromStart(night.duskAt), toHours: hoursFromStart(night.dawnAt) }
      : undefined;
  const isInDark =
    dark !== undefined && best.feedOffHours > dark.fromHours && best.feedOffHours < dark.toHours;
  const candidates = isInDark ? [dark.fromHours, dark.toHours + MORNING_FEED_HOURS] : [best.feedOffHours];
  const isDuskBound = (feedOffHours: number) => isInDark && feedOffHours === dark.fromHours;
  const [chosen] = candidates
    .map((feedOffHours) => ({ feedOffHours, share: feedShare({ rule, kills, feedOffHours, dark }) }))
    .toSorted((one, other) => score(one.share) - score(other.share));
  const { feedOffHours, share } = chosen!;
  const [least, most] = rule.windowHours;
  const inputs: Input[] = [
    input("first bird", choices.startAt, "instant", "the farm's default"),
    input("from kill to kill", line.killIntervalHours * 60, "minutes", "worked out"),
    input("birds", choices.birds, "birds", "the farm's default"),
    input("least off feed", least, "hours", "our default"),
    input("most off feed", most, "hours", "our default"),
  ];
  const hoursOff = (hours: number, which: string) =>
    reckoning({
      value: hours,
      unit: "hours",
      inputs: [
        input(
          "off feed from",
          choices.startAt + share.effectiveOffHours * MILLISECONDS_PER_HOUR,
          "instant",
          "worked out",
        ),
        ...inputs,
      ],
      rule: `From feed off to the ${which} bird's kill, at the planned pace.`,
      source: "withdrawal",
    });
  return {
    feedOffAt: reckoning({
      value: choices.startAt + feedOffHours * MILLISECONDS_PER_HOUR,
      unit: "instant",
      inputs: [
        ...inputs,
        input("kept in hand against an early start", FEED_OFF_BUFFER_HOURS, "hours", "our default"),
      ],
      rule: isInDark
        ? "The best time falls in the dark, when birds don't eat: so from dusk, or after half an hour of feed at first light, whichever leaves fewer birds outside."
        : "First bird, less the least hours, less what can be kept in hand: fewest birds outside the window, then fewest too full.",
      source: "withdrawal",
    }),
    firstBirdHours: hoursOff(share.shortestHours, "first"),
    lastBirdHours: hoursOff(share.longestHours, "last"),
    windowHours: rule.windowHours,
    share,
    isDuskBound: isDuskBound(feedOffHours),
    mostBirdsInOneWindow: best.mostBirdsInOneWindow,
  };
}

function score({ tooShort, tooLong }: FeedShare): number {
  return TOO_FULL_WEIGHT * tooShort + tooLong;
}
