import { type Changed, changeForm, fieldsOf } from "#app/days/run/change/change-form.ts";
import { basisOfDay } from "#app/server/day/plan-of-day.server.ts";
import { forecastHours } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { crewOf } from "#core/day/crew/crew.ts";
import { type ChangeOfPlan, changedChoices } from "#core/day/forecast/changed-choices.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { sunOfDay } from "#core/sky/farm-sky.ts";
import { startingLater } from "#core/sky/hourly-weather.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** By when the birds are to be in the chill, and why. */
export interface Limit {
  readonly at: number;
  readonly why: "dark" | "hours";
}

function limitOf({ file }: FarmContext, farm: Farm, { processedOn }: ProcessingDay, startAt: number): Limit {
  const sunset = sunOfDay(processedOn, farm.timeZone, placeOf(farm)).sunset ?? Infinity;
  const hours = file.season.setting().longestLineMinutes;
  const wanted = hours === undefined ? Infinity : startAt + hours * MINUTE;
  if (wanted < sunset) return { at: wanted, why: "hours" };
  return { at: sunset, why: "dark" };
}

/** Fields by name, as a form sends them. */
export type Fields = Readonly<Record<string, string | readonly string[]>>;

/** What was ticked and typed, as fields that are shown again; before anything was, the day as it is planned. */
function askedFields(day: ProcessingDay, asked: URLSearchParams | FormData): Fields {
  const fields = fieldsOf(asked);
  return asked.has("pluckBy")
    ? fields
    : {
        pluckBy: day.pluckBy,
        ...(day.isRainExpected && { isRaining: "on" }),
        later: "0",
        birds: String(birdsOf(day)),
      };
}

export const changeOf = ({ later, iceBags: _bags, ...changed }: Changed): ChangeOfPlan => ({
  ...changed,
  laterMinutes: Number(later),
});

/** The day as it would go with what was ticked and typed, beside how it would go as planned. */
export async function changeReading(
  here: FarmContext,
  farm: Farm,
  day: ProcessingDay,
  asked: URLSearchParams,
) {
  const fields = askedFields(day, asked);
  const read = changeForm(birdsOf(day)).safeParse(fields);
  const faults: Record<string, string> = read.success
    ? {}
    : Object.fromEntries(read.error.issues.map(({ path, message }) => [String(path[0]), message]));
  const basis = basisOfDay(here, farm, day);
  const year = Number(day.processedOn.slice(0, 4));
  const seats = crewOf(day.crew, day.people, { helpers: basis.helpers, former: basis.former, year });
  const changed = read.success
    ? changedChoices(day, changeOf(read.data), { helpers: basis.helpers, former: basis.former, year })
    : undefined;
  if (read.success && !changed)
    faults.missing = "Someone has to be there. Leave one person, or choose who comes instead";
  const facts = here.file.run.facts(day.id);
  const limit = limitOf(here, farm, day, changed?.startAt ?? day.startAt);
  const goes = (choices: DayChoices, iceBags?: number) =>
    workPool().run("changed-day", {
      basis,
      processedOn: day.processedOn,
      choices,
      facts,
      now: here.now(),
      limitAt: limit.at,
      iceBags,
    });
  const asPlanned = await goes(day);
  const asChanged = changed && read.success ? await goes(changed, read.data.iceBags) : undefined;
  const until = (asChanged ?? asPlanned).lastInChill?.nineInTenAt;
  const start = Math.max(here.now(), changed?.startAt ?? day.startAt);
  return {
    fields,
    faults,
    weather: until && startingLater(forecastHours(here, farm, day.processedOn), start, until),
    seats: seats.map(({ name }) => name),
    others: basis.helpers
      .filter(({ id }) => !seats.some(({ personId }) => personId === id))
      .map(({ id, name }) => ({ id, name })),
    planned: birdsOf(day),
    birds: read.success ? read.data.birds : undefined,
    limit,
    isChanged: changed !== undefined && JSON.stringify(changed) !== JSON.stringify(day),
    asPlanned,
    asChanged,
  };
}

export type ChangeReading = Awaited<ReturnType<typeof changeReading>>;
