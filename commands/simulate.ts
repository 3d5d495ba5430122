import { readFileSync } from "node:fs";
import type { LineFile } from "#app/days/plan/file/line-file.ts";
import { readLineFile } from "#app/days/plan/file/read-line-file.ts";
import { bottleneck } from "#core/processing-line/alternatives/line-whatif.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { LineTally, type Moment, type Spread } from "#core/processing-line/line-tally.ts";

/** Plays a day's line many times and prints what came of it as JSON: npm run -s simulate -- DAY.json */

/** Mornings for each of the comparisons that find the station which holds the line. */
const COMPARED_MORNINGS = 200;

const [path] = process.argv.slice(2);
const read = path ? readDay(path) : { problems: ["name a file: npm run -s simulate -- DAY.json"] };
if ("problems" in read) {
  for (const problem of read.problems) console.error(`simulate: ${problem}`);
  process.exitCode = 2;
} else console.log(JSON.stringify(answerOf(read.day, read.file)));

function readDay(file: string): { day: LineDay; file: LineFile } | { problems: string[] } {
  let text: string;
  try {
    text = readFileSync(file, "utf8");
  } catch {
    return { problems: [`can't read ${file}`] };
  }
  return readLineFile(text);
}

function answerOf(day: LineDay, { seed, replications }: LineFile) {
  const begun = performance.now();
  const tally = new LineTally(day, seed);
  tally.play(replications);
  const answer = tally.answer();
  return {
    finishMinutes: answer.finish ? rounded(answer.finish) : null,
    lastInChillMinutes: answer.lastInChill ? rounded(answer.lastInChill) : null,
    stuckReplications: answer.stuckReplications,
    bottleneck: bottleneck(day, seed, Math.min(replications, COMPARED_MORNINGS))?.station ?? null,
    stations: Object.fromEntries(
      Object.entries(answer.stations).map(([station, share]) => [station, rounded(share)]),
    ),
    people: Object.fromEntries(
      day.people.map(({ name }, index) => [name, { busy: round(answer.people[index]!) }]),
    ),
    longestWaitMinutes: rounded(answer.longestWait),
    killMinutes: answer.kills.map(even),
    chillMinutes: answer.chills.map(even),
    replications: answer.replications,
    events: Math.round(answer.eventsPerReplication * answer.replications),
    seconds: round((performance.now() - begun) / 1000),
  };
}

function even({ p50 }: Moment): number {
  return round(p50);
}

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}

function rounded<Numbers extends Spread | object>(numbers: Numbers) {
  return Object.fromEntries(Object.entries(numbers).map(([name, value]) => [name, round(value as number)]));
}
