import type { BirdKind } from "#core/growth/bird-kind.ts";

export const SCALD_METHODS = ["gentle", "middle", "hot"] as const;
export type ScaldMethod = (typeof SCALD_METHODS)[number];

/** z and floor of the dose, both our choice: z 15 to 24, floor 48 to 51 °C. See docs/sources.md#scald. */
export const SCALD_DOSE = { referenceCelsius: 60, zCelsius: 19, floorCelsius: 50 } as const;

/** Seconds' worth at 60 °C that loosen feathers, each ± 35 %. See docs/sources.md#scald. */
export const TARGET_SECONDS: Readonly<Record<BirdKind, Readonly<Record<ScaldMethod, number>>>> = {
  fast: { gentle: 50, middle: 60, hot: 65 },
  slow: { gentle: 62, middle: 75, hot: 80 },
  mature: { gentle: 80, middle: 100, hot: 105 },
};

/** The bath of each method: the setting the targets were anchored on, and the band about it, °C. */
export const METHOD_BATH: Readonly<Record<ScaldMethod, { set: number; band: readonly [number, number] }>> = {
  gentle: { set: 53, band: [52, 54] },
  middle: { set: 60, band: [58, 61] },
  hot: { set: 64, band: [62, 66] },
};

/** Dose against target below which feathers hold and above which skin suffers. See docs/sources.md#scald. */
export const DOSE_RATIOS: Readonly<Record<ScaldMethod, { under: number; over: number }>> = {
  gentle: { under: 0.75, over: 1.5 },
  middle: { under: 0.7, over: 1.4 },
  hot: { under: 0.75, over: 1.25 },
};

/** The yellow cuticle is likely kept in a bath up to here, °C (54 to 56.5). See docs/sources.md#scald. */
export const CUTICLE_LIMIT_CELSIUS = 55.5;

/** A bath this hot cooks the skin whatever the time, °C. See docs/sources.md#scald. */
export const SKIN_CEILING: Readonly<Record<BirdKind, number>> = { fast: 67, slow: 68, mature: 70 };
