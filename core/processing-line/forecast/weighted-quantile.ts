/**
 * Values below which shares of weighted numbers lie, straight between neighbors. With equal weights they are the usual
 * quantiles (type 7 of R), as `quantile` of line-tally.ts gives them.
 *
 * @param numbers with their weights, 0 or more, not all 0; at least one
 * @returns in the order of the shares
 */
export function weightedQuantiles(
  numbers: readonly { readonly value: number; readonly weight: number }[],
  shares: readonly number[],
): number[] {
  const sorted = numbers.filter(({ weight }) => weight > 0).toSorted((one, other) => one.value - other.value);
  if (sorted.length === 0) throw new RangeError("a quantile needs a number whose weight is more than 0");
  const places: number[] = [];
  let before = 0;
  for (const [index, { weight }] of sorted.entries()) {
    places.push(index * weight + (sorted.length - 1) * before);
    before += weight;
  }
  const total = (sorted.length - 1) * before;
  return shares.map((share) => {
    const wanted = share * total;
    const above = places.findIndex((place) => place >= wanted - 1e-9 * total);
    if (above <= 0) return sorted[above === 0 ? 0 : sorted.length - 1]!.value;
    const [low, high] = [sorted[above - 1]!.value, sorted[above]!.value];
    const way = (wanted - places[above - 1]!) / (places[above]! - places[above - 1]!);
    return low === high ? low : low + (high - low) * Math.min(1, way);
  });
}
