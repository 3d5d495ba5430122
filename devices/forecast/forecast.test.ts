import fc from "fast-check";
import { expect, test } from "vitest";
import { forecastDriver } from "#devices/forecast/forecast-driver.ts";
import { forecastReadings, forecastText, readForecastLine } from "#devices/forecast/forecast-line.ts";
import { hourText, readHourLine } from "#devices/forecast/hour-line.ts";
import { simulatedForecast } from "#devices/forecast/simulated-forecast.ts";
import { simulatedHours } from "#devices/forecast/simulated-hours.ts";

const NEVER = new AbortController().signal;

test("every line that the stand-in writes is read as it was meant, anywhere on earth", () => {
  fc.assert(
    fc.property(fc.double({ min: -89, max: 89, noNaN: true }), fc.nat(1e12), (latitude, saidAt) => {
      for (const line of simulatedForecast({ latitude, from: "2026-02-27", count: 4, saidAt }))
        expect(readForecastLine(forecastText(line))).toEqual(line);
    }),
  );
});

test.each([
  ["no line at all", ""],
  ["a day that does not exist", "2026-02-30 mean 1 low 0 high 2 said 5"],
  ["a low above the mean", "2026-02-20 mean 1 low 3 high 4 said 5"],
  ["hotter than air gets", "2026-02-20 mean 40 low 30 high 70 said 5"],
  ["a line without end", `2026-02-20 mean 1 low 0 high 2 said 5${"0".repeat(500)}`],
  ["numbers in words", "2026-02-20 mean mild low cold high warm said 5"],
])("%s is not read", (_, text) => expect(readForecastLine(text)).toBeUndefined());

test("every hour that the stand-in writes is read as it was meant, and no other line is", () => {
  for (const line of simulatedHours({ from: "2026-02-27", count: 90, saidAt: 7 })) {
    expect(readHourLine(hourText(line))).toEqual(line);
    expect(readForecastLine(hourText(line))).toBeUndefined();
  }
  for (const text of [
    "2026-02-20 hour 24 rain 0 gust 1 storm 0 said 5",
    "2026-02-20 hour 3 rain -1 gust 1 storm 0 said 5",
    "2026-02-20 hour 3 rain 0 gust 1 storm 101 said 5",
    "2026-02-30 hour 3 rain 0 gust 1 storm 1 said 5",
  ])
    expect(readHourLine(text)).toBeUndefined();
});

test("a line that can't be read is told of, and the others are read all the same", async () => {
  const good = { day: "2026-09-19", meanCelsius: 16.2, lowCelsius: 10.7, highCelsius: 21.7, saidAt: 5 };
  const unreadable: string[] = [];
  const lines = async function* () {
    yield "Good evening";
    yield forecastText(good);
  };
  const readings = [];
  for await (const one of forecastDriver(lines, (line) => unreadable.push(line)).readings(NEVER))
    readings.push(one);
  expect(unreadable).toEqual(["Good evening"]);
  expect(readings).toEqual(forecastReadings(good));
  expect(readings[0]).toMatchObject({ quantity: "mean-air-temperature", valueThousandths: 16_200 });
});
