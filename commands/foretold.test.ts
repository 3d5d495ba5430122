import { expect, test } from "vitest";
import { farmMeans, placeOf } from "#app/server/farm/farm-means.server.ts";
import { planForDate } from "#core/day/plan/plan-for-date.ts";
import { runProgress } from "#core/day/run/run-progress.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";

const file = openFarmFile(":memory:");
makeDemoFarm(file);
const farm = file.farm()!;
const helpers = file.people.people();

test.each(["2026-06-20", "2026-06-27"])(
  "the demo's day of %s ended inside the eight in ten that would have been foretold without any history",
  (processedOn) => {
    const day = file.days().find((one) => one.processedOn === processedOn)!;
    const [lot] = day.lots;
    const batch = file.batch(lot!.batchId)!;
    const { line } = planForDate(
      {
        batches: [
          {
            batchId: batch.id,
            name: batch.name,
            aliveBirds: lot!.birds,
            pens: [],
            flock: { kind: batch.kind, maleShare: 0.5, hatchedOn: batch.hatchedOn, weighings: [] },
          },
        ],
        means: farmMeans(farm),
        helpers,
        iceBagsInStock: undefined,
        place: placeOf(farm),
        timeZone: farm.timeZone,
      },
      processedOn,
      day,
    ).plan;
    const { lastBirdAt } = runProgress(file.run.facts(day.id), lot!.birds, day.startAt);
    expect(lastBirdAt).toBeGreaterThan(line.oneInTenAt.value);
    expect(lastBirdAt).toBeLessThan(line.nineInTenAt.value);
    // A range that nothing could fall outside of would be no answer: with days that spread by 0.25 (sd of ln) it is about
    // exp(1.28 x 0.25) - exp(-1.28 x 0.25), or 0.65, of the line's length.
    expect(line.nineInTenAt.value - line.oneInTenAt.value).toBeLessThan(0.7 * line.lineMinutes * 60_000);
  },
);
