import { afterEach, beforeEach, describe, expect, test } from "vitest";
import type { DayChoiceRow, KeptPlan } from "#db/day/day-queries.server.ts";
import type { Entry } from "#db/entry.server.ts";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";

let file: FarmFile;
let number = 0;
const entry = (): Entry => ({ entryId: `entry-${++number}-of-tests`, at: 1_000 });

beforeEach(() => {
  file = openFarmFile(":memory:");
});
afterEach(() => file.close());

const BATCH = {
  name: "White 1",
  kind: "fast",
  maleSharePermille: 500,
  hatchedOn: "2026-04-21",
  orderedCount: 20,
  awaitedOn: null,
  arrivedCount: 22,
  chickCostCents: 5000,
} as const;
const CHOICES: DayChoiceRow = {
  processedOn: "2026-06-20",
  startAt: Date.UTC(2026, 5, 20, 11),
  birdCount: 10,
  cutUpCount: 2,
  peopleCount: 3,
  coneCount: 3,
  tablePlaceCount: 2,
  breakMinutes: 30,
  scaldSchool: "middle",
  withdrawalSchool: "short",
  whichBirds: "as-they-come",
};
const KEPT: KeptPlan = {
  keptAt: 1,
  birdCount: 10,
  startAt: 1,
  evenChanceAt: 2,
  wholeDayMinutes: 240,
  feedOffAt: 0,
  liveMeanMilligrams: 3_000_000,
  dressedMeanMilligrams: 2_000_000,
  iceBagCount: 3,
};
const CARCASS = {
  birdNumber: 1,
  purpose: "sale",
  weightMilligrams: 2_075_185,
  asTyped: "4 9.2",
  reason: "",
  placeId: null,
} as const;

function batchId(): number {
  file.addBatch(entry(), BATCH);
  return file.batches()[0]!.id;
}
function dayId(change: Partial<DayChoiceRow> = {}, batch = batchId()): number {
  const set = entry();
  file.addDay(set, batch, "America/New_York", { ...CHOICES, ...change });
  return file.dayOfEntry(set.entryId)!;
}

describe("an entry", () => {
  test("sent again is kept once, and something else under its id is refused", () => {
    const sent = entry();
    expect(file.addBatch(sent, BATCH)).toEqual({ recorded: true, isRepeat: false });
    expect(file.addBatch(sent, BATCH)).toEqual({ recorded: true, isRepeat: true });
    expect(file.addBatch(sent, { ...BATCH, name: "White 2" })).toEqual({
      recorded: false,
      reason: "entry-used",
    });
    expect(file.batches()).toHaveLength(1);
  });

  test("that is refused leaves nothing behind, and may be sent again once it is right", () => {
    const batch = batchId();
    const sent = entry();
    const loss = { lostOn: "2026-05-01", birdCount: 23, cause: "" };
    expect(file.recordLoss(sent, batch, loss)).toEqual({ recorded: false, reason: "more-than-alive" });
    expect(file.recordLoss(sent, batch, { ...loss, birdCount: 2 })).toEqual({
      recorded: true,
      isRepeat: false,
    });
    expect(file.batch(batch)?.aliveCount).toBe(20);
  });

  test("taken back is left out of every sum, and stays in the file", () => {
    const batch = batchId();
    const lost = entry();
    file.recordLoss(lost, batch, { lostOn: "2026-05-01", birdCount: 3, cause: "hawk" });
    expect(file.takeBackFact(lost.entryId, 2_000)).toBe("taken-back");
    expect(file.takeBackFact(lost.entryId, 3_000)).toBe("taken-back");
    expect(file.batch(batch)).toMatchObject({ aliveCount: 22, lostCount: 0 });
    expect(file.recordLoss(lost, batch, { lostOn: "2026-05-01", birdCount: 3, cause: "hawk" })).toEqual({
      recorded: true,
      isRepeat: true,
    });
  });

  test("of a tap, a bird, a batch or a settlement can't be taken back as if it stood alone", () => {
    const day = dayId();
    const tap = entry();
    file.run.record(tap, day, { kind: "bird", at: 1, note: "" });
    expect(file.takeBackFact(tap.entryId, 2_000)).toBe("not-a-fact");
    expect(file.takeBackFact("never-was-there", 2_000)).toBe("not-a-fact");
    expect(file.run.events(day)).toHaveLength(1);
  });
});

