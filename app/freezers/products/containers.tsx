import { redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { Route } from "./+types/containers.ts";

export const meta = () => [{ title: "Containers · Pale Morning" }];

/** A vacuum bag, and a stock tank, kg. */
const TARE_RANGE_KILOGRAMS = [0.001, 20] as const;

const containerForm = (unitSystem: UnitSystem) =>
  z.object({
    name: words(60, "Enter a name, such as steel bowl"),
    tareMilligrams: weight({
      unitSystem,
      ask: "Weigh it empty and enter its weight",
      range: TARE_RANGE_KILOGRAMS,
      what: "a container",
    }),
  });

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  return { containers: here.file.catalog.containers(), unitSystem, entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const sent = await submitted(here, request, containerForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const faults = faultsOf(here.file.catalog.addContainer(sent.entry, sent.value), {
    "name-taken": { name: "A container has that name already. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect("/freezers/containers", 303);
}

export default function Containers({ loaderData, actionData }: Route.ComponentProps) {
  const { containers, unitSystem, entryId } = loaderData;
  const show = useShow();
  return (
    <Page>
      <PageHead title="Containers" line="bowls and bags whose weight is taken off" />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Add a container">
          <FarmForm
            key={containers.length}
            schema={containerForm(unitSystem)}
            refusal={actionData}
            entryId={entryId}
            submit="Add container"
          >
            {(fields) => (
              <>
                <TextField field={fields.name} label="Name" />
                <TextField
                  field={fields.tareMilligrams}
                  label="Weight, empty"
                  hint={unitSystem === "us" ? "For example: 0.4 oz, 1 2, 12g" : "For example: 12g, 0.35"}
                />
              </>
            )}
          </FarmForm>
        </Sheet>
        <Sheet heading="Containers">
          {containers.length === 0 && (
            <p>
              Add the bowl or bag that packs are weighed in. Choose it once when you pack, and its weight is
              taken off from then on.
            </p>
          )}
          <ul>
            {containers.map(({ entryId: ofContainer, name, tareMilligrams }) => (
              <li
                key={ofContainer}
                className="flex items-baseline justify-between gap-3 border-b border-rule py-2"
              >
                <span>
                  {name}, {show.exactBird(tareMilligrams)}
                </span>
                <RemoveButton entryId={ofContainer} back="/freezers/containers" what={name} />
              </li>
            ))}
          </ul>
        </Sheet>
      </div>
    </Page>
  );
}
