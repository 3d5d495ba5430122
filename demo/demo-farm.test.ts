import { afterAll, expect, test } from "vitest";
import { runProgress } from "#core/day/run/run-progress.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";

const file = openFarmFile(":memory:");
makeDemoFarm(file);
afterAll(() => file.close());

const batch = (name: string) => file.batches().find((one) => one.name === name)!;
const dayOn = (processedOn: string) => file.days().find((day) => day.processedOn === processedOn)!;

test("its batches hang together: arrived, lost, dressed and alive", () => {
  expect(batch("White 26-A")).toMatchObject({
    orderedCount: 64,
    arrivedCount: 66,
    lostCount: 4,
    aliveCount: 0,
  });
  expect(batch("Red 26-B")).toMatchObject({ arrivedCount: 61, lostCount: 3, aliveCount: 58 });
  expect(batch("Cockerels 26-C").aliveCount).toBe(23);
});

test("feed left is never more than was bought, and nothing happens before its batch hatches but buying", () => {
  for (const { id, hatchedOn } of file.batches()) {
    const { feed, feedLeft, losses, weighings } = file.story(id);
    const bought = feed.reduce((sum, purchase) => sum + purchase.bagCount * purchase.bagMilligrams, 0);
    expect(feedLeft.at(-1)?.leftMilligrams ?? 0).toBeLessThanOrEqual(bought);
    expect(losses.every(({ lostOn }) => lostOn >= hatchedOn)).toBe(true);
    expect(weighings.every(({ weighedOn }) => weighedOn > hatchedOn && weighedOn < "2026-09-17")).toBe(true);
  }
});

test.each([
  ["2026-06-20", 270, 370],
  ["2026-06-27", 245, 280],
])(
  "on %s a plan of %d minutes took %d with set-up and clean-up, and every bird was weighed",
  (processedOn, planned, took) => {
    const day = dayOn(processedOn);
    const { startedAt, finishedAt, done } = runProgress(file.run.facts(day.id), birdsOf(day), day.startAt);
    expect(done).toBe(31);
    expect(file.pack.carcasses(day.id)).toHaveLength(31);
    expect(file.keptPlan(day.id)?.wholeDayMinutes).toBe(planned);
    expect((finishedAt! - startedAt!) / 60_000 + 120).toBe(took);
    expect(day.settledEntryId).not.toBeNull();
  },
);

test("the next day is planned for all of the reds, and is open", () => {
  expect(dayOn("2026-09-19")).toMatchObject({
    settledEntryId: undefined,
    lots: [{ batchId: batch("Red 26-B").id, birds: 58 }],
  });
  expect(file.freeForDay(batch("Red 26-B").id)).toBe(0);
});

test("what lies in the stores was packed and fits", () => {
  for (const place of file.places()) {
    const lying = file.freezers.stored().filter((bird) => bird.placeId === place.id);
    expect(lying.length).toBeLessThanOrEqual(place.capacityCount);
  }
  expect(file.books.pastBatches()).toHaveLength(2);
});

test("it is the same farm every time it is made", () => {
  const again = openFarmFile(":memory:");
  makeDemoFarm(again);
  expect(again.freezers.stored()).toEqual(file.freezers.stored());
  expect(again.pack.carcasses(1)).toEqual(file.pack.carcasses(1));
  again.close();
});
