import type { PriceUnit } from "#core/label/pack-price.ts";
import type { CarcassUse } from "#core/packing/pack-tally.ts";

/** What is said of a pack; each correction says all of it anew. */
export interface PackFacts {
  readonly productId: number;
  readonly lotId: number;
  /** The bird's number of the day, if the pack is one whole bird. */
  readonly birdNumber: number | undefined;
  /** 0 where a pack is only weighed or measured. */
  readonly pieces: number;
  readonly purpose: CarcassUse;
  /** Without the container. Undefined for what goes by volume, and for a condemned bird that was not weighed. */
  readonly weightMilligrams: number | undefined;
  readonly tareMilligrams: number;
  readonly volumeMilliliters: number | undefined;
  readonly asTyped: string;
  /** Why a bird was condemned; empty for the others. */
  readonly reason: string;
  readonly placeId: number | undefined;
  /** The person who packed it. */
  readonly packedBy: number | undefined;
  readonly priceCents: number | undefined;
  readonly priceUnit: PriceUnit;
}

/** A pack as it is now. */
export interface Pack extends PackFacts {
  readonly id: number;
  readonly entryId: string;
  readonly dayId: number;
  readonly packedAt: number;
  readonly isStored: boolean;
}

/** What was said of a pack at one time. */
export interface PackVersion {
  readonly entryId: string;
  readonly at: number;
  readonly weightMilligrams: number | undefined;
  readonly volumeMilliliters: number | undefined;
}

/** A whole bird that was weighed after its rest, whatever became of it. */
export type Carcass = Pack & { readonly birdNumber: number };

export const PACK_COLUMNS = `
  now.pack_id AS id, now.entry_id AS entryId, now.day_id AS dayId, now.packed_at AS packedAt, now.product_id AS productId,
  now.lot_id AS lotId, now.bird_number AS birdNumber, now.piece_count AS pieces, now.purpose,
  now.weight_milligrams AS weightMilligrams, now.tare_milligrams AS tareMilligrams,
  now.volume_milliliters AS volumeMilliliters, now.as_typed AS asTyped, now.reason, now.place_id AS placeId,
  now.packed_by AS packedBy, now.price_cents AS priceCents, now.price_unit AS priceUnit, now.is_stored AS isStored`;
