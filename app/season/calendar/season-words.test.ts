import { describe, expect, test } from "vitest";
import type { BrokenView, GroupView, MoveView } from "#app/season/calendar/season-view.server.ts";
import {
  brokenWords,
  differenceWords,
  isTorn,
  priceWords,
  sharedWords,
  tornWords,
  whyWords,
} from "#app/season/calendar/season-words.ts";
import { weekdaysOf } from "#app/season/people/people-form.ts";
import { listed } from "#app/words/lot-words.ts";
import { brokenSum, repairedSum } from "#app/words/rule-words.ts";
import { showFor } from "#app/words/show.ts";
import { SEASON_RULES } from "#core/season/season-problem.ts";

const show = showFor({ unitSystem: "us", currency: "USD", timeZone: "America/New_York", locale: "en-US" });
const broken = (change: Partial<BrokenView>): BrokenView => ({
  rule: "freezer-room",
  isFirm: false,
  by: 27,
  most: 9,
  times: 3,
  cents: 540,
  day: "2026-10-03",
  name: undefined,
  ...change,
});
const move = (change: Partial<MoveView> = {}): MoveView => ({
  day: "2026-10-03",
  cents: -404,
  breaks: [broken({})],
  repairs: [],
  dressedKilograms: 2.0,
  ageDays: 126,
  ...change,
});
const group = (next: MoveView | undefined): GroupView => ({
  batchId: 2,
  name: "Cockerels",
  day: "2026-10-17",
  birds: { whole: 3, cut: 20 },
  pinEntryId: undefined,
  ageDays: 140,
  dressedKilograms: 2.16,
  worthCents: 30_000,
  people: ["Maren", "Ines"],
  shared: undefined,
  heldDayId: undefined,
  next,
  moves: next ? [next] : [],
});

describe("why birds are on their day", () => {
  test("says how heavy they are, who is there, and what the next best would cost", () => {
    expect(whyWords(group(move({ cents: -4000, breaks: [] })), show)).toBe(
      "20 weeks old, 4 lb 12.2 oz dressed, with Maren and Ines. Next best: Sat, Oct 3, $40.00 less: 14 days earlier, 5.6 oz lighter.",
    );
    expect(whyWords(group(undefined), show)).toContain("No other day has room for all of them");
  });

  test("says what sharing the day saves", () => {
    expect(sharedWords({ names: ["White 26-D"], savedCents: 13_100 }, show)).toBe(
      "On one day with White 26-D, as another lot: one setup, one heating, and one hire instead of two, which saves about $131.00.",
    );
  });

  test("says when it is torn, and what the trade is", () => {
    const torn = group(move());
    expect(isTorn(torn)).toBe(true);
    expect(whyWords(torn, show)).toContain("Nearly as good: Sat, Oct 3: $4.04 less");
    expect(tornWords(torn, show)).toBe(
      "Sat, Oct 3 is 14 days earlier, 5.6 oz lighter; worse: no freezer space for 9 birds, 3 nights, $5.40. Overall it is $4.04 less.",
    );
    expect(isTorn(group(move({ cents: -600 })))).toBe(false);
    expect(isTorn(group(undefined))).toBe(false);
  });
});

test("every rule has words for being broken and for being kept again", () => {
  for (const rule of [...SEASON_RULES, "pin"] as const) {
    const sum = broken({ rule, by: 4.2, most: 4.2, times: 1 });
    expect(brokenSum(sum)).not.toContain("possible");
    expect(brokenSum(sum)).not.toBe(repairedSum(sum));
    expect(`${brokenSum(sum)}${repairedSum(sum)}`).not.toContain("4.2");
  }
  expect(brokenWords(broken({ rule: "everyone-placed", by: 1, times: 1, name: "Red" }))).toBe(
    "1 bird of Red without a day",
  );
});

test("money, firm rules and people are said plainly", () => {
  expect(differenceWords(-404, show)).toBe("$4.04 less");
  expect(differenceWords(404, show)).toBe("$4.04 better");
  expect(differenceWords(-30, show)).toBe("equal");
  expect(priceWords(broken({ isFirm: true }), show)).toBe("breaks a firm rule");
  expect(listed(["Maren"])).toBe("Maren");
  expect(listed(["Maren", "Ines", "Pell"])).toBe("Maren, Ines, and Pell");
  expect(weekdaysOf(127)).toBe("any day");
  expect(weekdaysOf(0)).toBe("only on listed days");
  expect(weekdaysOf(1 + 32)).toBe("Monday, Saturday");
});
