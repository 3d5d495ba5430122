import { allot } from "#core/cost/allot.ts";
import { type Cents, cents } from "#core/quantity/quantity.ts";

export interface FeedBought {
  readonly bags: number;
  readonly bagKilograms: number;
  readonly bagPriceCents: number;
}

export interface FeedUsed {
  readonly kilograms: number;
  readonly cents: Cents;
  readonly boughtKilograms: number;
  readonly leftKilograms: number;
}

/**
 * Feed that a batch has used: bought less left in the bag, which is stock and priced at the mean of what was bought.
 *
 * @param leftKilograms at most what was bought
 * @throws {RangeError} if more is left than was bought
 */
export function feedUsed(bought: readonly FeedBought[], leftKilograms: number): FeedUsed {
  const boughtKilograms = bought.reduce((sum, group) => sum + group.bags * group.bagKilograms, 0);
  const boughtCents = bought.reduce((sum, group) => sum + group.bags * group.bagPriceCents, 0);
  if (leftKilograms > boughtKilograms + 1e-6) {
    throw new RangeError(
      `feed left must not be more than the ${boughtKilograms} kg bought, got ${leftKilograms}`,
    );
  }
  const leftCents = boughtKilograms > 0 ? Math.round((boughtCents * leftKilograms) / boughtKilograms) : 0;
  return {
    kilograms: Math.max(0, boughtKilograms - leftKilograms),
    cents: cents(boughtCents - leftCents),
    boughtKilograms,
    leftKilograms,
  };
}

/** All the feed that a batch ever had. */
export interface AllFeed {
  readonly bought: readonly FeedBought[];
  readonly cameIn: readonly FeedBought[];
  /** To other batches or into stock: it took its money with it. */
  readonly wentOn: readonly FeedBought[];
}

/**
 * Feed that a batch has used of all it ever had. Where a purchase was removed from the records, less may be there than was
 * counted as left, or more may have gone on than came: then nothing was used, and it cost nothing.
 */
export function feedUsedOf({ bought, cameIn, wentOn }: AllFeed, leftKilograms: number): FeedUsed {
  const all = [...bought, ...cameIn, ...wentOn.map((gone) => ({ ...gone, bags: -gone.bags }))];
  const kilograms = all.reduce((sum, { bags, bagKilograms }) => sum + bags * bagKilograms, 0);
  const feed = kilograms > 0 ? feedUsed(all, Math.min(leftKilograms, kilograms)) : feedUsed([], 0);
  return { ...feed, cents: cents(Math.max(0, feed.cents)) };
}

/** Birds of a batch that share its cost: those of one processing day, or those still alive. */
export interface CostShare {
  readonly birds: number;
  /** What one of them has eaten since hatch by the growth model, kg. */
  readonly feedKilogramsEach: number;
}

export interface SharedCost {
  readonly chicks: Cents;
  readonly feed: Cents;
  readonly other: Cents;
  /** Part of the batch's feed, 0 to 1. */
  readonly feedFraction: number;
}

/**
 * Splits a batch's cost over its birds so that the parts add up to the whole to the cent: chicks and other cost
 * by bird (the dead are borne by the living), feed by what each will have eaten.
 *
 * @throws {RangeError} if no share has a bird
 */
export function splitBatchCost(
  cost: { chicks: Cents; feed: Cents; other: Cents },
  shares: readonly CostShare[],
): SharedCost[] {
  const byBird = shares.map((share) => share.birds);
  const eaten = shares.map((share) => share.birds * share.feedKilogramsEach);
  const allEaten = eaten.reduce((sum, kilograms) => sum + kilograms, 0);
  const byFeed = allEaten > 0 ? eaten : byBird;
  const feedSum = byFeed.reduce((sum, weight) => sum + weight, 0);
  const chicks = allot(cost.chicks, byBird);
  const feed = allot(cost.feed, byFeed);
  const other = allot(cost.other, byBird);
  return shares.map((_, index) => ({
    chicks: chicks[index]!,
    feed: feed[index]!,
    other: other[index]!,
    feedFraction: byFeed[index]! / feedSum,
  }));
}
