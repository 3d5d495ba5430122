import { BLEED_SPREAD, DAY_SD_LN, PERSON_SD_LN } from "#core/processing-line/line-constants.ts";
import { STATIONS, stationRow } from "#core/processing-line/line-station.ts";
import { normalQuantile } from "#core/quantity/normal.ts";

/** Quantiles a table holds. With 2048 the luckiest and unluckiest are 3.5 standard deviations out. */
export const TABLE_BITS = 11;
const TABLE_SIZE = 1 << TABLE_BITS;

/** Streams of random draws beside the stations', whose numbers are in their table. */
export const BLEED_STREAM = 10;
export const PERSON_STREAM = 11;
const DAY_STREAM = 12;

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

const sdOfCv = (cv: number) => Math.sqrt(Math.log1p(cv * cv));

/** Standard normal quantiles at the middle of each of the table's shares; they are symmetric. */
const DEVIATIONS = normalQuantiles();

/**
 * Lognormal quantiles about a median of 1, one table after the other in the order of the streams; how a whole day goes
 * is not among them. See docs/sources.md#line.
 */
export const DRAW_TABLES = drawTables();

/** How a whole day goes against the usual one, a factor on its work: 1 in the middle of all days. */
export const dayDraw = (replication: number, daySdLn = DAY_SD_LN): number =>
  Math.exp(daySdLn * DEVIATIONS[drawIndex(replication, DAY_STREAM, 0)]!);

function drawTables(): Float64Array {
  const spreads = new Map<number, number>([
    ...STATIONS.map(stationRow).map(({ drawStream, spread }) => [drawStream, sdOfCv(spread)] as const),
    [BLEED_STREAM, sdOfCv(BLEED_SPREAD)],
    [PERSON_STREAM, PERSON_SD_LN],
  ]);
  const tables = new Float64Array((Math.max(...spreads.keys()) + 1) * TABLE_SIZE);
  for (const [stream, sd] of spreads)
    for (let place = 0; place < TABLE_SIZE; place += 1)
      tables[stream * TABLE_SIZE + place] = Math.exp(sd * DEVIATIONS[place]!);
  return tables;
}

function normalQuantiles(): Float64Array {
  const deviations = new Float64Array(TABLE_SIZE);
  let deviation = 0;
  for (let place = TABLE_SIZE / 2; place < TABLE_SIZE; place += 1) {
    deviation = normalQuantile((place + 0.5) / TABLE_SIZE, deviation);
    deviations[place] = deviation;
    deviations[TABLE_SIZE - 1 - place] = -deviation;
  }
  return deviations;
}
