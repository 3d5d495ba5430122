import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
import { BATCH, CARCASS, CHOICES, entry, fileForEachTest, NOTHING_SAID } from "#db/file-of-tests.ts";

const file = fileForEachTest();
const seen = (seenRevision: number) => ({ seenRevision, timeZone: "UTC", at: 2 });
const lotOf = (batchId: number, birds: number): LotChoices => ({ ...CHOICES.lots[0]!, batchId, birds });

/** Two batches of 22, and a day of so many birds of each, in that order. */
function twoBatches(): void {
  file().addBatch(entry(), BATCH);
  file().addBatch(entry(), { ...BATCH, name: "Cockerels 1", kind: "mature" });
}
function dayOf(...lots: LotChoices[]): number {
  const set = entry();
  expect(file().addDay(set, "UTC", { ...CHOICES, lots })).toMatchObject({ recorded: true });
  return file().dayOfEntry(set.entryId)!;
}
const lotsOf = (dayId: number) =>
  file()
    .day(dayId)!
    .lots.map(({ batchId, birds }) => [batchId, birds]);

describe("the lots of a day", () => {
  test("take birds of each batch, never one batch twice, and no more than are alive across two days", () => {
    twoBatches();
    dayOf(lotOf(1, 10), lotOf(2, 12));
    expect([1, 2].map((batch) => file().freeForDay(batch))).toEqual([12, 10]);
    expect(file().addDay(entry(), "UTC", { ...CHOICES, lots: [lotOf(1, 2), lotOf(1, 3)] })).toMatchObject({
      reason: "batch-twice",
    });
    expect(file().addDay(entry(), "UTC", { ...CHOICES, lots: [lotOf(1, 12), lotOf(2, 11)] })).toMatchObject({
      reason: "more-than-alive",
    });
    expect(file().openDays()).toHaveLength(1);
  });

  test("stay the same lots when their order changes, and one with birds weighed is not taken off", () => {
    twoBatches();
    const day = dayOf(lotOf(1, 10), lotOf(2, 12));
    const [first, second] = file().day(day)!.lots;
    file().pack.recordCarcass(entry(), day, { ...CARCASS, lotId: second!.id });
    const lots = [lotOf(2, 11), lotOf(1, 10)];
    expect(file().changeDay(day, seen(1), { ...CHOICES, lots })).toBe("saved");
    expect(
      file()
        .day(day)!
        .lots.map(({ id }) => id),
    ).toEqual([second!.id, first!.id]);
    expect(file().changeDay(day, seen(2), { ...CHOICES, lots: [lotOf(1, 10)] })).toBe("lot-has-birds");
    expect(file().changeDay(day, seen(2), { ...CHOICES, lots: [lotOf(2, 11)] })).toBe("saved");
    expect(file().removedLot(day, first!.id)).toMatchObject({ batchId: 1, birds: 10 });
    expect(file().restoreLot(day, first!.id)).toBe("restored");
    expect(file().restoreLot(day, first!.id)).toBe("restored");
    expect(lotsOf(day)).toEqual([
      [2, 11],
      [1, 10],
    ]);
  });

  test("count taps in the order of the kill, and what is weighed in its own lot, up to the settled day", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 24 }), (taps) => {
        const names = [`White ${taps} ${entry().entryId}`, `Red ${taps} ${entry().entryId}`];
        for (const name of names) file().addBatch(entry(), { ...BATCH, name });
        const [white, red] = names.map(
          (name) =>
            file()
              .batches()
              .find((one) => one.name === name)!.id,
        );
        const day = dayOf(lotOf(white!, 8), lotOf(red!, 10));
        for (let at = 0; at < taps; at += 1) file().run.record(entry(), day, { kind: "bird", at, note: "" });
        const taken = () => [white, red].map((batch) => file().takenOn(day).get(batch!));
        // A bird beyond the plan is of the last lot.
        expect(taken()).toEqual([Math.min(8, taps), Math.max(0, taps - 8)]);
        expect([white, red].map((batch) => 22 - file().batch(batch!)!.aliveCount)).toEqual(taken());
        const [, second] = file().day(day)!.lots;
        file().pack.recordCarcass(entry(), day, { ...CARCASS, lotId: second!.id });
        const before = taken();
        file().settling.settle(entry(), day, NOTHING_SAID);
        expect(taken()).toEqual(before);
        expect(
          file()
            .settling.settlement(day)!
            .lots.map(({ birdCount }) => birdCount),
        ).toEqual(before);
      }),
      { numRuns: 12 },
    );
  });
});

