import { median } from "d3-array";
import { dayOf } from "#commands/bench/bench-day.ts";
import { simpleForecast } from "#commands/bench/simple-forecast.ts";
import { liveForecast } from "#core/processing-line/forecast/live-forecast.ts";
import type { Milestone } from "#core/processing-line/forecast/milestone.ts";
import { watchedDay } from "#core/processing-line/forecast/watched-days-of-tests.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";

/** Played days that the forecast knows nothing of: seeds are printed, so that they can be played again. */
const DAYS = 200;
const OWN_SEED = 991;
const SHARES = [0.25, 0.5, 0.75] as const;
/** A farm without settled days. */
const DAY_SD_LN = 0.25;

const DAY: LineDay = { ...dayOf(120), daySdLn: DAY_SD_LN, breaks: [{ fromMinute: 180, minutes: 40 }] };

const TAPPED: Readonly<Record<string, readonly Milestone[]>> = {
  "chill alone": ["chill"],
  "chill, cones, dips": ["chill", "kill", "dip-in"],
};

/** How often the 8-in-10 range of a running day holds its true finish, how wide it is, and how long it takes. */
export function benchForecast(days = DAYS): void {
  console.log(
    `\nThe forecast of a running day: 120 birds, 5 people, ${days} days of seed ${OWN_SEED}, day spread ${DAY_SD_LN}`,
  );
  console.log(
    "held = true finishes inside the 8-in-10 range, of a hundred; minutes wide; milliseconds (median)",
  );
  const watched = Array.from({ length: days }, (_, replication) => watchedDay(DAY, OWN_SEED, replication));
  for (const share of SHARES) {
    const count = Math.ceil(share * birdsOf(DAY));
    for (const [name, milestones] of Object.entries(TAPPED)) {
      const answers = watched.map((day) => {
        const nowMinute = day.taps.filter(({ milestone }) => milestone === "chill")[count - 1]!.minute;
        const taps = day.taps.filter(
          ({ milestone, minute }) => minute <= nowMinute && milestones.includes(milestone),
        );
        const startedAt = performance.now();
        const { p10, p90 } = liveForecast(DAY, { nowMinute, taps }, 1).lastInChill!;
        return { p10, p90, milliseconds: performance.now() - startedAt, last: day.lastInChill };
      });
      print(`${share * 100} % done, ${name}`, answers);
    }
    const simple = watched.map((day) => {
      const chills = day.taps.filter(({ milestone }) => milestone === "chill").slice(0, count);
      return {
        ...simpleForecast(
          DAY,
          chills.map(({ minute }) => minute),
        ),
        last: day.lastInChill,
      };
    });
    print(`${share * 100} % done, simple method`, simple);
  }
}

interface Answered {
  readonly p10: number;
  readonly p90: number;
  readonly last: number;
  readonly milliseconds?: number;
}

function print(name: string, answers: readonly Answered[]): void {
  const held = answers.filter(({ p10, p90, last }) => last >= p10 && last <= p90).length / answers.length;
  const width = answers.reduce((sum, { p10, p90 }) => sum + p90 - p10, 0) / answers.length;
  const times = answers.flatMap(({ milliseconds }) => (milliseconds === undefined ? [] : [milliseconds]));
  const took = times.length > 0 ? `${median(times)!.toFixed(0).padStart(5)} ms` : "";
  console.log(
    `${name.padEnd(34)} held ${(held * 100).toFixed(0).padStart(3)}  ${width.toFixed(1).padStart(5)} min ${took}`,
  );
}
