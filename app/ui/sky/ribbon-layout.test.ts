import fc from "fast-check";
import { expect, test } from "vitest";
import { placeLabels } from "#app/ui/sky/ribbon-layout.ts";

const widthOf = (text: string) => text.length * 7;
const mark = fc.record({
  at: fc.integer({ min: 0, max: 1000 }),
  label: fc.string({ minLength: 3, maxLength: 20 }),
  time: fc.constant("07:00"),
});

test("labels never overlap and never leave the ribbon, at any width of screen", () => {
  fc.assert(
    fc.property(fc.array(mark, { maxLength: 10 }), fc.constantFrom(360, 720, 1080), (marks, width) => {
      const { labels, rows } = placeLabels(marks, { x: (at) => (at / 1000) * width, width, widthOf });
      expect(labels).toHaveLength(marks.length);
      const boxes = labels.map(({ textX, anchor, label, time, row }) => {
        const long = Math.max(widthOf(label), widthOf(time));
        return {
          from: anchor === "start" ? textX : textX - long,
          to: anchor === "start" ? textX + long : textX,
          row,
        };
      });
      boxes.forEach((box, index) => {
        expect(box.from).toBeGreaterThanOrEqual(0);
        expect(box.to).toBeLessThanOrEqual(width);
        expect(box.row).toBeLessThan(rows);
        for (const other of boxes.slice(index + 1)) {
          if (other.row === box.row) expect(box.to <= other.from || box.from >= other.to).toBe(true);
        }
      });
    }),
  );
});
