import fc from "fast-check";
import { expect, test } from "vitest";
import { labelPlaces } from "#app/days/cut/went/label-places.ts";

test("labels stand in order, a line apart, inside the chart, and where they want to if there is room", () => {
  expect(labelPlaces([50, 100, 200], 20, 300)).toEqual([50, 100, 200]);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 400, noNaN: true }), { maxLength: 16 }), (some) => {
      const places = labelPlaces(
        some.toSorted((one, other) => one - other),
        24,
        420,
      );
      for (const [index, place] of places.entries()) {
        expect(place).toBeGreaterThanOrEqual(12 - 1e-9);
        expect(place).toBeLessThanOrEqual(408 + 1e-9);
        if (index > 0) expect(place - places[index - 1]!).toBeGreaterThanOrEqual(24 - 1e-9);
      }
    }),
  );
});
