/** A point of a curve: minutes after the day's start, and how thick the replications lie there, share a minute. */
export interface CurvePoint {
  readonly minute: number;
  readonly share: number;
}

/**
 * Sorted moments as a smooth curve: each spread out as a bell (Gaussian kernel, Silverman's width).
 *
 * @param sorted moments in order, at least two and not all the same; else there is no curve
 */
export function finishCurve(sorted: readonly number[], points = 80): CurvePoint[] {
  const count = sorted.length;
  if (count < 2 || sorted[0] === sorted[count - 1]) return [];
  const mean = sorted.reduce((sum, minute) => sum + minute, 0) / count;
  const variance = sorted.reduce((sum, minute) => sum + (minute - mean) ** 2, 0) / (count - 1);
  const width = 1.06 * Math.sqrt(variance) * count ** -0.2;
  // One bad replication in a hundred would stretch the curve over half its width.
  const from = sorted[Math.floor(count * 0.005)]! - 2 * width;
  const to = sorted[Math.ceil(count * 0.985) - 1]! + 2 * width;
  return Array.from({ length: points + 1 }, (_, index) => {
    const minute = from + ((to - from) * index) / points;
    const thickness = sorted.reduce((sum, one) => sum + Math.exp(-0.5 * ((minute - one) / width) ** 2), 0);
    return { minute, share: thickness / (count * width * Math.sqrt(2 * Math.PI)) };
  });
}
