import { data, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { NothingRests } from "#app/days/rest/nothing-rests.tsx";
import { RestFacts } from "#app/days/rest/rest-facts.tsx";
import { restForm } from "#app/days/rest/rest-form.ts";
import { RestMethods } from "#app/days/rest/rest-methods.tsx";
import { RestParts } from "#app/days/rest/rest-parts.tsx";
import { trickleOf } from "#app/days/rest/trickle.server.ts";
import { TrickleSheet } from "#app/days/rest/trickle-sheet.tsx";
import { restAround } from "#app/server/day/around-day.server.ts";
import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { type RestOfDay, restOfDay } from "#app/server/day/rest-of-day.server.ts";
import { seasonTerms } from "#app/server/day/season-reading.server.ts";
import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { ENTRY_USED, formFields, newEntryId } from "#app/server/submitted.server.ts";
import { Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { SkyRibbon } from "#app/ui/sky/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { restRoom } from "#core/day/plan/room/rest-room.ts";
import { cookBeforeOrAfter, REST_METHOD_HOURS, REST_METHODS } from "#core/rest/rest-part.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/rest.ts";

export const meta = () => [{ title: "Rest · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const { done } = progressOf(here, day);
  const at = here.now();
  const rest = restOfDay(here, farm, day);
  const { plan } = planOf(here, farm, day);
  const head = {
    dayId: day.id,
    processedOn: day.processedOn,
    line: `${plural(done, "bird")} of ${batchesInWords(lots)}`,
  };
  const firstAt = Math.min(...rest.parts.map(({ times }) => times.firstKillAt));
  const lastDueAt = Math.max(...rest.parts.map(({ times }) => Math.max(times.dueAt, times.rigorPassedAt)));
  return {
    head,
    isPlanned: rest.isPlanned,
    programEntryId: rest.programEntryId,
    at,
    parts: rest.parts.map(({ times, kind, ...part }) => ({
      ...part,
      times,
      kind,
      // Who wants a bird tonight cooks one before it stiffens, or waits.
      cook: cookBeforeOrAfter([times.firstKillAt, times.lastKillAt], kind),
    })),
    facts: here.file.resting.facts(day.id),
    places: here.file.places().map(({ id, name }) => ({ id, name })),
    people: here.file.people.people().map(({ id, name }) => ({ id, name })),
    lots: lots.map(({ id, batchName }) => ({ id, batchName })),
    chillHours: plan.chill.hours.value,
    birdKilograms: plan.lots[0]!.forecast.dressed.value,
    room: roomByMethod(here, farm, day, rest.parts),
    devices: attachedDevices(here).statuses(),
    trickle: trickleOf(here, farm, day, new URL(request.url).searchParams.get("flow")),
    sky: rest.parts.length > 0 ? skyBetween(firstAt - HOUR, lastDueAt + 4 * HOUR, placeOf(farm)) : undefined,
    entryId: newEntryId(),
  };
}

/** For each way of resting, whether the refrigerators have room for all of the day's birds through its nights. */
function roomByMethod(here: FarmContext, farm: Farm, day: ProcessingDay, parts: RestOfDay["parts"]) {
  const terms = seasonTerms(here, farm, here.file.season.setting(), localDayOf(here.now(), farm.timeZone));
  const around = restAround(here, terms.restDays, day.id);
  const birds = parts.reduce((sum, part) => sum + part.birds, 0);
  return REST_METHODS.map((method) => {
    const restDays = Math.ceil(REST_METHOD_HOURS[method] / 24);
    const room = restDays === 0 ? undefined : restRoom(day.processedOn, birds, { ...around, restDays });
    return { method, birds, free: room?.free };
  });
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const entered = Object.fromEntries(await formFields(request)) as Record<string, string>;
  const read = restForm(farm.unitSystem).safeParse(entered);
  if (!read.success) return data({ problem: read.error.issues[0]!.message, entered }, { status: 422 });
  const { entryId, fact } = read.data;
  const outcome = here.file.resting.recordFact({ entryId, at: here.now() }, day.id, fact);
  if (outcome.recorded) return redirect(`/days/${day.id}/rest`, 303);
  const problem =
    outcome.reason === "lot-unknown" ? "That lot was taken off this day. Choose another" : ENTRY_USED;
  return data({ problem, entered }, { status: 422 });
}

export default function Rest({ loaderData, actionData }: Route.ComponentProps) {
  const { head, isPlanned, parts, sky, at, chillHours } = loaderData;
  const show = useShow();
  const last = parts.toSorted((one, other) => one.times.dueAt - other.times.dueAt).at(-1);
  if (isPlanned || !last || !sky)
    return (
      <Page>
        <DayHead {...head} />
        <NothingRests {...loaderData} />
      </Page>
    );
  const coldAt = Math.max(...parts.map(({ times }) => times.lastKillAt)) + chillHours * HOUR;
  return (
    <Page isWide>
      <DayHead {...head} />
      <SkyRibbon
        sky={sky}
        marks={[
          { at: Math.min(...parts.map(({ times }) => times.rigorFrom)), label: "Rigor begins" },
          { at: coldAt, label: `under ${show.temperature(CHILL.targetCelsius)}` },
          ...[...new Set(parts.map(({ times }) => times.dueAt))].map((dueAt) => ({
            at: dueAt,
            label: `${parts.filter(({ times }) => times.dueAt === dueAt).reduce((sum, { birds }) => sum + birds, 0)} rested`,
          })),
          { at, label: "Now", tone: "now" as const },
        ]}
        spans={[{ from: last.times.lastKillAt, to: last.times.dueAt, strength: "half" }]}
        sentence={`Resting until ${show.dayTime(last.times.dueAt)}.`}
      />
      <Warmest {...loaderData} />
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <div className="grid gap-5 lg:col-span-2">
          <RestParts {...loaderData} />
          <RestMethods {...loaderData} />
          <TrickleSheet {...loaderData} />
        </div>

        <div className="grid gap-5">
          <Sheet heading="Cold by">
            <p className="py-1">
              The last bird is under {show.temperature(CHILL.targetCelsius)} by about{" "}
              <b>{show.dayTime(coldAt)}</b>. Probe the breast of a heavy one. Giblets have a shorter limit of
              their own, often 2 h. Follow your local rules.
            </p>
          </Sheet>
          <RestFacts {...loaderData} refusal={actionData} />
        </div>
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

/** The last temperature that was taken, if it is above what keeps birds safe. */
function Warmest({ facts }: Pick<Loaded, "facts">) {
  const show = useShow();
  const last = facts.findLast(({ millicelsius }) => millicelsius !== undefined);
  if (last?.millicelsius === undefined || last.millicelsius / 1000 <= CHILL.targetCelsius) return null;
  return (
    <Notice tone="heed">
      <p>
        <b>
          {show.temperature(last.millicelsius / 1000)} at {show.dayTime(last.at)} is above{" "}
          {show.temperature(CHILL.targetCelsius)}.
        </b>{" "}
        Add ice or set the refrigerator colder now, and measure again within the hour. Birds that were too
        warm for too long are not for people: your local rules say how long.
      </p>
    </Notice>
  );
}
