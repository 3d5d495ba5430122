import { HOUR } from "#core/calendar/milliseconds.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { REST_CLOCKS } from "#core/rest/rest.ts";
import { type Cover, REST_LOSS, restWeight } from "#core/rest/rest-weight.ts";

/** Ways of resting that people hold to; none is the only right one. */
export const REST_METHODS = ["straight-on", "one-day", "two-days", "three-days"] as const;
export type RestMethod = (typeof REST_METHODS)[number];

/** What can be done with resting birds, or measured. */
export const REST_KINDS = [
  "moved",
  "ice",
  "drained",
  "covered",
  "brine-in",
  "brine-out",
  "carcass-temperature",
  "place-temperature",
  "shut-in",
] as const;
export type RestKind = (typeof REST_KINDS)[number];

/** Hours from the kill until birds are packed or frozen. See docs/sources.md#rest. */
export const REST_METHOD_HOURS: Readonly<Record<RestMethod, number>> = {
  "straight-on": 0,
  "one-day": 24,
  "two-days": 48,
  "three-days": 72,
};

/** The way whose hours are nearest to what is proposed. */
export const methodOfHours = (hours: number): RestMethod =>
  REST_METHODS.toSorted(
    (one, other) => Math.abs(REST_METHOD_HOURS[one] - hours) - Math.abs(REST_METHOD_HOURS[other] - hours),
  )[0]!;

export interface RestingPart {
  readonly kind: BirdKind;
  readonly method: RestMethod;
  readonly cover: Cover;
  /** When each of its birds was killed, epoch milliseconds, in any order; at least one. */
  readonly killedAt: readonly number[];
}

export interface RestTimes {
  readonly firstKillAt: number;
  readonly lastKillAt: number;
  /** The first bird stiffens, and the last bird has loosened. */
  readonly rigorFrom: number;
  readonly rigorPassedAt: number;
  /** The first and the last of them have rested as long as was chosen. */
  readonly dueFrom: number;
  readonly dueAt: number;
  /** Nights in the refrigerator. */
  readonly nights: number;
  /** What the birds lose until then, share of their weight. */
  readonly lostFraction: number;
}

/** When a part of the birds is ready, and what it costs in room and weight. @throws {RangeError} without birds */
export function restTimes({ kind, method, cover, killedAt }: RestingPart): RestTimes {
  if (killedAt.length === 0) throw new RangeError("a part of the rest needs at least one bird");
  const hours = REST_METHOD_HOURS[method];
  const { onsetHours, passedHours } = REST_CLOCKS[kind];
  const firstKillAt = Math.min(...killedAt);
  const lastKillAt = Math.max(...killedAt);
  return {
    firstKillAt,
    lastKillAt,
    rigorFrom: firstKillAt + onsetHours * HOUR,
    rigorPassedAt: lastKillAt + passedHours * HOUR,
    dueFrom: firstKillAt + hours * HOUR,
    dueAt: lastKillAt + hours * HOUR,
    nights: Math.ceil(hours / 24),
    lostFraction: restWeight(1, {
      hours,
      dripFraction: REST_LOSS.dripFraction,
      dryingFractionPerDay: REST_LOSS.dryingFractionPerDay,
      coverFactor: REST_LOSS.coverFactor[cover],
    }).lostFraction,
  };
}

/**
 * Until when the last bird may be cooked before it stiffens, and from when the first one may be again. A bird for tonight's table is
 * one or the other.
 */
export function cookBeforeOrAfter(
  killedAt: readonly number[],
  kind: BirdKind,
): { before: number; after: number } {
  const { onsetHours, passedHours } = REST_CLOCKS[kind];
  return {
    before: Math.max(...killedAt) + onsetHours * HOUR,
    after: Math.min(...killedAt) + passedHours * HOUR,
  };
}
