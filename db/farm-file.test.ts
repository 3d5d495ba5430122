import { describe, expect, test } from "vitest";
import type { DatedChoices, KeptPlan } from "#db/day/day-queries.server.ts";
import {
  BATCH,
  CARCASS,
  CHOICES,
  choicesOfBirds,
  entry,
  fileForEachTest,
  NOTHING_SAID,
} from "#db/file-of-tests.ts";

const file = fileForEachTest();
const KEPT: KeptPlan = {
  keptAt: 1,
  birdCount: 10,
  startAt: 1,
  likelyAt: 2,
  wholeDayMinutes: 240,
  iceBagCount: 3,
  lots: [
    {
      lotId: 1,
      birdCount: 10,
      feedOffAt: 0,
      liveMeanMilligrams: 3_000_000,
      dressedMeanMilligrams: 2_000_000,
    },
  ],
};

const seen = (seenRevision: number) => ({ seenRevision, timeZone: "UTC", at: 2 });

function batchId(): number {
  file().addBatch(entry(), BATCH);
  return file().batches()[0]!.id;
}
function dayId(change: Partial<DatedChoices> = {}, batch = batchId()): number {
  const set = entry();
  const lots = CHOICES.lots.map((lot) => ({ ...lot, batchId: batch }));
  file().addDay(set, "America/New_York", { ...CHOICES, lots, ...change });
  return file().dayOfEntry(set.entryId)!;
}

describe("an entry", () => {
  test("sent again is kept once, and something else under its id is refused", () => {
    const sent = entry();
    expect(file().addBatch(sent, BATCH)).toEqual({ recorded: true, isRepeat: false });
    expect(file().addBatch(sent, BATCH)).toEqual({ recorded: true, isRepeat: true });
    expect(file().addBatch(sent, { ...BATCH, name: "White 2" })).toEqual({
      recorded: false,
      reason: "entry-used",
    });
    expect(file().batches()).toHaveLength(1);
  });

  test("that is refused leaves nothing behind, and may be sent again once it is right", () => {
    const batch = batchId();
    const sent = entry();
    const loss = { lostOn: "2026-05-01", birdCount: 23, cause: "" };
    expect(file().recordLoss(sent, batch, loss)).toEqual({ recorded: false, reason: "more-than-alive" });
    expect(file().recordLoss(sent, batch, { ...loss, birdCount: 2 })).toEqual({
      recorded: true,
      isRepeat: false,
    });
    expect(file().batch(batch)?.aliveCount).toBe(20);
  });

  test("taken back is left out of every sum, and stays in the file", () => {
    const batch = batchId();
    const lost = entry();
    file().recordLoss(lost, batch, { lostOn: "2026-05-01", birdCount: 3, cause: "hawk" });
    expect(file().removeFact(lost.entryId, 2_000)).toBe("taken-back");
    expect(file().removeFact(lost.entryId, 3_000)).toBe("taken-back");
    expect(file().batch(batch)).toMatchObject({ aliveCount: 22, lostCount: 0 });
    expect(file().recordLoss(lost, batch, { lostOn: "2026-05-01", birdCount: 3, cause: "hawk" })).toEqual({
      recorded: true,
      isRepeat: true,
    });
  });

  test("of a tap, a bird, a batch or a settlement can't be taken back as if it stood alone", () => {
    const day = dayId();
    const tap = entry();
    file().run.record(tap, day, { kind: "bird", at: 1, note: "" });
    expect(file().removeFact(tap.entryId, 2_000)).toBe("not-a-fact");
    expect(file().removeFact("never-was-there", 2_000)).toBe("not-a-fact");
    expect(file().run.facts(day)).toHaveLength(1);
  });
});

describe("birds are counted", () => {
  test("alive, free and set aside, whatever day asks", () => {
    const batch = batchId();
    const first = dayId({}, batch);
    expect(file().freeForDay(batch)).toBe(12);
    expect(file().freeForDay(batch, first)).toBe(22);
    expect(file().addDay(entry(), "UTC", { ...CHOICES, ...choicesOfBirds(13) })).toEqual({
      recorded: false,
      reason: "more-than-alive",
    });
    dayId(choicesOfBirds(12), batch);
    expect(file().freeForDay(batch)).toBe(0);
  });

  test("as dressed once a day is settled, however many were planned", () => {
    const batch = batchId();
    const day = dayId({}, batch);
    for (let bird = 1; bird <= 8; bird += 1)
      file().pack.recordCarcass(entry(), day, { ...CARCASS, birdNumber: bird });
    expect(file().batch(batch)?.aliveCount).toBe(14);
    expect(file().freeForDay(batch)).toBe(12);
    file().settling.settle(entry(), day, NOTHING_SAID);
    expect(file().freeForDay(batch)).toBe(14);
  });
});

