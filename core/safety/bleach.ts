/** Chlorine in hypochlorite, by weight: molar masses of Cl2 and NaOCl. See docs/sources.md#chlorine. */
const CHLORINE_OF_HYPOCHLORITE = 0.9525;
/** Weight of a liter of bleach above water's, for its share of hypochlorite: a fit, ± 3 %. See docs/sources.md#chlorine. */
const DENSITY_SLOPE = 1.4;

export interface BleachInput {
  readonly targetMilligramsPerLiter: number;
  readonly finalLiters: number;
  /** Sodium hypochlorite on the label, share by weight, more than 0. */
  readonly hypochloriteFraction: number;
  /** What is left of it in an old bottle, 1 for a fresh one. */
  readonly strengthLeft: number;
}

/**
 * Plain unscented bleach for so much sanitizing water. Never with acid, vinegar, ammonia or hot water; a test strip
 * decides. See docs/sources.md#chlorine.
 *
 * @throws {RangeError} if the bleach holds no hypochlorite
 */
export function bleachFor(mix: BleachInput) {
  const fraction = mix.hypochloriteFraction;
  if (!(fraction > 0 && mix.strengthLeft > 0))
    throw new RangeError(`bleach must hold some hypochlorite, got ${fraction} at ${mix.strengthLeft}`);
  const chlorineGramsPerLiter =
    fraction * mix.strengthLeft * (1 + DENSITY_SLOPE * fraction) * CHLORINE_OF_HYPOCHLORITE * 1000;
  const bleachLiters = (mix.targetMilligramsPerLiter * mix.finalLiters) / (1000 * chlorineGramsPerLiter);
  return {
    chlorineGramsPerLiter,
    bleachMilliliters: bleachLiters * 1000,
    waterLiters: mix.finalLiters - bleachLiters,
  };
}
