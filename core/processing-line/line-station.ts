import {
  type BufferStation,
  type PlaceStation,
  STATION_TABLE,
  type Station,
  type StationRow,
} from "#core/processing-line/station-table.ts";

export type { BufferStation, PlaceStation, Station };

/** The stations of a day in the order in which a bird meets them; giblets are worked beside, packing after the chill. */
export const STATIONS = Object.keys(STATION_TABLE) as [Station, ...Station[]];

/** One station's row with every column as the row's type says, so that code can ask any column of any station. */
export const stationRow = (station: Station): StationRow => STATION_TABLE[station];

/** Stations by number, as the hot loop knows them. A test holds them to the table's order. */
export const CONES = 0;
export const SCALD = 1;
export const PLUCK = 2;
export const FEET = 3;
export const PINS = 4;
export const GUT = 5;
export const RINSE = 6;
export const GIBLETS = 7;
export const PACK = 8;
export const CUT = 9;
export const SEAL = 10;
export const STATION_NUMBER: Readonly<Record<Station, number>> = {
  cones: CONES,
  scald: SCALD,
  pluck: PLUCK,
  feet: FEET,
  pins: PINS,
  gut: GUT,
  rinse: RINSE,
  giblets: GIBLETS,
  pack: PACK,
  cut: CUT,
  seal: SEAL,
};
export const STATION_COUNT = STATIONS.length;

/** Each cell's stations, the most perishable bird first: what is nearest the chill is finished before more is begun. */
const cellOf = (cell: StationRow["cell"]): Station[] =>
  STATIONS.filter((station) => stationRow(station).cell === cell).toReversed();
const FRONT_CELL = cellOf("front");
const BACK_CELL = cellOf("back");

export const isInFront = (station: Station) => stationRow(station).cell === "front";
export const isBeforeChill = (station: Station) => isInFront(station) || stationRow(station).cell === "back";
export const isAfterChill = (station: Station) => stationRow(station).cell === "after-chill";

/** A column of the table for the stations that have it. */
function columnOf<Of extends Station>(column: "places" | "buffer"): Readonly<Record<Of, number>> {
  return Object.fromEntries(
    STATIONS.flatMap((station) => {
      const value = stationRow(station)[column];
      return value === undefined ? [] : [[station, value]];
    }),
  ) as Record<Of, number>;
}

/** How many can work side by side at a station, where the farm has not said. */
export const DEFAULT_PLACES = columnOf<PlaceStation>("places");
/** Birds that can wait before a station, where the farm has not said. */
export const DEFAULT_BUFFERS = columnOf<BufferStation>("buffer");

export const PLACE_STATIONS = Object.keys(DEFAULT_PLACES) as PlaceStation[];
export const BUFFER_STATIONS = Object.keys(DEFAULT_BUFFERS) as BufferStation[];

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

/** The station at the same bench to which a bird goes next: whoever has it in hand goes on with it. */
export function nextAtBench(station: Station): Station | undefined {
  const next = STATIONS[STATION_NUMBER[station] + 1];
  return next && isBeforeChill(next) && !isAnotherBench(station, next) ? next : undefined;
}

/** Whether someone who goes from one station to another walks to another bench, and loses the time for it. */
export const isAnotherBench = (from: Station, to: Station) => stationRow(from).bench !== stationRow(to).bench;
