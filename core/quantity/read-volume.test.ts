import { expect, test } from "vitest";
import { readVolume } from "#core/quantity/read-volume.ts";

test.each([
  ["350 ml", "us", 350],
  ["0.5 l", "us", 500],
  ["12", "us", 355],
  ["12 fl oz", "metric", 355],
  ["12 oz", "us", 355],
  ["1 1/2 cups", "us", 355],
  ["½ cup", "us", 118],
  ["1 quart", "us", 946],
  ["1 gal", "metric", 3785],
  ["1,200", "metric", 1200],
  ["0", "us", 0],
  ["", "us", undefined],
  ["a cup", "us", undefined],
  ["3 pints of ale", "us", undefined],
  ["-3 ml", "us", undefined],
] as const)("%s on a farm of %s units is %s ml", (text, system, expected) => {
  expect(readVolume(text, system)).toBe(expected);
});
