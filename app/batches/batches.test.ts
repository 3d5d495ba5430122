import { describe, expect, test } from "vitest";
import { feedLeftForm, lossForm, newBatchForm, weighInForm } from "#app/batches/batch-forms.ts";
import { storyLines } from "#app/batches/history/story-lines.ts";
import { showFor } from "#app/words/show.ts";

const SETTING = { unitSystem: "us", today: "2026-09-17", hatchedOn: "2026-06-27" } as const;
const messages = (answer: { error?: { issues: { message: string }[] } | undefined }) =>
  (answer.error?.issues ?? []).map(({ message }) => message);

describe("a weigh-in", () => {
  const form = weighInForm(SETTING);
  test("takes a bird a line, or several with semicolons, each as it was typed", () => {
    const { weights } = form.parse({ weighedOn: "2026-09-12", weights: "6 4\n\n 6lb4oz ; 6.25\n2835 g\n" });
    expect(weights.map(({ asTyped }) => asTyped)).toEqual(["6 4", "6lb4oz", "6.25", "2835 g"]);
    expect(new Set(weights.slice(0, 3).map(({ weight }) => weight)).size).toBe(1);
  });

  test("names the bird whose weight can't be read, and keeps none of them", () => {
    expect(messages(form.safeParse({ weighedOn: "2026-09-12", weights: "6 4\nsix\n66" }))).toEqual([
      "Bird 2, “six”: This is not a weight. Enter it like 4 9.2 for 4 lb 9.2 oz, or 4.58",
      "Bird 3, “66”: 66 lb 0 oz is too heavy for a live chicken. Check the decimal point and the unit",
    ]);
  });

  test("of nobody, or of over at a time, is asked about", () => {
    expect(messages(form.safeParse({ weighedOn: "2026-09-12", weights: " \n " }))).toEqual([
      "Enter the weight of at least one bird",
    ]);
    expect(messages(form.safeParse({ weighedOn: "2026-09-12", weights: "6 4\n".repeat(201) }))).toEqual([
      "At most 200 birds at a time; you entered 201",
    ]);
  });
});

test("nothing happens to a batch before it hatches or after today", () => {
  const loss = (lostOn: string) =>
    messages(lossForm(SETTING).safeParse({ lostOn, birdCount: "1", cause: "" }));
  expect(loss("2026-06-27")).toEqual([]);
  expect(loss("2026-09-17")).toEqual([]);
  expect(loss("2026-06-26")).toEqual(["They hatched on 2026-06-27; choose that date or a later one"]);
  expect(loss("2026-09-18")).toEqual(["That date is in the future; today is 2026-09-17"]);
});

test("feed left may be part of a bag", () => {
  expect(feedLeftForm(SETTING).parse({ countedOn: "2026-09-16", bagsLeft: "2 1/2" }).bagsLeft).toBe(2.5);
});

test("a batch hatched at home has no order, and may cost nothing", () => {
  const typed = {
    name: "Cockerels",
    kind: "mature",
    malePercent: "100",
    hatchedOn: "2026-05-30",
    orderedCount: "",
    arrivedCount: "27",
    chickCost: "0",
  };
  expect(newBatchForm.parse(typed)).toMatchObject({ orderedCount: undefined, chickCost: 0 });
  expect(messages(newBatchForm.safeParse({ ...typed, kind: undefined, malePercent: "101" }))).toEqual([
    "Choose the closest kind",
    "That is too much: at most 100",
  ]);
});

test("the story has newest first, and weights typed together in one line", () => {
  const show = showFor({ unitSystem: "us", currency: "USD", timeZone: "America/New_York", locale: "en-US" });
  const batch = {
    id: 1,
    name: "Red",
    kind: "slow",
    maleSharePermille: 500,
    hatchedOn: "2026-06-27",
    orderedCount: 60,
    awaitedOn: undefined,
    arrivedCount: 61,
    chickCostCents: 17_340,
    aliveCount: 60,
    lostCount: 1,
    revision: 0,
  } as const;
  const weighing = { entryId: "typed-together", weighedOn: "2026-09-12", asTyped: "6" };
  const lines = storyLines(
    batch,
    {
      losses: [{ entryId: "lost", lostOn: "2026-07-04", birdCount: 1, cause: "hawk" }],
      feed: [],
      feedLeft: [],
      arrivals: [],
      notes: [],
      penMoves: [],
      feedOpened: [],
      feedMoved: [],
      costs: [],
      weighings: [2_700_000, 2_900_000].map((liveWeightMilligrams) => ({
        ...weighing,
        liveWeightMilligrams,
      })),
    },
    show,
  );
  expect(lines.map(({ text }) => text)).toEqual([
    "2 birds weighed, mean 6 lb 2.8 oz",
    "1 bird lost",
    "Hatched; 61 birds arrived of 60 ordered",
  ]);
  expect(lines[2]?.entryId).toBeUndefined();
});
