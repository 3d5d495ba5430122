import { expect, test } from "vitest";
import { restStage } from "#core/rest/rest.ts";

test.each([
  [0.99, "fast", "before-rigor"],
  [1, "fast", "in-rigor"],
  [23.99, "slow", "in-rigor"],
  [24, "slow", "rested"],
  [24, "mature", "in-rigor"],
  [48, "mature", "rested"],
] as const)("after %d h a %s bird is %s", (hours, kind, stage) => {
  expect(restStage(hours, kind)).toBe(stage);
});
