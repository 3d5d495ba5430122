import { DEFAULT_LOCALE, localeFormats } from "#app/words/locale.ts";
import {
  FAHRENHEIT_DEGREES_PER_KELVIN,
  FLUID_OUNCES_PER_CUP,
  fahrenheitFromCelsius,
  KILOMETERS_PER_MILE,
  METERS_PER_FOOT,
  MILLIGRAMS_PER_KILOGRAM,
  MILLIGRAMS_PER_OUNCE,
  MILLIGRAMS_PER_POUND,
  MILLILITERS_PER_FLUID_OUNCE,
  MILLILITERS_PER_GALLON,
  MILLIMETERS_PER_INCH,
  PASCALS_PER_PSI,
} from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { Unit } from "#core/reckoning/reckoning.ts";

/** How a farm reads its numbers. */
export interface Reading {
  readonly unitSystem: UnitSystem;
  readonly currency: string;
  readonly timeZone: string;
  /** BCP 47 tag: formats of clocks, dates, numbers and paper. */
  readonly locale: string;
  /** False for those who see no money: a line stands in its place. */
  readonly seesMoney?: boolean | undefined;
}

const NO_MONEY = "—";

const MINUTES_PER_DAY = 24 * 60;
/** From here on nobody counts in hours: rests of 48 and 72 h are still called that. */
const MINUTES_SAID_IN_DAYS = 100 * 60;

/** Minutes in days, with the hours beside them while they still tell something. */
function inDays(minutes: number): string {
  const hours = Math.round((minutes % MINUTES_PER_DAY) / 60);
  const days = Math.floor(minutes / MINUTES_PER_DAY);
  if (days >= 10 || hours === 0) return `${Math.round(minutes / MINUTES_PER_DAY)} days`;
  return hours === 24 ? `${days + 1} days` : `${days} days ${hours} h`;
}

export type Show = ReturnType<typeof showFor>;

