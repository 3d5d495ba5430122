import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { isPastKeeping } from "#core/packing/keeping.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { PacksAlike } from "#db/freezer/freezer-queries.server.ts";

/** Packs that are alike and lie in one place, with the words a person would look for. */
export interface StockRow extends PacksAlike {
  readonly name: string;
  readonly placeName: string | undefined;
  /** The oldest of them is past what it keeps. */
  readonly isPast: boolean;
}

/** Everything stored, the oldest first. */
export function stockOf(here: FarmContext): StockRow[] {
  const places = new Map(here.file.places().map(({ id, name }) => [id, name]));
  const now = here.now();
  return here.file.freezers.alike().map((alike) => ({
    ...alike,
    // A place that was removed by an older version is no place.
    placeId: alike.placeId !== undefined && places.has(alike.placeId) ? alike.placeId : undefined,
    placeName: alike.placeId === undefined ? undefined : places.get(alike.placeId),
    name: productName({ kind: alike.productKind, name: alike.productName }),
    isPast: isPastKeeping(
      alike.oldestAt,
      alike.keepsMonths ?? productKind(alike.productKind).keepsMonths,
      now,
    ),
  }));
}

/** Most words that are looked for; more of them find nothing new. */
const MOST_WORDS = 8;

/** Rows that have every word of a text somewhere in their name, batch, day, place or use. */
export function stockWith(rows: readonly StockRow[], text: string): StockRow[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);
  return rows.filter((row) => {
    const line =
      `${row.name} ${row.batchName} ${row.processedOn} ${row.placeName ?? ""} ${row.purpose}`.toLowerCase();
    // `wing` finds wings, and `wings` a wing.
    return words.every(
      (word) => line.includes(word) || (word.length > 3 && line.includes(word.replace(/s$/, ""))),
    );
  });
}
