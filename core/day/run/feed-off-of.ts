import type { DayFact } from "#core/day/run/day-fact.ts";

/**
 * When a lot's feed was pulled, as it was tapped last; undefined where no one did. A tap that names no pen is about all of
 * them, one that does about the lots with birds in that pen.
 */
export function feedOffOf(
  facts: readonly DayFact[],
  { pens, batchName }: { readonly pens: readonly string[]; readonly batchName: string },
): number | undefined {
  return facts.findLast(
    ({ kind, note }) => kind === "feed-off" && (note === "" || note === batchName || pens.includes(note)),
  )?.at;
}
