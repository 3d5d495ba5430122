import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { Station } from "#core/processing-line/line-station.ts";

/** Changes of one seat of a crew; the others stay as they are, and no one is ever left without a station. */
type Seats = readonly CrewSeat[];

const changed = (seats: Seats, seat: number, stations: readonly Station[]): CrewSeat[] =>
  seats.map((one, index) => (index === seat && stations.length > 0 ? { ...one, stations } : one));

/** Someone goes from one station to another: it takes the other's place in their order of preference. */
export function moveSeat(seats: Seats, seat: number, from: Station, to: Station): CrewSeat[] {
  const stations = seats[seat]!.stations;
  if (from === to || !stations.includes(from)) return [...seats];
  return changed(
    seats,
    seat,
    stations.filter((station) => station !== to).map((station) => (station === from ? to : station)),
  );
}

/** Someone stands there first, and helps at what they had before. */
export const standFirst = (seats: Seats, seat: number, station: Station): CrewSeat[] =>
  changed(seats, seat, [station, ...seats[seat]!.stations.filter((other) => other !== station)]);

/** Someone helps out there too, after all else. */
export const helpAt = (seats: Seats, seat: number, station: Station): CrewSeat[] =>
  seats[seat]!.stations.includes(station)
    ? [...seats]
    : changed(seats, seat, [...seats[seat]!.stations, station]);

/** Someone no longer goes there. */
export const leaveStation = (seats: Seats, seat: number, station: Station): CrewSeat[] =>
  changed(
    seats,
    seat,
    seats[seat]!.stations.filter((other) => other !== station),
  );
