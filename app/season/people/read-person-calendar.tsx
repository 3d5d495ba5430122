import { data, redirect } from "react-router";
import { ReadCalendarForm } from "#app/season/people/read-calendar-form.tsx";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { ENTRY_USED, formFields, newEntryId } from "#app/server/submitted.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import type { CalendarReading } from "#workers/calendar/read-calendar.ts";
import { TookTooLong } from "#workers/pool/client.ts";
import type { Route } from "./+types/read-person-calendar.ts";

export const meta = () => [{ title: "Calendar file · Pale Morning" }];

const MOST_BYTES_READ = 2 * 1024 * 1024;
const AHEAD_DAYS = 400;
/** A year of anybody's events takes a tenth of a second. */
const MOST_MILLISECONDS = 4000;

const PROBLEMS: Readonly<Record<(CalendarReading & { ok: false })["problem"], string>> = {
  "not-a-calendar": "This file is not a readable calendar. Export it again as an .ics file",
  "too-much":
    "This calendar has too many events, or events that repeat for too many years. Export only the coming months",
  "no-events": "This calendar is empty. Choose the calendar you keep your schedule in",
};

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { person: requirePerson(here, params.personId), entryId: newEntryId() };
}

/** Reads on which days someone is busy out of a calendar file: all of it or nothing. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const person = requirePerson(here, params.personId);
  const fields = await formFields(request);
  const file = fields.get("calendar");
  const refuse = (fault: string) => data({ fault }, { status: 422 });
  const entryId = String(fields.get("entryId") ?? "");
  if (!isEntryId(entryId)) return refuse("This form lost its ID. Choose the file again");
  if (!(file instanceof File) || file.size === 0) return refuse("Choose the file first");
  if (file.size > MOST_BYTES_READ) {
    const size = (file.size / 1024 / 1024).toFixed(1);
    return refuse(`This file has ${size} MB; at most 2 MB can be read. Export only the coming months`);
  }
  const from = localDayOf(here.now(), farm.timeZone);
  const reading = await workPool()
    .run(
      "read-calendar",
      { text: await file.text(), from, to: addDays(from, AHEAD_DAYS), timeZone: farm.timeZone },
      { mostMilliseconds: MOST_MILLISECONDS, signal: request.signal },
    )
    .catch((error: unknown): CalendarReading => {
      // What the reader of calendars stumbles over is none that anyone could read.
      return { ok: false, problem: error instanceof TookTooLong ? "too-much" : "not-a-calendar" };
    });
  if (!reading.ok) return refuse(PROBLEMS[reading.problem]);
  const outcome = here.file.people.readCalendar({ entryId, at: here.now() }, person.id, reading.busy);
  return outcome.recorded
    ? redirect(`/season/people/${person.id}?read=${reading.busy.length}`, 303)
    : refuse(ENTRY_USED);
}

export default function ReadPersonCalendar({
  loaderData: { person, entryId },
  actionData,
}: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title={person.name} line="from a calendar file" />
      <Sheet heading="The file" className="max-w-prose">
        <ReadCalendarForm
          personId={person.id}
          name={person.name}
          entryId={entryId}
          {...(actionData && { fault: actionData.fault })}
        />
      </Sheet>
    </Page>
  );
}
