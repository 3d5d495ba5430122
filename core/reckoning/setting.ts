import type { Input, Provenance, Unit } from "#core/reckoning/reckoning.ts";

/** A number that the farm may set, and whether it did. */
export interface Setting {
  readonly value: number;
  readonly provenance: Provenance;
}

/** The farm's own number where it gave one, our default where it did not. */
export function settingOr(own: number | null | undefined, ours: number): Setting {
  return own === null || own === undefined
    ? { value: ours, provenance: "our default" }
    : { value: own, provenance: "the farm's default" };
}

/** Uses a setting as a named input of a working. */
export function inputSetting(name: string, { value, provenance }: Setting, unit: Unit): Input {
  return { name, value, unit, provenance };
}
