import { z } from "zod";
import { choice, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { degrees, localDay, timeZone } from "#app/ui/read/read-when.ts";
import { isKnownLocale } from "#app/words/locale.ts";
import { longitudeFault } from "#core/calendar/sun-clock.ts";
import { BIRD_KINDS, type BirdKind } from "#core/growth/bird-kind.ts";
import { CURRENCIES } from "#core/quantity/currency.ts";
import type { FarmSettings } from "#db/farm/farm-queries.server.ts";
import { USUAL_FARM } from "#db/farm/usual-farm.ts";

/** A place whose sun does not go with the clock of its zone: asked about beside the longitude. */
export function longitudeQuestion(longitudeMicrodegrees: number, zone: string): string | undefined {
  const fault = longitudeFault(longitudeMicrodegrees / 1e6, zone);
  if (!fault) return undefined;
  return fault.meant === undefined
    ? `It would be dark at noon there by a clock in ${zone}. Check the longitude and the time zone`
    : `It would be dark at noon there by a clock in ${zone}. Did you mean ${fault.meant}?`;
}

/** The three questions that a new farm begins with: what it is called, where it is, and which birds there are. */
export const firstRunForm = z
  .object({
    name: words(80, "Enter the farm's name"),
    latitude: degrees(90, "Choose the nearest town, or enter the latitude in degrees"),
    longitude: degrees(180, "Choose the nearest town, or enter the longitude in degrees; west is negative"),
    timeZone,
    locale: z.string().max(35).refine(isKnownLocale, "Choose a format from the list"),
    unitSystem: choice(["us", "metric"], "Choose your units"),
    currency: choice(CURRENCIES, "Choose your currency"),
    birdCount: optional(wholeNumber({ least: 1, most: 100_000, ask: "" })),
    kind: choice(BIRD_KINDS, "Choose the closest kind"),
    hatchedOn: localDay({ ask: "Enter the hatch date, past or expected" }),
  })
  .superRefine(({ longitude, timeZone: zone }, context) => {
    const message = longitudeQuestion(longitude, zone);
    if (message) context.addIssue({ code: "custom", path: ["longitude"], message });
  });

export type FirstRun = z.output<typeof firstRunForm>;

/** A new farm's settings: what was answered, and for everything else what most farms have. It is asked for where it is used. */
export const settingsOf = ({
  name,
  latitude,
  longitude,
  timeZone: zone,
  locale,
  unitSystem,
  currency,
}: FirstRun): FarmSettings => ({
  name,
  latitudeMicrodegrees: latitude,
  longitudeMicrodegrees: longitude,
  timeZone: zone,
  locale,
  unitSystem,
  currency,
  ...USUAL_FARM,
});

const BATCH_NAMES: Readonly<Record<BirdKind, string>> = { fast: "White", slow: "Red", mature: "Mixed" };

/** What a first batch is called until somebody renames it: its kind, its year, and A. */
export const firstBatchName = (kind: BirdKind, hatchedOn: string): string =>
  `${BATCH_NAMES[kind]} ${hatchedOn.slice(2, 4)}-A`;
