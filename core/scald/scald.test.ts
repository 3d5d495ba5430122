import fc from "fast-check";
import { expect, test } from "vitest";
import { bathHeatUp, bathThroughput } from "#core/scald/bath.ts";
import { bathOfVolume } from "#core/scald/bath-shape.ts";
import { SCALD_DOSE } from "#core/scald/scald-constants.ts";
import { scaldTime } from "#core/scald/scald-time.ts";

const dip = (bathCelsius: number) =>
  scaldTime({
    bathCelsius,
    targetSeconds: 60,
    underRatio: 0.7,
    overRatio: 1.4,
    skinCeilingCelsius: 67,
    scale: SCALD_DOSE,
  });

test("a hotter bath never needs longer, and one below 50 °C never gets there", () => {
  const celsius = fc.double({ min: 50, max: 75, noNaN: true });
  fc.assert(
    fc.property(celsius, celsius, (one, other) => {
      const [cooler, hotter] = one < other ? [one, other] : [other, one];
      expect(dip(hotter).seconds!).toBeLessThanOrEqual(dip(cooler).seconds! * (1 + 1e-12));
    }),
  );
  expect(dip(49.99).seconds).toBeUndefined();
  expect(dip(50).seconds).toBeGreaterThan(0);
  expect(dip(66.99).isSkinInDanger).toBe(false);
  expect(dip(67).isSkinInDanger).toBe(true);
});

test("the closed form of heating agrees with small steps of the same physics", () => {
  const bath = {
    waterKilograms: 57,
    vesselJoulePerKelvin: 5700,
    powerWatts: 2000,
    efficiency: 1,
    lossWattPerKelvin: 9.6,
    ambientCelsius: 18,
  };
  const capacity = 57 * 4186 + 5700;
  let celsius = 12;
  let seconds = 0;
  for (; celsius < 60; seconds += 1) celsius += (2000 - 9.6 * (celsius - 18)) / capacity;
  expect(bathHeatUp(bath, 12, 60).seconds).toBeCloseTo(seconds, -1);
});

test("a bath never gets hotter than where heat and loss balance, and never boils on purpose", () => {
  const weak = {
    waterKilograms: 57,
    vesselJoulePerKelvin: 5700,
    powerWatts: 300,
    efficiency: 1,
    lossWattPerKelvin: 10,
    ambientCelsius: 18,
  };
  expect(bathHeatUp(weak, 12, 60)).toMatchObject({ ceilingCelsius: 48, seconds: undefined });
  expect(bathHeatUp({ ...weak, powerWatts: 5000 }, 12, 100).seconds).toBeUndefined();
  expect(bathHeatUp({ ...weak, lossWattPerKelvin: 0 }, 12, 60).seconds).toBeCloseTo(
    ((57 * 4186 + 5700) * 48) / 300,
    6,
  );
});

test("a bath with no heat to spare holds for no bird", () => {
  const bath = { powerWatts: 400, efficiency: 1, lossWattPerKelvin: 10, ambientCelsius: 18 };
  expect(
    bathThroughput({ bath, setCelsius: 60, liveKilograms: 3, tapCelsius: 12, isToppedUp: true }).birdsPerHour,
  ).toBe(0);
});

test("a drum of 57 liters is as tall as it is wide", () => {
  const { surfaceSquareMeters, wallSquareMeters } = bathOfVolume(57);
  const diameter = Math.sqrt((4 * surfaceSquareMeters) / Math.PI);
  expect(surfaceSquareMeters * diameter * 1000).toBeCloseTo(57, 9);
  expect(wallSquareMeters).toBeCloseTo(5 * surfaceSquareMeters, 9);
  expect(() => bathOfVolume(0)).toThrow("more than 0 liters, got 0");
});
