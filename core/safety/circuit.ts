/** A load on for three hours or more counts a quarter more. The usual rule; the local electrical code decides. See docs/sources.md#power. */
const CONTINUOUS_FACTOR = 1.25;

export interface Load {
  readonly powerWatts: number;
  readonly isContinuous: boolean;
  readonly powerFactor: number;
}

/**
 * What loads draw on one circuit, and whether its breaker is enough.
 *
 * @param phases 1, or 3 with volts from line to line
 * @throws {RangeError} if volts is not more than 0
 */
export function circuitLoad(
  loads: readonly Load[],
  { volts, breakerAmps, phases }: { volts: number; breakerAmps: number; phases: 1 | 3 },
) {
  if (!(volts > 0)) throw new RangeError(`volts must be more than 0, got ${volts}`);
  const effectiveVolts = phases === 3 ? Math.sqrt(3) * volts : volts;
  const ampsOf = (load: Load) => load.powerWatts / (effectiveVolts * load.powerFactor);
  const sum = (of: (load: Load) => number) => loads.reduce((running, load) => running + of(load), 0);
  const breakerNeededAmps = sum((load) => ampsOf(load) * (load.isContinuous ? CONTINUOUS_FACTOR : 1));
  return {
    amps: sum(ampsOf),
    breakerNeededAmps,
    isOverloaded: breakerNeededAmps > breakerAmps,
    spareContinuousWatts: (Math.max(0, breakerAmps - breakerNeededAmps) / CONTINUOUS_FACTOR) * effectiveVolts,
  };
}
