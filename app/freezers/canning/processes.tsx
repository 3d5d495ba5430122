import { redirect } from "react-router";
import { processForm, STEPS } from "#app/freezers/canning/process-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Fields } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { canningInWords } from "#app/words/packing/by-product-words.ts";
import { canningAt } from "#core/packing/canning.ts";
import type { Route } from "./+types/processes.ts";

export const meta = () => [{ title: "Canning · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { altitudeMeters, unitSystem } = requireFarm(here);
  return { processes: here.file.canning.processes(), altitudeMeters, unitSystem, entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const sent = await submitted(here, request, processForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  const { steps, ...process } = sent.value;
  const faults = faultsOf(here.file.canning.addProcess(sent.entry, { ...process, steps }), {
    "name-taken": { name: "You have a process of that name already. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect("/freezers/canning", 303);
}

export default function Processes({ loaderData, actionData }: Route.ComponentProps) {
  const { processes, unitSystem, entryId } = loaderData;
  return (
    <Page isWide>
      <PageHead title="Canning" line="tested processes, as you copied them from who tested them" />
      <CanningCaution altitudeMeters={loaderData.altitudeMeters} />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Add a tested process">
          <FarmForm
            key={processes.length}
            schema={processForm(unitSystem)}
            refusal={actionData}
            entryId={entryId}
            submit="Add process"
          >
            {(fields) => <ProcessFields fields={fields} />}
          </FarmForm>
        </Sheet>
        <Processed {...loaderData} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

/** The usual caution, and the altitude that all of it hangs on. */
function CanningCaution({ altitudeMeters }: Pick<Loaded, "altitudeMeters">) {
  const show = useShow();
  return (
    <Notice tone="heed">
      <p>
        <b>Meat and broth are canned in a pressure canner only, by a tested process, for your altitude.</b> A
        jar that was canned otherwise can make people gravely ill without looking or smelling bad. Refrigerate
        or freeze instead. No process ships with this program: copy one from its source, with its date.
      </p>
      <p className="pt-1">
        {altitudeMeters === undefined
          ? "Your altitude is not set, so nothing can be canned. "
          : `Your farm lies at ${show.altitude(altitudeMeters)}. `}
        <ButtonLink kind="plain" to="/farm">
          {altitudeMeters === undefined ? "Set your altitude" : "Change it"}
        </ButtonLink>
      </p>
    </Notice>
  );
}

function ProcessFields({ fields }: { fields: Fields<ReturnType<typeof processForm>> }) {
  const show = useShow();
  const pressureUnit = show.isUs ? "lb" : "kPa";
  return (
    <>
      <TextField field={fields.name} label="What is canned" hint="For example: broth in quarts" />
      <TextField field={fields.testedBy} label="Tested and published by" />
      <div className="grid grid-cols-3 items-end gap-4">
        <TextField field={fields.publishedYear} label="Year" inputMode="numeric" />
        <TextField field={fields.jar} label="Jars" hint={show.isUs ? "1 qt" : "1 l"} />
        <TextField field={fields.minutes} label="Minutes" inputMode="numeric" />
      </div>
      <p className="text-soft">Pressure by altitude, as the source has it for your kind of canner.</p>
      {STEPS.map((step) => (
        <div key={step} className="grid grid-cols-2 items-end gap-4">
          <TextField
            field={fields[`upTo${step}`]}
            label={`Up to, ${show.isUs ? "ft" : "m"}`}
            inputMode="numeric"
          />
          <TextField
            field={fields[`pressure${step}`]}
            label="Pressure"
            unit={pressureUnit}
            inputMode="decimal"
          />
        </div>
      ))}
    </>
  );
}

function Processed({ processes, altitudeMeters }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="Your processes">
      {processes.length === 0 && (
        <p className="py-1">
          None yet. Until there is one that covers your altitude, jars can't be recorded.
        </p>
      )}
      <ul>
        {processes.map((process) => (
          <li key={process.id} className="grid gap-1 border-b border-rule py-3 last:border-b-0">
            <div className="flex justify-between gap-3">
              <b>
                {process.name}, jars of {show.filled(process.jarMilliliters)}
              </b>
              <RemoveButton entryId={process.entryId} back="/freezers/canning" what={process.name} />
            </div>
            <p className="text-soft">
              {process.testedBy}, {process.publishedYear}
            </p>
            <p>
              {canningInWords(
                canningAt(process.steps, altitudeMeters),
                process.minutes,
                altitudeMeters,
                show,
              )}
            </p>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
