import { parseArgs } from "node:util";
import { forecastText } from "#devices/forecast/forecast-line.ts";
import { hourText } from "#devices/forecast/hour-line.ts";
import { simulatedForecast } from "#devices/forecast/simulated-forecast.ts";
import { simulatedHours } from "#devices/forecast/simulated-hours.ts";

/** The stand-in forecast as a program: simulate.ts --latitude 43.9 --from 2026-09-17 --days 14 --said 1789639920000 */
const { values } = parseArgs({
  options: {
    latitude: { type: "string", default: "43.9" },
    from: { type: "string", default: "2026-09-17" },
    days: { type: "string", default: "14" },
    said: { type: "string", default: "0" },
  },
});
/** How far it looks by the hour. */
const HOURLY_DAYS = 3;

// Whoever listens may go away before all is said.
process.stdout.once("error", () => process.exit(0));

for (const line of simulatedForecast({
  latitude: Number(values.latitude),
  from: values.from,
  count: Number(values.days),
  saidAt: Number(values.said),
}))
  console.log(forecastText(line));
for (const line of simulatedHours({
  from: values.from,
  count: Math.min(HOURLY_DAYS, Number(values.days)),
  saidAt: Number(values.said),
}))
  console.log(hourText(line));