describe("birds are counted", () => {
  test("alive, free and set aside, whatever day asks", () => {
    const batch = batchId();
    const first = dayId({}, batch);
    expect(file.freeForDay(batch)).toBe(12);
    expect(file.freeForDay(batch, first)).toBe(22);
    expect(file.addDay(entry(), batch, "UTC", { ...CHOICES, birdCount: 13 })).toEqual({
      recorded: false,
      reason: "more-than-alive",
    });
    dayId({ birdCount: 12 }, batch);
    expect(file.freeForDay(batch)).toBe(0);
  });

  test("as dressed once a day is settled, however many were planned", () => {
    const batch = batchId();
    const day = dayId({}, batch);
    for (let bird = 1; bird <= 8; bird += 1)
      file.pack.recordCarcass(entry(), day, { ...CARCASS, birdNumber: bird });
    expect(file.batch(batch)?.aliveCount).toBe(14);
    expect(file.freeForDay(batch)).toBe(12);
    file.settling.settle(entry(), day, { workMinutes: null, liveMeanMilligrams: null });
    expect(file.freeForDay(batch)).toBe(14);
  });
});

describe("a day", () => {
  test("is changed only from the revision that was seen", () => {
    const day = dayId();
    expect(file.changeDay(day, 1, "UTC", { ...CHOICES, peopleCount: 5 })).toBe("saved");
    expect(file.changeDay(day, 1, "UTC", { ...CHOICES, peopleCount: 6 })).toBe("changed-meanwhile");
    expect(file.day(day)?.peopleCount).toBe(5);
    expect(file.changeDay(day, 2, "UTC", { ...CHOICES, birdCount: 23 })).toBe("more-than-alive");
  });

  test("keeps the plan as it stood at its first start, and counts a repeated tap once", () => {
    const day = dayId();
    const tap = entry();
    file.run.start(entry(), day, 5, KEPT);
    file.run.start(entry(), day, 6, { ...KEPT, iceBagCount: 9 });
    for (const at of [7, 8]) file.run.record(tap, day, { kind: "bird", at, note: "" });
    expect(file.keptPlan(day)?.iceBagCount).toBe(3);
    expect(file.run.events(day).filter(({ kind }) => kind === "bird")).toHaveLength(1);
  });

  test("that is settled takes no more taps, birds or costs until it is opened again", () => {
    const day = dayId();
    expect(file.settling.settle(entry(), day, { workMinutes: 60, liveMeanMilligrams: null })).toEqual({
      recorded: false,
      reason: "nothing-packed",
    });
    const packed = entry();
    file.pack.recordCarcass(packed, day, CARCASS);
    file.settling.settle(entry(), day, { workMinutes: 60, liveMeanMilligrams: null });
    const refused = { recorded: false, reason: "day-settled" };
    expect(file.run.record(entry(), day, { kind: "bird", at: 9, note: "" })).toEqual(refused);
    expect(file.pack.recordCarcass(entry(), day, { ...CARCASS, birdNumber: 2 })).toEqual(refused);
    expect(file.settling.addCost(entry(), day, { what: "ice", amountCents: 100 })).toEqual(refused);
    expect(file.pack.takeBack(day, packed.entryId, 10)).toBe("day-settled");
    file.settling.reopen(day, 11);
    expect(file.pack.takeBack(day, packed.entryId, 12)).toBe("taken-back");
    expect(file.pack.carcasses(day)).toEqual([]);
  });

  test("has each bird once, and gives its number back when it is taken back", () => {
    const day = dayId();
    const first = entry();
    file.pack.recordCarcass(first, day, CARCASS);
    expect(file.pack.recordCarcass(entry(), day, CARCASS)).toEqual({
      recorded: false,
      reason: "bird-already-packed",
    });
    file.pack.takeBack(day, first.entryId, 5);
    expect(file.pack.recordCarcass(entry(), day, CARCASS)).toEqual({ recorded: true, isRepeat: false });
    expect(file.pack.carcasses(day)[0]).toMatchObject({ weightMilligrams: 2_075_185, asTyped: "4 9.2" });
  });
});

