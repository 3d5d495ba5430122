import { describe, expect, test } from "vitest";
import { BATCH, CARCASS, CHOICES, entry, fileForEachTest, NOTHING_SAID, TIES } from "#db/file-of-tests.ts";

const file = fileForEachTest();

function tiesOf(inStock: number | undefined): number {
  file().supplying.addSupply(entry(), TIES, "2026-09-01", inStock);
  return file().supplying.supplies()[0]!.id;
}
const stock = () => file().supplying.supplies()[0]!.inStock;

/** A day with one bird packed. */
function packedDay(): number {
  file().addBatch(entry(), BATCH);
  const set = entry();
  file().addDay(set, "UTC", CHOICES);
  const dayId = file().dayOfEntry(set.entryId)!;
  file().pack.recordCarcass(entry(), dayId, CARCASS);
  return dayId;
}

describe("a supply", () => {
  test("is unknown until it is counted or bought, and its name stands once", () => {
    const id = tiesOf(undefined);
    expect(stock()).toBeUndefined();
    expect(file().supplying.addSupply(entry(), TIES, "2026-09-01", 5)).toMatchObject({
      reason: "name-taken",
    });
    file().supplying.move(entry(), id, { movedOn: "2026-09-02", kind: "bought", amount: 100 });
    expect(stock()).toBe(100);
  });

  test("follows its moves in the order of their days, not of their writing down", () => {
    const id = tiesOf(30);
    file().supplying.move(entry(), id, { movedOn: "2026-09-10", kind: "counted", amount: 12 });
    const late = entry();
    file().supplying.move(late, id, { movedOn: "2026-09-05", kind: "bought", amount: 100 });
    expect(stock()).toBe(12);
    file().removeFact(late.entryId, 2_000);
    expect(
      file()
        .supplying.moves(id)
        .map(({ kind }) => kind),
    ).toEqual(["counted", "counted"]);
  });

  test("is taken when a day settles, all in one", () => {
    const id = tiesOf(30);
    const dayId = packedDay();
    const closing = entry();
    const hours = NOTHING_SAID;
    const used = { movedOn: "2026-09-20", used: [{ supplyId: id, amount: 9 }] };
    file().settling.settle(closing, dayId, hours, used);
    expect(stock()).toBe(21);
    // Sent again it is taken once.
    file().settling.settle(closing, dayId, hours, used);
    expect(stock()).toBe(21);
    expect(file().supplying.usedOn(dayId)).toMatchObject([
      { supplyId: id, amount: 9, name: "Ties", packCents: 480 },
    ]);
    // What is no longer kept is still part of what the day cost.
    const [ties] = file().supplying.supplies();
    expect(file().removeFact(ties!.entryId, 2_500)).toBe("taken-back");
    expect(file().supplying.supplies()).toEqual([]);
    expect(file().supplying.usedOn(dayId)).toHaveLength(1);
    // A settlement's part can't be removed alone.
    expect(file().removeFact(closing.entryId, 3_000)).toBe("not-a-fact");
    file().settling.reopen(dayId, 3_000);
    expect(file().supplying.usedOn(dayId)).toEqual([]);
  });

  test("is put back when the day is opened again, and a count made since the day has seen its use already", () => {
    const id = tiesOf(30);
    const dayId = packedDay();
    const hours = NOTHING_SAID;
    const used = { movedOn: "2026-09-20", used: [{ supplyId: id, amount: 9 }] };
    file().settling.settle(entry(), dayId, hours, used);
    expect(stock()).toBe(21);
    file().settling.reopen(dayId, 3_000);
    expect(stock()).toBe(30);
    file().supplying.move(entry(), id, { movedOn: "2026-09-21", kind: "counted", amount: 20 });
    file().settling.settle(entry(), dayId, hours, used);
    expect(stock()).toBe(20);
  });

  test("is not touched where the settling fails", () => {
    const id = tiesOf(30);
    const dayId = packedDay();
    const wrong = {
      movedOn: "2026-09-20",
      used: [
        { supplyId: id, amount: 9 },
        { supplyId: 99, amount: 1 },
      ],
    };
    const hours = NOTHING_SAID;
    expect(() => file().settling.settle(entry(), dayId, hours, wrong)).toThrow("FOREIGN KEY");
    expect(stock()).toBe(30);
    expect(file().day(dayId)!.settledEntryId).toBeUndefined();
  });
});

describe("a day's task", () => {
  test("is ticked once, whoever ticks it, and unticked by taking that back", () => {
    const dayId = packedDay();
    const first = entry();
    file().tasks.tick(first, dayId, "ice");
    file().tasks.tick(entry(), dayId, "ice");
    expect(file().tasks.done(dayId)).toEqual([{ entryId: first.entryId, task: "ice", doneAt: 1_000 }]);
    expect(file().removeFact(first.entryId, 2_000)).toBe("taken-back");
    expect(file().tasks.done(dayId)).toEqual([]);
    file().tasks.tick(entry(), dayId, "ice");
    expect(file().tasks.done(dayId)).toHaveLength(1);
  });
});
