import { farWeights } from "#app/batches/growth/far-weights.server.ts";
import { type EnteredLine, usualBag } from "#app/batches/history/story-line.ts";
import { batchCostOf } from "#app/server/day/settlement-of.server.ts";
import { type FarmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { type Faults, faultsOf } from "#app/server/submitted.server.ts";
import { plural } from "#app/words/show.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Entry } from "#db/entry.server.ts";

/** Writes down one line of a flock's story, whatever it says; or says beside it why not. */
export function writeLine(
  here: FarmContext,
  entry: Entry,
  batch: Batch,
  day: string,
  said: EnteredLine,
  units: "us" | "metric",
): Faults | undefined {
  const file = here.file;
  const story = file.story(batch.id);
  const bag = story.feed.at(-1)?.bagMilligrams ?? usualBag(units);
  const inBags = (bags: number) => Math.round(bags * bag);
  const line = (text: string): Faults => ({ line: text });
  const alive = line(`Only ${plural(Math.max(0, batch.aliveCount), "bird")} left alive`);
  switch (said.kind) {
    case "loss":
      return faultsOf(
        file.recordLoss(entry, batch.id, {
          lostOn: day,
          birdCount: said.birds,
          cause: said.cause.slice(0, 200),
        }),
        {
          "more-than-alive": alive,
        },
      );
    case "weights": {
      const far = said.isSure
        ? undefined
        : farWeights(
            here,
            requireFarm(here),
            batch,
            day,
            said.weights.map(({ milligrams }) => milligrams),
          );
      if (far) return line(`${far} If it is right, add “sure” at the end`);
      const weighings = said.weights.map(({ milligrams, asTyped }) => ({
        weighedOn: day,
        liveWeightMilligrams: milligrams,
        asTyped,
      }));
      return faultsOf(file.recordWeighings(entry, batch.id, weighings), {});
    }
    case "feed":
      return faultsOf(
        file.recordFeed(entry, batch.id, {
          boughtOn: day,
          bagCount: said.bags,
          bagMilligrams: bag,
          bagPriceCents: said.bagCents,
          feedKind: said.feedKind,
        }),
        {},
      );
    case "opened":
      return faultsOf(file.recordFeedOpened(entry, batch.id, { openedOn: day, bagCount: said.bags }), {});
    case "left":
      return faultsOf(
        file.recordFeedLeft(entry, batch.id, { countedOn: day, leftMilligrams: inBags(said.bags) }),
        {
          "more-than-bought": line("That is more than was bought for this batch"),
        },
      );
    case "to-stock":
      return moveFeed(batch.id, undefined, said.bags);
    case "from-stock":
      return moveFeed(undefined, batch.id, said.bags);
    case "gave": {
      const to = file.batches().find(({ name }) => name.toLowerCase() === said.toName.toLowerCase());
      if (!to || to.id === batch.id) return line(`There is no other batch named ${said.toName}`);
      return moveFeed(batch.id, to.id, said.bags);
    }
    case "moved":
      if (said.fromPen === said.toPen) return line(`They are in ${said.toPen} already`);
      return faultsOf(
        file.recordPenMove(entry, batch.id, {
          movedOn: day,
          birdCount: said.birds,
          fromPen: said.fromPen,
          toPen: said.toPen,
        }),
        { "more-than-in-pen": line(penWords(here, batch, said.fromPen)) },
      );
    case "arrived":
      return faultsOf(file.recordArrival(entry, batch.id, { arrivedOn: day, arrivedCount: said.birds }), {
        "not-awaited": line("They have already arrived; nothing is on order"),
      });
    case "vaccine":
    case "note":
      return faultsOf(
        file.recordNote(entry, batch.id, { notedOn: day, kind: said.kind, note: said.note }),
        {},
      );
    case "cost":
      return faultsOf(
        file.recordCost(entry, batch.id, { spentOn: day, what: said.what, amountCents: said.cents }),
        {},
      );
  }

  function moveFeed(
    fromBatchId: number | undefined,
    toBatchId: number | undefined,
    bags: number,
  ): Faults | undefined {
    if (bags === 0) return line("Enter at least part of a bag to move");
    const movedMilligrams = inBags(bags);
    const amountCents = Math.round(meanPrice(fromBatchId) * movedMilligrams);
    return faultsOf(
      file.recordFeedMove(entry, { movedOn: day, fromBatchId, toBatchId, movedMilligrams, amountCents }),
      {
        "more-than-there": line(
          fromBatchId === undefined
            ? "There is not that much feed in stock"
            : "This batch does not have that much feed",
        ),
      },
    );
  }

  /** Cents a milligram of what is there. */
  function meanPrice(fromBatchId: number | undefined): number {
    if (fromBatchId === undefined) {
      const { milligrams, cents } = file.feedInStock();
      return milligrams > 0 ? cents / milligrams : 0;
    }
    const { feed } = batchCostOf({ ...batch, id: fromBatchId }, { ...file.story(fromBatchId), feedLeft: [] });
    return feed.kilograms > 0 ? feed.cents / (feed.kilograms * 1_000_000) : 0;
  }
}

function penWords(here: FarmContext, batch: Batch, fromPen: string): string {
  const pens = here.file.pens(batch.id);
  const list = pens.map(({ pen, birdCount }) => `${birdCount} in ${pen}`).join(", ");
  if (fromPen === "")
    return list === "" ? `Only ${batch.aliveCount} left alive` : `Name the pen they came from: ${list}`;
  return list === "" ? "They are not in a pen yet" : `There are not that many in ${fromPen}: ${list}`;
}
