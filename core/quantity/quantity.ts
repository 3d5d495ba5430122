declare const unit: unique symbol;

/** A number that carries its unit in its type, so that a live weight cannot stand where a carcass was due. */
export type Quantity<Unit extends string> = number & { readonly [unit]: Unit };

export type LiveKilograms = Quantity<"kilograms, live bird after withdrawal">;
export type CarcassKilograms = Quantity<"kilograms, dressed carcass">;
export type Milligrams = Quantity<"milligrams">;
export type Cents = Quantity<"minor units of the farm's currency">;

function quantity<Marked extends number>(name: string): (value: number) => Marked {
  return (value) => {
    if (!Number.isFinite(value)) throw new RangeError(`${name} must be finite, got ${value}`);
    return value as Marked;
  };
}

/** Marks a number as the weight of a live bird, kg. @throws {RangeError} if it is not finite. */
export const liveKilograms = quantity<LiveKilograms>("live weight");
/** Marks a number as the weight of a dressed carcass, kg. @throws {RangeError} if it is not finite. */
export const carcassKilograms = quantity<CarcassKilograms>("carcass weight");

/** Marks a whole number of milligrams. @throws {RangeError} if it is not a whole number. */
export function milligrams(value: number): Milligrams {
  if (!Number.isSafeInteger(value)) throw new RangeError(`milligrams must be whole, got ${value}`);
  return value as Milligrams;
}

/** Marks a whole number of cents. @throws {RangeError} if it is not a whole number. */
export function cents(value: number): Cents {
  if (!Number.isSafeInteger(value)) throw new RangeError(`cents must be whole, got ${value}`);
  return value as Cents;
}
