import { afterEach, beforeEach } from "vitest";
import type { DatedChoices } from "#db/day/day-queries.server.ts";
import { USUAL_DAY, USUAL_LOT } from "#db/day/usual-day.ts";
import type { Entry } from "#db/entry.server.ts";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";

let number = 0;
/** Another thing to be kept. */
export const entry = (): Entry => ({ entryId: `entry-${++number}-of-tests`, at: 1_000 });

/** A file that is thrown away, anew for each test. */
export function fileForEachTest(): () => FarmFile {
  let file: FarmFile;
  beforeEach(() => {
    file = openFarmFile(":memory:");
  });
  afterEach(() => file.close());
  return () => file;
}

export const BATCH = {
  name: "White 1",
  kind: "fast",
  maleSharePermille: 500,
  hatchedOn: "2026-04-21",
  orderedCount: 20,
  awaitedOn: undefined,
  arrivedCount: 22,
  chickCostCents: 5000,
} as const;

export const CHOICES: DatedChoices = {
  processedOn: "2026-06-20",
  startAt: Date.UTC(2026, 5, 20, 11),
  lots: [{ ...USUAL_LOT, batchId: 1, birds: 10, cutUp: 2 }],
  people: 3,
  cones: 3,
  tablePlaces: 2,
  breakMinutes: 30,
  ...USUAL_DAY,
};

/** The same day with another count of birds. */
export const choicesOfBirds = (birds: number, batchId = 1): Pick<DatedChoices, "lots"> => ({
  lots: [{ ...CHOICES.lots[0]!, batchId, birds }],
});

/** A bird of the first day's first lot. */
export const CARCASS = {
  lotId: 1,
  birdNumber: 1,
  purpose: "sale",
  weightMilligrams: 2_075_185,
  asTyped: "4 9.2",
  reason: "",
  placeId: undefined,
} as const;

/** A day settled by its log and what was expected. */
export const NOTHING_SAID = { workMinutes: undefined, packingMinutes: undefined, live: [] } as const;

/** A hundred for 4.80. */
export const TIES = {
  name: "Ties",
  kind: "tie",
  mostMilligrams: undefined,
  packAmount: 100,
  packCents: 480,
} as const;
