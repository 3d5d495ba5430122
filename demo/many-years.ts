import { addDays } from "#core/calendar/local-day.ts";
import { USUAL_DAY, USUAL_LOT } from "#db/day/usual-day.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import { asPoundsAndOunces, at, DEMO_ZONE, entryMaker, must } from "#demo/demo-file.ts";
import { drawsFrom } from "#demo/draws.ts";

const BIRDS_A_DAY = 200;
const FIRST_DAY = "2006-05-01";

/** Years of made-up days, every bird tapped, weighed and gone but those of the last day; for measuring speed. */
export function fillYears(file: FarmFile, years: number, birdsAYear: number): void {
  const draws = drawsFrom(years);
  const entry = entryMaker("years");
  const daysAYear = Math.ceil(birdsAYear / BIRDS_A_DAY);
  file.together(() => {
    for (let number = 0; number < years * daysAYear; number += 1) {
      const day = addDays(FIRST_DAY, Math.floor((number * 365) / daysAYear));
      addDay({ file, entry, draws }, number, day);
      // The last day is left open: a season always has one to come.
      if (number < years * daysAYear - 1) settleDay({ file, entry, draws }, number + 1, day);
    }
  });
}

interface Filling {
  readonly file: FarmFile;
  readonly entry: ReturnType<typeof entryMaker>;
  readonly draws: ReturnType<typeof drawsFrom>;
}

/** A batch, its one day, and its birds, tapped and weighed. */
function addDay({ file, entry, draws }: Filling, number: number, day: string): void {
  must(
    file.addBatch(entry(day), {
      name: `Batch ${number}`,
      kind: "fast",
      maleSharePermille: 500,
      hatchedOn: addDays(day, -56),
      orderedCount: undefined,
      awaitedOn: undefined,
      arrivedCount: BIRDS_A_DAY,
      chickCostCents: 40_000,
    }),
  );
  const startAt = at(day, "07:00");
  const batchId = number + 1;
  const lots = [{ ...USUAL_LOT, batchId, birds: BIRDS_A_DAY }];
  must(file.addDay(entry(day), DEMO_ZONE, { ...CHOICES, lots, processedOn: day, startAt }));
  // Batches, days and lots are numbered alike: each batch has one day, and each day one lot.
  const dayId = batchId;
  for (let bird = 1; bird <= BIRDS_A_DAY; bird += 1) {
    must(file.run.record(entry(day), dayId, { kind: "bird", at: startAt + bird * 90_000, note: "" }));
    const { milligrams, asTyped } = asPoundsAndOunces(2.3 * (1 + 0.13 * draws.normal()));
    must(
      file.pack.recordCarcass(entry(day), dayId, {
        lotId: dayId,
        birdNumber: bird,
        purpose: "sale",
        weightMilligrams: milligrams,
        asTyped,
        reason: "",
        placeId: undefined,
      }),
    );
  }
}

const CHOICES = {
  people: 6,
  cones: 8,
  tablePlaces: 4,
  breakMinutes: 60,
  ...USUAL_DAY,
} as const;

function settleDay({ file, entry }: Filling, dayId: number, day: string): void {
  must(file.settling.settle(entry(day), dayId, { workMinutes: 2880, packingMinutes: undefined, live: [] }));
  for (const { id } of file.pack.carcasses(dayId))
    must(file.freezers.takeOut(entry(day), [id], { outOn: addDays(day, 30), how: "sold" }));
}
