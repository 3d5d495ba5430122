import { expect, test } from "vitest";
import type { WaterReading } from "#core/day/run/bath-readings.ts";
import { plainFact } from "#core/day/run/day-fact.ts";
import { scaldNow } from "#core/day/run/scald-now.ts";
import { bathDunk } from "#core/scald/bath-day.ts";
import { bathOfVolume } from "#core/scald/bath-shape.ts";
import { readingText, readLine } from "#devices/attached/reading-line.ts";
import { uniformFrom } from "#devices/attached/uniform-from.ts";
import { simulatedBath } from "#devices/bath-probe/simulated-bath.ts";

const SETTING = { kind: "fast", method: "middle", bathCelsius: 60 } as const;
const LITERS = 30;
const bath = (watts = 2000) =>
  simulatedBath({ liters: LITERS, watts, setCelsius: 60, birdKilograms: 2.5, uniform: uniformFrom(1) });

/** Lets a bath go on for a while, and reads it each half second as the farm does, over its line. */
function* readFor(
  simulated: ReturnType<typeof bath>,
  from: number,
  seconds: number,
): Generator<WaterReading> {
  for (let half = 0; half < 2 * seconds; half += 1) {
    simulated.pass(0.25);
    simulated.pass(0.25);
    const line = readLine(readingText({ device: "bath-probe", battery: 80, ...simulated.reading() }));
    if (line && "valueThousandths" in line)
      yield { at: from + half * 500, celsius: line.valueThousandths / 1000 };
  }
}

test("the countdown of a dip stretches as the bath sags under its birds", () => {
  const simulated = bath(0);
  const readings = [...readFor(simulated, 0, 30)];
  const dip = { ...plainFact("dip-in", 30_000), entryId: "dip-of-tests", birds: 4 };
  simulated.obey("dunk 4");
  const targets = [...readFor(simulated, 30_000, 60)].map((reading) => {
    readings.push(reading);
    return scaldNow([dip], readings, SETTING, reading.at).dip!.targetSeconds!;
  });
  expect(Math.abs(targets[0]! - 60)).toBeLessThan(1);
  expect(targets.at(-1)! - targets[0]!).toBeGreaterThan(3);
  // While the water falls, until the dose is met, the end only moves away, but for the flicker of the probe.
  for (let later = 10; later < 80; later += 10)
    expect(targets[later]!).toBeGreaterThan(targets[later - 10]! - 0.5);
});

test("birds cool the bath by as much as the bath's own reckoning says", () => {
  const simulated = bath(0);
  simulated.obey("dunk 4");
  let last = 60;
  for (const { celsius } of readFor(simulated, 0, 120)) last = celsius;
  const { vesselJoulePerKelvin } = bathOfVolume(LITERS);
  const { afterBirdsCelsius } = bathDunk({
    bath: {
      waterKilograms: LITERS,
      vesselJoulePerKelvin,
      powerWatts: 0,
      efficiency: 1,
      lossWattPerKelvin: 0,
      ambientCelsius: 15,
    },
    bathCelsius: 60,
    setCelsius: 60,
    birds: 4,
    liveKilograms: 2.5,
    tapCelsius: 10,
    isToppedUp: false,
  });
  // Less what an open bath loses to the air in two minutes.
  expect(afterBirdsCelsius - last).toBeGreaterThan(0);
  expect(afterBirdsCelsius - last).toBeLessThan(0.4);
});

test("the heat brings the bath back to its setting and holds it there", () => {
  const simulated = bath();
  simulated.obey("dunk 4");
  for (const _ of readFor(simulated, 0, 90));
  simulated.obey("lift");
  const read = [...readFor(simulated, 0, 1800)].slice(-600);
  expect(Math.min(...read.map(({ celsius }) => celsius))).toBeGreaterThan(59.3);
  expect(Math.max(...read.map(({ celsius }) => celsius))).toBeLessThan(60.4);
});
