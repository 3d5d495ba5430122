import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import {
  freezerAtWork,
  freezerSaid,
  isFreezing,
  packToFreeze,
} from "#app/server/freezer/freezer-at-work.server.ts";
import type { FreezerInPlan, PlannedPack } from "#core/freezing/freeze-plan.ts";
import type { FreezerSaid } from "#core/freezing/freeze-reckoning.ts";
import { KILOGRAMS_PER_SPACE } from "#core/freezing/places.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";

const SQUARE_CENTIMETERS_PER_METER = 10_000;

/** Packs that lie where nothing freezes them, and are to be frozen: the oldest first. */
export function packsToFreeze({ file }: FarmContext): PlannedPack[] {
  const freezing = new Set(
    file
      .places()
      .filter(isFreezing)
      .map(({ id }) => id),
  );
  return file.freezers.unfrozen([...freezing]).flatMap((pack) => {
    const toFreeze = packToFreeze(pack);
    if (!toFreeze) return [];
    // Small packs share a space.
    const spaces = pack.birdNumber === undefined ? toFreeze.kilograms / KILOGRAMS_PER_SPACE : 1;
    return [{ id: pack.id, ...toFreeze, spaces }];
  });
}

/** Freezers as they stand: with what lies in them, and the room that is left. */
export const freezersAtWork = (
  here: FarmContext,
  isOneLayer: boolean,
): (FreezerInPlan & { name: string; said: FreezerSaid })[] =>
  roomOfPlaces(here)
    .filter(isFreezing)
    .map((place) => ({
      ...freezerAtWork(place, isOneLayer),
      id: place.id,
      name: place.name,
      said: freezerSaid(place),
      layerSquareMeters:
        isOneLayer && place.shelfSquareCentimeters !== undefined
          ? place.shelfSquareCentimeters / SQUARE_CENTIMETERS_PER_METER
          : undefined,
      room: Math.max(0, place.room),
      frozenKilograms: kilogramsFromMilligrams(place.milligrams),
    }));
