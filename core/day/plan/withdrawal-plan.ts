import { HOUR } from "#core/calendar/milliseconds.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { LotChoices, PlanInput } from "#core/day/plan/plan-input.ts";
import { type Input, input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { RuleName } from "#core/reckoning/reckoning-names.ts";
import { bestFeedOff } from "#core/withdrawal/feed-off.ts";
import { type FeedShare, type FeedShareInput, feedShare } from "#core/withdrawal/feed-share.ts";
import { penVisits } from "#core/withdrawal/pen-visits.ts";
import {
  DAWN_FEED_HOURS,
  FEED_OFF_BUFFER_HOURS,
  SHRINK_BREAK_HOURS,
  WITHDRAWAL,
  type WithdrawalMethod,
  type WithdrawalRule,
} from "#core/withdrawal/withdrawal-constants.ts";

/** A bird too full costs more than one off feed too long: a burst gut against an hour's shrink. See docs/sources.md#withdrawal. */
export const TOO_FULL_WEIGHT = 3;

export interface WithdrawalPlan {
  readonly feedOffAt: Reckoning;
  readonly firstBirdHours: Reckoning;
  readonly lastBirdHours: Reckoning;
  readonly windowHours: readonly [number, number];
  /** On an ordinary morning, and on a slow one of ten. */
  readonly share: FeedShare;
  readonly lateShare: FeedShare;
  /** Dusk comes before the feed is due off, so the birds stop eating by themselves. */
  readonly isDuskBound: boolean;
  /** Most birds that one feed-off time can keep inside the window. */
  readonly mostBirdsInOneWindow: number;
}

/** One feed-off for all of a day's birds, by one method. */
export interface FeedOff {
  /** Hours from the first bird's time, less than 0. */
  readonly feedOffHours: number;
  /** On an ordinary morning, and on a slow one of ten. */
  readonly share: FeedShare;
  readonly lateShare: FeedShare;
  readonly isInDark: boolean;
  readonly isDuskBound: boolean;
}

type Dark = FeedShareInput["dark"];

/** Hours of the night before in which unlit birds don't eat, from the first bird's time; undefined where a lamp burns. */
export function darkOf({ choices, means, night }: PlanInput): Dark {
  const hoursFromStart = (at: number) => (at - choices.startAt) / HOUR;
  return night && !means.arePensLit
    ? { fromHours: hoursFromStart(night.duskAt), toHours: hoursFromStart(night.dawnAt) }
    : undefined;
}

/** A feed-off that would fall in the dark is at dusk, or after half an hour of feed at first light: whichever is better. */
export function aroundTheDark(rule: WithdrawalRule, kills: readonly number[], best: number, dark: Dark) {
  const isInDark = dark !== undefined && best > dark.fromHours && best < dark.toHours;
  const candidates = isInDark ? [dark.fromHours, dark.toHours + DAWN_FEED_HOURS] : [best];
  const [chosen] = candidates
    .map((feedOffHours) => ({ feedOffHours, share: feedShare({ rule, kills, feedOffHours, dark }) }))
    .toSorted((one, other) => score(one.share) - score(other.share));
  return { ...chosen!, isInDark };
}

/** The best single feed-off of a lot by a method over the simulated replications; night and dusk are counted. */
export function feedOffBy(method: WithdrawalMethod, plan: PlanInput, killed: KilledLot): FeedOff {
  const rule = WITHDRAWAL[method];
  const kills = killHours(killed, "p50");
  const best = bestForSpread(rule, killed);
  const dark = darkOf(plan);
  const { feedOffHours, share, isInDark } = aroundTheDark(rule, kills, best, dark);
  return {
    feedOffHours,
    share,
    lateShare: feedShare({ rule, kills: killHours(killed, "p90"), feedOffHours, dark }),
    isInDark,
    isDuskBound: isInDark && feedOffHours === dark?.fromHours,
  };
}

/** When to pull the feed for a lot's birds in one visit, and how long each will have been off it. */
export function withdrawalPlan(lot: LotChoices, plan: PlanInput, killed: KilledLot): WithdrawalPlan {
  const { choices } = plan;
  const rule = WITHDRAWAL[lot.withdrawalMethod];
  const kills = killHours(killed, "p50");
  const { feedOffHours, share, lateShare, isInDark, isDuskBound } = feedOffBy(
    lot.withdrawalMethod,
    plan,
    killed,
  );
  const [least, most] = rule.windowHours;
  const { spanHours, mostBirdsInOneWindow } = bestFeedOff(rule, kills, FEED_OFF_BUFFER_HOURS);
  const inputs: Input[] = [
    input("first-bird", choices.startAt, "instant", "farm-setting"),
    input("first-to-last-kill", spanHours * 60, "minutes", "calculated"),
    input("birds", lot.birds, "birds", "farm-setting"),
    input("minimum-off-feed", least, "hours", "our-estimate"),
    input("maximum-off-feed", most, "hours", "our-estimate"),
  ];
  const hoursOff = (hours: number, rule: RuleName) =>
    reckoning({
      value: hours,
      unit: "hours",
      inputs: [
        input("off-feed-from", choices.startAt + share.effectiveOffHours * HOUR, "instant", "calculated"),
        ...inputs,
      ],
      rule,
      source: "withdrawal",
    });
  return {
    feedOffAt: reckoning({
      value: choices.startAt + feedOffHours * HOUR,
      unit: "instant",
      inputs: [...inputs, input("margin-for-an-early-start", FEED_OFF_BUFFER_HOURS, "hours", "our-estimate")],
      rule: isInDark ? "feed-off-around-dark" : "feed-off-time",
      source: "withdrawal",
    }),
    firstBirdHours: hoursOff(share.shortestHours, "off-feed-to-first-kill"),
    lastBirdHours: hoursOff(share.longestHours, "off-feed-to-last-kill"),
    windowHours: rule.windowHours,
    share,
    isDuskBound,
    lateShare,
    mostBirdsInOneWindow,
  };
}

function score({ tooShort, tooLong }: FeedShare): number {
  return TOO_FULL_WEIGHT * tooShort + tooLong;
}

/** The kills of one lot, in the order of the day. */
export interface KilledLot {
  readonly line: LinePlan;
  /** Birds of the day before its first, and its own. */
  readonly from: number;
  readonly birds: number;
}

/** Hours after the first bird's time at which each of a lot is killed, on an ordinary, a quick or a slow morning; rising. */
export function killHours({ line, from, birds }: KilledLot, which: "p10" | "p50" | "p90"): number[] {
  const own = line.answer.kills.slice(from, from + birds);
  const minutes = own.map((kill) => kill[which]).toSorted((one, other) => one - other);
  // A line that gets stuck on most replications has no kills to go by; then they are taken as at once.
  return minutes.length > 0 ? minutes.map((minute) => minute / 60) : Array<number>(birds).fill(0);
}

/**
 * The best single feed-off over quick, ordinary and slow replications alike, pulled earlier by what can be kept in hand
 * without leaving the slow morning's last bird too long.
 */
function bestForSpread(rule: WithdrawalRule, killed: KilledLot): number {
  const spread = (["p10", "p50", "p90"] as const).flatMap((which) => killHours(killed, which));
  const kills = spread.toSorted((one, other) => one - other);
  const single = bestFeedOff(rule, kills, FEED_OFF_BUFFER_HOURS);
  if (single.allFit) return single.feedOffHours;
  const { feedOffHoursByPen } = penVisits({
    rule,
    shrinkBreakHours: SHRINK_BREAK_HOURS,
    shortWeight: TOO_FULL_WEIGHT,
    killHoursByPen: [kills],
    mostVisits: 1,
  });
  return feedOffHoursByPen[0]!;
}
