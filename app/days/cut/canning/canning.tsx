import { redirect } from "react-router";
import { canningForm } from "#app/days/cut/canning/canning-form.ts";
import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField, TickField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, EmptyPlace, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { canningInWords } from "#app/words/packing/by-product-words.ts";
import { plural } from "#app/words/show.ts";
import { canningAt } from "#core/packing/canning.ts";
import type { Route } from "./+types/canning.ts";

export const meta = () => [{ title: "Canning · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return {
    day,
    line: batchesInWords(lots),
    altitudeMeters: farm.altitudeMeters,
    processes: here.file.canning
      .processes()
      .map((process) => ({ ...process, verdict: canningAt(process.steps, farm.altitudeMeters) })),
    loads: here.file.canning.loads(day.id),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, canningForm);
  if (!sent.ok) return sent.refusal;
  const { processId, jars, sealed } = sent.value;
  const process = here.file.canning.processes().find(({ id }) => id === processId);
  if (!process) return sent.refuse({ processId: "That process was removed. Choose another" });
  const verdict = canningAt(process.steps, farm.altitudeMeters);
  if (!verdict.may)
    return sent.refuse({
      processId: "This process doesn't cover your altitude. Refrigerate or freeze what is in the jars",
    });
  const outcome = here.file.canning.recordLoad(sent.entry, day.id, {
    processId,
    jars,
    sealed,
    altitudeMeters: farm.altitudeMeters!,
    pascals: verdict.pascals,
    minutes: process.minutes,
  });
  const faults = faultsOf(outcome, {
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "process-unknown": { processId: "That process was removed. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/cut/canning`, 303);
}

export default function Canning({ loaderData, actionData }: Route.ComponentProps) {
  const { day, line, processes, altitudeMeters } = loaderData;
  const show = useShow();
  const usable = processes.filter(({ verdict }) => verdict.may);
  return (
    <Page isWide>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <CutTabs dayId={day.id} />
      {usable.length === 0 ? (
        <EmptyPlace
          heading="Refrigerate or freeze"
          action={<ButtonLink to="/freezers/canning">Add a tested process</ButtonLink>}
        >
          <p>
            {altitudeMeters === undefined
              ? "Your altitude is not set. Jars of meat or broth may be canned only in a pressure canner, by a tested process for your altitude."
              : processes.length > 0
                ? `None of your processes covers ${show.altitude(altitudeMeters)}.`
                : "Jars of meat or broth may be canned only in a pressure canner, by a tested process for your altitude. Add the one you follow, with its source and its year."}
          </p>
        </EmptyPlace>
      ) : (
        <div className="grid items-start gap-5 lg:grid-cols-2">
          <NewLoad {...loaderData} usable={usable} refusal={actionData} />
          <Loads {...loaderData} />
        </div>
      )}
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

interface NewLoadProps extends Loaded {
  /** Processes that cover the farm's altitude. */
  usable: Loaded["processes"];
  refusal: Refusal | undefined;
}

function NewLoad({ day, usable, loads, altitudeMeters, entryId, refusal }: NewLoadProps) {
  const show = useShow();
  if (day.settledEntryId)
    return (
      <Notice tone="plain">This day is settled and locked. Reopen it under Settle to add a load.</Notice>
    );
  return (
    <Sheet
      heading="A load of the canner"
      beside={`at ${show.altitude(altitudeMeters!)}`}
      className="print:hidden"
    >
      <FarmForm
        key={loads.length}
        schema={canningForm}
        refusal={refusal}
        entryId={entryId}
        defaults={{ processId: usable.length === 1 ? String(usable[0]!.id) : "" }}
        submit="Save load"
      >
        {(fields) => (
          <>
            <ChoiceField
              field={fields.processId}
              label="Process"
              options={usable.map(({ id, name, verdict, minutes }) => ({
                value: String(id),
                label: name,
                line: canningInWords(verdict, minutes, altitudeMeters, show),
              }))}
            />
            <div className="grid grid-cols-2 gap-4">
              <TextField field={fields.jars} label="Jars" inputMode="numeric" />
              <TextField field={fields.sealed} label="Lids that sealed" inputMode="numeric" />
            </div>
            <TickField
              field={fields.isAsTested}
              label="Vented, and held at that pressure for all of those minutes"
            />
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}

function Loads({ day, loads }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="Loads of the canner" beside={loads.length > 0 ? plural(loads.length, "load") : ""}>
      {loads.length === 0 && (
        <p className="py-1">None yet. A jar whose lid did not seal is refrigerated or frozen.</p>
      )}
      <ul>
        {loads.map((load) => (
          <li
            key={load.entryId}
            className="flex items-baseline justify-between gap-3 border-b border-rule py-2"
          >
            <span>
              {show.dayTime(load.doneAt)}: {load.processName}, {load.sealed} of {plural(load.jars, "jar")}{" "}
              sealed; {show.pressure(load.pascals)} for {load.minutes} min at{" "}
              {show.altitude(load.altitudeMeters)} ({load.testedBy}, {load.publishedYear})
            </span>
            <RemoveButton
              entryId={load.entryId}
              back={`/days/${day.id}/cut/canning`}
              what={load.processName}
            />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
