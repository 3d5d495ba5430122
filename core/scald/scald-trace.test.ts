import fc from "fast-check";
import { expect, test } from "vitest";
import { bathDay, bathDunk } from "#core/scald/bath-day.ts";
import { SCALD_DOSE } from "#core/scald/scald-constants.ts";
import { doseBy, secondsToDose } from "#core/scald/scald-trace.ts";

const readings = fc
  .array(
    fc.tuple(fc.double({ min: 1, max: 60, noNaN: true }), fc.double({ min: 44, max: 66, noNaN: true })),
    {
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((steps) => {
    let seconds = 0;
    return steps.map(([step, celsius]) => {
      seconds += step;
      return { seconds, celsius };
    });
  });

test("the dose at the moment that meets the target is the target, and it only ever grows", () => {
  fc.assert(
    fc.property(readings, fc.double({ min: 1, max: 120, noNaN: true }), (trace, targetSeconds) => {
      const input = { readings: trace, scale: SCALD_DOSE };
      const met = secondsToDose({ ...input, targetSeconds });
      if (met === undefined) expect(doseBy(1e6, input)).toBeLessThan(targetSeconds);
      else expect(doseBy(met, input)).toBeCloseTo(targetSeconds, 6);
      expect(doseBy(50, input)).toBeLessThanOrEqual(doseBy(90, input) + 1e-9);
    }),
  );
});

test("a trace without a reading, or out of order, is a slip", () => {
  expect(() => doseBy(1, { readings: [], scale: SCALD_DOSE })).toThrow("at least one reading");
  const back = [
    { seconds: 30, celsius: 60 },
    { seconds: 20, celsius: 60 },
  ];
  expect(() => doseBy(1, { readings: back, scale: SCALD_DOSE })).toThrow("20 s after 30 s");
});

const BATH = {
  waterKilograms: 57,
  vesselJoulePerKelvin: 6000,
  powerWatts: 2000,
  efficiency: 1,
  lossWattPerKelvin: 13,
  ambientCelsius: 18,
};

test("more birds at once sag the bath more, and a bath that keeps up with a day has heat for each of its birds", () => {
  const birds = fc.integer({ min: 1, max: 6 });
  fc.assert(
    fc.property(birds, birds, (one, other) => {
      const sag = (count: number) =>
        bathDunk({
          bath: BATH,
          bathCelsius: 60,
          setCelsius: 60,
          birds: count,
          liveKilograms: 3,
          tapCelsius: 12,
          isToppedUp: true,
        }).sagKelvin;
      if (one < other) expect(sag(one)).toBeLessThan(sag(other));
    }),
  );
  const day = (count: number) =>
    bathDay({
      bath: BATH,
      heatUpLossWattPerKelvin: 8,
      workingLossWattPerKelvin: 13,
      fillCelsius: 12,
      setCelsius: 60,
      tapCelsius: 12,
      birds: count,
      liveKilograms: 3,
      workingHours: 2,
      isToppedUp: true,
    });
  expect(day(40).keepsUp).toBe(true);
  expect(day(400).keepsUp).toBe(false);
});
