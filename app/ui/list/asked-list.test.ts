import fc from "fast-check";
import { expect, test } from "vitest";
import { askedList, isAsked } from "#app/ui/list/asked-list.ts";

const ask = (query: string) => new Request(`http://farm/days${query}`);
const ROWS = [
  { day: "2024-09-14", words: "White 24-A" },
  { day: "2025-06-07", words: "Red 25-B" },
  { day: "2026-06-20", words: "White 26-A, Red 26-B" },
];
const DAYS = ROWS.map(({ day }) => day);
const shown = (query: string) => {
  const asked = askedList(ask(query), DAYS);
  return ROWS.filter(({ day, words }) => isAsked(asked, day, words)).map(({ day }) => day);
};

test("a list shows its latest year, or the year that is asked for, or what is looked for in every year", () => {
  expect(shown("")).toEqual(["2026-06-20"]);
  expect(shown("?year=2024")).toEqual(["2024-09-14"]);
  expect(shown("?year=1066")).toEqual(["2026-06-20"]);
  expect(shown("?find=white")).toEqual(["2024-09-14", "2026-06-20"]);
  expect(shown("?year=2024&find=red")).toEqual(["2025-06-07", "2026-06-20"]);
  expect(shown("?find=red%20white")).toEqual(["2026-06-20"]);
  expect(shown("?find=2025-06")).toEqual(["2025-06-07"]);
  expect(shown("?find=nobody")).toEqual([]);
});

test("each row is in one year and no other, and nothing that is typed makes the list fail", () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 200 }), (find) => {
      const asked = askedList(ask(`?find=${encodeURIComponent(find)}`), DAYS);
      expect(asked.find.length).toBeLessThanOrEqual(60);
      // What is looked for is found in a row that says it.
      expect(isAsked(asked, "2026-06-20", `White 26-A ${asked.find}`)).toBe(true);
    }),
  );
  const years = askedList(ask(""), DAYS).years;
  expect(years).toEqual(["2026", "2025", "2024"]);
  expect(years.flatMap((year) => shown(`?year=${year}`))).toEqual(DAYS.toReversed());
});

test("an empty list has no year and asks for nothing", () => {
  expect(askedList(ask("?year=2026"), [])).toEqual({ years: [], year: undefined, find: "" });
});
