import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import type { LineFile } from "#app/days/plan/file/line-file.ts";
import { readLineFile } from "#app/days/plan/file/read-line-file.ts";
import { readSoFar } from "#commands/so-far-file.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { dayAsRun } from "#core/day/forecast/day-as-run.ts";
import { bottleneck } from "#core/processing-line/alternatives/line-whatif.ts";
import type { DaySoFar } from "#core/processing-line/forecast/forecast-answer.ts";
import { liveForecast } from "#core/processing-line/forecast/live-forecast.ts";
import { liveMoves } from "#core/processing-line/forecast/live-moves.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { LineTally, type Moment, type Spread } from "#core/processing-line/line-tally.ts";

/** Plays a day's line many times and prints what came of it as JSON: npm run -s simulate -- DAY.json */

/** Mornings for each of the comparisons that find the station which holds the line. */
const COMPARED_MORNINGS = 200;

const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: { "so-far": { type: "string" }, now: { type: "string" } },
});
const [path] = positionals;
const USAGE = "name a file: npm run -s simulate -- DAY.json [--so-far TAPS.json [--now MINUTE]]";
const answer: { problems: string[] } | { answer: object } = path
  ? answerOfFiles(path)
  : { problems: [USAGE] };
if ("problems" in answer) {
  for (const problem of answer.problems) console.error(`simulate: ${problem}`);
  process.exitCode = 2;
} else console.log(JSON.stringify(answer.answer));

function answerOfFiles(dayPath: string): { answer: object } | { problems: string[] } {
  const dayText = textOf(dayPath);
  if (dayText === undefined) return { problems: [`can't read ${dayPath}`] };
  const read = readLineFile(dayText);
  if ("problems" in read) return read;
  const tapsPath = values["so-far"];
  if (tapsPath === undefined) return { answer: answerOf(read.day, read.file) };
  const tapsText = textOf(tapsPath);
  if (tapsText === undefined) return { problems: [`can't read ${tapsPath}`] };
  const soFar = readSoFar(tapsText, read.day);
  if ("problems" in soFar) return soFar;
  const last = (soFar.facts.at(-1)?.at ?? 0) / MINUTE;
  const nowMinute = values.now === undefined ? last : Number(values.now);
  if (!(nowMinute >= last && nowMinute <= 2880))
    return { problems: [`--now must be a minute from the last tap, ${last}, to 2880`] };
  const { day, soFar: known } = dayAsRun(read.day, soFar.facts, { startAt: 0, now: nowMinute * MINUTE });
  return { answer: soFarAnswer(day, read.file, known) };
}

function textOf(file: string): string | undefined {
  try {
    return readFileSync(file, "utf8");
  } catch {
    return undefined;
  }
}

/** A day that has begun: when it will be done, and what would help now. */
function soFarAnswer(day: LineDay, { seed, replications }: LineFile, soFar: DaySoFar) {
  const begun = performance.now();
  const forecast = liveForecast(day, soFar, seed, soFar.taps.length === 0 ? replications : undefined);
  return {
    nowMinute: soFar.nowMinute,
    finishMinutes: forecast.finish ? rounded(forecast.finish) : null,
    lastInChillMinutes: forecast.lastInChill ? rounded(forecast.lastInChill) : null,
    killMinutes: forecast.kills.map(even),
    chillMinutes: forecast.chills.map(even),
    moves: liveMoves(day, forecast, seed),
    replications: Math.round(forecast.weighedReplications),
    seconds: round((performance.now() - begun) / 1000),
  };
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
