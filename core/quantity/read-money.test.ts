import { expect, test } from "vitest";
import { readMoney } from "#core/quantity/read-money.ts";

test.each([
  ["12", 1200],
  ["12.5", 1250],
  ["$18.50", 1850],
  ["18,50 €", 1850],
  ["1,234.50", 123_450],
  ["1,234", 123_400],
  ["0", 0],
])("%s is %i cents", (text, amount) => {
  expect(readMoney(text)).toEqual({ readable: true, amount });
});

test.each([
  ["", "empty"],
  ["-3", "negative"],
  ["$-3", "negative"],
  ["1.005", "parts-of-a-cent"],
  ["1/2", "not-an-amount"],
  ["twelve", "not-an-amount"],
])("%j is refused as %s", (text, reason) => {
  expect(readMoney(text)).toEqual({ readable: false, reason });
});
