import { instantOf } from "#core/calendar/farm-time.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_OUNCE } from "#core/quantity/conversion.ts";
import type { Entry, Recorded } from "#db/entry.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";

export const DEMO_ZONE = "America/New_York";

/** A local time of a day as an instant. @throws {RangeError} if the clocks jump over it. */
export function at(day: string, time: string): number {
  const reading = instantOf(day, time, DEMO_ZONE);
  if (!reading.exists) throw new RangeError(`${time} does not exist on ${day}`);
  return reading.at;
}

/** Entries numbered in the order they are made. */
export function entryMaker(prefix = "demo"): (day: string, time?: string) => Entry {
  let number = 0;
  return (day, time = "19:00") => {
    number += 1;
    return { entryId: `${prefix}-${String(number).padStart(6, "0")}`, at: at(day, time) };
  };
}

/** Demo data that is refused is a fault in the demo. */
export function must<Reason extends string>(outcome: Recorded<Reason>): void {
  if (!outcome.recorded) throw new Error(`the demo farm was refused: ${outcome.reason}`);
}

/** What a product costs by the last price that was set, whatever day it is. */
export function priceOf(file: FarmFile, productId: number) {
  const price = file.catalog.prices().find((one) => one.productId === productId);
  return { priceCents: price?.priceCents, priceUnit: price?.priceUnit ?? "pack" };
}

/** A weight as it would be read off the scale and typed: pounds and ounces to a tenth. */
export function asPoundsAndOunces(kilograms: number): { milligrams: number; asTyped: string } {
  const tenths = Math.round(((kilograms * MILLIGRAMS_PER_KILOGRAM) / MILLIGRAMS_PER_OUNCE) * 10);
  const pounds = Math.floor(tenths / 160);
  const ounces = (tenths - pounds * 160) / 10;
  return { milligrams: Math.round((tenths / 10) * MILLIGRAMS_PER_OUNCE), asTyped: `${pounds} ${ounces}` };
}
