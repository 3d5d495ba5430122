import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import type { CutPart } from "#core/cutting/cut-list.ts";
import { timesSpread } from "#core/growth/bird-spread.ts";
import type { FlockForecast } from "#core/growth/flock-forecast.ts";
import type { ComingPacks } from "#core/orders/fill-orders.ts";
import { BIRD_PIECES, type ProductKindName, productKind } from "#core/packing/product-kinds.ts";

/** A lot of a planned day, as orders wait for it. */
export interface ComingLot {
  readonly dayId: number;
  readonly processedOn: LocalDay;
  /** Whole days that its birds rest before they can be handed over. */
  readonly restDays: number;
  readonly birds: number;
  readonly cutUp: number;
  readonly keepsGiblets: boolean;
  readonly keepsFeet: boolean;
  /** What its birds are cut into. */
  readonly scheme: readonly CutPart[];
  readonly forecast: FlockForecast;
}

/** A product that the farm makes, and the pieces that go into a pack of it. */
export interface MadeProduct {
  readonly id: number;
  readonly kind: ProductKindName;
  readonly piecesPerPack: number | undefined;
}

const GIBLETS: readonly ProductKindName[] = ["liver", "heart", "gizzard", "neck"];

/**
 * The packs that a lot of a planned day will give: whole birds with their weights, whole packs of its cuts, and of giblets and feet
 * where it keeps them. What is dried, boiled or canned waits for its own work and is not counted on.
 */
export function comingPacks(lot: ComingLot, products: readonly MadeProduct[]): ComingPacks[] {
  const readyOn = addDays(lot.processedOn, lot.restDays);
  const whole = Math.max(0, lot.birds - lot.cutUp);
  const dressed = lot.forecast.dressed.value / lot.forecast.live.value;
  return products.flatMap(({ id, kind, piecesPerPack }): ComingPacks[] => {
    const base = { dayId: lot.dayId, productId: id, readyOn, spread: undefined, meanSdLn: 0 };
    if (kind === "whole-bird") {
      const spread = timesSpread(lot.forecast.spread, dressed);
      return [{ ...base, packs: whole, spread, meanSdLn: lot.forecast.sdLn }];
    }
    const birds = birdsBehind(kind, lot);
    const { piece, pack } = productKind(kind);
    if (birds === 0 || piece === undefined) return [];
    const inPack =
      lot.scheme.find(({ product }) => product === kind)?.piecesPerPack ??
      piecesPerPack ??
      ("pieces" in pack ? pack.pieces : 1);
    return [{ ...base, packs: Math.floor((birds * BIRD_PIECES[piece]) / inPack) }];
  });
}

/** How many birds of a lot give some of a product. */
function birdsBehind(kind: ProductKindName, lot: ComingLot): number {
  if (lot.scheme.some(({ product }) => product === kind)) return lot.cutUp;
  if (GIBLETS.includes(kind)) return lot.keepsGiblets ? lot.birds : 0;
  return kind === "feet" && lot.keepsFeet ? lot.birds : 0;
}
