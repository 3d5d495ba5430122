import { z } from "zod";

export type Answer = Readonly<Record<string, unknown>>;
/** Checks the inputs of a case and works it out. @throws {ZodError} or {RangeError} on inputs that make no sense. */
export type Model = (inputs: unknown) => Answer;

/** A model whose inputs are checked by a schema. */
export function model<Schema extends z.ZodType>(
  schema: Schema,
  run: (inputs: z.output<Schema>) => Answer,
): Model {
  return (inputs) => run(schema.parse(inputs));
}

/** Most inputs are plain numbers. */
export const number = z.number();
