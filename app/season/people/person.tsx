import { redirect } from "react-router";
import { ableInWords, personDayForm, weekdaysOf } from "#app/season/people/people-form.ts";
import { ReadCalendarForm } from "#app/season/people/read-calendar-form.tsx";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import type { Route } from "./+types/person.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.person.name ?? "Someone"} · Pale Morning` },
];

function loadPerson(here: FarmContext, personId: string) {
  const farm = requireFarm(here);
  return { person: requirePerson(here, personId), today: localDayOf(here.now(), farm.timeZone) };
}

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { person, today } = loadPerson(here, params.personId);
  const days = here.file.people
    .personDays(today, addDays(today, 400))
    .filter(({ personId }) => personId === person.id);
  const read = new URL(request.url).searchParams.get("read");
  return { person, today, days, read, entryId: newEntryId(), fileEntryId: newEntryId() };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { person, today } = loadPerson(here, params.personId);
  const sent = await submitted(here, request, personDayForm(today));
  if (!sent.ok) return sent.refusal;
  const { onDay, canCome, why } = sent.value;
  const day = {
    personId: person.id,
    onDay,
    canCome: canCome === "yes",
    why: why ?? "",
  };
  const faults = faultsOf(here.file.people.sayDay(sent.entry, day), {});
  return faults ? sent.refuse(faults) : redirect(`/season/people/${person.id}`, 303);
}

export default function PersonPage({ loaderData, actionData }: Route.ComponentProps) {
  const { person, read } = loaderData;
  const address = addressOf(person);
  return (
    <Page>
      <PageHead
        title={person.name}
        line={[`usually ${weekdaysOf(person.weekdayMask)}`, ableInWords(person)].filter(Boolean).join("; ")}
      >
        <ButtonLink kind="plain" to={`${address}/change`}>
          Speed, hours, and rules
        </ButtonLink>
        <ButtonLink kind="plain" to={`${address}/days.ics`} reloadDocument>
          Export their days to a calendar
        </ButtonLink>
        <ButtonLink kind="plain" to={`${address}/forget`}>
          Forget
        </ButtonLink>
      </PageHead>
      {read !== null && (
        <p role="status" className="rounded-sheet border-l-4 border-pine bg-mist px-4 py-2">
          The calendar was read: busy on {plural(Number(read), "day")} to come.
        </p>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <SingleDay {...loaderData} refusal={actionData} />
        <FromCalendar {...loaderData} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

const addressOf = ({ id }: Loaded["person"]) => `/season/people/${id}`;
const YES_OR_NO = [
  { value: "yes", label: "Yes" },
  { value: "no", label: "No" },
];

function SingleDay({
  person,
  today,
  days,
  entryId,
  refusal,
}: Loaded & { refusal: Route.ComponentProps["actionData"] }) {
  const show = useShow();
  const typed = days.filter(({ source }) => source === "typed");
  return (
    <Sheet heading="Single day">
      <FarmForm
        key={days.length}
        schema={personDayForm(today)}
        refusal={refusal}
        entryId={entryId}
        defaults={{ canCome: "no" }}
        submit="Save"
      >
        {(fields) => (
          <>
            <TextField field={fields.onDay} label="Day" type="date" />
            <ChoiceField field={fields.canCome} label={`${person.name} can come`} options={YES_OR_NO} />
            <TextField field={fields.why} label="Why" hint="Optional" />
          </>
        )}
      </FarmForm>
      <ul className="mt-4 empty:hidden">
        {typed.map(({ entryId: id, onDay, canCome, why }) => (
          <li key={id} className="flex items-baseline justify-between gap-3 border-t border-rule py-2">
            <span>
              {show.shortDay(onDay)}: {canCome ? "can come" : "can't come"}
              {why && `, ${why}`}
            </span>
            <RemoveButton
              entryId={id}
              back={addressOf(person)}
              what={`${person.name} on ${show.shortDay(onDay)}`}
            />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Busy days shown of a calendar: one with years of appointments is not listed whole. */
const SHOWN_DAYS = 30;

function FromCalendar({ person, days, fileEntryId }: Loaded) {
  const show = useShow();
  const busy = days.filter(({ source }) => source === "calendar");
  return (
    <Sheet
      heading="From a calendar file"
      beside={busy.length > 0 ? plural(busy.length, "busy day") : undefined}
    >
      <ReadCalendarForm personId={person.id} name={person.name} entryId={fileEntryId} />
      {busy.length > 0 && (
        <>
          <ul className="mt-4 text-sm">
            {busy.slice(0, SHOWN_DAYS).map(({ onDay, why }) => (
              <li key={onDay} className="border-t border-rule py-1">
                {show.shortDay(onDay)}
                {why && `: ${why}`}
              </li>
            ))}
          </ul>
          <RemoveButton entryId={busy[0]!.entryId} back={addressOf(person)} what="from the calendar file" />
        </>
      )}
    </Sheet>
  );
}
