import { partsForm } from "#app/days/pack/parts/parts-form.ts";
import { SeldomChanged } from "#app/days/pack/parts/seldom-changed.tsx";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { PRODUCT_WORDS } from "#app/words/packing/product-words.ts";
import type { Route } from "./+types/correct-pack.ts";

type CorrectPartsProps = Route.ComponentProps["loaderData"] & { refusal: Refusal | undefined };

/** All that is said of a pack of parts, to be said anew. */
export function CorrectParts(props: CorrectPartsProps) {
  const { pack, product, containers, unitSystem, entryId, refusal } = props;
  const isByVolume = pack.volumeMilliliters !== undefined;
  const piece = PRODUCT_WORDS[product.kind].piece;
  const container = containers.find(({ tareMilligrams }) => tareMilligrams === pack.tareMilligrams);
  return (
    <FarmForm
      schema={partsForm(unitSystem, isByVolume)}
      refusal={refusal}
      entryId={entryId}
      defaults={{
        // A container that is gone leaves the net weight.
        amount: container || pack.tareMilligrams === 0 ? pack.asTyped : `${pack.weightMilligrams! / 1000}g`,
        pieces: String(pack.pieces),
        containerId: String(container?.id ?? ""),
        lotId: String(pack.lotId),
        purpose: pack.purpose,
        placeId: String(pack.placeId ?? ""),
        packedBy: String(pack.packedBy ?? ""),
      }}
      submit="Save correction"
    >
      {(fields) => (
        <>
          <TextField field={fields.amount} label={isByVolume ? "Volume" : "Weight, with its container"} />
          {piece ? (
            <TextField field={fields.pieces} label={`How many ${piece[1]}`} inputMode="numeric" />
          ) : (
            <input type="hidden" name={fields.pieces.name} value="0" />
          )}
          {fields.isSure.errors && <TickField field={fields.isSure} label="It is right" />}
          <SeldomChanged hasPrinter={false} {...props} fields={fields} />
        </>
      )}
    </FarmForm>
  );
}
