/** Where a number came from, from surest to least sure. */
export type Provenance = "measured" | "worked out" | "the farm's default" | "our default";

/** What a number counts. Screens turn it into the farm's own units; core is SI throughout. */
export type Unit =
  | "live kg"
  | "carcass kg"
  | "kg"
  | "°C"
  | "seconds"
  | "minutes"
  | "hours"
  | "days"
  | "instant"
  | "birds"
  | "people"
  | "count"
  | "fraction"
  | "times"
  | "birds per hour"
  | "minutes per bird"
  | "kg per kg"
  | "cents"
  | "cents per kg"
  | "watts"
  | "liters"
  | "milliliters"
  | "grams"
  | "amps"
  | "volts";

/** On whose word a rule stands: a heading of docs/sources.md. */
export type Source =
  | "growth"
  | "yield"
  | "withdrawal"
  | "scald"
  | "bath"
  | "power"
  | "ice"
  | "chill"
  | "brine"
  | "needs"
  | "line"
  | "rest"
  | "cost"
  | "season"
  | "own-log";

export interface Input {
  readonly name: string;
  readonly value: number;
  readonly unit: Unit;
  readonly provenance: Provenance;
}

/** A value with its working: what it came from, by which rule, and on whose word. */
export interface Reckoning {
  readonly value: number;
  readonly unit: Unit;
  /** Of the value itself; a sum is worked out even where all its inputs were measured. */
  readonly provenance: Provenance;
  readonly inputs: readonly Input[];
  /** The sum in one sentence. */
  readonly rule: string;
  readonly source: Source;
}

type Working = Omit<Reckoning, "provenance"> & { readonly provenance?: Provenance };

/** A worked-out value with its working. @throws {RangeError} if the value is not finite. */
export function reckoning({ provenance = "worked out", ...working }: Working): Reckoning {
  if (!Number.isFinite(working.value)) {
    throw new RangeError(`a reckoning must be finite, got ${working.value} for: ${working.rule}`);
  }
  return { ...working, provenance };
}

/** Names one input of a working. */
export function input(name: string, value: number, unit: Unit, provenance: Provenance): Input {
  return { name, value, unit, provenance };
}

/** Uses a reckoning as an input of another. */
export function inputFrom(name: string, { value, unit, provenance }: Reckoning): Input {
  return { name, value, unit, provenance };
}
