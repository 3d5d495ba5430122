/** The stations of a day in the order in which a bird meets them; giblets are worked beside, packing after the chill. */
export const STATIONS = [
  "cones",
  "scald",
  "pluck",
  "pins",
  "gut",
  "rinse",
  "giblets",
  "pack",
  "cut",
  "seal",
] as const;
export type Station = (typeof STATIONS)[number];

/** Stations by number, as the hot loop knows them. */
export const CONES = 0;
export const SCALD = 1;
export const PLUCK = 2;
export const PINS = 3;
export const GUT = 4;
export const RINSE = 5;
export const GIBLETS = 6;
export const PACK = 7;
export const CUT = 8;
export const SEAL = 9;
export const STATION_COUNT = STATIONS.length;

/** Each cell's stations, the most perishable bird first: what is nearest the chill is finished before more is begun. */
export const FRONT_CELL = ["pluck", "scald", "cones"] as const satisfies readonly Station[];
export const BACK_CELL = ["rinse", "gut", "pins"] as const satisfies readonly Station[];

export const isInFront = (station: Station) => (FRONT_CELL as readonly Station[]).includes(station);
export const isBeforeChill = (station: Station) => STATIONS.indexOf(station) <= RINSE;

/**
 * The order in which a person looks for work: their own cell first (that of the first station named), perishable
 * first; then the other cell; then giblets and what comes after the chill, in their own order.
 *
 * @param stations order of preference, at least one
 */
export function workOrder(stations: readonly Station[]): Station[] {
  const home = stations.find(isBeforeChill);
  const cells: readonly Station[] =
    home === undefined || isInFront(home) ? [...FRONT_CELL, ...BACK_CELL] : [...BACK_CELL, ...FRONT_CELL];
  return [
    ...cells.filter((station) => stations.includes(station)),
    ...stations.filter((station) => !isBeforeChill(station)),
  ];
}
