import { beforeAll, expect, test } from "vitest";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { readDevices } from "#app/server/device/device-listener.server.ts";
import { forecastDays } from "#app/server/device/weather.server.ts";
import { HERE } from "#app/server/farm/here-of-tests.ts";
import { forecastReadings } from "#devices/forecast/forecast-line.ts";

/** The stand-in forecast runs as a program of its own, as it does on a farm. */
beforeAll(() => makeFarmOfTests(HERE.file));

const farm = () => HERE.file.farm()!;
const told = () => forecastDays(HERE, farm(), "2026-09-16", 16).map(({ source }) => source);
const rows = () => HERE.file.readings.about("forecast", "2026-01-01", "2027-12-31");

test("what the forecast says arrives in the table, is kept once, and reaches the pages", async () => {
  expect(new Set(told())).toEqual(new Set(["date"]));
  await readDevices(HERE, new AbortController().signal);
  expect(told()).toEqual(["date", ...Array<string>(14).fill("forecast"), "date"]);
  const before = rows();
  expect(before).toHaveLength(14 * 3);
  await readDevices(HERE, new AbortController().signal);
  expect(rows()).toEqual(before);
}, 60_000);

test("a later word about a day stands, and the same reading sent again changes nothing", () => {
  const line = { day: "2026-09-20", meanCelsius: 4, lowCelsius: 1, highCelsius: 8, saidAt: 1 };
  HERE.file.readings.keep("forecast", forecastReadings(line), 1);
  HERE.file.readings.keep("forecast", forecastReadings({ ...line, meanCelsius: 5 }), 2);
  expect(forecastDays(HERE, farm(), "2026-09-20", 1)).toMatchObject([
    { meanCelsius: 4, lowCelsius: 1, highCelsius: 8, source: "forecast" },
  ]);
});

test("a device that is stopped says so, and leaves what was there", async () => {
  const stop = new AbortController();
  stop.abort();
  const before = rows();
  await expect(readDevices(HERE, stop.signal)).rejects.toThrow();
  expect(rows()).toEqual(before);
});
