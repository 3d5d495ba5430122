import { useState } from "react";
import { Form } from "react-router";
import { partsForm } from "#app/days/pack/parts/parts-form.ts";
import { SeldomChanged } from "#app/days/pack/parts/seldom-changed.tsx";
import { FromScale } from "#app/ui/device/from-scale.tsx";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRODUCT_WORDS, piecesInWords, productName } from "#app/words/product-words.ts";
import { packCode } from "#core/label/pack-code.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";
import type { Route } from "./+types/pack-parts.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** The form for the next pack of a product: what stays the same from pack to pack is filled in. */
export function WeighParts(loaded: Loaded & { refusal: Refusal | undefined }) {
  const { product, own, lots, day, entryId, refusal, unitSystem, devices } = loaded;
  const show = useShow();
  const last = own.at(-1);
  const kind = productKind(product.kind);
  const isByVolume = "liters" in kind.pack;
  const [read, setRead] = useState<number>();
  return (
    <Sheet
      heading={`Next pack: ${productName(product)}`}
      beside={last ? lastInWords(last, loaded, show) : "first pack"}
    >
      <FarmForm
        schema={partsForm(unitSystem, isByVolume)}
        refusal={refusal}
        entryId={entryId}
        defaults={defaultsOf(loaded, last)}
        submit="Save pack"
        isRepeated
        beside={
          last && (
            <Button kind="plain" form="undo-pack" className="min-h-16">
              Undo pack {packCode(last.id)}
            </Button>
          )
        }
        onRead={(value) => setRead(value?.amount)}
        after={(fields) => <SeldomChanged {...loaded} fields={fields} />}
      >
        {(fields) => (
          <>
            <p
              aria-live="polite"
              className="whitespace-nowrap font-display text-5xl leading-none xl:text-hero"
            >
              {read ? amountInWords(read, isByVolume, show) : <span className="text-rule">–</span>}
            </p>
            <TextField
              field={fields.amount}
              label={isByVolume ? "Volume" : "Weight, with its container"}
              hint={isByVolume ? VOLUME_HINT[unitSystem] : WEIGHT_HINT[unitSystem]}
              inputMode="text"
              autoFocus
            />
            {!isByVolume && <FromScale field={fields.amount.name} devices={devices} isAutomatic />}
            {kind.piece && (
              <TextField
                field={fields.pieces}
                label={`How many ${PRODUCT_WORDS[product.kind].piece![1]}`}
                hint={lots
                  .map(({ batchName, left }) => leftInWords(product.kind, batchName, left, lots.length))
                  .join(" · ")}
                inputMode="numeric"
              />
            )}
            {!kind.piece && <input type="hidden" name={fields.pieces.name} value="0" />}
            {fields.isSure.errors && <TickField field={fields.isSure} label="It is right" />}
          </>
        )}
      </FarmForm>
      {last && (
        <Form id="undo-pack" method="post" action={`/days/${day.id}/pack/take-back`}>
          <input type="hidden" name="entryId" value={last.entryId} />
          <input type="hidden" name="back" value={String(product.id)} />
        </Form>
      )}
    </Sheet>
  );
}

const WEIGHT_HINT = { us: "For example: 1 14.6, 1.91, 866g", metric: "For example: 0.866, 866g" } as const;
const VOLUME_HINT = { us: "For example: 1 qt, 24 fl oz", metric: "For example: 900 ml, 1 l" } as const;

const amountInWords = (amount: number, isByVolume: boolean, show: ReturnType<typeof useShow>) =>
  isByVolume ? show.filled(amount) : show.exactBird(amount);

function lastInWords(last: Pack, { product }: Loaded, show: ReturnType<typeof useShow>): string {
  const amount =
    last.weightMilligrams === undefined
      ? show.filled(last.volumeMilliliters!)
      : show.exactBird(last.weightMilligrams);
  return `last: ${[piecesInWords(product.kind, last.pieces), amount].filter(Boolean).join(", ")}`;
}

function leftInWords(
  kind: Loaded["product"]["kind"],
  batchName: string,
  left: number | undefined,
  lots: number,
): string {
  const of = lots > 1 ? ` of ${batchName}` : "";
  return left === undefined || left <= 0 ? `none left${of}` : `${piecesInWords(kind, left)} left${of}`;
}

function defaultsOf({ product, lots, places, containers }: Loaded, last: Pack | undefined) {
  const { pack, isForPets } = productKind(product.kind);
  const usual = product.piecesPerPack ?? ("pieces" in pack ? pack.pieces : 0);
  const lot = lots.find(({ left }) => left === undefined || left > 0) ?? lots[0];
  const sameLot = lots.find(({ id, left }) => id === last?.lotId && (left === undefined || left > 0));
  const left = (sameLot ?? lot)?.left;
  return {
    // The last pack takes what is left.
    pieces: String(left === undefined || left <= 0 ? usual : Math.min(usual, left)),
    lotId: String((sameLot ?? lot)?.id ?? ""),
    purpose:
      last && last.purpose !== "cut" && last.purpose !== "condemned"
        ? last.purpose
        : isForPets
          ? "pets"
          : "sale",
    placeId: String(last?.placeId ?? places.find(({ room }) => room > 0)?.id ?? ""),
    packedBy: String(last?.packedBy ?? ""),
    containerId: String(
      containers.find(({ tareMilligrams }) => tareMilligrams === last?.tareMilligrams)?.id ?? "",
    ),
  };
}
