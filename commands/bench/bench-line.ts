import { median } from "d3-array";
import { lineInPackage } from "#commands/bench/line-in-package.ts";
import { bestCrew } from "#core/processing-line/best-crew.ts";
import { EVENTS, LAST_WORK, lineContext } from "#core/processing-line/line-context.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { ORDINARY_DAY, person } from "#core/processing-line/line-days-of-tests.ts";
import { playMorning } from "#core/processing-line/line-run.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import { readableMorning } from "#core/processing-line/readable-line.ts";

const ROUNDS = 7;
const CREW_MILLISECONDS = 2500;

const dayOf = (birds: number): LineDay => ({
  ...ORDINARY_DAY,
  birds,
  people: [
    person("Tobias", ["cones", "scald", "pluck"]),
    person("Maren", ["gut", "rinse"]),
    person("Ines", ["gut", "rinse", "giblets"]),
    person("Juno", ["pins", "gut"]),
    person("Oskar", ["pins", "giblets", "rinse"]),
  ],
  kit: { ...ORDINARY_DAY.kit, tankBirds: birds },
  breaks: [{ fromMinute: 300, minutes: 40 }],
});

/** The line against its readable telling and against a simulation package, by birds, and the search for a crew. */
export async function benchLine(): Promise<void> {
  const day = dayOf(120);
  const context = lineContext(day, 1);
  const inPackage = await lineInPackage();
  const fast = timed(4000, (morning) => void playMorning(context, morning));
  const readable = timed(30, (morning) => void readableMorning(day, 1, morning));
  const general = timed(30, (morning) => void inPackage(day, 1, morning));
  playMorning(context, 3);
  const differs = Math.abs(context.state.clock[LAST_WORK]! - inPackage(day, 1, 3));
  console.log(`\nThe line: a day of 120 birds and 5 people, mornings a second, median of ${ROUNDS} rounds`);
  console.log(`fast ${perSecond(fast)} (${fast.toFixed(3)} ms, ${context.state.counts[EVENTS]} events)`);
  console.log(`readable ${perSecond(readable)}, the fast one ${(readable / fast).toFixed(1)} times as many`);
  console.log(
    `simulation package ${perSecond(general)}, the fast one ${(general / fast).toFixed(1)} times as many; they end ${differs.toFixed(3)} min apart`,
  );
  console.log("\nBy birds: milliseconds a morning, and a bird against the day of 30");
  let first: number | undefined;
  for (const birds of [30, 60, 120, 240, 480]) {
    const laid = lineContext(dayOf(birds), 1);
    const eachBird = timed(Math.round(120_000 / birds), (morning) => void playMorning(laid, morning)) / birds;
    first ??= eachBird;
    console.log(
      `${String(birds).padStart(4)} birds ${(eachBird * birds).toFixed(3)} ms   x${(eachBird / first).toFixed(2)}`,
    );
  }
  benchCrew(58);
  benchCrew(120);
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

/** Milliseconds of one, from rounds of so many. */
function timed(count: number, work: (index: number) => void): number {
  const rounds = Array.from({ length: ROUNDS }, () => {
    const startedAt = performance.now();
    for (let index = 0; index < count; index += 1) work(index);
    return (performance.now() - startedAt) / count;
  });
  return median(rounds)!;
}

const perSecond = (milliseconds: number) => Math.round(1000 / milliseconds).toLocaleString("en-US");
