import { fahrenheitFromCelsius, millicelsiusFromFahrenheit } from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** A temperature as a person would type it, so that it reads back as the same. */
export const temperatureAsTyped = (unitSystem: UnitSystem, millicelsius: number): string =>
  unitSystem === "us"
    ? `${shortest(millicelsius, fahrenheitFromCelsius(millicelsius / 1000), millicelsiusFromFahrenheit)} °F`
    : `${millicelsius / 1000} °C`;

/** The shortest decimal that reads back to what is stored, so that saving again in other units never moves it. */
export function shortest(stored: number, shown: number, readBack: (shown: number) => number): string {
  for (let digits = 0; digits < 9; digits += 1) {
    const text = String(Number(shown.toFixed(digits)));
    if (readBack(Number(text)) === stored) return text;
  }
  return String(shown);
}
