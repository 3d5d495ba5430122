import type { DoseScale } from "#core/scald/scald-time.ts";

/** A reading of the bath: seconds from the dunk, and °C. */
export interface BathReading {
  readonly seconds: number;
  readonly celsius: number;
}

export interface TraceInput {
  /** At least one, in order of time; the first holds before it and the last holds after it. */
  readonly readings: readonly BathReading[];
  /** Dose that loosens the feathers, seconds' worth at the reference temperature. */
  readonly targetSeconds: number;
  readonly scale: DoseScale;
}

/** A stretch in which the bath goes in a straight line from one temperature to another. */
interface Piece {
  readonly from: number;
  readonly seconds: number;
  readonly startCelsius: number;
  readonly endCelsius: number;
}

/**
 * Dose gained by a moment in a bath that sags and recovers, seconds' worth at the reference temperature.
 *
 * Straight lines between readings, each cut where it crosses the floor; on a line from rate r the dose is
 * r dt (e^x - 1) / x with x = ln 10 (T2 - T1) / z. See docs/sources.md#scald.
 *
 * @param atSeconds from the dunk, 0 or more
 * @throws {RangeError} if there is no reading, or two out of order
 */
export function doseBy(atSeconds: number, input: Omit<TraceInput, "targetSeconds">): number {
  let dose = 0;
  for (const piece of piecesOf(input)) {
    if (piece.from >= atSeconds) break;
    const seconds = Math.min(piece.seconds, atSeconds - piece.from);
    dose += doseOf(cutShort(piece, seconds), input.scale);
  }
  return dose;
}

/**
 * When the target is met, seconds from the dunk; undefined where it never is. See docs/sources.md#scald.
 *
 * @throws {RangeError} if there is no reading, or two out of order
 */
export function secondsToDose({ targetSeconds, ...input }: TraceInput): number | undefined {
  let missing = targetSeconds;
  for (const piece of piecesOf(input)) {
    const dose = doseOf(piece, input.scale);
    if (dose >= missing && dose > 0) return piece.from + secondsInto(piece, missing, input.scale);
    missing -= dose;
  }
  return undefined;
}

function piecesOf({ readings, scale }: Omit<TraceInput, "targetSeconds">): Piece[] {
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last) throw new RangeError("a trace needs at least one reading");
  const flat = (from: number, seconds: number, celsius: number): Piece => ({
    from,
    seconds,
    startCelsius: celsius,
    endCelsius: celsius,
  });
  const between = readings.slice(1).flatMap((reading, index) => {
    const before = readings[index]!;
    if (reading.seconds < before.seconds)
      throw new RangeError(
        `readings must be in order of time, got ${reading.seconds} s after ${before.seconds} s`,
      );
    return atTheFloor(
      {
        from: before.seconds,
        seconds: reading.seconds - before.seconds,
        startCelsius: before.celsius,
        endCelsius: reading.celsius,
      },
      scale.floorCelsius,
    );
  });
  return [flat(0, first.seconds, first.celsius), ...between, flat(last.seconds, Infinity, last.celsius)];
}

/** A piece that crosses the floor, as two. */
function atTheFloor(piece: Piece, floor: number): Piece[] {
  const { startCelsius, endCelsius, seconds, from } = piece;
  if ((startCelsius - floor) * (endCelsius - floor) >= 0) return [piece];
  const seconds1 = (seconds * (floor - startCelsius)) / (endCelsius - startCelsius);
  return [
    { from, seconds: seconds1, startCelsius, endCelsius: floor },
    { from: from + seconds1, seconds: seconds - seconds1, startCelsius: floor, endCelsius },
  ];
}

function cutShort(piece: Piece, seconds: number): Piece {
  const { startCelsius, endCelsius } = piece;
  if (seconds === piece.seconds || startCelsius === endCelsius) return { ...piece, seconds };
  const share = seconds / piece.seconds;
  return { ...piece, seconds, endCelsius: startCelsius + (endCelsius - startCelsius) * share };
}

const rateAt = (celsius: number, { referenceCelsius, zCelsius }: DoseScale) =>
  10 ** ((celsius - referenceCelsius) / zCelsius);

/** Below the floor nothing is gained; a piece lies on one side of it, its ends included. */
const isTooCold = ({ startCelsius, endCelsius }: Piece, { floorCelsius }: DoseScale) =>
  startCelsius < floorCelsius || endCelsius < floorCelsius;

const steepness = ({ startCelsius, endCelsius }: Piece, { zCelsius }: DoseScale) =>
  (Math.LN10 * (endCelsius - startCelsius)) / zCelsius;

function doseOf(piece: Piece, scale: DoseScale): number {
  if (piece.seconds === 0 || isTooCold(piece, scale)) return 0;
  const rate = rateAt(piece.startCelsius, scale);
  const x = steepness(piece, scale);
  return x === 0 ? rate * piece.seconds : (rate * piece.seconds * Math.expm1(x)) / x;
}

function secondsInto(piece: Piece, dose: number, scale: DoseScale): number {
  const worth = dose / rateAt(piece.startCelsius, scale);
  const slope = steepness(piece, scale) / piece.seconds;
  return slope === 0 ? worth : Math.log1p(worth * slope) / slope;
}
