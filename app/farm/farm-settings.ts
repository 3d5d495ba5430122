import { z } from "zod";
import { longitudeQuestion } from "#app/farm/first-run/first-run-form.ts";
import { shortest, temperatureAsTyped } from "#app/ui/read/as-typed.ts";
import { choice, money, optional, percent, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { altitude, temperature, volume, weight } from "#app/ui/read/read-measure.ts";
import { degrees, timeZone } from "#app/ui/read/read-when.ts";
import { isKnownLocale } from "#app/words/locale.ts";
import { CHILL_METHODS, TANK_WALLS } from "#core/chill/chill-constants.ts";
import { SHARED_BY } from "#core/day/settle/day-shares.ts";
import { PRACTICES } from "#core/processing-line/line-constants.ts";
import {
  METERS_PER_FOOT,
  MILLIGRAMS_PER_KILOGRAM,
  MILLIGRAMS_PER_POUND,
  MILLILITERS_PER_GALLON,
} from "#core/quantity/conversion.ts";
import { CURRENCIES } from "#core/quantity/currency.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { Farm, FarmSettings } from "#db/farm/farm-queries.server.ts";

const HEATS = ["electric", "propane"] as const;

/** The farm's settings, typed in the units that stand when the page is opened. */
export function farmSettingsForm(unitSystem: UnitSystem) {
  return z
    .object({
      name: words(80, "Enter the farm's name"),
      latitude: degrees(90, "Enter the latitude in degrees"),
      longitude: degrees(180, "Enter the longitude in degrees; west is negative"),
      timeZone,
      locale: z.string().max(35).refine(isKnownLocale, "Choose a format from the list"),
      unitSystem: choice(["us", "metric"], "Choose your units"),
      currency: choice(CURRENCIES, "Choose your currency"),
      practice: choice(PRACTICES, "Choose how often you process"),
      arePensLit: tick,
      usesOwnDays: tick,
      pluckAtOnceCount: wholeNumber({
        least: 1,
        most: 20,
        ask: "Enter how many birds the plucker holds",
      }),
      air: optional(temperature({ unitSystem, least: -30, most: 50, ask: "" })),
      tap: optional(temperature({ unitSystem, least: 0, most: 40, ask: "" })),
      hourRate: optional(money("", 100_000)),
      birdsAYearCount: optional(wholeNumber({ least: 1, most: 1_000_000, ask: "" })),
      tank: optional(volume({ unitSystem, least: 1, most: 20_000, ask: "" })),
      tankWall: choice(TANK_WALLS, "Choose the tank type"),
      chillMethod: choice(CHILL_METHODS, "Choose a chilling method"),
      iceBag: optional(weight({ unitSystem, ask: "", range: [0.1, 1000], what: "a bag of ice" })),
      jugCount: optional(wholeNumber({ most: 1000, ask: "" })),
      jug: optional(volume({ unitSystem, least: 0.1, most: 30, ask: "" })),
      madeIce: optional(
        weight({ unitSystem, ask: "", range: [0.1, 1000], what: "a day's own ice", isBulk: true }),
      ),
      scalder: optional(volume({ unitSystem, least: 1, most: 5000, ask: "" })),
      scalderWatts: optional(wholeNumber({ least: 100, most: 200_000, ask: "" })),
      scalderHeat: choice(HEATS, "Choose the heat source"),
      isScalderLidded: tick,
      isScalderInsulated: tick,
      scaldAtOnceCount: wholeNumber({ least: 1, most: 20, ask: "Enter how many birds you scald at once" }),
      fill: optional(temperature({ unitSystem, least: 0, most: 95, ask: "" })),
      circuitVolts: optional(wholeNumber({ least: 100, most: 480, ask: "" })),
      breakerAmps: optional(wholeNumber({ least: 1, most: 400, ask: "" })),
      altitude: optional(altitude({ unitSystem, ask: "" })),
      ruleForOthers: optional(words(500, "")),
      dayCostSharedBy: choice(SHARED_BY, "Choose how lots share the cost of a day"),
      crateBirdsCount: optional(wholeNumber({ least: 1, most: 100, ask: "" })),
      bleach: optional(percent({ least: 1, most: 20, ask: "", decimals: 2 })),
    })
    .transform((typed, context): FarmSettings => {
      if ((typed.circuitVolts === undefined) !== (typed.breakerAmps === undefined)) {
        const missing = typed.circuitVolts === undefined ? "circuitVolts" : "breakerAmps";
        context.addIssue({
          code: "custom",
          path: [missing],
          message: "Enter both volts and breaker, or leave both blank",
        });
      }
      const question = longitudeQuestion(typed.longitude, typed.timeZone);
      if (question) context.addIssue({ code: "custom", path: ["longitude"], message: question });
      const {
        latitude,
        longitude,
        air,
        tap,
        hourRate,
        tank,
        iceBag,
        jug,
        madeIce,
        scalder,
        fill,
        bleach,
        altitude: altitudeMeters,
        ...same
      } = typed;
      return {
        ...same,
        altitudeMeters,
        latitudeMicrodegrees: latitude,
        longitudeMicrodegrees: longitude,
        airMillicelsius: air,
        tapMillicelsius: tap,
        hourRateCents: hourRate,
        tankMilliliters: tank,
        iceBagMilligrams: iceBag,
        jugMilliliters: jug,
        madeIceMilligrams: madeIce,
        scalderMilliliters: scalder,
        scalderFillMillicelsius: fill,
        bleachBasisPoints: bleach,
        ruleForOthers: same.ruleForOthers ?? "",
      };
    });
}

/** What stands, as a person would type it. Empty where our default stands. */
export function farmSettings(farm: Farm): Record<string, string | undefined> {
  const isUs = farm.unitSystem === "us";
  const text = (value: number | undefined, words: (value: number) => string) =>
    value === undefined ? "" : words(value);
  const temperatureText = (millicelsius: number) => temperatureAsTyped(farm.unitSystem, millicelsius);
  const perUnit = (each: number, unit: string) => (value: number) =>
    `${shortest(value, value / each, (shown) => Math.round(shown * each))} ${unit}`;
  const inGallons = perUnit(MILLILITERS_PER_GALLON, "gal");
  const inLiters = perUnit(1000, "l");
  const inPounds = perUnit(MILLIGRAMS_PER_POUND, "lb");
  const inKilograms = perUnit(MILLIGRAMS_PER_KILOGRAM, "kg");
  const volumeText = isUs ? asTyped(inGallons, inLiters) : asTyped(inLiters, inGallons);
  const weightText = isUs ? asTyped(inPounds, inKilograms) : asTyped(inKilograms, inPounds);
  return {
    name: farm.name,
    latitude: String(farm.latitudeMicrodegrees / 1e6),
    longitude: String(farm.longitudeMicrodegrees / 1e6),
    timeZone: farm.timeZone,
    locale: farm.locale,
    unitSystem: farm.unitSystem,
    currency: farm.currency,
    practice: farm.practice,
    altitude: text(farm.altitudeMeters, (meters) => altitudeAsTyped(isUs, meters)),
    ruleForOthers: farm.ruleForOthers,
    dayCostSharedBy: farm.dayCostSharedBy,
    usesOwnDays: farm.usesOwnDays ? "on" : undefined,
    arePensLit: farm.arePensLit ? "on" : undefined,
    pluckAtOnceCount: String(farm.pluckAtOnceCount),
    crateBirdsCount: text(farm.crateBirdsCount, String),
    bleach: text(farm.bleachBasisPoints, (value) => `${value / 100} %`),
    air: text(farm.airMillicelsius, temperatureText),
    tap: text(farm.tapMillicelsius, temperatureText),
    hourRate: text(farm.hourRateCents, (value) => (value / 100).toFixed(2)),
    birdsAYearCount: text(farm.birdsAYearCount, String),
    tank: text(farm.tankMilliliters, volumeText),
    tankWall: farm.tankWall,
    chillMethod: farm.chillMethod,
    iceBag: text(farm.iceBagMilligrams, weightText),
    jugCount: text(farm.jugCount, String),
    jug: text(farm.jugMilliliters, volumeText),
    madeIce: text(farm.madeIceMilligrams, weightText),
    scalder: text(farm.scalderMilliliters, volumeText),
    scalderWatts: text(farm.scalderWatts, String),
    scalderHeat: farm.scalderHeat,
    isScalderLidded: farm.isScalderLidded ? "on" : undefined,
    isScalderInsulated: farm.isScalderInsulated ? "on" : undefined,
    scaldAtOnceCount: String(farm.scaldAtOnceCount),
    fill: text(farm.scalderFillMillicelsius, temperatureText),
    circuitVolts: text(farm.circuitVolts, String),
    breakerAmps: text(farm.breakerAmps, String),
  };
}

/** Decimals past which no one typed a number in its unit. */
const MOST_TYPED_DECIMALS = 2;

/**
 * A setting reads back as it was typed: 60 l stays 60 l on a farm of gallons. A number is taken for typed in the other
 * unit where it is round there and is not in the farm's own.
 */
/** In feet where they lead back to the same meters. */
const altitudeAsTyped = (isUs: boolean, meters: number): string => {
  const feet = Math.round(meters / METERS_PER_FOOT);
  return isUs && Math.round(feet * METERS_PER_FOOT) === meters ? `${feet} ft` : `${meters} m`;
};

function asTyped(own: (value: number) => string, other: (value: number) => string) {
  const decimals = (text: string) => /\.(\d+)/.exec(text)?.[1]?.length ?? 0;
  return (value: number) =>
    decimals(own(value)) > MOST_TYPED_DECIMALS && decimals(other(value)) <= MOST_TYPED_DECIMALS
      ? other(value)
      : own(value);
}
