import { z } from "zod";
import { weight } from "#app/ui/read/read-measure.ts";
import { LIVE_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import type { Milligrams } from "#core/quantity/quantity.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

export interface TypedWeight {
  readonly weight: Milligrams;
  readonly asTyped: string;
}

export interface WeightLines {
  readonly weights: readonly TypedWeight[];
  /** What is wrong, each line named by its bird and its words. */
  readonly faults: readonly string[];
}

/** Most birds that one weigh-in takes. */
const MOST_WEIGHTS = 200;

const MOST_CHARACTERS_KEPT = 40;

/** Live weights, one a line, or several on a line with a semicolon between. Lines that are weights are read whatever the others are. */
export function readWeightLines(text: string, unitSystem: UnitSystem): WeightLines {
  const one = weight({
    unitSystem,
    ask: "One line is empty. Delete it, or enter a weight",
    range: LIVE_RANGE_KILOGRAMS,
    what: "a live chicken",
  });
  const lines = text
    .split(/[\n;]+/)
    .map((line) => line.trim())
    .filter(Boolean);
  if (lines.length > MOST_WEIGHTS) {
    return { weights: [], faults: [`At most ${MOST_WEIGHTS} birds at a time; you entered ${lines.length}`] };
  }
  const weights: TypedWeight[] = [];
  const faults: string[] = [];
  lines.forEach((line, index) => {
    const asTyped = line.slice(0, MOST_CHARACTERS_KEPT);
    const read = one.safeParse(line);
    if (read.success) weights.push({ weight: read.data, asTyped });
    else faults.push(`Bird ${index + 1}, “${asTyped}”: ${read.error.issues[0]!.message}`);
  });
  return { weights, faults };
}

/** The field of a weigh-in: every line has to be a weight. */
export function weightLines(unitSystem: UnitSystem) {
  return z
    .string()
    .default("")
    .transform((text, context) => {
      const { weights, faults } = readWeightLines(text, unitSystem);
      const asked = weights.length + faults.length === 0 ? ["Enter the weight of at least one bird"] : faults;
      for (const message of asked) context.addIssue({ code: "custom", message });
      return weights;
    });
}
