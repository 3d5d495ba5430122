import { expect, test } from "vitest";
import { askedSplit, readAsked, readAssignment, writeAssignment } from "#app/orders/share/share-form.ts";

const asked = (query: string, birds = 10) => askedSplit(new URLSearchParams(query), birds);

test.each([
  ["basis=birds&birds-3=4&birds-5=6", undefined],
  ["basis=birds&birds-3=4&birds-5=", "Enter a number for at least two households"],
  ["basis=birds&birds-3=4&birds-5=5", "There are 10 birds; these are 9. Add 1"],
  ["basis=birds&birds-3=4&birds-5=8", "There are only 10 birds; these are 12. Take off 2"],
  ["basis=birds&birds-3=four&birds-5=6", "Enter whole numbers, such as 12, and leave the others empty"],
  ["basis=birds&birds-3=-4&birds-5=6", "Enter whole numbers, such as 12, and leave the others empty"],
  ["basis=weight&birds-3=1&birds-5=2", undefined],
])("what was typed, %s, is taken or said to be wrong", (query, fault) => {
  expect(asked(query).fault).toBe(fault);
});

test("a split travels in a form and comes back, and what is no split of ours is not read", () => {
  const parts = [
    { customerId: 3, packIds: [12, 14] },
    { customerId: 5, packIds: [13] },
  ];
  expect(readAssignment(writeAssignment(parts))).toEqual(parts);
  for (const text of ["", "3:", "3:12;", "3:12,12", "3:12;5:12", "x:1", "3:1e9"])
    expect(readAssignment(text), text).toBeUndefined();
  expect([...readAsked("3:12,5:18")!]).toEqual([
    [3, 12],
    [5, 18],
  ]);
  for (const text of ["", "3:0", "3:abc", "3:1000000", "3"]) expect(readAsked(text), text).toBeUndefined();
});
