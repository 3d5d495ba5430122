import fc from "fast-check";
import { expect, test } from "vitest";
import { bestFeedOff } from "#core/withdrawal/feed-off.ts";
import { feedShare } from "#core/withdrawal/feed-share.ts";
import { WITHDRAWAL } from "#core/withdrawal/withdrawal-constants.ts";

const rule = WITHDRAWAL.short;
const kills = fc.record({
  firstKillHours: fc.constant(7),
  intervalHours: fc.double({ min: 0.02, max: 0.4, noNaN: true }),
  birds: fc.integer({ min: 1, max: 120 }),
});

test("no other feed-off time leaves fewer birds outside than the best one", () => {
  fc.assert(
    fc.property(kills, fc.double({ min: -6, max: 4, noNaN: true }), (day, other) => {
      const best = bestFeedOff(rule, day, 0.5);
      const inside = (feedOffHours: number) => feedShare({ rule, kills: day, feedOffHours }).inside;
      expect(inside(best.feedOffHours)).toBeGreaterThanOrEqual(inside(other));
      expect(inside(best.feedOffHours)).toBe(best.mostBirdsInOneWindow);
    }),
  );
});

test("every bird is inside, too full or too long off feed, and never two of them", () => {
  fc.assert(
    fc.property(kills, fc.double({ min: -8, max: 6, noNaN: true }), (day, feedOffHours) => {
      const { inside, tooShort, tooLong } = feedShare({ rule, kills: day, feedOffHours });
      expect(inside + tooShort + tooLong).toBe(day.birds);
    }),
  );
});

test("both edges of the window count as inside", () => {
  const one = { firstKillHours: 8, intervalHours: 4, birds: 2 };
  expect(feedShare({ rule, kills: one, feedOffHours: 0 })).toMatchObject({
    inside: 2,
    tooShort: 0,
    tooLong: 0,
  });
});

test("feed pulled in the dark was off from dusk", () => {
  const day = { firstKillHours: 7, intervalHours: 0.1, birds: 10 };
  const dark = { fromHours: -4, toHours: 5 };
  expect(feedShare({ rule, kills: day, feedOffHours: -1, dark }).shortestHours).toBeCloseTo(11, 12);
  expect(feedShare({ rule, kills: day, feedOffHours: -5, dark }).shortestHours).toBeCloseTo(12, 12);
});

test("a day without a bird, or with kills at once, is a slip", () => {
  expect(() => bestFeedOff(rule, { firstKillHours: 7, intervalHours: 0.1, birds: 0 }, 0.5)).toThrow(
    "a bird to kill, got 0",
  );
  expect(() => bestFeedOff(rule, { firstKillHours: 7, intervalHours: 0, birds: 2 }, 0.5)).toThrow(
    "more than 0, got 0",
  );
});
