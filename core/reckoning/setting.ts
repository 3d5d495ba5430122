import type { Input, Provenance, Unit } from "#core/reckoning/reckoning.ts";
import type { InputName } from "#core/reckoning/reckoning-names.ts";

/** A number that the farm may set, and whether it did. */
export interface Setting {
  readonly value: number;
  readonly provenance: Provenance;
}

/** The farm's own number where it gave one, our default where it did not. */
export function settingOr(own: number | null | undefined, ours: number): Setting {
  return own === null || own === undefined
    ? { value: ours, provenance: "our-estimate" }
    : { value: own, provenance: "farm-setting" };
}

/** Uses a setting as a named input of a working. */
export function inputSetting(name: InputName, { value, provenance }: Setting, unit: Unit): Input {
  return { name, value, unit, provenance };
}
