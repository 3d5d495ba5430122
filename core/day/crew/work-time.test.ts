import { expect, test } from "vitest";
import { workTime } from "#core/day/crew/work-time.ts";

test("four people for a line of 250 minutes and two hours around it worked 24 h 40", () => {
  const time = workTime({ people: 4, time: { from: 0, to: 250 * 60_000 } });
  expect(time.value).toBe(4 * 370);
  expect(time.inputs[1]).toMatchObject({ value: 250, provenance: "measured" });
});

test("where nobody tapped, the plan stands in, and says so", () => {
  const time = workTime({ people: 4, time: { plannedLineMinutes: 150 } });
  expect(time.value).toBe(4 * 270);
  expect(time.inputs[1]).toMatchObject({ value: 150, provenance: "calculated" });
});
