import type { InputName, RuleName } from "#core/reckoning/reckoning-names.ts";

/** Where a number came from, from surest to least sure. */
export type Provenance = "measured" | "calculated" | "farm-setting" | "our-estimate";

/** What a number counts. Screens turn it into the farm's own units; core is SI throughout. */
export type Unit =
  | "live-kg"
  | "carcass-kg"
  | "kg"
  | "°C"
  | "seconds"
  | "minutes"
  | "hours"
  | "days"
  | "weeks"
  | "per-week"
  | "instant"
  | "birds"
  | "people"
  | "count"
  | "fraction"
  | "times"
  | "birds-per-hour"
  | "minutes-per-bird"
  | "kg-per-kg"
  | "cents"
  | "cents-per-kg"
  | "watts"
  | "liters"
  | "milliliters"
  | "grams"
  | "kilowatt-hours"
  | "millimeters"
  | "watts-per-degree"
  | "liters-per-minute"
  | "label-kg"
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
  | "trickle"
  | "packs"
  | "products"
  | "drying"
  | "freezing"
  | "label"
  | "cost"
  | "sharing"
  | "season"
  | "own-log";

export interface Input {
  /** Which number it is; or, for a thing the farm named itself, that name as entered. */
  readonly name: InputName | { readonly asEntered: string };
  readonly value: number;
  readonly unit: Unit;
  readonly provenance: Provenance;
}

/** A value with its working: what it came from, by which rule, and on whose word. */
export interface Reckoning {
  readonly value: number;
  readonly unit: Unit;
  /** Of the value itself; a sum is calculated even where all its inputs were measured. */
  readonly provenance: Provenance;
  readonly inputs: readonly Input[];
  readonly rule: RuleName;
  /** A second rule that was applied after it. */
  readonly thenRule?: RuleName;
  readonly source: Source;
}

type Working = Omit<Reckoning, "provenance"> & { readonly provenance?: Provenance };

/** A worked-out value with its working. @throws {RangeError} if the value is not finite. */
export function reckoning({ provenance = "calculated", ...working }: Working): Reckoning {
  if (!Number.isFinite(working.value)) {
    throw new RangeError(`a reckoning must be finite, got ${working.value} for: ${working.rule}`);
  }
  return { ...working, provenance };
}

/** Names one input of a working. */
export function input(name: Input["name"], value: number, unit: Unit, provenance: Provenance): Input {
  return { name, value, unit, provenance };
}

/** Uses a reckoning as an input of another. */
export function inputFrom(name: InputName, { value, unit, provenance }: Reckoning): Input {
  return { name, value, unit, provenance };
}