describe("two days of one date", () => {
  test("become one with the lots, costs, notes and finished tasks of both, and two again", () => {
    twoBatches();
    const [one, other] = [dayOf(lotOf(1, 10)), dayOf(lotOf(2, 12))];
    const [lot] = file().day(other)!.lots;
    file().settling.addCost(entry(), other, { what: "ice", amountCents: 450 });
    file().tasks.tick(entry(), other, "sharpen");
    file().run.record(entry(), other, { kind: "note", at: 5, note: "Ines comes at nine" });
    expect(file().joinDays(one, other)).toBe("joined");
    expect(file().joinDays(one, other)).toBe("joined");
    expect(lotsOf(one)).toEqual([
      [1, 10],
      [2, 12],
    ]);
    expect(file().day(one)!.lots[1]!.id).toBe(lot!.id);
    expect(file().openDays()).toHaveLength(1);
    expect(file().day(other)).toBeUndefined();
    expect(file().settling.costs(one)).toMatchObject([{ amountCents: 450 }]);
    expect(file().tasks.done(one)).toMatchObject([{ task: "sharpen" }]);
    expect(file().run.facts(one)).toMatchObject([{ note: "Ines comes at nine" }]);
    expect(file().freeForDay(2)).toBe(10);

    expect(file().splitDay(other)).toBe("split");
    expect([lotsOf(one), lotsOf(other)]).toEqual([[[1, 10]], [[2, 12]]]);
    expect([one, other].map((day) => file().settling.costs(day).length)).toEqual([0, 1]);
  });

  test("bring along a day that was part of one of them, and each gets back its own", () => {
    twoBatches();
    file().addBatch(entry(), { ...BATCH, name: "Red 1" });
    const [first, second, third] = [dayOf(lotOf(1, 10)), dayOf(lotOf(2, 12)), dayOf(lotOf(3, 5))];
    file().settling.addCost(entry(), third, { what: "ice", amountCents: 450 });
    expect(file().joinDays(second, third)).toBe("joined");
    expect(file().joinDays(first, second)).toBe("joined");
    expect(lotsOf(first)).toEqual([
      [1, 10],
      [2, 12],
      [3, 5],
    ]);
    expect(file().settling.costs(first)).toMatchObject([{ amountCents: 450 }]);
    expect([file().splitDay(second), file().splitDay(third)]).toEqual(["split", "split"]);
    expect([first, second, third].map(lotsOf)).toEqual([[[1, 10]], [[2, 12]], [[3, 5]]]);
    expect(file().settling.costs(third)).toHaveLength(1);
    file().joinDays(first, second);
    file().run.record(entry(), first, { kind: "bird", at: 5, note: "" });
    expect(file().splitDay(second)).toBe("day-started");
  });

  test("stay two where one has started, is of another date, or has birds of the same batch", () => {
    twoBatches();
    const day = dayOf(lotOf(1, 10));
    const same = dayOf(lotOf(1, 5));
    expect(file().joinDays(day, same)).toBe("batch-twice");
    const late = entry();
    file().addDay(late, "UTC", { ...CHOICES, processedOn: "2026-06-27", lots: [lotOf(2, 3)] });
    expect(file().joinDays(day, file().dayOfEntry(late.entryId)!)).toBe("other-date");
    const started = dayOf(lotOf(2, 4));
    file().run.record(entry(), started, { kind: "bird", at: 5, note: "" });
    expect(file().joinDays(day, started)).toBe("day-started");
    expect(file().joinDays(day, 99)).toBe("gone");
    const other = dayOf(lotOf(2, 6));
    file().joinDays(day, other);
    const moved = file().day(day)!.lots[1]!;
    file().pack.recordCarcass(entry(), day, { ...CARCASS, lotId: moved.id });
    expect(file().splitDay(other)).toBe("birds-weighed");
  });
});
