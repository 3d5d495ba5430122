import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { PRICE_UNIT_WORDS, productName } from "#app/words/packing/product-words.ts";
import { showFor } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { BRINE_UPTAKE } from "#core/chill/brine.ts";
import type { LabelPart, LabelTexts } from "#core/label/label-parts.ts";
import { LABEL_SCALE, printedWeight } from "#core/label/label-price.ts";
import { packCode } from "#core/label/pack-code.ts";
import { packPrice } from "#core/label/pack-price.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import { milligrams } from "#core/quantity/quantity.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { LabelSetting } from "#db/pack/label-queries.server.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";

/** Until the farm says otherwise: a label of 100 by 50 mm with what is usually asked for. */
export const USUAL_LABEL: LabelSetting = {
  widthMillimeters: 100,
  heightMillimeters: 50,
  letterPoints: 8,
  required: ["product", "farm", "net-weight", "packed-on", "lot", "storage", "safe-handling", "cook", "code"],
  farmLine: "",
  storageLine: "Keep frozen.",
  handlingLine:
    "Safe handling: keep raw poultry cold and apart from other food. Wash hands, boards, and knives.",
  exemptionLine: "",
  codeKind: "qr",
  rows: 5,
  columns: 2,
};

/** How the label of a product looks: its own, else that of all products, else our proposal. */
export const labelSetting = ({ file }: FarmContext, productId?: number): LabelSetting =>
  file.labels.setting(productId) ?? USUAL_LABEL;

/** What the label of a pack says, part by part. A part that has no words is left out, and missing if the farm's rule asks for it. */
export function labelOfPack(here: FarmContext, farm: Farm, pack: Pack): LabelTexts {
  const show = showFor(farm);
  const setting = labelSetting(here, pack.productId);
  const product = here.file.catalog.products().find(({ id }) => id === pack.productId)!;
  const total = packPrice(pack);
  const isFood = !productKind(product.kind).isForPets;
  const texts: Readonly<Record<LabelPart, string | undefined>> = {
    product: productName(product),
    farm: setting.farmLine || undefined,
    "net-weight": netWeight(pack, farm),
    "unit-price":
      pack.priceCents === undefined
        ? undefined
        : `${show.money(pack.priceCents)} ${PRICE_UNIT_WORDS[pack.priceUnit]}`,
    "total-price": total === undefined ? undefined : show.money(total),
    "packed-on": `Packed ${show.dayWithYear(localDayOf(pack.packedAt, farm.timeZone))}`,
    lot: lotOf(here, pack),
    storage: setting.storageLine || undefined,
    "safe-handling": (isFood ? setting.handlingLine : "For pets. Not for people.") || undefined,
    cook: isFood ? "Cook to 165 °F." : undefined,
    exemption: setting.exemptionLine || undefined,
    "added-solution": addedSolution(here, pack),
    code: packCode(pack.id),
  };
  return Object.fromEntries(Object.entries(texts).filter(([, text]) => text !== undefined)) as LabelTexts;
}

/** In whole steps, never more than the pack holds. */
function netWeight(
  { weightMilligrams, tareMilligrams, volumeMilliliters }: Pack,
  farm: Farm,
): string | undefined {
  if (volumeMilliliters !== undefined) return `Net ${showFor(farm).filled(volumeMilliliters)}`;
  if (weightMilligrams === undefined) return undefined;
  const gross = milligrams(weightMilligrams + tareMilligrams);
  const { shownUnits } = printedWeight(gross, milligrams(tareMilligrams), LABEL_SCALE[farm.unitSystem]);
  return `Net wt ${shownUnits.toFixed(farm.unitSystem === "us" ? 2 : 3)} ${farm.unitSystem === "us" ? "lb" : "kg"}`;
}

function lotOf({ file }: FarmContext, pack: Pack): string | undefined {
  const day = file.day(pack.dayId);
  const lot = day?.lots.find(({ id }) => id === pack.lotId);
  const batch = lot && file.batch(lot.batchId);
  return day && batch ? `Lot ${batch.name}, ${day.processedOn}` : undefined;
}

/** Birds that lay in a brine carry some of it: how much at most, as the rest of their lot says. */
function addedSolution(here: FarmContext, pack: Pack): string | undefined {
  const part = here.file.resting
    .program(pack.dayId)
    ?.parts.find(({ lotId, saltPermille }) => lotId === pack.lotId && saltPermille !== undefined);
  if (!part) return undefined;
  const sugar = (part.sugarPermille ?? 0) > 0 ? ", salt, and sugar" : " and salt";
  return `Contains up to ${Math.round(BRINE_UPTAKE * 100)} % of a solution of water${sugar}.`;
}
