import fc from "fast-check";
import { expect, test } from "vitest";
import { placeDays } from "#app/batches/growth/day-marks.tsx";

const FROM = 44;
const TO = 700;

test("labels of processing days stay within the chart, and none is drawn over another", () => {
  const mark = fc.record({
    x: fc.double({ min: FROM, max: TO, noNaN: true }),
    words: fc.string({ minLength: 5, maxLength: 24 }),
    birds: fc.integer({ min: 1, max: 2000 }),
  });
  fc.assert(
    fc.property(fc.array(mark, { maxLength: 12 }), (marks) => {
      const placed = placeDays(
        marks.map((one, index) => ({ ...one, day: String(index) })),
        [FROM, TO],
      );
      expect(placed).toHaveLength(marks.length);
      const spans = placed.map(({ left, words, row }) => ({
        row,
        from: left,
        to: left + words.length * 6.6,
      }));
      for (const { from, to } of spans) {
        expect(from).toBeGreaterThanOrEqual(FROM);
        expect(to).toBeLessThanOrEqual(TO + 1e-9);
      }
      for (const [index, one] of spans.entries())
        for (const other of spans.slice(index + 1))
          expect(one.row !== other.row || one.to <= other.from || other.to <= one.from).toBe(true);
    }),
  );
});

test("days far apart share the row nearest to the chart", () => {
  const far = [100, 300, 600].map((x, day) => ({
    x,
    day: String(day),
    birds: 31,
    words: "31 birds, Jun 20",
  }));
  expect(placeDays(far, [FROM, TO]).map(({ row }) => row)).toEqual([0, 0, 0]);
  const close = far.map((one, index) => ({ ...one, x: 300 + 20 * index }));
  expect(placeDays(close, [FROM, TO]).map(({ row }) => row)).toEqual([0, 1, 2]);
});
