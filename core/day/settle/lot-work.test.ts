import { expect, test } from "vitest";
import { LOT } from "#core/day/plan/days-of-tests.ts";
import { handMinutes, packingMinutes } from "#core/day/settle/lot-work.ts";

test("by hand: cutting and packing on a day after takes 3.5 min a whole bird, and 2.5 and 1.6 min a bird cut and sealed", () => {
  expect(packingMinutes({ ...LOT, birds: 10, cutUp: 0 }, "fast")).toBeCloseTo(35, 6);
  expect(packingMinutes({ ...LOT, birds: 10, cutUp: 4 }, "fast")).toBeCloseTo(6 * 3.5 + 4 * (2.5 + 1.6), 0);
  expect(packingMinutes({ ...LOT, birds: 0, cutUp: 0 }, "mature")).toBe(0);
});

test("what is done on a day after is what a day that packs its own birds does more", () => {
  const lot = { ...LOT, birds: 12, cutUp: 5, keepsGiblets: true };
  const minutes = (packsSameDay: boolean) => handMinutes(lot, "slow", { pluckBy: "hand", packsSameDay });
  expect(minutes(true) - minutes(false)).toBeCloseTo(packingMinutes(lot, "slow"), 6);
});
