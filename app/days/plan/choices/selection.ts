import type { Station } from "#core/processing-line/line-station.ts";

/** A name being moved: whose, and from where. */
export interface Selection {
  readonly seat: number;
  readonly station: Station;
}

/** By which a name at a station is found on the page. */
export const seatId = ({ seat, station }: Selection): string => `seat-${seat}-${station}`;
