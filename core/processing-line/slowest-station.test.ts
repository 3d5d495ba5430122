import fc from "fast-check";
import { expect, test } from "vitest";
import { type LineInput, slowestStation } from "#core/processing-line/slowest-station.ts";

const LINE: LineInput = {
  birds: 31,
  people: 4,
  cones: 4,
  tablePlaces: 2,
  scaldAtOnce: 1,
  pluckAtOnce: 1,
  dipSeconds: 60,
  bathBirdsPerHour: 60,
  handsFactor: 1,
};

test("by hand: at 10.7 min of hands a bird, four people allow 22.4 birds an hour and hold the line", () => {
  // kill 0.6, scald 1.2, pluck 0.7, then pins 2.0, gut 4.0, rinse 1.0, giblets 1.2 at the table.
  const estimate = slowestStation(LINE);
  expect(estimate.handMinutesPerBird).toBeCloseTo(10.7, 12);
  expect(estimate.slowest).toBe("hands");
  expect(estimate.slowestBirdsPerHour).toBeCloseTo((60 * 4) / 10.7, 12);
  // The first bird takes 0.6 + 2.0 in the cone, 1.2, 0.7 and 8.2 at the table.
  expect(estimate.lineMinutes).toBeCloseTo(12.7 + 30 * (10.7 / 4), 12);
});

test.each([
  [{ tablePlaces: 1 }, "gut"],
  [{ people: 20, tablePlaces: 20, cones: 1 }, "cones"],
  [{ people: 20, tablePlaces: 20, cones: 20, bathBirdsPerHour: 100 }, "scald"],
  [{ people: 20, tablePlaces: 20, cones: 20, bathBirdsPerHour: 9 }, "bath"],
  [{ people: 40, tablePlaces: 40, cones: 40, scaldAtOnce: 4, bathBirdsPerHour: 999 }, "pluck"],
] as const)("with %j the slowest is the %s", (change, slowest) => {
  expect(slowestStation({ ...LINE, ...change }).slowest).toBe(slowest);
});

test("another person, cone, place or bird at once never makes the day longer, and slower hands never shorter", () => {
  const count = fc.integer({ min: 1, max: 8 });
  const line = fc.record({
    people: count,
    cones: count,
    tablePlaces: count,
    scaldAtOnce: count,
    pluckAtOnce: count,
  });
  fc.assert(
    fc.property(line, fc.double({ min: 1, max: 1.8, noNaN: true }), (kit, handsFactor) => {
      const minutes = (change: Partial<LineInput>) =>
        slowestStation({ ...LINE, ...kit, handsFactor, ...change }).lineMinutes;
      const now = minutes({});
      for (const name of ["people", "cones", "tablePlaces", "scaldAtOnce", "pluckAtOnce"] as const) {
        expect(minutes({ [name]: kit[name] + 1 })).toBeLessThanOrEqual(now + 1e-9);
      }
      expect(minutes({ handsFactor: handsFactor * 1.1 })).toBeGreaterThanOrEqual(now - 1e-9);
    }),
  );
});

test("one bird and one person work, and none of either is a slip", () => {
  expect(slowestStation({ ...LINE, birds: 1, people: 1, cones: 1, tablePlaces: 1 }).lineMinutes).toBeCloseTo(
    12.7,
    12,
  );
  expect(() => slowestStation({ ...LINE, people: 0 })).toThrow("people must be at least 1, got 0");
});
