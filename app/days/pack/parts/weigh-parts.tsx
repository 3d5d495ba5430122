import { useState } from "react";
import { Form } from "react-router";
import { partsForm } from "#app/days/pack/parts/parts-form.ts";
import { SeldomChanged } from "#app/days/pack/parts/seldom-changed.tsx";
import { FromScale } from "#app/ui/device/from-scale.tsx";
import { FarmForm, type Fields, type Refusal } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRODUCT_WORDS, piecesInWords, productName } from "#app/words/packing/product-words.ts";
import { packCode } from "#core/label/pack-code.ts";
import { packPrice } from "#core/label/pack-price.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";
import type { Route } from "./+types/pack-parts.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** The form for the next pack of a product: what stays the same from pack to pack is filled in. */
export function WeighParts(loaded: Loaded & { refusal: Refusal | undefined }) {
  const { product, own, day, entryId, refusal, unitSystem } = loaded;
  const show = useShow();
  const last = own.at(-1);
  const kind = productKind(product.kind);
  const isByVolume = "liters" in kind.pack;
  const [read, setRead] = useState<Read>();
  return (
    <Sheet
      className="for-gloves"
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
        onRead={setRead}
        after={(fields) => <SeldomChanged {...loaded} fields={fields} />}
      >
        {(fields) => <AmountFields {...loaded} fields={fields} read={read} />}
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

function defaultsOf({ product, lots, places, containers, printsLabel }: Loaded, last: Pack | undefined) {
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
    printsLabel: printsLabel ? "on" : undefined,
    containerId: String(
      containers.find(({ tareMilligrams }) => tareMilligrams === last?.tareMilligrams)?.id ?? "",
    ),
  };
}

type Read = { readonly amount: number; readonly containerId: number | undefined; readonly purpose: string };

/** What was read, without its container. */
const netOf = ({ amount, containerId }: Read, { containers }: Loaded): number =>
  Math.max(0, amount - (containers.find(({ id }) => id === containerId)?.tareMilligrams ?? 0));

/** What the pack will cost as it stands. */
function priceOf(read: Read, loaded: Loaded): number | undefined {
  const { product } = loaded;
  const isByVolume = "liters" in productKind(product.kind).pack;
  if (read.purpose !== "sale") return undefined;
  return packPrice({
    weightMilligrams: isByVolume ? undefined : netOf(read, loaded),
    tareMilligrams: 0,
    volumeMilliliters: isByVolume ? read.amount : undefined,
    priceCents: product.priceCents,
    priceUnit: product.priceUnit,
  });
}

type AmountFieldsProps = Loaded & {
  fields: Fields<ReturnType<typeof partsForm>>;
  read: Read | undefined;
};

/** The weight as it was understood, large, and the boxes that each pack needs. */
function AmountFields({ fields, read, ...loaded }: AmountFieldsProps) {
  const { product, lots, unitSystem, devices } = loaded;
  const show = useShow();
  const kind = productKind(product.kind);
  const isByVolume = "liters" in kind.pack;
  const price = read && priceOf(read, loaded);
  return (
    <>
      <p aria-live="polite" className="whitespace-nowrap font-display text-5xl leading-none xl:text-hero">
        {read ? (
          amountInWords(netOf(read, loaded), isByVolume, show)
        ) : (
          <span className="text-xl text-soft">
            {isByVolume ? "Fill the next one" : "Put a pack on the scale"}
          </span>
        )}
        {price !== undefined && <span className="pl-6 text-3xl text-soft">{show.money(price)}</span>}
      </p>
      <TextField
        field={fields.amount}
        label={isByVolume ? "Volume" : "Weight, with its container"}
        hint={isByVolume ? VOLUME_HINT[unitSystem] : WEIGHT_HINT[unitSystem]}
        inputMode={isByVolume ? "text" : "decimal"}
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
  );
}
