import { median, quantile } from "d3-array";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { BASIS, CHOICES, LOT } from "#core/day/plan/days-of-tests.ts";
import { lineSetup } from "#core/day/plan/line-setup.ts";
import { planInput } from "#core/day/plan/plan-for-date.ts";
import { scaldPlan } from "#core/day/plan/scald-plan.ts";
import { type DayFact, type FactKind, plainFact } from "#core/day/run/day-fact.ts";
import type { Milestone } from "#core/processing-line/forecast/milestone.ts";
import { watchedDay } from "#core/processing-line/forecast/watched-days-of-tests.ts";
import { WorkPool } from "#workers/pool/client.ts";

const BIRDS = 120;
const PEOPLE = 5;
const ASKED = 15;
const OWN_SEED = 991;
const DATE = "2026-09-19";
const START = Date.parse("2026-09-19T11:00:00Z");
const CHOSEN = { ...CHOICES, startAt: START, people: PEOPLE, lots: [{ ...LOT, birds: BIRDS }] };

const KIND_OF: Partial<Record<Milestone, FactKind>> = {
  kill: "kill",
  "dip-in": "dip-in",
  table: "table",
  chill: "bird",
};

/** How long a phone waits for the forecast of a half-done day, and for what would help, asked of the pool as the application asks. */
export async function benchForecastInPool(): Promise<void> {
  const pool = new WorkPool({ root: process.cwd(), threads: 1, mostMilliseconds: 60_000 });
  const first: number[] = [];
  const whole: number[] = [];
  for (let asked = -1; asked < ASKED; asked += 1) {
    const running = halfDone(asked + 1);
    const startedAt = performance.now();
    let soFar = 0;
    await pool.run("run-forecast", running, {
      soFar: () => {
        soFar = performance.now() - startedAt;
      },
    });
    // The first question starts the thread.
    if (asked < 0) continue;
    first.push(soFar);
    whole.push(performance.now() - startedAt);
  }
  await pool.close();
  const words = (times: readonly number[]) =>
    `${median(times)!.toFixed(0)} ms (9 in 10 under ${quantile(times, 0.9)!.toFixed(0)})`;
  console.log(
    `In the pool, ${BIRDS} birds and ${PEOPLE} people, half done: forecast ${words(first)}, with what would help ${words(whole)}`,
  );
}

/** A day of which half the birds are in the chill, with all that its posts tapped. */
function halfDone(replication: number) {
  const plan = planInput(BASIS, DATE, CHOSEN);
  const scalds = plan.lots.map((lot) => scaldPlan(lot, plan.means));
  const { taps } = watchedDay(lineSetup(plan, scalds).day, OWN_SEED, replication);
  const chills = taps.filter(({ milestone }) => milestone === "chill");
  const nowMinute = chills[BIRDS / 2]!.minute;
  const facts = taps.flatMap(({ milestone, minute, birds }, index): DayFact[] => {
    const kind = KIND_OF[milestone];
    if (kind === undefined || minute > nowMinute) return [];
    return [{ ...plainFact(kind, START + minute * MINUTE), entryId: `tap-${index}`, birds }];
  });
  return {
    basis: BASIS,
    processedOn: DATE,
    choices: CHOSEN,
    facts: facts.toSorted((one, other) => one.at - other.at),
    now: START + nowMinute * MINUTE,
  };
}
