import { sum } from "d3-array";
import { plural, type Show } from "#app/words/show.ts";
import { birdsByPen } from "#core/growth/birds-by-pen.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";

/** Something in a batch's story that can't be: what it rests on was removed, or was never recorded. */
export type StorySlip =
  | { readonly what: "birds"; readonly count: number }
  | { readonly what: "pen"; readonly pen: string; readonly count: number }
  | { readonly what: "feed"; readonly milligrams: number };

/** What does not add up in a batch's story; nothing of it is refused, since a line is put right by taking it back first. */
export function storySlips(
  { id, aliveCount }: Pick<Batch, "id" | "aliveCount">,
  { penMoves, feed, feedMoved, feedLeft }: Pick<BatchStory, "penMoves" | "feed" | "feedMoved" | "feedLeft">,
): StorySlip[] {
  const came = sum(feed, (purchase) => purchase.bagCount * purchase.bagMilligrams);
  const moved = feedMoved.reduce(
    (sum, { toBatchId, movedMilligrams }) => sum + (toBatchId === id ? 1 : -1) * movedMilligrams,
    0,
  );
  const feedOver = (feedLeft.at(-1)?.leftMilligrams ?? 0) - came - moved;
  return [
    ...(aliveCount < 0 ? [{ what: "birds" as const, count: -aliveCount }] : []),
    ...[...birdsByPen(penMoves)]
      .filter(([, count]) => count < 0)
      .map(([pen, count]) => ({ what: "pen" as const, pen, count: -count })),
    ...(feedOver > 0 ? [{ what: "feed" as const, milligrams: feedOver }] : []),
  ];
}

export function slipInWords(slip: StorySlip, show: Show): string {
  switch (slip.what) {
    case "birds":
      return `${plural(slip.count, "bird")} more lost or processed than arrived.`;
    case "pen":
      return `${plural(slip.count, "bird")} more moved out of ${slip.pen} than into it.`;
    case "feed":
      return `${show.bulk(slip.milligrams)} more feed was used or is left than was bought.`;
  }
}
