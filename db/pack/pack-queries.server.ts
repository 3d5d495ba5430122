import type { Database } from "better-sqlite3";
import { chooseBirds, isWholeHere, type WhichBirdsCut } from "#core/packing/choose-birds.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";
import {
  type Carcass,
  PACK_COLUMNS,
  type Pack,
  type PackFacts,
  type PackVersion,
} from "#db/pack/pack-row.server.ts";

export type PackRefusal =
  | "bird-already-packed"
  | "lot-unknown"
  | "day-settled"
  | "place-unknown"
  | "product-unknown"
  | "pack-unknown";

/** A whole bird as it comes from the scale. */
export type NewCarcass = Pick<
  Carcass,
  "lotId" | "birdNumber" | "purpose" | "weightMilligrams" | "asTyped" | "reason" | "placeId"
> &
  Partial<Pick<PackFacts, "tareMilligrams" | "packedBy" | "priceCents" | "priceUnit">>;

/** The product that every farm's whole birds are. */
export const WHOLE_BIRD = 1;

const AS_ONE_BIRD = {
  productId: WHOLE_BIRD,
  pieces: 1,
  tareMilligrams: 0,
  volumeMilliliters: undefined,
  packedBy: undefined,
  priceCents: undefined,
  priceUnit: "pack",
} as const;

/** Prepares every statement of packing once; call it once per connection. */
export function packQueries(database: Database) {
  const entries = entryQueries(database);
  const selectPacks = database.prepare<[number], Pack>(`
    SELECT ${PACK_COLUMNS} FROM pack_now AS now WHERE now.day_id = ? ORDER BY now.packed_at, now.pack_id`);
  const selectCarcasses = database.prepare<[number], Carcass>(`
    SELECT ${PACK_COLUMNS} FROM pack_now AS now WHERE now.day_id = ? AND now.bird_number IS NOT NULL
     ORDER BY now.packed_at, now.pack_id`);
  const selectCarcassCount = database.prepare<[number], { birds: number }>(
    "SELECT count(*) AS birds FROM pack_now WHERE day_id = ? AND bird_number IS NOT NULL",
  );
  const selectPack = database.prepare<[number], Pack>(
    `SELECT ${PACK_COLUMNS} FROM pack_now AS now WHERE now.pack_id = ?`,
  );
  const selectOfEntry = database.prepare<[string], Pack>(`
    SELECT ${PACK_COLUMNS} FROM pack JOIN pack_now AS now ON now.pack_id = pack.id WHERE pack.entry_id = ? ORDER BY pack.id`);
  const insertPack = database.prepare<{ entryId: string; dayId: number; packedAt: number }>(
    "INSERT INTO pack (entry_id, day_id, packed_at) VALUES (@entryId, @dayId, @packedAt)",
  );
  const insertVersion = database.prepare<PackFacts & { entryId: string; packId: number }>(`
    INSERT INTO pack_version (entry_id, pack_id, product_id, lot_id, bird_number, piece_count, purpose, weight_milligrams,
                              tare_milligrams, volume_milliliters, as_typed, reason, place_id, packed_by, price_cents, price_unit)
    VALUES (@entryId, @packId, @productId, @lotId, @birdNumber, @pieces, @purpose, @weightMilligrams,
            @tareMilligrams, @volumeMilliliters, @asTyped, @reason, @placeId, @packedBy, @priceCents, @priceUnit)`);
  const insertMove = database.prepare<{ entryId: string; packId: number; placeId: number; movedAt: number }>(
    "INSERT INTO pack_move (entry_id, pack_id, place_id, moved_at) VALUES (@entryId, @packId, @placeId, @movedAt)",
  );
  const selectVersions = database.prepare<[number], PackVersion>(`
    SELECT version.entry_id AS entryId, entry.at, version.weight_milligrams AS weightMilligrams,
           version.volume_milliliters AS volumeMilliliters
      FROM pack_version AS version JOIN entry ON entry.id = version.entry_id
     WHERE version.pack_id = ? AND version.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     ORDER BY version.id DESC`);
  const whyNot = packRules(database);
  const isSettled = settledCheck(database);

  const recordPacks = (entry: Entry, dayId: number, packs: readonly PackFacts[]): Recorded<PackRefusal> =>
    entries.once(entry, ["packs", dayId, packs], () => {
      for (const pack of packs) {
        const refusal = whyNot(dayId, pack);
        if (refusal) return refusal;
        const { lastInsertRowid } = insertPack.run({ entryId: entry.entryId, dayId, packedAt: entry.at });
        insertVersion.run({ ...pack, entryId: entry.entryId, packId: Number(lastInsertRowid) });
      }
      return undefined;
    });

  return {
    /** Packs of a day's birds that stand, in the order they were made. */
    packs: (dayId: number): Pack[] => selectPacks.all(dayId),
    /** Whole birds that were weighed, in the order they were weighed. */
    carcasses: (dayId: number): Carcass[] => selectCarcasses.all(dayId),
    carcassCount: (dayId: number): number => selectCarcassCount.get(dayId)!.birds,
    pack: (packId: number): Pack | undefined => selectPack.get(packId),
    /** Packs that one entry made and that stand. */
    packsOfEntry: (entryId: string): Pack[] => selectOfEntry.all(entryId),
    /** What was said of a pack and stands, newest first. */
    versions: (packId: number): PackVersion[] => selectVersions.all(packId),
    /** All of the packs, or none. */
    recordPacks,
    recordCarcass: (entry: Entry, dayId: number, carcass: NewCarcass): Recorded<PackRefusal> =>
      recordPacks(entry, dayId, [{ ...AS_ONE_BIRD, ...carcass }]),

    /** Says all of a pack anew; what was said before stays in the file. */
    correct: (entry: Entry, packId: number, facts: PackFacts): Recorded<PackRefusal> =>
      entries.once(entry, ["pack-version", packId, facts], () => {
        const pack = selectPack.get(packId);
        if (!pack) return "pack-unknown";
        const refusal = whyNot(pack.dayId, facts, packId);
        if (refusal) return refusal;
        insertVersion.run({ ...facts, entryId: entry.entryId, packId });
        if (facts.placeId !== undefined && facts.placeId !== pack.placeId)
          insertMove.run({ entryId: entry.entryId, packId, placeId: facts.placeId, movedAt: entry.at });
        return undefined;
      }),

    /** Sends so many of a day's birds that were weighed whole to the knife, or none where there are fewer. */
    cutUpSome: (
      entry: Entry,
      dayId: number,
      { birds, which }: { birds: number; which: WhichBirdsCut },
    ): Recorded<"day-settled" | "too-few-birds"> =>
      entries.once(entry, ["cut-up-some", dayId, birds, which], () => {
        if (isSettled(dayId)) return "day-settled";
        const chosen = chooseBirds(selectCarcasses.all(dayId).filter(isWholeHere), birds, which);
        if (chosen.length < birds) return "too-few-birds";
        for (const bird of chosen)
          insertVersion.run({ ...bird, purpose: "cut", entryId: entry.entryId, packId: bird.id });
        return undefined;
      }),

    /** Removes what one entry packed or corrected of a day, if the day is open. */
    remove: removal(database),
  };
}

