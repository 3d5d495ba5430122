import fc from "fast-check";
import { expect, test } from "vitest";
import { canningAt } from "#core/packing/canning.ts";

const steps = [
  { upToMeters: 2400, pascals: 90_000 },
  { upToMeters: 600, pascals: 75_000 },
];

test("the lowest step that covers the farm counts, and nothing is canned where none does or the height is unknown", () => {
  expect(canningAt(steps, 600)).toEqual({ may: true, pascals: 75_000 });
  expect(canningAt(steps, 601)).toEqual({ may: true, pascals: 90_000 });
  expect(canningAt(steps, 2401)).toEqual({ may: false, why: "too-high" });
  expect(canningAt(steps, undefined)).toEqual({ may: false, why: "altitude-unknown" });
  expect(canningAt([], 0)).toEqual({ may: false, why: "too-high" });
});

test("a farm that lies higher never needs less pressure by a process whose steps rise", () => {
  const height = fc.integer({ min: -400, max: 2400 });
  fc.assert(
    fc.property(height, height, (one, other) => {
      const [low, high] = [Math.min(one, other), Math.max(one, other)].map((meters) =>
        canningAt(steps, meters),
      );
      expect(low!.may && high!.may && low!.pascals <= high!.pascals).toBe(true);
    }),
  );
});
