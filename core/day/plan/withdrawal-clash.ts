import { HOUR } from "#core/calendar/milliseconds.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import { darkOf, killHours, TOO_FULL_WEIGHT } from "#core/day/plan/withdrawal-plan.ts";
import { feedShare } from "#core/withdrawal/feed-share.ts";
import { WITHDRAWAL } from "#core/withdrawal/withdrawal-constants.ts";

/** Lots that stand in one pen and whose hours off feed can't all be met by one feed-off. */
export interface WithdrawalClash {
  readonly pen: string;
  /** The best one time for all of them, epoch milliseconds. */
  readonly feedOffAt: number;
  readonly lots: readonly ClashLot[];
  /** Birds outside their window, as planned and with these lots killed in the other order. */
  readonly outside: number;
  readonly outsideReversed: number;
}

export interface ClashLot {
  readonly batchName: string;
  readonly tooShort: number;
  readonly tooLong: number;
  /** Of the bird that is furthest outside, hours. */
  readonly shortBy: number;
  readonly longBy: number;
}

/**
 * The pens that several lots of a day share and whose one feed-off leaves birds outside. Empty where every lot has pens of
 * its own, or one time serves all.
 *
 * @param lineOf plays a day: asked once more for the other order of lots
 */
export function withdrawalClashes(
  plan: PlanInput,
  line: LinePlan,
  lineOf: (plan: PlanInput) => LinePlan,
): WithdrawalClash[] {
  const pens = new Set(plan.lots.flatMap((lot) => lot.pens.map(({ name }) => name)));
  return [...pens].flatMap((pen) => {
    const sharing = plan.lots.filter((lot) => lot.pens.some(({ name }) => name === pen));
    if (sharing.length < 2) return [];
    const best = bestForAll(plan, line, sharing);
    const outside = outsideOf(best.lots);
    if (outside === 0) return [];
    const turned = sharing.toReversed();
    const lots = plan.lots.map((lot) => (sharing.includes(lot) ? turned[sharing.indexOf(lot)]! : lot));
    const reversed = {
      ...plan,
      lots,
      choices: { ...plan.choices, lots: lots.map(({ choices }) => choices) },
    };
    const outsideReversed = outsideOf(bestForAll(reversed, lineOf(reversed), sharing).lots);
    return [{ pen, ...best, outside, outsideReversed }];
  });
}

const outsideOf = (lots: readonly ClashLot[]): number =>
  lots.reduce((sum, { tooShort, tooLong }) => sum + tooShort + tooLong, 0);

/**
 * The one feed-off with the fewest birds outside, those too full counted for more. Sliding it later until it touches the
 * window of a kill never hurts, so those are the only candidates.
 */
function bestForAll(
  plan: PlanInput,
  line: LinePlan,
  sharing: readonly LotInput[],
): Pick<WithdrawalClash, "feedOffAt" | "lots"> {
  const dark = darkOf(plan);
  const killed = sharing.map((lot) => ({
    lot,
    rule: WITHDRAWAL[lot.choices.withdrawalMethod],
    kills: killHours({ line, from: birdsBefore(plan, lot), birds: lot.choices.birds }, "p50"),
  }));
  const candidates = killed.flatMap(({ rule, kills }) => kills.map((kill) => kill - rule.windowHours[0]));
  const tried = candidates.map((feedOffHours) => {
    const lots = killed.map(({ lot, rule, kills }): ClashLot => {
      const share = feedShare({ rule, kills, feedOffHours, dark });
      const [least, most] = rule.windowHours;
      return {
        batchName: lot.batchName,
        tooShort: share.tooShort,
        tooLong: share.tooLong,
        shortBy: Math.max(0, least - share.shortestHours),
        longBy: Math.max(0, share.longestHours - most),
      };
    });
    const cost = lots.reduce((sum, one) => sum + TOO_FULL_WEIGHT * one.tooShort + one.tooLong, 0);
    return { feedOffHours, lots, cost };
  });
  const best = tried.reduce((one, other) => (other.cost < one.cost ? other : one));
  return { feedOffAt: plan.choices.startAt + best.feedOffHours * HOUR, lots: best.lots };
}

function birdsBefore({ lots }: PlanInput, lot: LotInput): number {
  const place = lots.findIndex(({ choices }) => choices.batchId === lot.choices.batchId);
  return lots.slice(0, place).reduce((sum, { choices }) => sum + choices.birds, 0);
}