/** Words for every quantity, in the farm's own units, money, time zone and locale. */
export function showFor({ unitSystem, currency, timeZone, locale, seesMoney = true }: Reading) {
  const isUs = unitSystem === "us";
  const formats = localeFormats(locale, timeZone);
  const { time } = formats;
  const trimmed = formats.number;

  /** A bird's weight: pounds and ounces, or kilograms. */
  function bird(milligrams: number, ounceDigits = 1): string {
    if (!isUs) return `${trimmed(milligrams / MILLIGRAMS_PER_KILOGRAM, ounceDigits > 1 ? 4 : 2, 2)} kg`;
    const step = 10 ** ounceDigits;
    const ounces = Math.round((milligrams / MILLIGRAMS_PER_OUNCE) * step) / step;
    const pounds = Math.floor(ounces / 16 + 1e-9);
    const rest = `${trimmed(ounces - pounds * 16, ounceDigits)} oz`;
    return pounds === 0 ? rest : `${pounds} lb ${rest}`;
  }

  /** Feed, ice, cuts: weighed together. */
  function bulk(milligrams: number): string {
    const value = milligrams / (isUs ? MILLIGRAMS_PER_POUND : MILLIGRAMS_PER_KILOGRAM);
    return `${trimmed(value, value < 100 ? 1 : 0)} ${isUs ? "lb" : "kg"}`;
  }

  const temperature = (celsius: number) =>
    isUs ? `${trimmed(fahrenheitFromCelsius(celsius), 1)} °F` : `${trimmed(celsius, 1)} °C`;
  /** A difference between temperatures, from kelvins. */
  const degrees = (kelvin: number) =>
    isUs ? `${trimmed(kelvin * FAHRENHEIT_DEGREES_PER_KELVIN, 1, 1)} °F` : `${trimmed(kelvin, 1, 1)} °C`;
  /** Of the air: to whole degrees, since no one knows it better. */
  const air = (celsius: number) =>
    isUs ? `${Math.round(fahrenheitFromCelsius(celsius))} °F` : `${Math.round(celsius)} °C`;
  const rain = (millimeters: number) =>
    isUs ? `${trimmed(millimeters / MILLIMETERS_PER_INCH, 2)} in` : `${trimmed(millimeters, 1)} mm`;
  const windSpeed = (kilometersPerHour: number) =>
    isUs
      ? `${trimmed(kilometersPerHour / KILOMETERS_PER_MILE, 0)} mph`
      : `${trimmed(kilometersPerHour, 0)} km/h`;
  /** Bleach and the like: measured by the fluid ounce, and by the cup from two cups on. */
  const smallVolume = (milliliters: number) => {
    if (!isUs) return `${trimmed(milliliters, 0)} ml`;
    const ounces = milliliters / MILLILITERS_PER_FLUID_OUNCE;
    return ounces < 2 * FLUID_OUNCES_PER_CUP
      ? `${trimmed(ounces, 1)} fl oz`
      : `${trimmed(ounces / FLUID_OUNCES_PER_CUP, 1)} cups`;
  };
  /** Salt, propane: what is weighed by the ounce, and by the pound from one on. */
  const smallWeight = (grams: number) => {
    if (!isUs) return grams < 1000 ? `${trimmed(grams, 0)} g` : `${trimmed(grams / 1000, 2)} kg`;
    const pounds = (grams * 1000) / MILLIGRAMS_PER_POUND;
    return pounds < 1 ? `${trimmed(pounds * 16, 1)} oz` : `${trimmed(pounds, 1)} lb`;
  };
  const filled = (milliliters: number) => {
    const quarts = (milliliters * 4) / MILLILITERS_PER_GALLON;
    if (isUs) return quarts >= 0.995 ? `${trimmed(quarts, 2)} qt` : smallVolume(milliliters);
    return milliliters >= 1000 ? `${trimmed(milliliters / 1000, 2)} l` : smallVolume(milliliters);
  };
  const volume = (liters: number) =>
    isUs ? `${trimmed((liters * 1000) / MILLILITERS_PER_GALLON, 1)} gal` : `${trimmed(liters, 1)} l`;
  const altitude = (meters: number) =>
    isUs ? `${trimmed(meters / METERS_PER_FOOT, 0)} ft` : `${trimmed(meters, 0)} m`;
  /** Of a canner's gauge. */
  const pressure = (pascals: number) =>
    isUs ? `${trimmed(pascals / PASCALS_PER_PSI, 1)} lb` : `${trimmed(pascals / 1000, 0)} kPa`;
  const money = (cents: number) => (seesMoney ? formats.money(cents, currency) : NO_MONEY);
  const moneyPerWeight = (centsPerKilogram: number) => {
    if (!seesMoney) return NO_MONEY;
    return isUs
      ? `${money((centsPerKilogram * MILLIGRAMS_PER_POUND) / MILLIGRAMS_PER_KILOGRAM)} / lb`
      : `${money(centsPerKilogram)} / kg`;
  };

  const minutes = (value: number): string => {
    const whole = Math.round(value);
    if (whole < 60) return `${trimmed(value, value < 10 ? 1 : 0)} min`;
    if (whole >= MINUTES_SAID_IN_DAYS) return inDays(whole);
    const rest = whole % 60;
    return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, "0")}`;
  };
  const seconds = (value: number): string => {
    const whole = Math.round(value);
    return whole < 100
      ? `${whole} s`
      : `${Math.floor(whole / 60)} min ${String(whole % 60).padStart(2, "0")} s`;
  };

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
    "per-week": (value) => `${trimmed(value, 2)} a week`,
    weeks: (value) => `${trimmed(value, 1)} weeks`,
    days: (value) => `${count(value)} days`,
    instant: (at) => `${formats.weekday(at)} ${time(at)}`,
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
    milliliters: smallVolume,
    grams: smallWeight,
    "kilowatt-hours": (value) => `${trimmed(value, 2)} kWh`,
    millimeters: (value) => (isUs ? `${trimmed(value / 25.4, 1)} in` : `${trimmed(value, 0)} mm`),
    "watts-per-degree": (value) =>
      isUs ? `${trimmed(value / 1.8, 1)} W per °F` : `${trimmed(value, 1)} W per °C`,
    "liters-per-minute": (value) => `${volume(value)} a minute`,
    "label-kg": (value) =>
      isUs
        ? `${((value * MILLIGRAMS_PER_KILOGRAM) / MILLIGRAMS_PER_POUND).toFixed(2)} lb`
        : `${value.toFixed(3)} kg`,
    amps: (value) => `${trimmed(value, 1)} A`,
    volts: (value) => `${count(value)} V`,
  };

  return {
    unitSystem,
    currency,
    timeZone,
    isUs,
    seesMoney,
    /** Any value by its unit. */
    value: (value: number, unit: Unit) => byUnit[unit](value),
    bird,
    /** A small difference between weights: ounces, or grams. */
    gap: (milligrams: number) =>
      isUs ? `${trimmed(milligrams / MILLIGRAMS_PER_OUNCE, 2)} oz` : `${trimmed(milligrams / 1000, 0)} g`,
    /** A weight as it was put on the scale, with nothing rounded away. */
    exactBird: (milligrams: number) => bird(milligrams, 3),
    bulk,
    temperature,
    degrees,
    air,
    /** Rain that falls, from millimeters. */
    rain,
    /** Of wind, from km/h. */
    windSpeed,
    volume,
    /** What was filled into one pack: quarts from one on, or liters. */
    filled,
    altitude,
    pressure,
    money,
    moneyPerWeight,
    minutes,
    time,
    /** `Fri 21:40` */
    dayTime: byUnit.instant,
    count,
    /** `Fri, Sep 18, 9:40 PM`: for paper, which is read on another day. */
    dateTime: (at: number) => `${formats.dateOf(at)}, ${time(at)}`,
    /** For the axis of a chart. */
    hour: formats.hour,
    /** A decimal number, with so many digits at most. */
    decimal: formats.number,
    /** `Saturday, September 19` of a local day. */
    longDay: formats.longDay,
    /** `Sat, Sep 19` of a local day. */
    shortDay: formats.shortDay,
    monthDay: formats.monthDay,
    shortWeekday: formats.shortWeekday,
    dayWithYear: formats.dayWithYear,
    /** First day of the week, 0 for Monday to 6 for Sunday. */
    weekStart: formats.weekStart,
    paper: formats.paper,
    weightUnit: isUs ? "lb" : "kg",
    temperatureUnit: isUs ? "°F" : "°C",
    volumeUnit: isUs ? "gal" : "l",
  };
}

/** `1 bird`, `2 birds`. */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** For messages beside a field, which know the farm's units only. */
export const showUnits = (unitSystem: UnitSystem): Show =>
  showFor({ unitSystem, currency: "USD", timeZone: "UTC", locale: DEFAULT_LOCALE });
