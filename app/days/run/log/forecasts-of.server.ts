import { setTimeout } from "node:timers/promises";
import type { ForecastAt } from "#app/days/run/log/where-time-went.tsx";
import { basisOfDay } from "#app/server/day/plan-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** No day is looked back on for longer. */
const MOST_HOURS = 14;
/** Days whose answers are kept: each takes a second or two. */
const KEPT_DAYS = 10;
/** What a page waits for them, ms; later it asks again. */
const PATIENCE_MILLISECONDS = 500;
const kept = new Map<string, Promise<readonly ForecastAt[]>>();

/** The forecasts of a day, or undefined while they are still being worked out. */
export async function forecastsSoon(...asked: Parameters<typeof forecastsOf>) {
  const enough = new AbortController();
  const later = setTimeout(PATIENCE_MILLISECONDS, undefined, { signal: enough.signal });
  later.catch(() => undefined);
  const forecasts = await Promise.race([forecastsOf(...asked), later]);
  enough.abort();
  return forecasts;
}

/** What the forecast said at each full hour of a day, worked out again from what was tapped until then. */
function forecastsOf(
  here: FarmContext,
  farm: Farm,
  day: ProcessingDay,
  { from, to }: { readonly from: number; readonly to: number },
): Promise<readonly ForecastAt[]> {
  const first = Math.ceil(from / HOUR) * HOUR;
  const count = Math.max(0, Math.min(MOST_HOURS, Math.ceil((to - first) / HOUR)));
  const moments = Array.from({ length: count }, (_, index) => first + index * HOUR);
  if (moments.length === 0) return Promise.resolve([]);
  const { run } = here.file;
  const key = `${run.fileId()} ${day.id} ${day.revision} ${run.cursor(day.id)} ${count}`;
  const before = kept.get(key);
  if (before) return before;
  const basis = basisOfDay(here, farm, day);
  const answer = eachInTurn(moments, async (now) => {
    const facts = run.facts(day.id).filter(({ at }) => at <= now);
    const asked = { basis, processedOn: day.processedOn, choices: day, facts, now };
    const { lastInChill } = await workPool().run("changed-day", {
      ...asked,
      limitAt: now,
      iceBags: undefined,
    });
    return { at: now, chance: lastInChill };
  });
  if (kept.size >= KEPT_DAYS) kept.delete(kept.keys().next().value!);
  kept.set(key, answer);
  answer.catch(() => kept.delete(key));
  return answer;
}

/** One after the other, so that a running day's own forecast waits for one of them at most. */
async function eachInTurn<One, Answer>(
  all: readonly One[],
  answerOf: (one: One) => Promise<Answer>,
): Promise<Answer[]> {
  const answers: Answer[] = [];
  for (const one of all) answers.push(await answerOf(one));
  return answers;
}
