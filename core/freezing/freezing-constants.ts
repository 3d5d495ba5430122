/** Poultry meat as it freezes. See docs/sources.md#freezing. */
export const MEAT = {
  unfrozenKilogramPerCubicMeter: 1050,
  frozenKilogramPerCubicMeter: 990,
  unfrozenJoulePerKilogramKelvin: 3500,
  frozenJoulePerKilogramKelvin: 1900,
  latentJoulePerKilogram: 240_000,
  frozenWattPerMeterKelvin: 1.4,
  /** Hard all through. */
  centerEndCelsius: -10,
} as const;

export const AIR_KINDS = ["still", "moving", "stacked"] as const;
export type AirKind = (typeof AIR_KINDS)[number];

/** Heat that air takes from a pack, W/m²K: still air 5 to 7, a fan 12 to 20, packs that touch half of still. See docs/sources.md#freezing. */
export const AIR_COEFFICIENT: Readonly<Record<AirKind, number>> = { still: 6, moving: 15, stacked: 3 };

/** What a household freezer can take away beyond its own losses, W, 40 to 220. Choice. See docs/sources.md#freezing. */
export const SPARE_WATTS = 90;
export const FREEZER_CELSIUS = -18;
/** Air of a freezer whose compressor runs all the time. Choice. See docs/sources.md#freezing. */
export const QUICK_FREEZE_CELSIUS = -25;
/** Packs come out of the refrigerator. */
export const PACK_START_CELSIUS = 3;

/** The plate says "freezes n kg a day": n x 300 kJ/kg over a day. See docs/sources.md#freezing. */
export const wattsFromPlate = (kilogramsADay: number): number => (kilogramsADay * 300_000) / 86_400;
