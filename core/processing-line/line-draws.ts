import { BLEED_SPREAD, DAY_SD_LN, PERSON_SD_LN } from "#core/processing-line/line-constants.ts";
import { STATIONS, stationRow } from "#core/processing-line/line-station.ts";
import { normalQuantile } from "#core/quantity/normal.ts";

/** Quantiles a table holds. With 2048 the luckiest and unluckiest are 3.5 standard deviations out. */
export const TABLE_BITS = 11;
const TABLE_SIZE = 1 << TABLE_BITS;

/** Streams of random draws beside the stations', whose numbers are in their table. */
export const BLEED_STREAM = 10;
export const PERSON_STREAM = 11;
export const DAY_STREAM = 12;

const GOLDEN = 0x9e3779b1;

/** Mixes the bits of a number so that neighbors have nothing in common (the finisher of MurmurHash3, public domain). */
export function scrambled(number: number): number {
  let bits = number ^ (number >>> 16);
  bits = Math.imul(bits, 0x85ebca6b);
  bits ^= bits >>> 13;
  bits = Math.imul(bits, 0xc2b2ae35);
  return bits ^ (bits >>> 16);
}

/** Key of one replication. */
export const replicationKey = (seed: number, replication: number): number =>
  scrambled(Math.imul(replication + 1, GOLDEN) ^ scrambled(seed | 0));

/**
 * Place in a table of quantiles for one thing of one replication: always the same for the same numbers, whatever else
 * happened. That is what gives two plans common random numbers.
 *
 * @param stream station, or one of the streams above
 * @param index bird or person
 */
export function drawIndex(replication: number, stream: number, index: number): number {
  return (
    scrambled(replication + Math.imul(stream + 1, 0x2545f491) + Math.imul(index + 1, GOLDEN)) >>>
    (32 - TABLE_BITS)
  );
}

/**
 * Lognormal quantiles about a median of 1, one table after the other in the order of the streams.
 * See docs/sources.md#line.
 */
export function drawTables(daySdLn = DAY_SD_LN): Float64Array {
  if (keptTables?.daySdLn === daySdLn) return keptTables.tables;
  const spreads = new Map<number, number>([
    ...STATIONS.map(stationRow).map(({ drawStream, spread }) => [drawStream, sdOfCv(spread)] as const),
    [BLEED_STREAM, sdOfCv(BLEED_SPREAD)],
    [PERSON_STREAM, PERSON_SD_LN],
    [DAY_STREAM, daySdLn],
  ]);
  const tables = new Float64Array((Math.max(...spreads.keys()) + 1) * TABLE_SIZE);
  const deviations = normalQuantiles();
  for (const [stream, sd] of spreads)
    for (let place = 0; place < TABLE_SIZE; place += 1)
      tables[stream * TABLE_SIZE + place] = Math.exp(sd * deviations[place]!);
  keptTables = { daySdLn, tables };
  return tables;
}

/** The last tables made: thousands of crews are tried with the same ones, and no one writes to them. */
let keptTables: { readonly daySdLn: number; readonly tables: Float64Array } | undefined;

const sdOfCv = (cv: number) => Math.sqrt(Math.log1p(cv * cv));

let kept: Float64Array | undefined;

/** Standard normal quantiles at the middle of each of the table's shares; they are symmetric. */
function normalQuantiles(): Float64Array {
  if (kept) return kept;
  kept = new Float64Array(TABLE_SIZE);
  let deviation = 0;
  for (let place = TABLE_SIZE / 2; place < TABLE_SIZE; place += 1) {
    deviation = normalQuantile((place + 0.5) / TABLE_SIZE, deviation);
    kept[place] = deviation;
    kept[TABLE_SIZE - 1 - place] = -deviation;
  }
  return kept;
}
