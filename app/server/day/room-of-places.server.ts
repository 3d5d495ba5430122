import { group, sum } from "d3-array";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { spacesTaken } from "#core/freezing/places.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { StoragePlace } from "#db/place/place-queries.server.ts";

export interface PlaceWithRoom extends StoragePlace {
  readonly packs: number;
  readonly milligrams: number;
  readonly taken: number;
  /** Spaces left; less than 0 where it is over-full. */
  readonly room: number;
}

/**
 * Each refrigerator and freezer with what lies in it.
 *
 * @param withoutDayId a day whose packs are not counted, because room is sought for its birds; ids start at 1
 */
export function roomOfPlaces({ file }: FarmContext, withoutDayId = 0): PlaceWithRoom[] {
  const counted = file.freezers.alike().filter(({ dayId }) => dayId !== withoutDayId);
  const alike = group(counted, ({ placeId }) => placeId);
  return file.places().map((place) => {
    const own = alike.get(place.id) ?? [];
    const taken = spacesTaken({
      wholeBirds: sum(own, ({ birds }) => birds),
      otherKilograms: kilogramsFromMilligrams(
        sum(own, ({ birds, milligrams }) => (birds === 0 ? milligrams : 0)),
      ),
    });
    return {
      ...place,
      packs: sum(own, ({ packs }) => packs),
      milligrams: sum(own, ({ milligrams }) => milligrams),
      taken,
      room: place.capacityCount - taken,
    };
  });
}
