import type { Station } from "#core/processing-line/line-station.ts";

/** A name being moved: whose, and from where. */
export interface Grip {
  readonly seat: number;
  readonly station: Station;
}
