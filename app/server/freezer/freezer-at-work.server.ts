import type { PlaceWithRoom } from "#app/server/day/room-of-places.server.ts";
import type { FreezerAtWork, PackToFreeze } from "#core/freezing/freeze-load.ts";
import { FREEZER_CELSIUS, QUICK_FREEZE_CELSIUS, SPARE_WATTS } from "#core/freezing/freezing-constants.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { KnownPack } from "#db/freezer/freezer-queries.server.ts";
import type { StoragePlace } from "#db/place/place-queries.server.ts";

/** A freezer as its sums have it: what the farm said of it, our estimate where it said nothing. */
export function freezerAtWork(
  place: Pick<StoragePlace, "airMillicelsius" | "spareWatts" | "hasFan" | "setting">,
  isOneLayer: boolean,
): FreezerAtWork {
  const air = place.airMillicelsius === undefined ? FREEZER_CELSIUS : place.airMillicelsius / 1000;
  return {
    airCelsius: place.setting === "quick-freeze" ? Math.min(air, QUICK_FREEZE_CELSIUS) : air,
    spareWatts: place.spareWatts ?? SPARE_WATTS,
    air: place.hasFan ? "moving" : isOneLayer ? "still" : "stacked",
  };
}

/** A pack as something to freeze; undefined for what is not frozen, as a jar or what is dried. */
export function packToFreeze(
  pack: Pick<KnownPack, "productKind" | "weightMilligrams" | "volumeMilliliters">,
): PackToFreeze | undefined {
  const { freezing } = productKind(pack.productKind);
  // A liter of broth is a kilogram of it.
  const milligrams = pack.weightMilligrams ?? (pack.volumeMilliliters ?? 0) * 1000;
  return freezing && { ...freezing, kilograms: kilogramsFromMilligrams(milligrams) };
}

/** Whether a place freezes as it is set now. */
export const isFreezing = ({ setting }: Pick<PlaceWithRoom, "setting">): boolean => setting !== "cool";
