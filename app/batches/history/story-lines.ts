import { sum } from "d3-array";
import { plural, type Show } from "#app/words/show.ts";
import type { WhichBirds } from "#core/growth/flock.ts";
import type { Batch, BatchStory, BatchWeighing } from "#db/batch/batch-queries.server.ts";

/** One line of a batch's story. Lines with an entry can be removed. */
export interface StoryLine {
  readonly day: string;
  readonly text: string;
  readonly more?: string;
  readonly entryId?: string;
}

/** A day that took some, or is to take some. */
export interface TakenDay {
  readonly processedOn: string;
  readonly birdCount: number;
  readonly whichBirds: WhichBirds;
  readonly settledEntryId: string | undefined;
}

/** All that was recorded of a batch, the newest first. */
export function storyLines(
  batch: Batch,
  story: BatchStory,
  show: Show,
  days: readonly TakenDay[] = [],
): StoryLine[] {
  const lines: StoryLine[] = [
    firstLine(batch, story, show),
    ...story.arrivals.map(({ arrivedOn, arrivedCount, entryId }) => ({
      day: arrivedOn,
      text: `${plural(arrivedCount, "bird")} arrived`,
      ...(batch.orderedCount !== undefined && { more: againstOrder(arrivedCount, batch.orderedCount) }),
      entryId,
    })),
    ...story.notes.map(({ notedOn, kind, note, entryId }) => ({
      day: notedOn,
      text: kind === "vaccine" ? "Vaccinated" : note,
      ...(kind === "vaccine" && note && { more: note }),
      entryId,
    })),
    ...story.penMoves.map(({ movedOn, birdCount, fromPen, toPen, entryId }) => ({
      day: movedOn,
      text:
        fromPen === ""
          ? `${plural(birdCount, "bird")} moved out to ${toPen}`
          : `${plural(birdCount, "bird")} moved to ${toPen}`,
      ...(fromPen !== "" && { more: `from ${fromPen}` }),
      entryId,
    })),
    ...story.feedOpened.map(({ openedOn, bagCount, entryId }) => ({
      day: openedOn,
      text: `${plural(bagCount, "bag")} opened`,
      entryId,
    })),
    ...story.feedMoved.map(({ movedOn, fromBatchId, toBatchId, movedMilligrams, amountCents, entryId }) => ({
      day: movedOn,
      text: `${show.bulk(movedMilligrams)} of feed ${feedWay(batch.id, fromBatchId, toBatchId)}`,
      more: `${show.money(amountCents)} of its cost moved`,
      entryId,
    })),
    ...story.losses.map((loss) => ({
      day: loss.lostOn,
      text: `${plural(loss.birdCount, "bird")} lost`,
      ...(loss.cause && { more: loss.cause }),
      entryId: loss.entryId,
    })),
    ...story.feed.map((purchase) => ({
      day: purchase.boughtOn,
      text: `${plural(purchase.bagCount, "bag")} of feed bought`,
      more: `${purchase.feedKind ? `${purchase.feedKind}, ` : ""}${show.bulk(purchase.bagMilligrams)} a bag at ${show.money(purchase.bagPriceCents)}`,
      entryId: purchase.entryId,
    })),
    ...story.feedLeft.map((left) => ({
      day: left.countedOn,
      text: `${show.bulk(left.leftMilligrams)} of feed left`,
      more: "counted as stock, not as this batch's cost",
      entryId: left.entryId,
    })),
    ...story.costs.map((cost) => ({
      day: cost.spentOn,
      text: `${cost.what}, ${show.money(cost.amountCents)}`,
      entryId: cost.entryId,
    })),
    ...weighIns(story.weighings, show),
    ...days.map(({ processedOn, birdCount, whichBirds, settledEntryId }) => ({
      day: processedOn,
      text: settledEntryId
        ? `${plural(birdCount, "bird")} taken`
        : `${plural(birdCount, "bird")} scheduled for processing`,
      ...(whichBirds === "biggest" && { more: "largest birds" }),
    })),
  ];
  return lines.toSorted((one, other) => (one.day === other.day ? 0 : one.day < other.day ? 1 : -1));
}

function firstLine(batch: Batch, story: BatchStory, show: Show): StoryLine {
  const more = `chicks ${show.money(batch.chickCostCents)}`;
  if (batch.awaitedOn !== undefined)
    return {
      day: batch.awaitedOn,
      text: `${plural(batch.orderedCount ?? batch.arrivedCount, "chick")} on order, due on this date`,
      more,
    };
  if (story.arrivals.length > 0)
    return {
      day: batch.hatchedOn,
      text: `Hatched; ${plural(batch.orderedCount ?? 0, "chick")} ordered`,
      more,
    };
  const ordered = batch.orderedCount === undefined ? "" : ` of ${batch.orderedCount} ordered`;
  return {
    day: batch.hatchedOn,
    text: `Hatched; ${plural(batch.arrivedCount, "bird")} arrived${ordered}`,
    more,
  };
}

function againstOrder(arrived: number, ordered: number): string {
  if (arrived === ordered) return "as ordered";
  return arrived > ordered ? `${arrived - ordered} over` : `${ordered - arrived} short`;
}

function feedWay(batchId: number, from: number | undefined, to: number | undefined): string {
  if (from === batchId) return to === undefined ? "into stock" : "given to another batch";
  return from === undefined ? "out of stock" : "from another batch";
}

/** Weights that were typed together make one line. */
function weighIns(weighings: readonly BatchWeighing[], show: Show): StoryLine[] {
  const entryIds = [...new Set(weighings.map((weighing) => weighing.entryId))];
  return entryIds.map((entryId) => {
    const together = weighings.filter((weighing) => weighing.entryId === entryId);
    const weights = together.map((weighing) => weighing.liveWeightMilligrams);
    const mean = sum(weights) / weights.length;
    return {
      day: together[0]!.weighedOn,
      text: `${plural(weights.length, "bird")} weighed, mean ${show.bird(mean)}`,
      more:
        weights.length > 1
          ? `from ${show.bird(Math.min(...weights))} to ${show.bird(Math.max(...weights))}`
          : `typed ${together[0]!.asTyped}`,
      entryId,
    };
  });
}