describe("a day", () => {
  test("is changed only from the revision that was seen", () => {
    const day = dayId();
    expect(file().changeDay(day, seen(1), { ...CHOICES, people: 5 })).toBe("saved");
    expect(file().changeDay(day, seen(1), { ...CHOICES, people: 6 })).toBe("changed-meanwhile");
    expect(file().day(day)?.people).toBe(5);
    expect(file().changeDay(day, seen(2), { ...CHOICES, ...choicesOfBirds(23) })).toBe("more-than-alive");
  });

  test("keeps the plan as it stood at its first start, and counts a repeated tap once", () => {
    const day = dayId();
    const tap = entry();
    file().run.start(entry(), day, { kind: "start", at: 5 }, KEPT);
    file().run.start(entry(), day, { kind: "start", at: 6 }, { ...KEPT, iceBagCount: 9 });
    for (const at of [7, 8]) file().run.record(tap, day, { kind: "bird", at, note: "" });
    expect(file().keptPlan(day)?.iceBagCount).toBe(3);
    expect(
      file()
        .run.facts(day)
        .filter(({ kind }) => kind === "bird"),
    ).toHaveLength(1);
  });

  test("that is settled takes no more taps, birds or costs until it is opened again", () => {
    const day = dayId();
    expect(
      file().settling.settle(entry(), day, { workMinutes: 60, packingMinutes: undefined, live: [] }),
    ).toEqual({
      recorded: false,
      reason: "nothing-packed",
    });
    const packed = entry();
    file().pack.recordCarcass(packed, day, CARCASS);
    file().settling.settle(entry(), day, { workMinutes: 60, packingMinutes: undefined, live: [] });
    const refused = { recorded: false, reason: "day-settled" };
    expect(file().run.record(entry(), day, { kind: "bird", at: 9, note: "" })).toEqual(refused);
    expect(file().pack.recordCarcass(entry(), day, { ...CARCASS, birdNumber: 2 })).toEqual(refused);
    expect(file().settling.addCost(entry(), day, { what: "ice", amountCents: 100 })).toEqual(refused);
    expect(file().pack.remove(day, packed.entryId, 10)).toBe("day-settled");
    file().settling.reopen(day, 11);
    expect(file().pack.remove(day, packed.entryId, 12)).toBe("taken-back");
    expect(file().pack.carcasses(day)).toEqual([]);
  });

  test("has each bird once, and gives its number back when it is taken back", () => {
    const day = dayId();
    const first = entry();
    file().pack.recordCarcass(first, day, CARCASS);
    expect(file().pack.recordCarcass(entry(), day, CARCASS)).toEqual({
      recorded: false,
      reason: "bird-already-packed",
    });
    file().pack.remove(day, first.entryId, 5);
    expect(file().pack.recordCarcass(entry(), day, CARCASS)).toEqual({ recorded: true, isRepeat: false });
    expect(file().pack.carcasses(day)[0]).toMatchObject({ weightMilligrams: 2_075_185, asTyped: "4 9.2" });
  });
});

describe("the file refuses what is never true", () => {
  test.each([
    ["a condemned bird without a reason", { purpose: "condemned", reason: "", weightMilligrams: undefined }],
    ["a bird for sale without a weight", { weightMilligrams: undefined }],
    ["a bird of 46 lb", { weightMilligrams: 20_865_249 }],
    ["a bird of no weight", { weightMilligrams: 0 }],
    ["half a milligram", { weightMilligrams: 2_000_000.5 }],
  ] as const)("%s", (_, change) => {
    const day = dayId();
    expect(() => file().pack.recordCarcass(entry(), day, { ...CARCASS, ...change })).toThrow(
      expect.objectContaining({ code: expect.stringMatching(/^SQLITE_CONSTRAINT/) }),
    );
    expect(file().pack.carcasses(day)).toEqual([]);
  });

  test("a day that is not in the calendar, and a bird of no batch", () => {
    expect(() => file().addBatch(entry(), { ...BATCH, hatchedOn: "2026-02-30" })).toThrow(
      expect.objectContaining({ code: "SQLITE_CONSTRAINT_CHECK" }),
    );
    expect(() =>
      file().recordCost(entry(), 99, { spentOn: "2026-05-01", what: "bedding", amountCents: 1 }),
    ).toThrow(expect.objectContaining({ code: "SQLITE_CONSTRAINT_FOREIGNKEY" }));
  });

  test("half of a list of weights", () => {
    const batch = batchId();
    const weighing = { weighedOn: "2026-06-01", liveWeightMilligrams: 2_900_000, asTyped: "2.9 kg" };
    expect(() =>
      file().recordWeighings(entry(), batch, [weighing, { ...weighing, liveWeightMilligrams: 99_000_000 }]),
    ).toThrow();
    expect(file().story(batch).weighings).toEqual([]);
  });
});

test("a bird leaves its store once", () => {
  const day = dayId();
  file().pack.recordCarcass(entry(), day, CARCASS);
  const [bird] = file().freezers.stored();
  const out = { outOn: "2026-07-01", how: "sold" } as const;
  expect(file().freezers.takeOut(entry(), [bird!.id], out).recorded).toBe(true);
  expect(file().freezers.takeOut(entry(), [bird!.id], out)).toEqual({
    recorded: false,
    reason: "not-in-store",
  });
  expect(file().freezers.stored()).toEqual([]);
});

test("what is stored is what was packed, less condemned, less left, less taken back, in whatever order it happened", () => {
  const day = dayId();
  const packed = Array.from({ length: 5 }, entry);
  packed.forEach((one, index) => {
    const condemned = { purpose: "condemned", reason: "sores" } as const;
    file().pack.recordCarcass(one, day, { ...CARCASS, birdNumber: index + 1, ...(index === 4 && condemned) });
  });
  const stored = () =>
    file()
      .freezers.stored()
      .map(({ birdNumber }) => birdNumber);
  expect(stored()).toEqual([1, 2, 3, 4]);
  const [first, second] = file().freezers.stored();
  const outs = [entry(), entry()];
  file().freezers.takeOut(outs[0]!, [first!.id], { outOn: "2026-07-01", how: "eaten" });
  file().freezers.takeOut(outs[1]!, [second!.id], { outOn: "2026-07-01", how: "sold" });
  expect(stored()).toEqual([3, 4]);
  file().removeFact(outs[0]!.entryId, 5);
  expect(stored()).toEqual([1, 3, 4]);
  file().pack.remove(day, packed[2]!.entryId, 6);
  file().pack.remove(day, packed[1]!.entryId, 7);
  file().removeFact(outs[1]!.entryId, 8);
  expect(stored()).toEqual([1, 4]);
});
