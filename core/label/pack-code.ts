/** Letters and digits that are not taken for each other on a wet label or over the phone. Their number is a prime. */
const ALPHABET = "234679CDFGHJKMNPRTVWXYA";
const BASE = ALPHABET.length;
const LEAST_LENGTH = 4;

/**
 * The short code of a pack: its number in letters and digits, and one more that shows a slip. Any one wrong character, and any
 * two changed about, are noticed.
 *
 * @param packId whole number, at least 1
 * @throws {RangeError} if it is not
 */
export function packCode(packId: number): string {
  if (!(Number.isSafeInteger(packId) && packId >= 1))
    throw new RangeError(`a pack's number must be whole and at least 1, got ${packId}`);
  const length = lengthFor(packId);
  const digits: number[] = [];
  for (let rest = spread(packId, length, SPREAD); digits.length < length; rest = Math.floor(rest / BASE))
    digits.unshift(rest % BASE);
  return [...digits, checkOf(digits)].map((digit) => ALPHABET[digit]).join("");
}

/** The pack's number, as it was typed, read by a scanner or found in a longer text of a label; undefined where it is no code. */
export function packIdOf(text: string): number | undefined {
  const digits = [...text.toUpperCase().replace(/[\s-]/g, "")].map((letter) => ALPHABET.indexOf(letter));
  if (digits.length <= LEAST_LENGTH || digits.length > 9 || digits.includes(-1)) return undefined;
  const body = digits.slice(0, -1);
  if (checkOf(body) !== digits.at(-1)) return undefined;
  const spreadId = body.reduce((sum, digit) => sum * BASE + digit, 0);
  const id = spread(spreadId, body.length, inverseOf(SPREAD, BASE ** body.length));
  return id >= 1 && lengthFor(id) === body.length ? id : undefined;
}

/** Numbers that follow each other get codes that don't look alike: each is multiplied by this, around the clock of its length. */
const SPREAD = 1031;

function lengthFor(packId: number): number {
  let length = LEAST_LENGTH;
  while (packId >= BASE ** length) length += 1;
  return length;
}

const spread = (number: number, length: number, factor: number): number =>
  Number((BigInt(number) * BigInt(factor)) % BigInt(BASE ** length));

/** The number that undoes a multiplication around a clock of so many hours, which shares no factor with it. */
function inverseOf(factor: number, hours: number): number {
  let [before, rest, one, other] = [factor, hours, 1, 0];
  while (rest > 0) {
    const whole = Math.floor(before / rest);
    [before, rest, one, other] = [rest, before - whole * rest, other, one - whole * other];
  }
  return ((one % hours) + hours) % hours;
}

/** A sum with a weight of its own for each place from the right, over a prime. */
const checkOf = (digits: readonly number[]): number =>
  digits.reduce((sum, digit, index) => sum + digit * (digits.length - index + 1), 0) % BASE;
