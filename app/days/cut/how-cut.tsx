import { cutForm } from "#app/days/cut/cut-form.ts";
import { FarmForm, type Fields, type Refusal } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField, TickField } from "#app/ui/field.tsx";
import { ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/cut.ts";

type HowCutProps = Route.ComponentProps["loaderData"] & { refusal: Refusal | undefined };

/** Into which cuts, by whom, with what, and how many packs the sealer takes. */
export function HowCut({ cutting, schemes, people, entryId, refusal }: HowCutProps) {
  return (
    <Sheet heading="How they are cut" className="print:hidden">
      <FarmForm
        key={cutting.entryId}
        schema={cutForm}
        refusal={refusal}
        entryId={entryId}
        defaults={{
          schemeId: String(cutting.plan.schemeId ?? ""),
          personId: String(cutting.plan.personId ?? ""),
          tool: cutting.plan.tool,
          isHomeCook: cutting.plan.isHomeCook ? "on" : undefined,
          packsPerCycle: String(cutting.plan.packsPerCycle),
        }}
        submit="Save"
      >
        {(fields) => <HowCutFields fields={fields} schemes={schemes} people={people} />}
      </FarmForm>
      <p className="pt-3 text-sm text-soft">
        Knives and saws only for those who may. A band saw takes fingers: push with a block, no gloves, one
        person at it. Keep what waits in ice.
      </p>
    </Sheet>
  );
}

type HowCutFieldsProps = Pick<HowCutProps, "schemes" | "people"> & { fields: Fields<typeof cutForm> };

function HowCutFields({ fields, schemes, people }: HowCutFieldsProps) {
  return (
    <>
      <SelectField
        field={fields.schemeId}
        label="Into which cuts"
        options={[
          { value: "", label: "the usual: breasts, leg quarters, wings, backs" },
          ...schemes.map(({ id, name }) => ({ value: String(id), label: name })),
        ]}
      />
      <ButtonLink kind="plain" to="/freezers/cuts">
        Your own cuts
      </ButtonLink>
      {people.length > 0 && (
        <SelectField
          field={fields.personId}
          label="Who cuts"
          options={[
            { value: "", label: "not said" },
            ...people.map(({ id, name }) => ({ value: String(id), label: name })),
          ]}
        />
      )}
      <ChoiceField
        field={fields.tool}
        label="With"
        options={[
          { value: "knife", label: "Knife", line: "2.5 min a bird" },
          { value: "saw", label: "Band saw", line: "1.5 min a bird" },
        ]}
      />
      <TickField field={fields.isHomeCook} label="Someone who seldom cuts" hint="5.5 min a bird" />
      <TextField field={fields.packsPerCycle} label="Packs the sealer takes at once" inputMode="numeric" />
    </>
  );
}