/** What keeps a pack from being kept as it was said. */
function packRules(database: Database) {
  const isSettled = settledCheck(database);
  const selectPlace = database.prepare<[number], { id: number }>(`
    SELECT id FROM storage_place WHERE id = ? AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)`);
  const selectLot = database.prepare<[number, number], { id: number }>(
    "SELECT id FROM day_lot WHERE id = ? AND day_id = ? AND removed_at IS NULL",
  );
  const selectProduct = database.prepare<[number], { id: number }>("SELECT id FROM product WHERE id = ?");
  const selectBird = database.prepare<[number, number], { id: number }>(
    "SELECT pack_id AS id FROM pack_now WHERE day_id = ? AND bird_number = ?",
  );
  return (dayId: number, pack: PackFacts, packId?: number): PackRefusal | undefined => {
    if (isSettled(dayId)) return "day-settled";
    if (!selectLot.get(pack.lotId, dayId)) return "lot-unknown";
    if (!selectProduct.get(pack.productId)) return "product-unknown";
    if (pack.placeId !== undefined && !selectPlace.get(pack.placeId)) return "place-unknown";
    if (pack.birdNumber === undefined) return undefined;
    const same = selectBird.get(dayId, pack.birdNumber);
    return same && same.id !== packId ? "bird-already-packed" : undefined;
  };
}

function removal(database: Database) {
  const entries = entryQueries(database);
  const isSettled = settledCheck(database);
  const selectIsOfDay = database.prepare<{ dayId: number; entryId: string }, { found: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM pack_version AS version JOIN pack ON pack.id = version.pack_id
                    WHERE version.entry_id = @entryId AND pack.day_id = @dayId) AS found`);
  return database.transaction((dayId: number, entryId: string, at: number): "taken-back" | "day-settled" => {
    if (isSettled(dayId)) return "day-settled";
    if (selectIsOfDay.get({ dayId, entryId })!.found) entries.remove(entryId, at);
    return "taken-back";
  }).immediate;
}
