import { doubtFaults } from "#app/days/pack/parts/doubt-in-words.ts";
import type { PartsEntered } from "#app/days/pack/parts/parts-form.ts";
import { kilogramsOf, lotsToPack } from "#app/server/day/packs-of-day.server.ts";
import { type FarmContext, wholeOf } from "#app/server/farm/farm-context.server.ts";
import type { LotOfDay } from "#app/server/farm/required.server.ts";
import type { Faults } from "#app/server/submitted.server.ts";
import type { Show } from "#app/words/show.ts";
import { pieceKilograms } from "#core/carcass-yield/piece-weight.ts";
import { packDoubt } from "#core/packing/pack-check.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { PackFacts } from "#db/pack/pack-row.server.ts";
import type { Product } from "#db/pack/product-queries.server.ts";

/** Small packs may weigh more together than their birds did, by this share: each is read off the scale. Choice. */
const SCALE_SHARE = 0.03;

/** From so many packs on, the day's own say what a piece weighs. Choice. */
const OWN_PACKS = 3;

type Facts =
  | { readonly ok: true; readonly pack: PackFacts }
  | { readonly ok: false; readonly faults: Faults };

/** A pack as it is kept, from what was entered: the container's weight taken off, the price that stands today. */
export function factsOf(
  here: FarmContext,
  { product, lots }: { product: Product; lots: readonly LotOfDay[] },
  {
    amount,
    isByVolume,
    containerId,
    isSure: _isSure,
    printsLabel: _printsLabel,
    lotId,
    ...entered
  }: PartsEntered,
): Facts {
  const container =
    containerId === undefined
      ? undefined
      : here.file.catalog.containers().find(({ id }) => id === containerId);
  if (containerId !== undefined && !container)
    return { ok: false, faults: { containerId: "That container was removed. Choose another" } };
  const tareMilligrams = isByVolume ? 0 : (container?.tareMilligrams ?? 0);
  if (!isByVolume && amount <= tareMilligrams)
    return {
      ok: false,
      faults: {
        amount: `This is no more than the ${container?.name ?? "container"} weighs empty. Weigh again, or choose another container`,
      },
    };
  const { priceCents } = wholeOf(here)
    .file.catalog.products()
    .find(({ id }) => id === product.id)!;
  return {
    ok: true,
    pack: {
      ...entered,
      productId: product.id,
      lotId: lotId ?? lots[0]!.id,
      birdNumber: undefined,
      weightMilligrams: isByVolume ? undefined : amount - tareMilligrams,
      tareMilligrams,
      volumeMilliliters: isByVolume ? amount : undefined,
      reason: "",
      priceCents: entered.purpose === "sale" ? priceCents : undefined,
      priceUnit: product.priceUnit,
    },
  };
}

/** What is doubtful about a pack of a day, in words under its fields. @param packId the pack that is corrected */
export function doubtOf(
  here: FarmContext,
  { day, lots, product }: { day: ProcessingDay; lots: readonly LotOfDay[]; product: Product },
  pack: PackFacts,
  isSure: boolean,
  show: Show,
  packId?: number,
): Faults | undefined {
  const lot = lotsToPack(here, day, lots, here.file.pack.carcasses(day.id)).find(
    ({ id }) => id === pack.lotId,
  );
  if (!lot || pack.weightMilligrams === undefined) return undefined;
  const kinds = new Map(here.file.catalog.products().map(({ id, kind }) => [id, kind]));
  const others = here.file.pack.packs(day.id).filter(({ id, lotId }) => lotId === lot.id && id !== packId);
  const alike = others.filter(({ productId, pieces }) => productId === product.id && pieces > 0);
  const { piece, group } = productKind(product.kind);
  const allKilograms = lot.means && lot.means.dressedKilograms * lot.dressed;
  const isCut = (id: number) => {
    const of = productKind(kinds.get(id)!);
    return of.group === "cut" && of.piece !== "carcass";
  };
  const leftOfCutBirds =
    lot.cutKilograms === undefined
      ? undefined
      : lot.cutKilograms * (1 + SCALE_SHARE) -
        kilogramsOf(others.filter(({ productId }) => isCut(productId)));
  const found = packDoubt({
    product: product.kind,
    pieces: pack.pieces,
    kilograms: kilogramsFromMilligrams(pack.weightMilligrams),
    birds: lot,
    packed: others.map(({ productId, pieces }) => ({ product: kinds.get(productId)!, pieces })),
    pieceKilograms:
      alike.length >= OWN_PACKS
        ? kilogramsOf(alike) / alike.reduce((sum, { pieces }) => sum + pieces, 0)
        : lot.means && pieceKilograms(product.kind, lot.means),
    birdsKilograms: group === "cut" && piece !== undefined ? (leftOfCutBirds ?? allKilograms) : allKilograms,
  });
  if (!found || (found.doubt === "unlikely-weight" && isSure)) return undefined;
  return doubtFaults(found, product.kind, pack.pieces, show);
}
