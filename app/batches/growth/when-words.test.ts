import { describe, expect, test } from "vitest";
import { againstWords, recommendation, whatWouldChangeIt } from "#app/batches/growth/when-words.ts";
import { showFor } from "#app/words/show.ts";
import type { Against, WhenRow, WhenToGo } from "#core/day/season/when-to-go.ts";

const show = showFor({ unitSystem: "us", currency: "USD", timeZone: "America/New_York", locale: "en-US" });
const own = (value: number) => ({ value, provenance: "farm-setting" as const });

/** Only what words are made of. */
const row = (day: string, dressedKilograms: number, netValueCents: number, against: Against[] = []) =>
  ({
    day,
    netValueCents,
    against,
    worth: { dressedKilograms },
    season: {
      marks: [{ kind: "out", what: "Harvest market" }],
      people: [{ name: "Maren" }],
      hiredThing: "Drum plucker",
      highCelsius: 33,
    },
  }) as unknown as WhenRow;
const when = (rows: WhenRow[], change: Partial<WhenToGo> = {}): WhenToGo => ({
  rows,
  best: 1,
  rival: 2,
  netValue: undefined,
  breakEvenFeedCents: undefined,
  breakEvenPrice: undefined,
  ...change,
});
const ROWS = [
  row("2026-09-26", 1.9, 12_000, [{ reason: "not-booked" }]),
  row("2026-10-03", 2.0, 13_884),
  row("2026-10-17", 2.16, 13_058),
];

describe("the recommendation", () => {
  test("says what they weigh, what the next best would bring, and why not the days about it", () => {
    expect(recommendation(when(ROWS), show)).toBe(
      "They dress at 4 lb 6.5 oz then. Next best: Sat, Oct 17: 5.6 oz heavier, $8.26 less. On Sat, Sep 26: the drum plucker is not booked.",
    );
  });

  test("says when two days are equal as each other", () => {
    const rows = [...ROWS.slice(0, 2), row("2026-10-10", 2.08, 13_700)];
    expect(recommendation(when(rows), show)).toContain(
      "Nearly as good: Sat, Oct 10: 2.8 oz heavier, $1.84 less.",
    );
  });

  test("says what stands against every day where none does", () => {
    const shut = [
      row("2026-10-03", 2, 0, [{ reason: "nobody" }]),
      row("2026-10-10", 2, 0, [{ reason: "out" }]),
    ];
    expect(recommendation(when(shut, { best: undefined, rival: undefined }), show)).toBe(
      "No day in these weeks works: no one is free; Harvest market.",
    );
  });
});

test("what would change its mind is a price of feed or of meat, or nothing in reach", () => {
  const view = {
    terms: { wholeCentsPerKilogram: own(1157) } as Parameters<typeof whatWouldChangeIt>[1]["terms"],
    feedPrice: own(84),
  };
  const turning = when(ROWS, { breakEvenFeedCents: 66, breakEvenPrice: 1557 });
  expect(whatWouldChangeIt(turning, view, show)).toBe(
    "feed at $0.30 / lb instead of $0.38 / lb, or whole birds selling at $7.06 / lb instead of $5.25 / lb would change it to Sat, Oct 17.",
  );
  expect(whatWouldChangeIt(when(ROWS), view, show)).toBeUndefined();
  expect(
    whatWouldChangeIt(when(ROWS, { rival: undefined, breakEvenFeedCents: 66 }), view, show),
  ).toBeUndefined();
});

test.each([
  [{ reason: "out" }, "Harvest market"],
  [{ reason: "nobody" }, "no one is free"],
  [{ reason: "too-young" }, "too young"],
  [{ reason: "too-old" }, "past the best age (leg and heart trouble)"],
  [{ reason: "hot" }, "hot, 91.4 °F"],
  [{ reason: "too-many", most: 53 }, "53 birds is the crew's limit"],
  [{ reason: "dark", hoursOfLight: 9.5, hoursOfWork: 10 }, "10 h of work, 9 h 30 of daylight"],
  [
    {
      reason: "rule",
      rule: {
        rule: "yearly-cap",
        isFirm: true,
        by: 12,
        most: 12,
        times: 1,
        cents: 0,
        firstDay: undefined,
        group: undefined,
      },
    },
    "12 birds over the yearly limit",
  ],
] as const)("%j is said as %j", (against, words) => {
  expect(againstWords(against as Against, ROWS[0]!, show)).toBe(words);
});
