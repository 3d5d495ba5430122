export interface Sealer {
  /** Packs that a chamber takes at once, 1 to 4 as a rule. */
  readonly packsPerCycle: number;
  readonly cycleSeconds: number;
  /** To load one cycle, by hand. */
  readonly loadSeconds: number;
}

/**
 * How often the sealer runs for so many packs, and how long that takes one person, minutes. See docs/sources.md#packs.
 *
 * @throws {RangeError} if packs is negative or no pack fits a cycle
 */
export function sealingTime(
  packs: number,
  { packsPerCycle, cycleSeconds, loadSeconds }: Sealer,
): { readonly cycles: number; readonly minutes: number } {
  if (!(packs >= 0)) throw new RangeError(`packs must be 0 or more, got ${packs}`);
  if (!(packsPerCycle >= 1)) throw new RangeError(`packs per cycle must be at least 1, got ${packsPerCycle}`);
  const cycles = Math.ceil(packs / packsPerCycle);
  return { cycles, minutes: (cycles * (cycleSeconds + loadSeconds)) / 60 };
}
