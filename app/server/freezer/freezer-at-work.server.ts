import type { PlaceWithRoom } from "#app/server/day/room-of-places.server.ts";
import type { FreezerAtWork, PackToFreeze } from "#core/freezing/freeze-load.ts";
import { atWork, type FreezerSaid } from "#core/freezing/freeze-reckoning.ts";
import { FREEZER_CELSIUS, QUICK_FREEZE_CELSIUS, SPARE_WATTS } from "#core/freezing/freezing-constants.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { settingOr } from "#core/reckoning/setting.ts";
import type { KnownPack } from "#db/freezer/freezer-queries.server.ts";
import type { StoragePlace } from "#db/place/place-queries.server.ts";

type PlaceSaid = Pick<StoragePlace, "airMillicelsius" | "spareWatts" | "hasFan" | "setting">;

/** What the farm said of a freezer, our estimate where it said nothing. */
export function freezerSaid(place: PlaceSaid): FreezerSaid {
  const air = settingOr(
    place.airMillicelsius === undefined ? undefined : place.airMillicelsius / 1000,
    FREEZER_CELSIUS,
  );
  const isQuick = place.setting === "quick-freeze" && air.value > QUICK_FREEZE_CELSIUS;
  return {
    airCelsius: isQuick ? { value: QUICK_FREEZE_CELSIUS, provenance: "our-estimate" } : air,
    spareWatts: settingOr(place.spareWatts, SPARE_WATTS),
  };
}

export const freezerAtWork = (place: PlaceSaid, isOneLayer: boolean): FreezerAtWork =>
  atWork(freezerSaid(place), place.hasFan ? "moving" : isOneLayer ? "still" : "stacked");

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
