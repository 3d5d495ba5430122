import type { Database } from "better-sqlite3";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export const PLACE_SETTINGS = ["cool", "freeze", "quick-freeze"] as const;
export type PlaceSetting = (typeof PLACE_SETTINGS)[number];

/** What the farm says of a refrigerator or freezer; undefined where our estimate stands. */
export interface PlaceFacts {
  readonly name: string;
  readonly kind: "fridge" | "freezer";
  /** Whole birds that it holds. */
  readonly capacityCount: number;
  /** A fridge that can be turned down to freeze: it rests birds or freezes them, never both. */
  readonly canFreeze: boolean;
  readonly airMillicelsius: number | undefined;
  /** What it can take away beyond its own losses. */
  readonly spareWatts: number | undefined;
  readonly volumeMilliliters: number | undefined;
  readonly shelfSquareCentimeters: number | undefined;
  readonly hasFan: boolean;
}

export interface StoragePlace extends PlaceFacts {
  readonly id: number;
  readonly entryId: string;
  readonly revision: number;
  readonly setting: PlaceSetting;
}

const REMOVED = "(SELECT entry_id FROM entry_taken_back)";

/** Prepares every statement of refrigerators and freezers once; call it once per connection. */
export function placeQueries(database: Database) {
  const entries = entryQueries(database);
  const selectPlaces = database.prepare<[], StoragePlace>(`
    SELECT id, entry_id AS entryId, name, kind, capacity_count AS capacityCount, can_freeze AS canFreeze, revision,
           air_millicelsius AS airMillicelsius, spare_watts AS spareWatts, volume_milliliters AS volumeMilliliters,
           shelf_square_centimeters AS shelfSquareCentimeters, has_fan AS hasFan,
           coalesce((SELECT setting FROM place_switch AS switch
                      WHERE switch.place_id = place.id AND switch.entry_id NOT IN ${REMOVED}
                      ORDER BY switch.id DESC LIMIT 1),
                    CASE kind WHEN 'freezer' THEN 'freeze' ELSE 'cool' END) AS setting
      FROM storage_place AS place
     WHERE entry_id NOT IN ${REMOVED} ORDER BY id`);
  const insertPlace = database.prepare<PlaceFacts & { entryId: string }>(`
    INSERT INTO storage_place (entry_id, name, kind, capacity_count, can_freeze, air_millicelsius, spare_watts,
                               volume_milliliters, shelf_square_centimeters, has_fan)
    VALUES (@entryId, @name, @kind, @capacityCount, @canFreeze, @airMillicelsius, @spareWatts,
            @volumeMilliliters, @shelfSquareCentimeters, @hasFan)`);
  const updatePlace = database.prepare<PlaceFacts & { id: number; revision: number }>(`
    UPDATE storage_place
       SET name = @name, kind = @kind, capacity_count = @capacityCount, can_freeze = @canFreeze,
           air_millicelsius = @airMillicelsius, spare_watts = @spareWatts, volume_milliliters = @volumeMilliliters,
           shelf_square_centimeters = @shelfSquareCentimeters, has_fan = @hasFan, revision = revision + 1
     WHERE id = @id AND revision = @revision`);
  const insertSwitch = database.prepare<{
    entryId: string;
    placeId: number;
    setting: PlaceSetting;
    switchedAt: number;
  }>(
    "INSERT INTO place_switch (entry_id, place_id, setting, switched_at) VALUES (@entryId, @placeId, @setting, @switchedAt)",
  );
  const selectHasPacks = database.prepare<[number], { found: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE is_stored = 1 AND place_id = ?) AS found",
  );
  const isNameTaken = (name: string, byAnotherThan?: number) =>
    selectPlaces.all().some((place) => place.name === name && place.id !== byAnotherThan);

  return {
    places: (): StoragePlace[] => selectPlaces.all(),
    addPlace: (
      entry: Entry,
      place: Pick<PlaceFacts, "name" | "kind" | "capacityCount" | "canFreeze"> & Partial<PlaceFacts>,
    ): Recorded<"name-taken"> =>
      entries.once(entry, ["place", place], () => {
        if (isNameTaken(place.name)) return "name-taken";
        insertPlace.run({ entryId: entry.entryId, ...NOTHING_SAID, ...place });
        return undefined;
      }),
    /** Changes a place, if no one else has since the revision that the person saw. */
    savePlace: database.transaction(
      (
        placeId: number,
        seenRevision: number,
        place: PlaceFacts,
      ): "saved" | "changed-meanwhile" | "name-taken" => {
        if (isNameTaken(place.name, placeId)) return "name-taken";
        const { changes } = updatePlace.run({ ...place, id: placeId, revision: seenRevision });
        return changes === 1 ? "saved" : "changed-meanwhile";
      },
    ).immediate,
    switchPlace: (entry: Entry, placeId: number, setting: PlaceSetting): Recorded<"place-unknown"> =>
      entries.once(entry, ["place-switch", placeId, setting], () => {
        if (!selectPlaces.all().some(({ id }) => id === placeId)) return "place-unknown";
        insertSwitch.run({ entryId: entry.entryId, placeId, setting, switchedAt: entry.at });
        return undefined;
      }),
    /** Removes an empty place; what lies in one must go somewhere first. */
    removePlace: database.transaction((placeId: number, at: number): "removed" | "not-empty" | "unknown" => {
      const place = selectPlaces.all().find(({ id }) => id === placeId);
      if (!place) return "unknown";
      if (selectHasPacks.get(placeId)!.found) return "not-empty";
      entries.remove(place.entryId, at);
      return "removed";
    }).immediate,
  };
}

const NOTHING_SAID = {
  airMillicelsius: undefined,
  spareWatts: undefined,
  volumeMilliliters: undefined,
  shelfSquareCentimeters: undefined,
  hasFan: false,
} as const;
