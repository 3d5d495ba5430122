import fc from "fast-check";
import { expect, test } from "vitest";
import { ableFields, ableInWords, ableOf, GRANTS, personForm } from "#app/season/people/people-form.ts";

const minute = fc.option(fc.integer({ min: 0, max: 1439 }), { nil: undefined });
const person = fc
  .record({
    weekdayMask: fc.integer({ min: 0, max: 127 }),
    handsPercent: fc.integer({ min: 10, max: 150 }),
    usesKnives: fc.boolean(),
    scalds: fc.boolean(),
    lifts: fc.boolean(),
    bornYear: fc.option(fc.integer({ min: 1900, max: 2100 }), { nil: undefined }),
    besideAdult: fc.subarray(GRANTS.map(({ station }) => station)),
    fromMinute: minute,
    toMinute: minute,
  })
  .filter(
    ({ fromMinute, toMinute, bornYear, besideAdult }) =>
      (fromMinute === undefined || toMinute === undefined || fromMinute < toMinute) &&
      (besideAdult.length === 0 || bornYear !== undefined),
  );

test("opening somebody's rules and saving them moves nothing", () => {
  fc.assert(
    fc.property(person, (able) => {
      const fields = ableFields(able);
      expect(ableOf(personForm.parse({ name: "Ines", ...fields }))).toEqual(able);
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
    weekdayMask: 32,
    handsPercent: 100,
    usesKnives: true,
    scalds: true,
    lifts: true,
    bornYear: undefined,
    besideAdult: [],
    fromMinute: undefined,
    toMinute: undefined,
  } as const;
  expect(ableInWords(able)).toBe("");
  expect(ableInWords({ ...able, usesKnives: false, lifts: false, fromMinute: 780 })).toBe(
    "no knives, no lifting, from 13:00",
  );
});
