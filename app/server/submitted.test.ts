import { describe, expect, test } from "vitest";
import { post } from "#app/call-route.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { amount, money, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { volume, weight } from "#app/ui/read/read-measure.ts";
import { timeZone } from "#app/ui/read/read-when.ts";

const answer = (fields: Record<string, string>) =>
  formFields(post(fields)).then(
    (read) => [...read.keys()],
    (thrown: { init: { status: number } }) => thrown.init.status,
  );

describe("a form", () => {
  test("may have fields, and lists of fields", async () => {
    expect(
      await answer({ entryId: "x", "prices[0].cents": "1", "prices[1].cents": "2", "rule.crew": "2" }),
    ).toHaveLength(4);
  });

  test.each([
    "a[99999999]",
    "a[1].b",
    "a[1][2][3]",
    "__proto__",
    "a.constructor",
    "__intent__",
    "1st",
    "",
    "a".repeat(5000),
  ])("with a field called %s is no form of ours", async (name) => {
    expect(await answer({ [name]: "1" })).toBe(400);
  });

  test("has not a thousand fields, nor a megabyte", async () => {
    const many = Object.fromEntries(Array.from({ length: 1000 }, (_, index) => [`a${index}`, "1"]));
    expect(await answer(many)).toBe(400);
    expect(await answer({ a: "x".repeat(1_000_000) })).toBe(413);
  });
});

test("a number of 60,000 digits is refused before any pattern looks at it", () => {
  const us = { unitSystem: "us", ask: "" } as const;
  const readers = [
    wholeNumber({ most: 10, ask: "" }),
    amount({ most: 10, ask: "" }),
    money(""),
    weight({ ...us, range: [1, 2], what: "a bird" }),
    volume({ ...us, least: 1, most: 2 }),
    timeZone,
  ];
  for (const text of ["9".repeat(60_000), "1 ".repeat(30_000), `${"1,".repeat(20_000)}x`])
    for (const reader of readers)
      expect(reader.safeParse(text).error!.issues[0]!.message).toMatch(/^That is too long/);
});

test("a line of text keeps no line break, which would start a line of its own in a calendar", () => {
  expect(words(60, "").parse("Ines\r\nATTENDEE:x")).toBe("Ines ATTENDEE:x");
});

test("a time zone is one that shows clocks as well as counts them", () => {
  expect(timeZone.safeParse("America/New_York").success).toBe(true);
  for (const text of ["+05:00", "Farm/Yard", "UTC+3", ""])
    expect(timeZone.safeParse(text).success).toBe(false);
});
