import { median } from "d3-array";
import { dayOf } from "#commands/bench/bench-day.ts";
import { lineByProcesses } from "#commands/bench/line-by-processes.ts";
import { lineByTimers } from "#commands/bench/line-by-timers.ts";
import { bestCrew } from "#core/processing-line/alternatives/best-crew.ts";
import { EVENTS, LAST_WORK, lineContext } from "#core/processing-line/line-context.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";
import { lotOf, person } from "#core/processing-line/line-days-of-tests.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import { readableReplication } from "#core/processing-line/readable-line.ts";

const ROUNDS = 7;
const CREW_MILLISECONDS = 2500;

/** The line against slower tellings of the same model, by birds, and the search for a crew. */
export async function benchLine(): Promise<void> {
  await benchTellings();
  await benchBirds();
  await benchLots();
  benchCrew(58);
  benchCrew(120);
}

/** Against the readable telling and two simulation packages, one of processes and one of timers, round by round. */
async function benchTellings(): Promise<void> {
  const day = dayOf(120);
  const context = lineContext(day, 1);
  const processes = lineByProcesses();
  const timers = lineByTimers();
  const tellings: Record<string, (replication: number) => number | Promise<number>> = {
    readable: (replication) => readableReplication(day, 1, replication).happenings.at(-1)!.minute,
    "package of processes": (replication) => processes(day, 1, replication),
    "package of timers": (replication) => timers(day, 1, replication),
  };
  const times: Record<string, number[]> = { fast: [] };
  for (let round = 0; round < ROUNDS; round += 1) {
    times.fast!.push(await milliseconds(4000, (replication) => void playReplication(context, replication)));
    for (const [name, telling] of Object.entries(tellings)) {
      times[name] ??= [];
      times[name].push(await milliseconds(30, telling));
    }
  }
  const fast = median(times.fast!)!;
  console.log(
    `\nThe line: a day of 120 birds and 5 people, replications a second, median of ${ROUNDS} rounds`,
  );
  console.log(`fast ${perSecond(fast)} (${fast.toFixed(3)} ms, ${context.state.counts[EVENTS]} events)`);
  for (const [name, telling] of Object.entries(tellings)) {
    const one = median(times[name]!)!;
    playReplication(context, 3);
    const apart = Math.abs(context.state.clock[LAST_WORK]! - (await telling(3)));
    console.log(
      `${name} ${perSecond(one)} (${one.toFixed(2)} ms), the fast one ${(one / fast).toFixed(1)} times as many; they end ${apart.toFixed(3)} min apart`,
    );
  }
}

/** How long a bird takes on days of several sizes. */
async function benchBirds(): Promise<void> {
  console.log("\nBy birds: milliseconds a replication, and a bird against the day of 30");
  await benchDays([30, 60, 120, 240, 480].map((birds) => ({ name: `${birds} birds`, day: dayOf(birds) })));
}

/** How long a bird takes when the same 120 come as lots. Lots that are scalded alike flow as one; others wait for their turn. */
async function benchLots(): Promise<void> {
  console.log("\nBy lots: milliseconds a replication of 120 birds, and a bird against one lot");
  const others = (birds: number) =>
    lotOf({ birds, minutes: { ...lotOf({ birds }).minutes, scald: 1.8 }, tankShare: 0.6 });
  await benchDays([
    { name: "one lot", day: dayOf(120) },
    { name: "two lots alike", day: dayOf(120, [lotOf({ birds: 60 }), lotOf({ birds: 60 })]) },
    { name: "two lots", day: dayOf(120, [lotOf({ birds: 60 }), others(60)]) },
    {
      name: "four lots",
      day: dayOf(
        120,
        [30, 30, 30, 30].map((birds, lot) => (lot % 2 ? others(birds) : lotOf({ birds }))),
      ),
    },
  ]);
}

/** Rounds take turns, so that a machine busy for a while slows all days alike. */
async function benchDays(days: readonly { name: string; day: LineDay }[]): Promise<void> {
  const rows = days.map(({ name, day }) => ({
    name,
    birds: birdsOf(day),
    context: lineContext(day, 1),
    times: [] as number[],
  }));
  for (let round = 0; round < ROUNDS; round += 1)
    for (const { birds, context, times } of rows)
      times.push(
        await milliseconds(
          Math.round(120_000 / birds),
          (replication) => void playReplication(context, replication),
        ),
      );
  const eachBird = ({ birds, times }: (typeof rows)[number]) => median(times)! / birds;
  for (const row of rows)
    console.log(
      `${row.name.padStart(14)} ${median(row.times)!.toFixed(3)} ms   x${(eachBird(row) / eachBird(rows[0]!)).toFixed(2)}`,
    );
}

function benchCrew(birds: number): void {
  const day = { ...dayOf(birds), people: [...dayOf(birds).people, person("Pell", ["pins"])] };
  const allowed = day.people.map(({ name }) => (name === "Pell" ? (["pins", "rinse"] as const) : STATIONS));
  const search = bestCrew({ day, allowed, seed: 1 });
  const startedAt = performance.now();
  const first = search.next().value.minute;
  let inTime = first;
  let inTimeMilliseconds = 0;
  for (;;) {
    const step = search.next();
    const milliseconds = performance.now() - startedAt;
    if (milliseconds < CREW_MILLISECONDS || inTimeMilliseconds === 0) {
      inTime = step.value.minute;
      inTimeMilliseconds = milliseconds;
    }
    if (step.done) {
      console.log(
        `\nBest crew, 6 people, ${birds} birds: from ${first.toFixed(0)} to ${inTime.toFixed(0)} min in ${(inTimeMilliseconds / 1000).toFixed(2)} s; ${step.value.minute.toFixed(0)} in the end, after ${(milliseconds / 1000).toFixed(1)} s`,
      );
      return;
    }
  }
}

/** Milliseconds of one, from so many. */
async function milliseconds(count: number, work: (index: number) => unknown): Promise<number> {
  const startedAt = performance.now();
  for (let index = 0; index < count; index += 1) {
    const doing = work(index);
    if (doing instanceof Promise) await doing;
  }
  return (performance.now() - startedAt) / count;
}

const perSecond = (time: number) => Math.round(1000 / time).toLocaleString("en-US");
