import { median } from "d3-array";
import { benchBatchPage } from "#commands/bench/bench-batch-page.ts";
import { benchForecast } from "#commands/bench/bench-forecast.ts";
import { benchForecastInPool } from "#commands/bench/bench-forecast-pool.ts";
import { benchLabels } from "#commands/bench/bench-labels.ts";
import { benchLine } from "#commands/bench/bench-line.ts";
import { benchOrders } from "#commands/bench/bench-orders.ts";
import { benchPacks } from "#commands/bench/bench-packs.ts";
import { benchPage } from "#commands/bench/bench-page.ts";
import { benchSeason } from "#commands/bench/bench-season.ts";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";
import { fillYears } from "#demo/many-years.ts";

/**
 * How much slower a farm's file answers after twenty years than after one: npm run bench
 * Takes the birds a year as an argument: npm run bench -- 20000. Ratios within one run, since seconds differ from machine to machine.
 */
const birdsAYear = Number(process.argv[2] ?? 5000);
const REPEATS = 15;
const [young, old] = [filled(1), filled(20)];

console.log(
  `${birdsAYear} birds a year; median of ${REPEATS} in milliseconds after 1 and 20 years, and the ratio`,
);
const questions: Record<string, (file: FarmFile) => unknown> = {
  "all batches with their counts": (file) => file.batches(),
  "all days": (file) => file.days(),
  "one batch's story": (file) => file.story(1),
  "birds of one day": (file) => file.pack.carcasses(1),
  "what is in store": (file) => file.freezers.stored(),
};
for (const [name, ask] of Object.entries(questions)) {
  const [first, last] = [young, old].map((file) => medianMilliseconds(() => ask(file)));
  console.log(
    `${name.padEnd(32)} ${first!.toFixed(2).padStart(8)} ${last!.toFixed(2).padStart(8)}   x${(last! / first!).toFixed(1)}`,
  );
}

function medianMilliseconds(work: () => unknown): number {
  const times = Array.from({ length: REPEATS }, () => {
    const startedAt = performance.now();
    work();
    return performance.now() - startedAt;
  });
  return median(times)!;
}

function filled(years: number): FarmFile {
  const file = openFarmFile(":memory:");
  fillYears(file, years, birdsAYear);
  return file;
}

console.log("");
benchPacks();
benchOrders();
await benchLabels();
await benchBatchPage(birdsAYear);
await benchSeason();
await benchLine();
benchForecast();
await benchForecastInPool();
await benchPage();
