import { expect, test } from "vitest";
import { iceAhead, meltedAt } from "#core/day/forecast/ice-ahead.ts";
import { BASIS, CHOICES, LOT } from "#core/day/plan/days-of-tests.ts";
import { planForDate, planInput } from "#core/day/plan/plan-for-date.ts";

const DATE = "2026-09-19";
const START = Date.parse("2026-09-19T11:00:00Z");
const DAY = { ...CHOICES, startAt: START, lots: [{ ...LOT, birds: 30 }] };

function iceOf(bagsInStock: number | undefined, laterMinutes = 0) {
  const basis = { ...BASIS, iceBagsInStock: bagsInStock };
  const { plan: planned } = planForDate(basis, DATE, DAY);
  const chills = planned.line.answer.chills.map(({ p10, p50, p90 }) => ({
    p10: p10 + laterMinutes,
    p50: p50 + laterMinutes,
    p90: p90 + laterMinutes,
  }));
  const ice = iceAhead({ plan: planInput(basis, DATE, DAY), planned, chills, originAt: START });
  return { ice, bags: planned.chill.ice.value / basis.means.bagKilograms.value };
}

test("all that melts is the plan's ice, hour by hour and never less", () => {
  const { ice, bags } = iceOf(undefined);
  const melted = ice.melted.map((hour) => hour.bags);
  expect(melted).toEqual(melted.toSorted((one, other) => one - other));
  expect(melted.at(-1)).toBeCloseTo(bags, 6);
  expect(ice.outAt).toBeUndefined();
  expect(meltedAt(ice, bags + 1)).toBeUndefined();
  expect(meltedAt(ice, bags / 2)!).toBeLessThan(ice.melted.at(-1)!.at);
});

test("ice that is short is gone at some hour, later with a bag more, and never with enough", () => {
  const { bags } = iceOf(undefined);
  const outAt = (stock: number) => iceOf(stock).ice.outAt;
  const few = Math.floor(bags / 2);
  expect(outAt(few)!).toBeLessThan(outAt(few + 1)!);
  expect(outAt(Math.ceil(bags))).toBeUndefined();
});

test("birds that reach the tanks later melt their ice later", () => {
  const half = iceOf(undefined).bags / 2;
  expect(meltedAt(iceOf(undefined, 60).ice, half)!).toBeGreaterThan(meltedAt(iceOf(undefined).ice, half)!);
});
