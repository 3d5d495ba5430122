import { expect, test } from "vitest";
import { killTimes } from "#core/day/run/kill-times.ts";

test("a bird's kill is the tap at the cones, or so long before the tank where nobody tapped", () => {
  const minute = 60_000;
  const bird = (at: number, birds = 1) => ({ kind: "bird", at: at * minute, birds }) as const;
  const kill = (at: number) => ({ kind: "kill", at: at * minute }) as const;
  expect(killTimes([bird(60), kill(10), bird(70, 2), kill(20)], 25)).toEqual(
    [10, 20, 45].map((at) => at * minute),
  );
  // A tap that came late never makes a bird die after it was chilled.
  expect(killTimes([bird(5), kill(9)], 25)).toEqual([5 * minute]);
});
