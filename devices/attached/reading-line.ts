import { ATTACHED_DEVICES, type AttachedDevice } from "#core/quantity/device-reading.ts";

/*
 * The line protocol of a device that is attached to the farm: docs/devices.md. One reading on each line of text:
 *
 *   bath-probe 59.42 C steady battery 87 check 6a
 *
 * and, once a connection stands, a line that says who speaks, with "simulated" for a stand-in:
 *
 *   hello bath-probe simulated check 1f
 */

/** The units that each device may speak in, as a factor and an offset to °C or grams. */
const UNITS: Readonly<Record<AttachedDevice, Readonly<Record<string, readonly [number, number]>>>> = {
  "bath-probe": { C: [1, 0], F: [5 / 9, -160 / 9] },
  "bench-scale": { g: [1, 0], kg: [1000, 0], lb: [453.59237, 0], oz: [28.349523125, 0] },
};

/** One reading: thousandths of °C of a bath, milligrams of a scale. */
export interface ReadingLine {
  readonly device: AttachedDevice;
  readonly valueThousandths: number;
  /** Whether the device itself calls its value settled. */
  readonly isSteady: boolean;
  /** Percent. */
  readonly battery: number;
}

export interface HelloLine {
  readonly device: AttachedDevice;
  readonly isSimulated: boolean;
}

export const LONGEST_LINE = 120;

const READING =
  /^([a-z-]{1,20}) (-?\d{1,6}(?:\.\d{1,4})?) ([A-Za-z]{1,2}) (steady|moving) battery (\d{1,3})$/;
const HELLO = /^hello ([a-z-]{1,20})( simulated)?$/;

/** Reads a line of a device; undefined where it is none, was garbled on the way, or is in a unit that is not the device's. */
export function readLine(text: string): ReadingLine | HelloLine | undefined {
  const said = text.length <= LONGEST_LINE ? withoutCheck(text) : undefined;
  if (said === undefined) return undefined;
  const [, greeter = "", simulated] = HELLO.exec(said) ?? [];
  if (isAttached(greeter)) return { device: greeter, isSimulated: simulated !== undefined };
  const [, device = "", value, unit = "", settled, battery] = READING.exec(said) ?? [];
  if (!isAttached(device) || Number(battery) > 100) return undefined;
  const measure = UNITS[device][unit];
  return (
    measure && {
      device,
      valueThousandths: Math.round((Number(value) * measure[0] + measure[1]) * 1000),
      isSteady: settled === "steady",
      battery: Number(battery),
    }
  );
}

/** A reading as a device writes it, in °C or grams. */
export const readingText = ({ device, valueThousandths, isSteady, battery }: ReadingLine): string =>
  withCheck(
    `${device} ${(valueThousandths / 1000).toFixed(device === "bath-probe" ? 2 : 1)} ${
      device === "bath-probe" ? "C" : "g"
    } ${isSteady ? "steady" : "moving"} battery ${Math.round(battery)}`,
  );

export const helloText = ({ device, isSimulated }: HelloLine): string =>
  withCheck(`hello ${device}${isSimulated ? " simulated" : ""}`);

export const isAttached = (name: string): name is AttachedDevice =>
  (ATTACHED_DEVICES as readonly string[]).includes(name);

const CHECK = " check ";
const withCheck = (said: string) => `${said}${CHECK}${checksum(said)}`;

/** What a line says before its check; undefined where the check does not fit, or is missing. */
function withoutCheck(text: string): string | undefined {
  const at = text.lastIndexOf(CHECK);
  const said = text.slice(0, Math.max(0, at));
  return at > 0 && text.slice(at + CHECK.length) === checksum(said) ? said : undefined;
}

/** CRC-8 with the polynomial x^8 + x^2 + x + 1 over the characters' codes, as two hexadecimal digits. */
export function checksum(said: string): string {
  let rest = 0;
  for (let index = 0; index < said.length; index += 1) {
    rest ^= said.charCodeAt(index) & 0xff;
    for (let bit = 0; bit < 8; bit += 1) rest = ((rest << 1) ^ (rest & 0x80 ? 0x07 : 0)) & 0xff;
  }
  return rest.toString(16).padStart(2, "0");
}
