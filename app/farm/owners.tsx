import { redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { choice, words } from "#app/ui/read/read-field.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { CUSTOMER_WORDS } from "#app/words/customer-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { OWNER_KINDS } from "#core/sharing/customer-kind.ts";
import type { Route } from "./+types/owners.ts";

export const meta = () => [{ title: "Whose birds · Pale Morning" }];

const ownerForm = z.object({
  name: words(40, "Enter their name"),
  kind: choice(OWNER_KINDS, "Choose who they are to you"),
});

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const year = localDayOf(here.now(), farm.timeZone).slice(0, 4);
  const dressed = here.file.books.dressedByYear().filter((one) => one.year === year);
  const birdsOf = (ownerId: number | undefined) => dressed.find((one) => one.ownerId === ownerId)?.birds ?? 0;
  return {
    year,
    rule: farm.ruleForOthers,
    ownBirds: birdsOf(undefined),
    cap: here.file.season.setting().yearlyCapCount,
    owners: here.file.customers.owners().map((owner) => ({ ...owner, birds: birdsOf(owner.id) })),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, ownerForm);
  if (!sent.ok) return sent.refusal;
  const outcome = here.file.customers.add(sent.entry, { ...sent.value, contact: "", note: "" });
  const faults = faultsOf(outcome, { "name-taken": { name: "Someone of that name is on the list already" } });
  return faults ? sent.refuse(faults) : redirect("/farm/owners", 303);
}

/** Households and neighbors whose birds are processed here, each with its birds of the year. */
export default function Owners({ loaderData, actionData }: Route.ComponentProps) {
  const { rule, owners, entryId } = loaderData;
  return (
    <Page>
      <PageHead title="Whose birds" line="households and neighbors whose birds you process" />
      <Notice tone={rule === "" ? "heed" : "plain"}>
        {rule === ""
          ? "Many local rules allow you to process only your own birds. Write your rule down under Farm; every plan with other people's birds shows it first."
          : `Your rule: “${rule}”`}
      </Notice>
      <div className="grid items-start gap-5 md:grid-cols-2">
        <BirdsOfYear {...loaderData} />
        <Sheet heading="Add someone">
          <FarmForm
            key={owners.length}
            schema={ownerForm}
            refusal={actionData}
            entryId={entryId}
            defaults={{ kind: "neighbor" }}
            submit="Add"
          >
            {(fields) => (
              <>
                <TextField field={fields.name} label="Name" />
                <ChoiceField
                  field={fields.kind}
                  label="Who are they?"
                  options={OWNER_KINDS.map((value) => ({ value, label: CUSTOMER_WORDS[value] }))}
                />
              </>
            )}
          </FarmForm>
        </Sheet>
      </div>
    </Page>
  );
}

/** How many birds of each owner were processed this year: limits are counted by owner. */
function BirdsOfYear({ year, ownBirds, cap, owners }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  const shown = owners.filter(({ isRemoved, birds }) => !isRemoved || birds > 0);
  return (
    <Sheet heading={`Processed in ${year}`}>
      <DataTable
        caption="Birds of the year by owner"
        columns={[
          { head: "Owner", cell: ({ name, isRemoved }) => (isRemoved ? `${name} (removed)` : name) },
          { head: "Who", cell: ({ kind }) => (kind ? CUSTOMER_WORDS[kind] : "") },
          { head: "Birds", isNumber: true, cell: ({ birds }) => show.count(birds) },
          {
            head: "Remove",
            isHeadHidden: true,
            cell: ({ name, entryId: id, isRemoved }) =>
              id && !isRemoved && <RemoveButton entryId={id} back="/farm/owners" what={name} />,
          },
        ]}
        rows={[
          { id: 0, name: "Your own", kind: undefined, birds: ownBirds, entryId: "", isRemoved: false },
          ...shown,
        ]}
        keyOf={({ id }) => String(id)}
      />
      {cap !== undefined && (
        <p className="pt-2 text-sm">
          Your limit of {show.count(cap)} a year counts your own birds; what you process for others is counted
          for them.
        </p>
      )}
    </Sheet>
  );
}
