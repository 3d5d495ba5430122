import { z } from "zod";
import { amount, money, optional, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { SeasonSetting } from "#db/season/season-queries.server.ts";

/** Cents a pound or a kilogram, as the farm says it, to cents a kilogram. */
const perUnit = (unitSystem: UnitSystem) =>
  unitSystem === "us" ? MILLIGRAMS_PER_KILOGRAM / MILLIGRAMS_PER_POUND : 1;

const price = optional(money("", 1_000_000));
const count = (most: number) => optional(wholeNumber({ most, ask: "" }));

export function rulesForm(unitSystem: UnitSystem) {
  return z
    .object({
      whole: price,
      cut: price,
      oddSizeOffPercent: count(100),
      leavingAWeekCount: count(100_000),
      longestLineHours: optional(amount({ most: 20, ask: "" })),
      leastBirdsCount: count(100_000),
      restDaysCount: count(14),
      yearlyCapCount: optional(wholeNumber({ least: 1, most: 10_000_000, ask: "" })),
      hiredThing: optional(words(60, "")),
      hireCents: optional(money("")),
      mustBeBooked: tick,
      everyonePlacedCents: price,
      latestAgeCents: price,
      crewCents: price,
      leastBirdsCents: price,
      restRoomCents: price,
      freezerRoomCents: price,
      yearlyCapCents: price,
    })
    .transform(({ whole, cut, longestLineHours, hiredThing, ...rest }, context) => {
      const perKilogram = (cents: number | undefined) =>
        cents === undefined ? undefined : Math.round(cents * perUnit(unitSystem));
      if (longestLineHours !== undefined && longestLineHours < 0.5)
        context.addIssue({
          code: "custom",
          path: ["longestLineHours"],
          message: "Enter at least half an hour",
        });
      return {
        ...rest,
        wholeCentsPerKilogram: perKilogram(whole),
        cutCentsPerKilogram: perKilogram(cut),
        longestLineMinutes: longestLineHours === undefined ? undefined : Math.round(longestLineHours * 60),
        hiredThing: hiredThing ?? "",
      } satisfies SeasonSetting;
    });
}

/** What stands, as it would be typed. */
export function rulesFields(
  setting: SeasonSetting,
  unitSystem: UnitSystem,
): Record<string, string | undefined> {
  const sum = (cents: number | undefined) => (cents === undefined ? undefined : (cents / 100).toFixed(2));
  const number = (value: number | undefined) => value?.toString();
  const perKilogram = (cents: number | undefined) =>
    cents === undefined ? undefined : cents / perUnit(unitSystem);
  return {
    whole: sum(perKilogram(setting.wholeCentsPerKilogram)),
    cut: sum(perKilogram(setting.cutCentsPerKilogram)),
    oddSizeOffPercent: number(setting.oddSizeOffPercent),
    leavingAWeekCount: number(setting.leavingAWeekCount),
    longestLineHours: number(
      setting.longestLineMinutes === undefined ? undefined : setting.longestLineMinutes / 60,
    ),
    leastBirdsCount: number(setting.leastBirdsCount),
    restDaysCount: number(setting.restDaysCount),
    yearlyCapCount: number(setting.yearlyCapCount),
    hiredThing: setting.hiredThing,
    hireCents: sum(setting.hireCents),
    mustBeBooked: setting.mustBeBooked ? "on" : undefined,
    everyonePlacedCents: sum(setting.everyonePlacedCents),
    latestAgeCents: sum(setting.latestAgeCents),
    crewCents: sum(setting.crewCents),
    leastBirdsCents: sum(setting.leastBirdsCents),
    restRoomCents: sum(setting.restRoomCents),
    freezerRoomCents: sum(setting.freezerRoomCents),
    yearlyCapCents: sum(setting.yearlyCapCents),
  };
}

export function sizeForm(unitSystem: UnitSystem) {
  const edge = optional(weight({ unitSystem, ask: "", range: [0.1, 10], what: "a dressed chicken" }));
  return z
    .object({
      who: words(60, "Enter who wants them, such as the inn"),
      least: edge,
      most: edge,
      birdCount: wholeNumber({ least: 1, most: 100_000, ask: "Enter how many birds" }),
    })
    .superRefine(({ least, most }, context) => {
      if (least !== undefined && most !== undefined && most <= least)
        context.addIssue({
          code: "custom",
          path: ["most"],
          message: "The maximum must be more than the minimum",
        });
    });
}
