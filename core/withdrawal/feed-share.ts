import { SHRINK_BREAK_HOURS, type WithdrawalRule } from "#core/withdrawal/withdrawal-constants.ts";

/** Evenly spaced kills; all hours count from one moment, earlier ones are negative. */
export interface Kills {
  readonly firstKillHours: number;
  /** From one kill to the next, more than 0. */
  readonly intervalHours: number;
  readonly birds: number;
}

export interface FeedShareInput {
  readonly rule: WithdrawalRule;
  /** Evenly spaced, or the hour of each bird, rising; at least one. */
  readonly kills: Kills | readonly number[];
  readonly feedOffHours: number;
  /** Birds don't eat in the dark: pulled in these hours, feed was off from the first of them. */
  readonly dark?: { readonly fromHours: number; readonly toHours: number } | undefined;
  readonly shrinkBreakHours?: number;
}

export interface FeedShare {
  readonly effectiveOffHours: number;
  readonly inside: number;
  readonly tooShort: number;
  readonly tooLong: number;
  readonly shortestHours: number;
  readonly longestHours: number;
  /** Mean loss of live weight over all birds, per cent. */
  readonly meanShrinkPercent: number;
  /** The part of it lost after the break, in which the carcass shrinks too, per cent. */
  readonly meanTissueLossPercent: number;
}

/** Hours off feed at the edge of the window still count as inside within this grace. */
const GRACE_HOURS = 1e-9;

/**
 * How many birds are killed inside the withdrawal window, and what the wait costs in weight.
 * See docs/sources.md#withdrawal.
 *
 * @throws {RangeError} if there is no bird, or the interval is not more than 0
 */
export function feedShare({
  rule,
  kills,
  feedOffHours,
  dark,
  shrinkBreakHours = SHRINK_BREAK_HOURS,
}: FeedShareInput): FeedShare {
  const killHours = hoursOf(kills);
  const isDark = dark !== undefined && feedOffHours > dark.fromHours && feedOffHours < dark.toHours;
  const effectiveOffHours = isDark ? dark.fromHours : feedOffHours;
  const [least, most] = rule.windowHours;
  const [earlyRate, lateRate] = rule.shrinkPercentPerHour;
  let tooShort = 0;
  let tooLong = 0;
  let shrink = 0;
  let tissueLoss = 0;
  const birds = killHours.length;
  for (const killedAt of killHours) {
    const hours = killedAt - effectiveOffHours;
    if (hours < least - GRACE_HOURS) tooShort += 1;
    if (hours > most + GRACE_HOURS) tooLong += 1;
    const late = lateRate * Math.max(0, hours - shrinkBreakHours);
    shrink += earlyRate * Math.min(Math.max(0, hours), shrinkBreakHours) + late;
    tissueLoss += late;
  }
  return {
    effectiveOffHours,
    inside: birds - tooShort - tooLong,
    tooShort,
    tooLong,
    shortestHours: killHours[0]! - effectiveOffHours,
    longestHours: killHours.at(-1)! - effectiveOffHours,
    meanShrinkPercent: shrink / birds,
    meanTissueLossPercent: tissueLoss / birds,
  };
}

/** The hour of each kill, rising. @throws {RangeError} if there is no bird, or the interval is not more than 0 */
export function hoursOf(kills: Kills | readonly number[]): readonly number[] {
  if (!("birds" in kills)) {
    if (kills.length === 0) throw new RangeError("there must be a bird to kill, got none");
    return kills;
  }
  requireKills(kills);
  return Array.from({ length: kills.birds }, (_, bird) => kills.firstKillHours + bird * kills.intervalHours);
}

/** @throws {RangeError} if there is no bird, or the interval is not more than 0 */
export function requireKills({ birds, intervalHours }: Kills): void {
  if (!(birds >= 1)) throw new RangeError(`there must be a bird to kill, got ${birds}`);
  if (!(intervalHours > 0))
    throw new RangeError(`hours between kills must be more than 0, got ${intervalHours}`);
}
