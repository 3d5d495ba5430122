import { describe, expect, test } from "vitest";
import { BATCH, CHOICES, entry, fileForEachTest } from "#db/file-of-tests.ts";

const INES = {
  handsPercent: 100,
  usesKnives: true,
  scalds: true,
  lifts: true,
  bornYear: undefined,
  besideAdult: [],
  fromMinute: undefined,
  toMinute: undefined,
} as const;

const file = fileForEachTest();

function batchId(): number {
  file().addBatch(entry(), BATCH);
  return file().batches()[0]!.id;
}

describe("a growing flock", () => {
  test("on order is awaited until chicks come, and is awaited again when that was a mistake", () => {
    file().addBatch(entry(), { ...BATCH, arrivedCount: 20, awaitedOn: "2026-04-22" });
    const { id } = file().batches()[0]!;
    expect(file().batch(id)).toMatchObject({ awaitedOn: "2026-04-22", aliveCount: 20 });
    const came = entry();
    file().recordArrival(came, id, { arrivedOn: "2026-04-22", arrivedCount: 23 });
    expect(file().batch(id)).toMatchObject({ awaitedOn: undefined, arrivedCount: 23, aliveCount: 23 });
    expect(file().recordArrival(entry(), id, { arrivedOn: "2026-04-23", arrivedCount: 1 })).toEqual({
      recorded: false,
      reason: "not-awaited",
    });
    file().removeFact(came.entryId, 2);
    expect(file().batch(id)).toMatchObject({ awaitedOn: "2026-04-22", aliveCount: 20 });
  });

  test("is split over pens and merged again, and no pen gives more than stand in it", () => {
    const id = batchId();
    const move = (birdCount: number, fromPen: string, toPen: string) =>
      file().recordPenMove(entry(), id, { movedOn: "2026-05-20", birdCount, fromPen, toPen }).recorded;
    expect(move(23, "", "east")).toBe(false);
    expect(move(22, "", "east")).toBe(true);
    expect(move(1, "", "west")).toBe(false);
    expect(move(10, "east", "west")).toBe(true);
    expect(move(13, "east", "west")).toBe(false);
    expect(move(10, "west", "east")).toBe(true);
    expect(file().pens(id)).toEqual([{ pen: "east", birdCount: 22 }]);
  });

  test("gives feed to stock and takes it out again, with its money, and never more than is there", () => {
    const id = batchId();
    const purchase = {
      boughtOn: "2026-05-01",
      bagCount: 2,
      bagMilligrams: 20_000_000,
      bagPriceCents: 1800,
      feedKind: "",
    };
    file().recordFeed(entry(), id, purchase);
    const move = (fromBatchId: number | undefined, toBatchId: number | undefined, movedMilligrams: number) =>
      file().recordFeedMove(entry(), {
        movedOn: "2026-06-01",
        fromBatchId,
        toBatchId,
        movedMilligrams,
        amountCents: Math.round((movedMilligrams / 20_000_000) * 1800),
      }).recorded;
    expect(move(id, undefined, 41_000_000)).toBe(false);
    expect(move(id, undefined, 15_000_000)).toBe(true);
    expect(file().feedInStock()).toEqual({ milligrams: 15_000_000, cents: 1350 });
    expect(move(undefined, id, 16_000_000)).toBe(false);
    expect(move(undefined, id, 5_000_000)).toBe(true);
    expect(file().feedInStock()).toEqual({ milligrams: 10_000_000, cents: 900 });
    const left = { countedOn: "2026-06-02", leftMilligrams: 31_000_000 };
    expect(file().recordFeedLeft(entry(), id, left)).toMatchObject({ reason: "more-than-bought" });
  });
});

describe("what binds a season", () => {
  test("is changed only by somebody who saw how it stood", () => {
    const { revision, ...setting } = file().season.setting();
    expect(revision).toBe(0);
    expect(file().season.saveSetting({ ...setting, yearlyCapCount: 1000 }, 0)).toBe("saved");
    expect(file().season.saveSetting(setting, 0)).toBe("changed-meanwhile");
    expect(file().season.setting()).toMatchObject({ revision: 1, yearlyCapCount: 1000 });
  });

  test("books a thing once for a day, whatever its letters, and again when the booking is taken back", () => {
    const book = (thing: string, fromOn: string, toOn = fromOn) => {
      const made = entry();
      return { made, ...file().season.addBooking(made, { thing, fromOn, toOn }) };
    };
    const first = book("Drum plucker", "2026-10-02", "2026-10-04");
    expect(book("drum plucker", "2026-10-04")).toMatchObject({ recorded: false, reason: "overlaps" });
    expect(book("Trailer", "2026-10-04").recorded).toBe(true);
    expect(book("Drum plucker", "2026-10-05").recorded).toBe(true);
    file().removeFact(first.made.entryId, 2);
    expect(book("Drum plucker", "2026-10-03").recorded).toBe(true);
  });

  test("has one calendar a person: the next takes the place of the last, and typed days stay", () => {
    file().people.addPerson(entry(), { name: "Ines", weekdayMask: 32, ...INES });
    expect(file().people.addPerson(entry(), { name: "ines", weekdayMask: 1, ...INES })).toMatchObject({
      reason: "name-taken",
    });
    const { id } = file().people.people()[0]!;
    const busy = (...days: string[]) => days.map((onDay) => ({ onDay, why: "" }));
    file().people.sayDay(entry(), { personId: id, onDay: "2026-10-10", canCome: true, why: "" });
    file().people.readCalendar(entry(), id, busy("2026-10-03", "2026-10-10"));
    file().people.readCalendar(entry(), id, busy("2026-10-17"));
    const said = file().people.personDays("2026-10-01", "2026-10-31");
    expect(said.map(({ onDay, canCome, source }) => [onDay, canCome, source])).toEqual([
      ["2026-10-10", true, "typed"],
      ["2026-10-17", false, "calendar"],
    ]);
  });
});

test("a breeder's marks belong to a bird that was weighed", () => {
  const set = entry();
  batchId();
  file().addDay(set, "America/New_York", CHOICES);
  const day = file().dayOfEntry(set.entryId)!;
  const mark = {
    frameWidthMillimeters: 95,
    keelMillimeters: undefined,
    fleshing: 4,
    legs: "yellow",
    note: "",
  };
  expect(file().marking.recordMark(entry(), day, { birdNumber: 1, ...mark })).toMatchObject({
    reason: "no-such-bird",
  });
  file().pack.recordCarcass(entry(), day, {
    lotId: 1,
    birdNumber: 1,
    purpose: "sale",
    weightMilligrams: 2_075_185,
    asTyped: "4 9.2",
    reason: "",
    placeId: undefined,
  });
  file().marking.recordMark(entry(), day, { birdNumber: 1, ...mark });
  expect(file().marking.marks(day)).toMatchObject([{ birdNumber: 1, ...mark }]);
});
