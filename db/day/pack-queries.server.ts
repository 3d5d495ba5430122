import type { Database } from "better-sqlite3";
import type { CarcassUse } from "#core/packing/pack-tally.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export interface Carcass {
  readonly id: number;
  readonly entryId: string;
  readonly lotId: number;
  readonly birdNumber: number;
  readonly purpose: CarcassUse;
  readonly weightMilligrams: number | undefined;
  readonly asTyped: string;
  readonly reason: string;
  readonly placeId: number | undefined;
  readonly packedAt: number;
}

export type NewCarcass = Omit<Carcass, "id" | "entryId" | "packedAt">;
export type PackRefusal = "bird-already-packed" | "lot-unknown" | "day-settled" | "place-unknown";

/** Prepares every statement of packing once; call it once per connection. */
export function packQueries(database: Database) {
  const entries = entryQueries(database);
  const selectCarcasses = database.prepare<[number], Carcass>(`
    SELECT id, entry_id AS entryId, lot_id AS lotId, bird_number AS birdNumber, purpose, weight_milligrams AS weightMilligrams,
           as_typed AS asTyped, reason, place_id AS placeId, packed_at AS packedAt
      FROM carcass WHERE day_id = ? AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     ORDER BY packed_at, id`);
  const isSettled = settledCheck(database);
  const selectPlace = database.prepare<[number], { id: number }>(`
    SELECT id FROM storage_place WHERE id = ? AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)`);
  const selectLot = database.prepare<[number, number], { id: number }>(
    "SELECT id FROM day_lot WHERE id = ? AND day_id = ? AND removed_at IS NULL",
  );
  const selectIsNumberUsed = database.prepare<[number, number], { taken: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM carcass WHERE day_id = ? AND bird_number = ?
                      AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS taken`);
  const selectIsOfDay = database.prepare<[number, string], { found: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM carcass WHERE day_id = ? AND entry_id = ?) AS found",
  );
  const insertCarcass = database.prepare<Omit<Carcass, "id"> & { dayId: number }>(`
    INSERT INTO carcass (entry_id, day_id, lot_id, bird_number, purpose, weight_milligrams, as_typed, reason, place_id, packed_at)
    VALUES (@entryId, @dayId, @lotId, @birdNumber, @purpose, @weightMilligrams, @asTyped, @reason, @placeId, @packedAt)`);

  return {
    /** Birds packed and not removed, in the order they were weighed. */
    carcasses: (dayId: number): Carcass[] => selectCarcasses.all(dayId),

    recordCarcass: (entry: Entry, dayId: number, carcass: NewCarcass): Recorded<PackRefusal> =>
      entries.once(entry, ["carcass", dayId, carcass], () => {
        if (isSettled(dayId)) return "day-settled";
        if (!selectLot.get(carcass.lotId, dayId)) return "lot-unknown";
        if (carcass.placeId !== undefined && !selectPlace.get(carcass.placeId)) return "place-unknown";
        if (selectIsNumberUsed.get(dayId, carcass.birdNumber)!.taken) return "bird-already-packed";
        insertCarcass.run({ entryId: entry.entryId, packedAt: entry.at, dayId, ...carcass });
        return undefined;
      }),

    /** Takes one of the day's own birds back, if the day is open. */
    remove: database.transaction(
      (dayId: number, entryId: string, at: number): "taken-back" | "day-settled" => {
        if (isSettled(dayId)) return "day-settled";
        if (selectIsOfDay.get(dayId, entryId)!.found) entries.remove(entryId, at);
        return "taken-back";
      },
    ).immediate,
  };
}
