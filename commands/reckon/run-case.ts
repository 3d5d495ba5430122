import { z } from "zod";
import { MODELS } from "#commands/reckon/models.ts";

export const Case = z.object({
  model: z.string(),
  title: z.string().default(""),
  inputs: z.record(z.string(), z.unknown()),
  expected: z.record(z.string(), z.unknown()),
  tolerance: z
    .object({ relative: z.number().nonnegative().default(0), absolute: z.number().nonnegative().default(0) })
    .prefault({}),
});
export type Case = z.output<typeof Case>;

export interface Outcome {
  readonly passed: boolean;
  /** One line: what was expected and what was got, or why it could not be calculated. */
  readonly line: string;
}

/** Runs one case of unknown shape; a case that makes no sense is an outcome that failed, never a crash. */
export function runCase(candidate: unknown, position: number): Outcome {
  const parsed = Case.safeParse(candidate);
  if (!parsed.success)
    return { passed: false, line: `FAIL case ${position}: not a case: ${problems(parsed.error)}` };
  const { model, title, inputs, expected, tolerance } = parsed.data;
  const name = `${model} (${title})`;
  const run = MODELS[model];
  if (!run) return { passed: false, line: `FAIL ${name}: this model is not built` };
  try {
    const got = run(inputs);
    const differing = differences(expected, got, tolerance);
    const numbers = `expected ${JSON.stringify(expected)} got ${JSON.stringify(got)}`;
    return differing.length === 0
      ? { passed: true, line: `pass ${name}: ${numbers}` }
      : { passed: false, line: `FAIL ${name}: ${differing.join("; ")}: ${numbers}` };
  } catch (error) {
    if (error instanceof z.ZodError)
      return { passed: false, line: `FAIL ${name}: bad input: ${problems(error)}` };
    if (error instanceof RangeError)
      return { passed: false, line: `FAIL ${name}: bad input: ${error.message}` };
    throw error;
  }
}

/** Where a got value is not the expected one: numbers within the tolerance, everything else exactly. */
function differences(expected: unknown, got: unknown, tolerance: Case["tolerance"], path = ""): string[] {
  if (typeof expected === "number" && typeof got === "number") {
    const allowed = tolerance.relative * Math.abs(expected) + tolerance.absolute;
    return Math.abs(expected - got) <= allowed ? [] : [`${path} is ${got}, not ${expected}`];
  }
  if (isObject(expected) && isObject(got)) {
    const keys = new Set([...Object.keys(expected), ...Object.keys(got)]);
    return [...keys].flatMap((key) =>
      differences(expected[key], got[key], tolerance, path ? `${path}.${key}` : key),
    );
  }
  return Object.is(expected, got)
    ? []
    : [`${path} is ${JSON.stringify(got)}, not ${JSON.stringify(expected)}`];
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null;
}

function problems(error: z.ZodError): string {
  return error.issues.map(({ path, message }) => `${path.join(".") || "it"}: ${message}`).join("; ");
}
