import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { bestFeedOff } from "#core/withdrawal/feed-off.ts";
import { feedShare, type Kills } from "#core/withdrawal/feed-share.ts";
import { penVisits } from "#core/withdrawal/pen-visits.ts";

const withdrawalFields = {
  window_h: z.tuple([number, number]),
  shrink_pct_per_h: z.tuple([number, number]),
  shrink_break_h: number,
  /** Evenly spaced kills, or the hour of each. */
  first_kill_h: number.optional(),
  interval_min: number.optional(),
  birds: number.int().optional(),
  kill_times_h: z.array(number).optional(),
};
const ruleFrom = (of: { window_h: [number, number]; shrink_pct_per_h: [number, number] }) => ({
  windowHours: of.window_h,
  shrinkPercentPerHour: of.shrink_pct_per_h,
});
interface KillFields {
  first_kill_h?: number | undefined;
  interval_min?: number | undefined;
  birds?: number | undefined;
  kill_times_h?: number[] | undefined;
}
function killsFrom({
  first_kill_h,
  interval_min,
  birds,
  kill_times_h,
}: KillFields): Kills | readonly number[] {
  if (kill_times_h) return kill_times_h;
  if (first_kill_h === undefined || interval_min === undefined || birds === undefined)
    throw new RangeError("give kill_times_h, or first_kill_h, interval_min and birds");
  return { firstKillHours: first_kill_h, intervalHours: interval_min / 60, birds };
}

export const WITHDRAWAL_MODELS: Readonly<Record<string, Model>> = {
  "feed.share": model(
    z.object({
      ...withdrawalFields,
      feed_off_h: number,
      dark_from_h: number.optional(),
      dark_to_h: number.optional(),
    }),
    (of) => {
      const dark =
        of.dark_from_h === undefined || of.dark_to_h === undefined
          ? undefined
          : { fromHours: of.dark_from_h, toHours: of.dark_to_h };
      const answer = feedShare({
        rule: ruleFrom(of),
        kills: killsFrom(of),
        feedOffHours: of.feed_off_h,
        dark,
        shrinkBreakHours: of.shrink_break_h,
      });
      return {
        effective_off_h: answer.effectiveOffHours,
        inside: answer.inside,
        too_short: answer.tooShort,
        too_long: answer.tooLong,
        share_inside: answer.inside / (answer.inside + answer.tooShort + answer.tooLong),
        shortest_h: answer.shortestHours,
        longest_h: answer.longestHours,
        mean_shrink_pct: answer.meanShrinkPercent,
        mean_tissue_loss_pct: answer.meanTissueLossPercent,
      };
    },
  ),

  "feed.optimal": model(z.object({ ...withdrawalFields, buffer_h: number }), (of) => {
    const rule = ruleFrom(of);
    const kills = killsFrom(of);
    const best = bestFeedOff(rule, kills, of.buffer_h);
    const share = feedShare({
      rule,
      kills,
      feedOffHours: best.feedOffHours,
      shrinkBreakHours: of.shrink_break_h,
    });
    return {
      feed_off_h: best.feedOffHours,
      span_h: best.spanHours,
      slack_h: best.slackHours,
      all_fit: best.allFit,
      inside: share.inside,
      too_short: share.tooShort,
      too_long: share.tooLong,
      mean_shrink_pct: share.meanShrinkPercent,
      most_birds_in_one_window: best.mostBirdsInOneWindow,
    };
  }),

  "feed.pens": model(
    z.object({
      window_h: z.tuple([number, number]),
      shrink_pct_per_h: z.tuple([number, number]),
      shrink_break_h: number,
      short_weight: number,
      pen_birds: z.array(number.int().min(1)),
      first_kill_h: number,
      interval_min: number,
      changeover_min: number,
      max_visits: number.int(),
    }),
    (of) => {
      let at = of.first_kill_h;
      const killHoursByPen = of.pen_birds.map((birds) => {
        const first = at;
        at += (birds * of.interval_min + of.changeover_min) / 60;
        return Array.from({ length: birds }, (_, bird) => first + (bird * of.interval_min) / 60);
      });
      const answer = penVisits({
        rule: ruleFrom(of),
        shrinkBreakHours: of.shrink_break_h,
        shortWeight: of.short_weight,
        killHoursByPen,
        mostVisits: of.max_visits,
      });
      return {
        feed_off_h: answer.feedOffHoursByPen,
        pen_first_kill_h: killHoursByPen.map((kills) => kills[0]),
        outside: answer.tooShort + answer.tooLong,
        too_short: answer.tooShort,
        too_long: answer.tooLong,
        mean_shrink_pct: answer.meanShrinkPercent,
      };
    },
  ),
};
