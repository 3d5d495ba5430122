import { redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { PRODUCT_WORDS } from "#app/words/packing/product-words.ts";
import { PRODUCT_KIND_NAMES, type ProductKindName, productKind } from "#core/packing/product-kinds.ts";
import type { Route } from "./+types/cuts.ts";

export const meta = () => [{ title: "Your own cuts · Pale Morning" }];

/** What a bird can be cut into, counted by the piece. */
const CUTS = PRODUCT_KIND_NAMES.filter((name) => {
  const { group, piece } = productKind(name);
  return group === "cut" && piece !== undefined && piece !== "carcass";
});

const pieces = optional(wholeNumber({ least: 1, most: 500, ask: "Enter how many go into a pack" }));

const cutsForm = z
  .object({
    name: words(60, "Enter a name, such as boneless"),
    ...(Object.fromEntries(CUTS.map((name) => [name, pieces])) as Record<ProductKindName, typeof pieces>),
  })
  .transform(({ name, ...counts }, context) => {
    const parts = CUTS.flatMap((product) => {
      const piecesPerPack = counts[product];
      return piecesPerPack === undefined ? [] : [{ product, piecesPerPack }];
    });
    if (parts.length === 0)
      context.addIssue({
        code: "custom",
        path: [CUTS[0]!],
        message: "Enter how many go into a pack, for at least one cut",
      });
    return { name, parts };
  });

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { schemes: here.file.cutting.schemes(), entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, cutsForm);
  if (!sent.ok) return sent.refusal;
  const faults = faultsOf(here.file.cutting.addScheme(sent.entry, sent.value), {
    "name-taken": { name: "You have cuts of that name already. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect("/freezers/cuts", 303);
}

export default function Cuts({ loaderData: { schemes, entryId }, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Your own cuts" line="what you take a bird apart into, and how many go into a pack" />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Add cuts">
          <FarmForm
            key={schemes.length}
            schema={cutsForm}
            refusal={actionData}
            entryId={entryId}
            submit="Add cuts"
          >
            {(fields) => (
              <>
                <TextField field={fields.name} label="Name" />
                <p className="text-soft">Pieces in a pack. Leave empty what you don't cut.</p>
                <div className="grid grid-cols-2 items-end gap-4">
                  {CUTS.map((name) => (
                    <TextField
                      key={name}
                      field={fields[name]}
                      label={PRODUCT_WORDS[name].name}
                      inputMode="numeric"
                    />
                  ))}
                </div>
              </>
            )}
          </FarmForm>
        </Sheet>
        <Sheet heading="Your cuts">
          {schemes.length === 0 && (
            <p className="py-1">
              Until you add some, birds are cut into breasts and leg quarters by two, wings by twelve, and
              backs by four.
            </p>
          )}
          <ul>
            {schemes.map(({ entryId: of, name, parts }) => (
              <li key={of} className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
                <span>
                  <b>{name}</b>:{" "}
                  {parts
                    .map(
                      ({ product, piecesPerPack }) =>
                        `${PRODUCT_WORDS[product].name.toLowerCase()} by ${piecesPerPack}`,
                    )
                    .join("; ")}
                </span>
                <RemoveButton entryId={of} back="/freezers/cuts" what={name} />
              </li>
            ))}
          </ul>
        </Sheet>
      </div>
    </Page>
  );
}