describe("the file refuses what is never true", () => {
  test.each([
    ["a condemned bird without a reason", { purpose: "condemned", reason: "", weightMilligrams: null }],
    ["a bird for sale without a weight", { weightMilligrams: null }],
    ["a bird of 46 lb", { weightMilligrams: 20_865_249 }],
    ["a bird of no weight", { weightMilligrams: 0 }],
    ["half a milligram", { weightMilligrams: 2_000_000.5 }],
  ] as const)("%s", (_, change) => {
    const day = dayId();
    expect(() => file.pack.recordCarcass(entry(), day, { ...CARCASS, ...change })).toThrow(
      expect.objectContaining({ code: expect.stringMatching(/^SQLITE_CONSTRAINT/) }),
    );
    expect(file.pack.carcasses(day)).toEqual([]);
  });

  test("a day that is not in the calendar, and a bird of no batch", () => {
    expect(() => file.addBatch(entry(), { ...BATCH, hatchedOn: "2026-02-30" })).toThrow(
      expect.objectContaining({ code: "SQLITE_CONSTRAINT_CHECK" }),
    );
    expect(() =>
      file.recordCost(entry(), 99, { spentOn: "2026-05-01", what: "bedding", amountCents: 1 }),
    ).toThrow(expect.objectContaining({ code: "SQLITE_CONSTRAINT_FOREIGNKEY" }));
  });

  test("half of a list of weights", () => {
    const batch = batchId();
    const weighing = { weighedOn: "2026-06-01", liveWeightMilligrams: 2_900_000, asTyped: "2.9 kg" };
    expect(() =>
      file.recordWeighings(entry(), batch, [weighing, { ...weighing, liveWeightMilligrams: 99_000_000 }]),
    ).toThrow();
    expect(file.story(batch).weighings).toEqual([]);
  });
});

test("a bird leaves its store once", () => {
  const day = dayId();
  file.pack.recordCarcass(entry(), day, CARCASS);
  const [bird] = file.stores.stored();
  const out = { outOn: "2026-07-01", how: "sold" } as const;
  expect(file.stores.takeOut(entry(), bird!.carcassId, out).recorded).toBe(true);
  expect(file.stores.takeOut(entry(), bird!.carcassId, out)).toEqual({
    recorded: false,
    reason: "not-in-store",
  });
  expect(file.stores.stored()).toEqual([]);
});

test("what is stored is what was packed, less condemned, less left, less taken back, in whatever order it happened", () => {
  const day = dayId({ birdCount: 10 });
  const packed = Array.from({ length: 5 }, entry);
  packed.forEach((one, index) => {
    const condemned = { purpose: "condemned", reason: "sores" } as const;
    file.pack.recordCarcass(one, day, { ...CARCASS, birdNumber: index + 1, ...(index === 4 && condemned) });
  });
  const stored = () => file.stores.stored().map(({ birdNumber }) => birdNumber);
  expect(stored()).toEqual([1, 2, 3, 4]);
  const [first, second] = file.stores.stored();
  const outs = [entry(), entry()];
  file.stores.takeOut(outs[0]!, first!.carcassId, { outOn: "2026-07-01", how: "eaten" });
  file.stores.takeOut(outs[1]!, second!.carcassId, { outOn: "2026-07-01", how: "sold" });
  expect(stored()).toEqual([3, 4]);
  file.takeBackFact(outs[0]!.entryId, 5);
  expect(stored()).toEqual([1, 3, 4]);
  file.pack.takeBack(day, packed[2]!.entryId, 6);
  file.pack.takeBack(day, packed[1]!.entryId, 7);
  file.takeBackFact(outs[1]!.entryId, 8);
  expect(stored()).toEqual([1, 4]);
});

