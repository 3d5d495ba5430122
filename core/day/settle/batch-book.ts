import type { Settlement } from "#core/day/settle/settlement.ts";

/** A batch as it stands in the books. Costs in cents: out of pocket, and where known with the equipment and with our time. */
export interface BatchBook {
  readonly dressedCount: number;
  readonly dressedMeanKilograms: number;
  /** Dressed weight over live weight; undefined where no live weight is known. */
  readonly dressedFraction: number | undefined;
  /** Feed over dressed weight; undefined where no feed was recorded. */
  readonly feedPerKilogram: number | undefined;
  readonly centsPerBird: readonly number[];
  readonly centsPerKilogram: readonly number[];
}

export interface SettledPart {
  readonly settlement: Settlement;
  /** Mean live weight of the day's birds. */
  readonly liveKilograms: number;
  /** Birds dressed that day. */
  readonly birds: number;
}

/** The settled days of a batch put together, each by its weight. @throws {RangeError} if there is none. */
export function bookOfBatch(parts: readonly SettledPart[]): BatchBook {
  const sum = (of: (part: SettledPart) => number) => parts.reduce((running, part) => running + of(part), 0);
  const dressedCount = sum((part) => part.birds);
  if (dressedCount === 0) throw new RangeError("a batch in the books must have a dressed bird");
  const dressedOf = (part: SettledPart) => part.birds * part.settlement.dressedMean.value;
  const dressedKilograms = sum(dressedOf);
  const isFeedKnown = parts.every((part) => part.settlement.feedPerKilogramDressed !== undefined);
  const totals = parts[0]!.settlement.methods.map((_, method) =>
    sum((part) => part.settlement.methods[method]!.total.value),
  );
  return {
    dressedCount,
    dressedMeanKilograms: dressedKilograms / dressedCount,
    dressedFraction: dressedKilograms / sum((part) => part.birds * part.liveKilograms),
    feedPerKilogram: isFeedKnown
      ? sum((part) => dressedOf(part) * part.settlement.feedPerKilogramDressed!.value) / dressedKilograms
      : undefined,
    centsPerBird: totals.map((total) => total / dressedCount),
    centsPerKilogram: totals.map((total) => total / dressedKilograms),
  };
}

export interface PastSummary {
  readonly dressedCount: number;
  readonly dressedKilograms: number;
  readonly costCents: number;
  readonly liveKilograms: number | undefined;
  readonly feedKilograms: number | undefined;
}

/** A batch that was recorded in summary; only its out-of-pocket cost is known. @throws {RangeError} without a bird. */
export function bookOfPast({
  dressedCount,
  dressedKilograms,
  costCents,
  liveKilograms,
  feedKilograms,
}: PastSummary): BatchBook {
  if (!(dressedCount > 0 && dressedKilograms > 0))
    throw new RangeError("a batch in the books must have a dressed bird");
  return {
    dressedCount,
    dressedMeanKilograms: dressedKilograms / dressedCount,
    dressedFraction: liveKilograms === undefined ? undefined : dressedKilograms / liveKilograms,
    feedPerKilogram: feedKilograms === undefined ? undefined : feedKilograms / dressedKilograms,
    centsPerBird: [costCents / dressedCount],
    centsPerKilogram: [costCents / dressedKilograms],
  };
}
