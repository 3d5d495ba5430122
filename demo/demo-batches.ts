import { flockOn } from "#core/growth/flock-forecast.ts";
import { milligramsFromPounds } from "#core/quantity/conversion.ts";
import type { NewBatch } from "#db/batch/batch-queries.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import { asPoundsAndOunces, type entryMaker, must } from "#demo/demo-file.ts";
import { drawsFrom } from "#demo/draws.ts";

interface BatchHistory {
  /** Written down on this day; on that of the hatch if absent. */
  readonly madeOn?: string;
  readonly batch: NewBatch;
  readonly losses: readonly [day: string, birds: number, cause: string][];
  readonly feed: readonly [day: string, bags: number, priceCents: number][];
  readonly bagsLeft: readonly [day: string, bags: number] | undefined;
  readonly costs: readonly [day: string, what: string, cents: number][];
  readonly notes?: readonly [day: string, kind: "note" | "vaccine", note: string][];
  readonly moves?: readonly [day: string, birds: number, from: string, to: string][];
  /** How much more mixed they are than usual; 1 if absent. */
  readonly cvFactor?: number;
  /** Days of weighing, how many birds, and how they stand against the kind's curve. */
  readonly weighIns: readonly [day: string, birds: number, scale: number][];
}

const BAG = milligramsFromPounds(50);

const HISTORIES: readonly BatchHistory[] = [
  {
    batch: {
      name: "White 26-A",
      kind: "fast",
      maleSharePermille: 500,
      hatchedOn: "2026-04-21",
      orderedCount: 64,
      awaitedOn: undefined,
      arrivedCount: 66,
      chickCostCents: 17_024,
    },
    losses: [
      ["2026-04-24", 2, "brooder, the first nights"],
      ["2026-05-19", 1, "hawk"],
      ["2026-06-11", 1, "heat"],
    ],
    feed: [
      ["2026-04-20", 4, 1895],
      ["2026-05-16", 8, 1850],
      ["2026-06-05", 12, 1850],
    ],
    bagsLeft: ["2026-06-27", 1],
    costs: [
      ["2026-04-20", "bedding", 3800],
      ["2026-04-21", "vaccine", 1240],
      ["2026-05-12", "power for the brooder", 1460],
    ],
    weighIns: [
      ["2026-06-06", 10, 0.97],
      ["2026-06-13", 10, 0.98],
    ],
  },
  {
    batch: {
      name: "Cockerels 26-C",
      kind: "mature",
      maleSharePermille: 1000,
      hatchedOn: "2026-05-30",
      orderedCount: undefined,
      awaitedOn: undefined,
      arrivedCount: 27,
      chickCostCents: 0,
    },
    losses: [
      ["2026-06-03", 3, "weak at hatching"],
      ["2026-08-02", 1, "fox"],
    ],
    feed: [
      ["2026-06-01", 2, 1895],
      ["2026-08-01", 5, 1920],
    ],
    bagsLeft: undefined,
    costs: [["2026-06-01", "bedding", 1400]],
    notes: [["2026-09-10", "note", "from 3 to 6 lb, the small ones get pushed off"]],
    moves: [["2026-07-05", 23, "", "orchard"]],
    weighIns: [["2026-09-10", 8, 0.96]],
    cvFactor: 1.7,
  },
  {
    batch: {
      name: "Red 26-B",
      kind: "slow",
      maleSharePermille: 500,
      hatchedOn: "2026-06-27",
      orderedCount: 60,
      awaitedOn: undefined,
      arrivedCount: 61,
      chickCostCents: 17_340,
    },
    losses: [
      ["2026-06-29", 1, "chilled in the post"],
      ["2026-07-04", 1, "brooder"],
      ["2026-08-18", 1, "found dead after the heat"],
    ],
    feed: [
      ["2026-06-25", 3, 1920],
      ["2026-07-25", 7, 1920],
      ["2026-08-22", 12, 1895],
    ],
    bagsLeft: ["2026-09-16", 2.5],
    costs: [
      ["2026-06-25", "bedding", 3600],
      ["2026-06-27", "vaccine", 1150],
    ],
    notes: [
      ["2026-06-27", "vaccine", "at the hatchery, all of them"],
      ["2026-08-30", "note", "moved the waterer into the shade"],
    ],
    moves: [
      ["2026-07-24", 58, "", "east pen"],
      ["2026-08-15", 29, "east pen", "west pen"],
    ],
    weighIns: [
      ["2026-08-08", 10, 1.0],
      ["2026-08-22", 10, 1.02],
      ["2026-09-05", 10, 1.02],
      ["2026-09-12", 12, 1.03],
    ],
  },
  {
    batch: {
      name: "White 26-D",
      kind: "fast",
      maleSharePermille: 500,
      hatchedOn: "2026-09-21",
      orderedCount: 80,
      arrivedCount: 80,
      awaitedOn: "2026-09-22",
      chickCostCents: 20_640,
    },
    madeOn: "2026-09-02",
    losses: [],
    feed: [],
    bagsLeft: undefined,
    costs: [],
    weighIns: [],
  },
];

/** The farm's batches with all that was recorded of them until the demo begins. */
export function makeDemoBatches(file: FarmFile, entry: ReturnType<typeof entryMaker>): void {
  for (const history of HISTORIES) {
    must(file.addBatch(entry(history.madeOn ?? history.batch.hatchedOn), history.batch));
    const { id } = file.batches().find(({ name }) => name === history.batch.name)!;
    for (const [day, birdCount, cause] of history.losses)
      must(file.recordLoss(entry(day), id, { lostOn: day, birdCount, cause }));
    for (const [index, [day, bagCount, bagPriceCents]] of history.feed.entries()) {
      must(
        file.recordFeed(entry(day), id, {
          boughtOn: day,
          bagCount,
          bagMilligrams: BAG,
          bagPriceCents,
          feedKind: index === 0 ? "starter" : "grower",
        }),
      );
    }
    if (history.bagsLeft) {
      const [day, bags] = history.bagsLeft;
      must(file.recordFeedLeft(entry(day), id, { countedOn: day, leftMilligrams: Math.round(bags * BAG) }));
    }
    for (const [day, what, amountCents] of history.costs)
      must(file.recordCost(entry(day), id, { spentOn: day, what, amountCents }));
    for (const [day, kind, note] of history.notes ?? [])
      must(file.recordNote(entry(day), id, { notedOn: day, kind, note }));
    for (const [movedOn, birdCount, fromPen, toPen] of history.moves ?? [])
      must(file.recordPenMove(entry(movedOn), id, { movedOn, birdCount, fromPen, toPen }));
    weigh(file, entry, id, history);
  }
}

/** Birds as the kind's curve has them, each with its own luck. */
function weigh(
  file: FarmFile,
  entry: ReturnType<typeof entryMaker>,
  id: number,
  { batch, weighIns, cvFactor = 1 }: BatchHistory,
): void {
  const draws = drawsFrom(id);
  for (const [day, birds, scale] of weighIns) {
    const flock = {
      kind: batch.kind,
      maleShare: batch.maleSharePermille / 1000,
      hatchedOn: batch.hatchedOn,
      weighings: [],
    };
    const { live, cv } = flockOn(day, flock);
    const weighings = Array.from({ length: birds }, () => {
      const { milligrams, asTyped } = asPoundsAndOunces(
        live.value * scale * (1 + cvFactor * cv * draws.normal()),
      );
      return { weighedOn: day, liveWeightMilligrams: milligrams, asTyped };
    });
    must(file.recordWeighings(entry(day), id, weighings));
  }
}
