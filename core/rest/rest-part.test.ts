import { expect, test } from "vitest";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { trickleTank } from "#core/chill/trickle-tank.ts";
import { cookBeforeOrAfter, methodOfHours, restTimes } from "#core/rest/rest-part.ts";
import { restWeight } from "#core/rest/rest-weight.ts";

test("a part is due so long after its own kills, and one for tonight is cooked before rigor or after it", () => {
  const killedAt = [2 * HOUR, 0, HOUR];
  expect(restTimes({ kind: "slow", method: "one-day", cover: "open", killedAt })).toMatchObject({
    rigorFrom: HOUR,
    rigorPassedAt: 26 * HOUR,
    dueFrom: 24 * HOUR,
    dueAt: 26 * HOUR,
    nights: 1,
  });
  expect(restTimes({ kind: "mature", method: "straight-on", cover: "open", killedAt })).toMatchObject({
    rigorPassedAt: 50 * HOUR,
    dueAt: 2 * HOUR,
    nights: 0,
    lostFraction: 0,
  });
  expect(cookBeforeOrAfter(killedAt, "fast")).toEqual({ before: 3 * HOUR, after: 24 * HOUR });
  expect([0, 20, 48, 60, 200].map(methodOfHours)).toEqual([
    "straight-on",
    "one-day",
    "two-days",
    "two-days",
    "three-days",
  ]);
});

test("a resting bird never weighs less than nine tenths of what it did", () => {
  const loss = { hours: 2400, dripFraction: 0.015, dryingFractionPerDay: 0.008, coverFactor: 1 };
  expect(restWeight(2, loss).weight).toBeCloseTo(1.8, 12);
  expect(() => restWeight(2, { ...loss, hours: -1 })).toThrow(/hours must be 0 or more/);
});

const own = (value: number) => ({ value, provenance: "farm-setting" as const });

test("a trickle settles between its tap and the air, and says where no bird gets cold in it", () => {
  // 6 l/min of 8 °C water, 5 W/K to 20 °C air, 20 birds of 2 kg cooled from 40 to 4 °C over 6 h:
  // flow 418.6 W/K, birds 233.3 W, so (418.6·8 + 5·20 + 233.3)/(423.6) = 8.692 °C.
  const tank = {
    litersPerMinute: 6,
    tapCelsius: own(8),
    ambientCelsius: own(20),
    lossWattPerKelvin: 5,
    birds: 20,
    carcassKilograms: 2,
    hours: 6,
    surfaceCoefficient: 400,
  };
  expect(trickleTank(tank).tank.value).toBeCloseTo(8.692, 3);
  expect(trickleTank(tank).chillHours).toBeUndefined();
  expect(trickleTank({ ...tank, tapCelsius: own(2) }).chillHours).toBeGreaterThan(0);
  expect(trickleTank(tank).liters).toBe(2160);
});
