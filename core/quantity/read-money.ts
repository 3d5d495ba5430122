import { type Cents, cents } from "#core/quantity/quantity.ts";
import { readNumber } from "#core/quantity/read-number.ts";

export type MoneyReading =
  | { readable: true; amount: Cents }
  | { readable: false; reason: "empty" | "negative" | "not-an-amount" | "parts-of-a-cent" };

/** Reads an amount of money as people type it: `12`, `$12.50`, `12,50`, `1,234.50`; whole cents, not negative. */
export function readMoney(text: string): MoneyReading {
  const plain = text
    .trim()
    .replace(/^[$€£]/, "")
    .replace(/[$€£]$/, "")
    .trim();
  if (plain === "") return { readable: false, reason: "empty" };
  if (/^[$€£\s]*[-−]/.test(plain)) return { readable: false, reason: "negative" };
  const amount = plain.includes("/") ? undefined : readNumber(plain);
  if (amount === undefined) return { readable: false, reason: "not-an-amount" };
  const minor = Math.round(amount * 100);
  if (Math.abs(amount * 100 - minor) > 1e-6) return { readable: false, reason: "parts-of-a-cent" };
  return Number.isSafeInteger(minor)
    ? { readable: true, amount: cents(minor) }
    : { readable: false, reason: "not-an-amount" };
}
