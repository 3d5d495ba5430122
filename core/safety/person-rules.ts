/** What somebody may not do on the line. */
export interface PersonRules {
  readonly usesKnives: boolean;
  readonly scalds: boolean;
  readonly lifts: boolean;
  /** Years; undefined where nobody said. */
  readonly age: number | undefined;
}

export const NO_RULES: PersonRules = { usesKnives: true, scalds: true, lifts: true, age: undefined };

/** Younger than this nobody is put at blades, hot water or the plucker. Our caution; local law may ask for more. See docs/sources.md#people. */
export const LEAST_AGE = 16;

export type RuleBroken = "no knives" | "no scald" | "no lifting" | "too young";

type Work = "cones" | "scald" | "pluck" | "pins" | "gut" | "rinse" | "giblets" | "pack" | "cut" | "seal";

const KNIVES: readonly Work[] = ["cones", "gut", "giblets", "cut"];
const HEAVY: readonly Work[] = ["cones", "scald", "pluck"];
const NOT_FOR_CHILDREN: readonly Work[] = ["cones", "scald", "pluck", "gut", "giblets", "cut"];

/**
 * The rule that keeps somebody from a station; undefined where none does. Feet and heads at the pins come off at the
 * joint and count as no knife's work: a child may pin, rinse, pack and seal.
 */
export function ruleAgainst(rules: PersonRules, station: Work): RuleBroken | undefined {
  if (rules.age !== undefined && rules.age < LEAST_AGE && NOT_FOR_CHILDREN.includes(station))
    return "too young";
  if (!rules.usesKnives && KNIVES.includes(station)) return "no knives";
  if (!rules.scalds && station === "scald") return "no scald";
  if (!rules.lifts && HEAVY.includes(station)) return "no lifting";
  return undefined;
}
