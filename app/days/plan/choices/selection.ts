import type { Station } from "#core/processing-line/line-station.ts";

/** A name being moved: whose, and from where. */
export interface Selection {
  readonly seat: number;
  readonly station: Station;
}
