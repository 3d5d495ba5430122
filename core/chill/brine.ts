/** Salt that water holds at most, by weight of brine; a salinometer reads 100° there. See docs/sources.md#brine. */
export const SATURATED_BRINE = 0.264;
/** Water in the meat, by weight. See docs/sources.md#brine. */
export const MEAT_WATER = 0.72;

/** Weight that a bird takes up in a brine in the end, 0.06 to 0.15. See docs/sources.md#uptake. */
export const BRINE_UPTAKE = 0.1;

export interface BrineInput {
  /** "brine": the brine is this strong. "equilibrium": the meat ends up this salty. */
  readonly aim: "brine" | "equilibrium";
  /** Share by weight, 0 to below 1. */
  readonly saltFraction: number;
  readonly waterLiters: number;
  readonly meatKilograms: number;
  readonly meatWaterFraction?: number;
}

/** Salt for a brine, by weight: never by the spoon. See docs/sources.md#brine. @throws {RangeError} without water or from a strength of 1. */
export function brineRecipe({ aim, saltFraction, waterLiters, meatKilograms, ...of }: BrineInput) {
  if (!(waterLiters > 0)) throw new RangeError(`water must be more than 0 liters, got ${waterLiters}`);
  if (!(saltFraction >= 0 && saltFraction < 1))
    throw new RangeError(`salt must be a share from 0 to below 1, got ${saltFraction}`);
  const meatWater = aim === "equilibrium" ? meatKilograms * (of.meatWaterFraction ?? MEAT_WATER) : 0;
  const saltKilograms = (saltFraction / (1 - saltFraction)) * (waterLiters + meatWater);
  const strength = saltKilograms / (saltKilograms + waterLiters);
  return {
    saltKilograms,
    strength,
    salinometerDegrees: (100 * strength) / SATURATED_BRINE,
    dissolves: strength <= SATURATED_BRINE,
  };
}
