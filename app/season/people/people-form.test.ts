import fc from "fast-check";
import { expect, test } from "vitest";
import { ableFields, ableForm, ableInWords, ableOf, personForm } from "#app/season/people/people-form.ts";

const bit = fc.constantFrom(0 as const, 1 as const);
const minute = fc.option(fc.integer({ min: 0, max: 1439 }));
const person = fc
  .record({
    weekdayMask: fc.integer({ min: 0, max: 127 }),
    handsPercent: fc.integer({ min: 10, max: 150 }),
    usesKnives: bit,
    scalds: bit,
    lifts: bit,
    bornYear: fc.option(fc.integer({ min: 1900, max: 2100 })),
    fromMinute: minute,
    toMinute: minute,
  })
  .filter(({ fromMinute, toMinute }) => fromMinute === null || toMinute === null || fromMinute < toMinute);

test("opening somebody's rules and saving them moves nothing", () => {
  fc.assert(
    fc.property(person, (able) => {
      const fields = ableFields({ id: 1, entryId: "an-entry", name: "Finch", ...able });
      expect(ableOf(ableForm.parse(fields))).toEqual(able);
    }),
  );
});

test("somebody who goes before they come, or has no name, is asked about beside the box", () => {
  const read = personForm.safeParse({ name: " ", handsPercent: "100", fromTime: "13:00", toTime: "12:00" });
  expect(read.error!.issues.map(({ path }) => path[0])).toContain("name");
  const named = personForm.safeParse({
    name: "Finch",
    handsPercent: "100",
    fromTime: "13:00",
    toTime: "12:00",
  });
  expect(named.error!.issues).toMatchObject([
    { path: ["toTime"], message: expect.stringContaining("after") },
  ]);
});

test("rules and hours are said in words, and nothing where there are none", () => {
  const able = {
    id: 1,
    entryId: "an-entry",
    name: "Finch",
    weekdayMask: 32,
    handsPercent: 100,
    usesKnives: 1,
    scalds: 1,
    lifts: 1,
    bornYear: null,
    fromMinute: null,
    toMinute: null,
  } as const;
  expect(ableInWords(able)).toBe("");
  expect(ableInWords({ ...able, usesKnives: 0, lifts: 0, fromMinute: 780 })).toBe(
    "no knives, no lifting, from 13:00",
  );
});
