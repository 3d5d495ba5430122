import { type Cents, cents } from "#core/quantity/quantity.ts";

/** A thing that serves many days, written off straight-line over its years or over its birds. */
export interface KitItem {
  readonly priceCents: number;
  readonly life: { readonly years: number } | { readonly birds: number };
}

/**
 * What a number of birds owes for the equipment that they used, whole cents.
 *
 * @param birdsAYear how many birds the farm dresses in a year, to spread an item that is counted in years
 * @throws {RangeError} if a life or the birds a year is not more than 0
 */
export function kitShare(items: readonly KitItem[], birds: number, birdsAYear: number): Cents {
  const perBird = items.reduce((sum, { priceCents, life }) => {
    const birdsInItsLife = "birds" in life ? life.birds : life.years * birdsAYear;
    if (!(birdsInItsLife > 0))
      throw new RangeError(`a life must be more than 0 birds, got ${birdsInItsLife}`);
    return sum + priceCents / birdsInItsLife;
  }, 0);
  return cents(Math.round(perBird * birds));
}
