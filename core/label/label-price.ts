import { type Cents, cents, type Milligrams, milligrams } from "#core/quantity/quantity.ts";

/** How a label gives weight and price. */
export interface LabelScale {
  /** The unit that the price is for. */
  readonly unitMilligrams: number;
  /** Steps that the printed weight moves in: 100 a pound, 200 a kilogram. */
  readonly stepsPerUnit: number;
}

/** Hundredths of a pound, and 5 g. See docs/sources.md#label. */
export const LABEL_SCALE = {
  us: { unitMilligrams: 453_592.37, stepsPerUnit: 100 },
  metric: { unitMilligrams: 1_000_000, stepsPerUnit: 200 },
} as const;

export interface PrintedWeight {
  readonly netMilligrams: Milligrams;
  readonly shownSteps: number;
  readonly shownUnits: number;
}

/** Whole hundredths of a milligram, so that a pound is a whole number too. */
const HUNDREDTHS = 100;

/**
 * The weight that a label shows: whole steps, rounded down, so that a pack never says more than it holds.
 *
 * @param gross with the container, mg
 * @param tare the container, mg
 * @throws {RangeError} if the tare is more than the gross
 */
export function printedWeight(gross: Milligrams, tare: Milligrams, scale: LabelScale): PrintedWeight {
  const net = milligrams(gross - tare);
  if (net < 0) throw new RangeError(`tare must not be more than gross, got ${tare} mg of ${gross} mg`);
  const unit = Math.round(scale.unitMilligrams * HUNDREDTHS);
  const shownSteps = Math.floor((net * HUNDREDTHS * scale.stepsPerUnit) / unit);
  // The quotient of two whole numbers may round up to the next whole one.
  const steps = shownSteps * unit > net * HUNDREDTHS * scale.stepsPerUnit ? shownSteps - 1 : shownSteps;
  return { netMilligrams: net, shownSteps: steps, shownUnits: steps / scale.stepsPerUnit };
}

/**
 * Price of the printed weight, whole cents, half a cent up. See docs/sources.md#label.
 *
 * @throws {RangeError} if the price is negative
 */
export function labelPrice(printed: PrintedWeight, centsPerUnit: number, scale: LabelScale): Cents {
  if (!(centsPerUnit >= 0)) throw new RangeError(`price must be 0 or more, got ${centsPerUnit}`);
  return cents(
    Math.floor((2 * printed.shownSteps * centsPerUnit + scale.stepsPerUnit) / (2 * scale.stepsPerUnit)),
  );
}
