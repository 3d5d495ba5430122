import fc from "fast-check";
import { expect, test } from "vitest";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import { iceNeed, tankRoom } from "#core/chill/ice-need.ts";

const kilograms = fc.double({ min: 0.3, max: 10, noNaN: true });
const slush = (carcassKilograms: number, surfaceCoefficient = 100) =>
  chillTime({ carcassKilograms, surfaceCoefficient, startCelsius: 40, mediumCelsius: 1, targetCelsius: 4.4 })
    .finish!.seconds;

test.each([
  { bird: "just under 4 lb", weight: 1.8143, hours: 4 },
  { bird: "4 lb", weight: 1.8144, hours: 6 },
  { bird: "just under 8 lb", weight: 3.6286, hours: 6 },
  { bird: "8 lb", weight: 3.6287, hours: 8 },
])("the quoted limit for a bird of $bird is $hours h", ({ weight, hours }) => {
  expect(quotedChillHours(weight)).toBe(hours);
});

test("a heavier bird never chills sooner, and stirring never slows it", () => {
  fc.assert(
    fc.property(kilograms, kilograms, (one, other) => {
      // Equal but for the last digits of the root is equal.
      expect(slush(Math.max(one, other))).toBeGreaterThanOrEqual(slush(Math.min(one, other)) * (1 - 1e-9));
      expect(slush(one, 400)).toBeLessThan(slush(one, 100));
    }),
  );
});

test("slush no colder than the target never chills a bird to it", () => {
  const warm = chillTime({
    carcassKilograms: 2,
    surfaceCoefficient: 100,
    startCelsius: 40,
    mediumCelsius: 4.4,
    targetCelsius: 4.4,
  });
  expect(warm.finish).toBeUndefined();
  expect(() => slush(0)).toThrow("carcass weight must be more than 0 kg, got 0");
  expect(() => quotedChillHours(0)).toThrow("more than 0 kg");
});

const DAY = {
  birds: 20,
  carcassKilograms: 2,
  carcassStartCelsius: 40,
  carcassEndCelsius: 4,
  waterKilograms: 32,
  tapCelsius: 12,
  bathCelsius: 1,
  lossWattPerKelvin: 5,
  ambientCelsius: 20,
  hours: 4,
  iceCelsius: -3,
  margin: 0.15,
  bagKilograms: 9.07,
};

test("ice by hand: 5.04 MJ of birds, 1.47 MJ of water and 1.37 MJ of tanks over 0.344 MJ a kilogram", () => {
  const need = iceNeed(DAY);
  expect(need.balanceKilograms).toBeCloseTo((5_040_000 + 1_473_472 + 1_368_000) / 344_336, 6);
  expect(need.bags).toBe(Math.ceil((need.balanceKilograms * 1.15) / 9.07));
});

test("more birds, warmer water or a hotter day never need less ice", () => {
  const ice = (change: Partial<typeof DAY>) => iceNeed({ ...DAY, ...change }).iceKilograms;
  expect(ice({ birds: 21 })).toBeGreaterThan(ice({}));
  expect(ice({ tapCelsius: 15 })).toBeGreaterThan(ice({}));
  expect(ice({ ambientCelsius: 30 })).toBeGreaterThan(ice({}));
});

test("a tank that holds one bird exactly holds one", () => {
  const { litersPerBird } = tankRoom(2, 100);
  expect(tankRoom(2, litersPerBird).birdsThatFit).toBe(1);
  expect(tankRoom(2, litersPerBird * 0.999).birdsThatFit).toBe(0);
});
