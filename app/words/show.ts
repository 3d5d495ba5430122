import {
  fahrenheitFromCelsius,
  MILLIGRAMS_PER_KILOGRAM,
  MILLIGRAMS_PER_OUNCE,
  MILLIGRAMS_PER_POUND,
  MILLILITERS_PER_GALLON,
} from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { Unit } from "#core/reckoning/reckoning.ts";

/** How a farm reads its numbers. */
export interface Reading {
  readonly unitSystem: UnitSystem;
  readonly currency: string;
  readonly timeZone: string;
}

export type Show = ReturnType<typeof showFor>;

const trimmed = (value: number, most: number, least = 0) =>
  new Intl.NumberFormat("en-US", { maximumFractionDigits: most, minimumFractionDigits: least }).format(value);

/** Words for every quantity, in the farm's own units, money and time zone. */
export function showFor({ unitSystem, currency, timeZone }: Reading) {
  const isUs = unitSystem === "us";
  const formatDate = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat("en-GB", { timeZone, ...options });
  const clock = formatDate({ hour: "2-digit", minute: "2-digit", hourCycle: "h23" });
  const weekday = formatDate({ weekday: "short" });
  const longDay = new Intl.DateTimeFormat("en-GB", {
    timeZone: "UTC",
    weekday: "long",
    day: "numeric",
    month: "long",
  });
  const shortDay = new Intl.DateTimeFormat("en-GB", {
    timeZone: "UTC",
    weekday: "short",
    day: "numeric",
    month: "short",
  });
  const withYear = new Intl.DateTimeFormat("en-GB", {
    timeZone: "UTC",
    day: "numeric",
    month: "short",
    year: "numeric",
  });
  const asDate = (day: string) => new Date(`${day}T12:00:00Z`);

  /** A bird's weight: pounds and ounces, or kilograms. */
  function bird(milligrams: number, ounceDigits = 1): string {
    if (!isUs) return `${trimmed(milligrams / MILLIGRAMS_PER_KILOGRAM, ounceDigits > 1 ? 4 : 2, 2)} kg`;
    const step = 10 ** ounceDigits;
    const ounces = Math.round((milligrams / MILLIGRAMS_PER_OUNCE) * step) / step;
    const pounds = Math.floor(ounces / 16 + 1e-9);
    const rest = `${trimmed(ounces - pounds * 16, ounceDigits)} oz`;
    return pounds === 0 ? rest : `${pounds} lb ${rest}`;
  }

  /** A lot of something: feed, ice, cuts. */
  function bulk(milligrams: number): string {
    const value = milligrams / (isUs ? MILLIGRAMS_PER_POUND : MILLIGRAMS_PER_KILOGRAM);
    return `${trimmed(value, value < 100 ? 1 : 0)} ${isUs ? "lb" : "kg"}`;
  }

  const temperature = (celsius: number) =>
    isUs ? `${trimmed(fahrenheitFromCelsius(celsius), 1)} °F` : `${trimmed(celsius, 1)} °C`;
  /** Of the air: to whole degrees, since nobody knows it better. */
  const air = (celsius: number) =>
    isUs ? `${Math.round(fahrenheitFromCelsius(celsius))} °F` : `${Math.round(celsius)} °C`;
  const volume = (liters: number) =>
    isUs ? `${trimmed((liters * 1000) / MILLILITERS_PER_GALLON, 1)} gal` : `${trimmed(liters, 1)} l`;
  const money = (cents: number) =>
    new Intl.NumberFormat("en-US", { style: "currency", currency }).format(cents / 100);
  const moneyPerWeight = (centsPerKilogram: number) =>
    isUs
      ? `${money((centsPerKilogram * MILLIGRAMS_PER_POUND) / MILLIGRAMS_PER_KILOGRAM)} / lb`
      : `${money(centsPerKilogram)} / kg`;

  const minutes = (value: number): string => {
    const whole = Math.round(value);
    if (whole < 60) return `${trimmed(value, value < 10 ? 1 : 0)} min`;
    const rest = whole % 60;
    return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, "0")}`;
  };
  const seconds = (value: number): string => {
    const whole = Math.round(value);
    return whole < 100
      ? `${whole} s`
      : `${Math.floor(whole / 60)} min ${String(whole % 60).padStart(2, "0")} s`;
  };

  const time = (at: number) => clock.format(at);
  const count = (value: number) => trimmed(value, 0);

  const byUnit: Record<Unit, (value: number) => string> = {
    "live-kg": (value) => bird(value * MILLIGRAMS_PER_KILOGRAM),
    "carcass-kg": (value) =>
      value < 30 ? bird(value * MILLIGRAMS_PER_KILOGRAM) : bulk(value * MILLIGRAMS_PER_KILOGRAM),
    kg: (value) => bulk(value * MILLIGRAMS_PER_KILOGRAM),
    "°C": temperature,
    seconds,
    minutes,
    hours: (value) => minutes(Math.round(value * 60)),
    days: (value) => `${count(value)} days`,
    instant: (at) => `${weekday.format(at)} ${time(at)}`,
    birds: count,
    people: count,
    count,
    fraction: (value) => `${trimmed(value * 100, 1)} %`,
    times: (value) => `${trimmed(value, 2, 2)}×`,
    "birds-per-hour": (value) =>
      value > 999 ? "more than you have" : `${trimmed(value, value < 20 ? 1 : 0)} an hour`,
    "minutes-per-bird": (value) => `${trimmed(value, 1)} min a bird`,
    "kg-per-kg": (value) => trimmed(value, 2, 2),
    cents: money,
    "cents-per-kg": moneyPerWeight,
    watts: (value) => (value >= 1000 ? `${trimmed(value / 1000, 2)} kW` : `${trimmed(value, 1)} W`),
    liters: volume,
    milliliters: (value) => `${count(value)} ml`,
    grams: (value) => `${count(value)} g`,
    amps: (value) => `${trimmed(value, 1)} A`,
    volts: (value) => `${count(value)} V`,
  };

  return {
    unitSystem,
    currency,
    timeZone,
    isUs,
    /** Any value by its unit. */
    value: (value: number, unit: Unit) => byUnit[unit](value),
    bird,
    /** A weight as it was put on the scale, with nothing rounded away. */
    exactBird: (milligrams: number) => bird(milligrams, 3),
    bulk,
    temperature,
    air,
    volume,
    money,
    moneyPerWeight,
    minutes,
    time,
    /** `Fri 21:40` */
    dayTime: byUnit.instant,
    count,
    /** `Saturday 19 September` of a local day. */
    longDay: (day: string) => longDay.format(asDate(day)).replace(",", ""),
    /** `Sat 19 Sep` of a local day. */
    shortDay: (day: string) => shortDay.format(asDate(day)).replace(",", ""),
    dayWithYear: (day: string) => withYear.format(asDate(day)),
    weightUnit: isUs ? "lb" : "kg",
    temperatureUnit: isUs ? "°F" : "°C",
    volumeUnit: isUs ? "gal" : "l",
  };
}

/** `1 bird`, `2 birds`. */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${new Intl.NumberFormat("en-US").format(count)} ${count === 1 ? one : many}`;
}
