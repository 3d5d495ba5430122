import { MOST_PICTURE_BYTES } from "#db/day/picture-queries.server.ts";

const KILOBYTE = 1024;
const MEGABYTE = 1024 * KILOBYTE;
/** No form of ours is larger, notes and a page of weights included. */
const FORM_BYTES = 64 * KILOBYTE;

/** What carries a file. A calendar that is too large to be read is taken all the same, so that the page can say so. */
const LARGER: readonly (readonly [path: RegExp, bytes: number])[] = [
  [/^\/season\/people\/[^/]+\/read(?:\.data)?\/?$/i, 8 * MEGABYTE],
  [/^\/farm\/data\/import(?:\.data)?\/?$/i, 20 * MEGABYTE + 4 * KILOBYTE],
  [/^\/days\/[^/]+\/run\/picture(?:\.data)?\/?$/i, MOST_PICTURE_BYTES + 4 * KILOBYTE],
];

/** The most bytes that may be sent to an address. */
export const mostBytesTo = (pathname: string): number =>
  LARGER.find(([path]) => path.test(pathname))?.[1] ?? FORM_BYTES;