describe("a growing flock", () => {
  test("on order is awaited until chicks come, and is awaited again when that was a mistake", () => {
    file.addBatch(entry(), { ...BATCH, arrivedCount: 20, awaitedOn: "2026-04-22" });
    const { id } = file.batches()[0]!;
    expect(file.batch(id)).toMatchObject({ awaitedOn: "2026-04-22", aliveCount: 20 });
    const came = entry();
    file.recordArrival(came, id, { arrivedOn: "2026-04-22", arrivedCount: 23 });
    expect(file.batch(id)).toMatchObject({ awaitedOn: null, arrivedCount: 23, aliveCount: 23 });
    expect(file.recordArrival(entry(), id, { arrivedOn: "2026-04-23", arrivedCount: 1 })).toEqual({
      recorded: false,
      reason: "not-awaited",
    });
    file.takeBackFact(came.entryId, 2);
    expect(file.batch(id)).toMatchObject({ awaitedOn: "2026-04-22", aliveCount: 20 });
  });

  test("is split over pens and merged again, and no pen gives more than stand in it", () => {
    const id = batchId();
    const move = (birdCount: number, fromPen: string, toPen: string) =>
      file.recordPenMove(entry(), id, { movedOn: "2026-05-20", birdCount, fromPen, toPen }).recorded;
    expect(move(23, "", "east")).toBe(false);
    expect(move(22, "", "east")).toBe(true);
    expect(move(1, "", "west")).toBe(false);
    expect(move(10, "east", "west")).toBe(true);
    expect(move(13, "east", "west")).toBe(false);
    expect(move(10, "west", "east")).toBe(true);
    expect(file.pens(id)).toEqual([{ pen: "east", birdCount: 22 }]);
  });

  test("gives feed to stock and takes it out again, with its money, and never more than is there", () => {
    const id = batchId();
    const lot = {
      boughtOn: "2026-05-01",
      bagCount: 2,
      bagMilligrams: 20_000_000,
      bagPriceCents: 1800,
      feedKind: "",
    };
    file.recordFeed(entry(), id, lot);
    const move = (fromBatchId: number | null, toBatchId: number | null, movedMilligrams: number) =>
      file.recordFeedMove(entry(), {
        movedOn: "2026-06-01",
        fromBatchId,
        toBatchId,
        movedMilligrams,
        amountCents: Math.round((movedMilligrams / 20_000_000) * 1800),
      }).recorded;
    expect(move(id, null, 41_000_000)).toBe(false);
    expect(move(id, null, 15_000_000)).toBe(true);
    expect(file.feedInStock()).toEqual({ milligrams: 15_000_000, cents: 1350 });
    expect(move(null, id, 16_000_000)).toBe(false);
    expect(move(null, id, 5_000_000)).toBe(true);
    expect(file.feedInStock()).toEqual({ milligrams: 10_000_000, cents: 900 });
    const left = { countedOn: "2026-06-02", leftMilligrams: 31_000_000 };
    expect(file.recordFeedLeft(entry(), id, left)).toMatchObject({ reason: "more-than-bought" });
  });
});

describe("what binds a season", () => {
  test("is changed only by somebody who saw how it stood", () => {
    const { revision, ...setting } = file.season.setting();
    expect(revision).toBe(0);
    expect(file.season.saveSetting({ ...setting, yearlyCapCount: 1000 }, 0)).toBe("saved");
    expect(file.season.saveSetting(setting, 0)).toBe("changed-meanwhile");
    expect(file.season.setting()).toMatchObject({ revision: 1, yearlyCapCount: 1000 });
  });

  test("books a thing once for a day, whatever its letters, and again when the booking is taken back", () => {
    const book = (thing: string, fromOn: string, toOn = fromOn) => {
      const made = entry();
      return { made, ...file.season.addBooking(made, { thing, fromOn, toOn }) };
    };
    const first = book("Drum plucker", "2026-10-02", "2026-10-04");
    expect(book("drum plucker", "2026-10-04")).toMatchObject({ recorded: false, reason: "overlaps" });
    expect(book("Trailer", "2026-10-04").recorded).toBe(true);
    expect(book("Drum plucker", "2026-10-05").recorded).toBe(true);
    file.takeBackFact(first.made.entryId, 2);
    expect(book("Drum plucker", "2026-10-03").recorded).toBe(true);
  });

  test("has one calendar a person: the next takes the place of the last, and typed days stay", () => {
    file.people.addPerson(entry(), { name: "Ines", weekdayMask: 32, handsPercent: 100 });
    expect(file.people.addPerson(entry(), { name: "ines", weekdayMask: 1, handsPercent: 100 })).toMatchObject(
      {
        reason: "name-taken",
      },
    );
    const { id } = file.people.people()[0]!;
    const busy = (...days: string[]) => days.map((onDay) => ({ onDay, why: "" }));
    file.people.sayDay(entry(), { personId: id, onDay: "2026-10-10", canCome: 1, why: "" });
    file.people.readCalendar(entry(), id, busy("2026-10-03", "2026-10-10"));
    file.people.readCalendar(entry(), id, busy("2026-10-17"));
    const said = file.people.personDays("2026-10-01", "2026-10-31");
    expect(said.map(({ onDay, canCome, source }) => [onDay, canCome, source])).toEqual([
      ["2026-10-10", 1, "typed"],
      ["2026-10-17", 0, "calendar"],
    ]);
  });
});

test("a breeder's marks belong to a bird that was weighed", () => {
  const day = dayId();
  const mark = { frameWidthMillimeters: 95, keelMillimeters: null, fleshing: 4, legs: "yellow", note: "" };
  expect(file.marking.recordMark(entry(), day, { birdNumber: 1, ...mark })).toMatchObject({
    reason: "no-such-bird",
  });
  file.pack.recordCarcass(entry(), day, CARCASS);
  file.marking.recordMark(entry(), day, { birdNumber: 1, ...mark });
  expect(file.marking.marks(day)).toMatchObject([{ birdNumber: 1, ...mark }]);
});
