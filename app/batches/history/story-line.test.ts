import { describe, expect, test } from "vitest";
import { readStoryLine } from "#app/batches/history/story-line.ts";

const said = (text: string) => readStoryLine(text, "us");

describe("a line is read as it is said", () => {
  test.each([
    ["lost 2 hawk", { kind: "loss", birds: 2, cause: "hawk" }],
    ["Died 1", { kind: "loss", birds: 1, cause: "" }],
    ["1 died", { kind: "loss", birds: 1, cause: "" }],
    ["2 birds dead, heat", { kind: "loss", birds: 2, cause: "heat" }],
    ["3 bags 18.95", { kind: "feed", bags: 3, bagCents: 1895, feedKind: "" }],
    ["bought 2 sacks of grower at $19", { kind: "feed", bags: 2, bagCents: 1900, feedKind: "grower" }],
    ["opened 1 bag", { kind: "opened", bags: 1 }],
    ["left 2 1/2 bags", { kind: "left", bags: 2.5 }],
    ["to stock 1.5", { kind: "to-stock", bags: 1.5 }],
    ["from stock 2 bags", { kind: "from-stock", bags: 2 }],
    ["gave 1 bag to White 26-D", { kind: "gave", bags: 1, toName: "White 26-D" }],
    ["moved 40 to north pen", { kind: "moved", birds: 40, toPen: "north pen", fromPen: "" }],
    [
      "moved 20 to west pen from east pen",
      { kind: "moved", birds: 20, toPen: "west pen", fromPen: "east pen" },
    ],
    ["arrived 82", { kind: "arrived", birds: 82 }],
    ["vaccinated at the hatchery", { kind: "vaccine", note: "at the hatchery" }],
    ["paid 36 bedding", { kind: "cost", cents: 3600, what: "bedding" }],
    ["second feeder, they spill less", { kind: "note", note: "second feeder, they spill less" }],
  ])("%j", (text, expected) => {
    expect(said(text)).toEqual(expected);
  });

  test.each([
    ["weighed 6 4, 6 2; 5 15", 3, false],
    ["6 4, 6 2", 2, false],
    ["weighed 5 0 sure", 1, true],
  ])("%j weighs %d birds, sure: %s", (text, birds, isSure) => {
    const read = said(text);
    expect(read).toMatchObject({ kind: "weights", isSure });
    expect("weights" in read && read.weights).toHaveLength(birds);
  });

  test("bags without a price are asked for it, and not taken for a note", () => {
    for (const text of ["3 bags", "bought 2 sacks of grower"])
      expect(said(text)).toEqual({ problem: "What did a bag cost? For example: 3 bags 18.95" });
  });

  test("in kilograms a comma is a decimal point, and a semicolon parts birds", () => {
    expect(readStoryLine("weighed 2,84; 2,79", "metric")).toMatchObject({
      weights: [{ milligrams: 2_840_000 }, { milligrams: 2_790_000 }],
    });
  });
});

test.each([
  ["", "Enter what happened, such as: lost 1 hawk"],
  ["lost two", "How many were lost? For example: lost 2 hawk"],
  [
    "moved them",
    "How many, and where to? For example: moved 40 to north pen, or moved 20 to west pen from east pen",
  ],
  ["arrived", "How many arrived alive? For example: arrived 82"],
  ["opened half a bag", "How many bags? For example: opened 1 bag"],
  ["weighed 6 4, sixty", "“sixty” is not a bird's weight. For example: weighed 6 4, 6 2, 5 15"],
  ["paid bedding", "How much, and what for? For example: paid 36 bedding"],
])("%j is answered with what to write", (text, problem) => {
  expect(said(text)).toEqual({ problem });
});
