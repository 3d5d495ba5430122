import type { Currency } from "#core/quantity/currency.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/**
 * The farm's locale: clocks, dates, numbers, first day of the week and paper. Nothing else in the program names a locale.
 * Words stay English whatever the tag; a tag of another language lends its region's formats only.
 */

/** What a farm is offered. Any other tag that Intl knows may come from the browser. */
export const OFFERED_LOCALES = [
  { value: "en-US", label: "United States" },
  { value: "en-GB", label: "United Kingdom" },
  { value: "en-CA", label: "Canada" },
  { value: "en-AU", label: "Australia" },
  { value: "en-NZ", label: "New Zealand" },
] as const;

export const DEFAULT_LOCALE = "en-US";

/** Regions that print on letter paper; Intl does not say. All others print on A4. Source: CLDR supplemental data. */
const LETTER_REGIONS = new Set([
  "US",
  "CA",
  "MX",
  "PR",
  "PH",
  "CL",
  "CO",
  "CR",
  "GT",
  "NI",
  "PA",
  "SV",
  "VE",
]);

export type Paper = "LETTER" | "A4";

export interface LocaleFormats {
  readonly locale: string;
  readonly paper: Paper;
  /** First day of the week, 0 for Monday to 6 for Sunday. */
  readonly weekStart: number;
  readonly is12Hour: boolean;
  readonly number: (value: number, maxDigits: number, minDigits?: number) => string;
  readonly money: (cents: number, currency: string) => string;
  /** `10:52 AM` or `10:52`, of an instant. */
  readonly time: (at: number) => string;
  /** `10 AM` or `10:00`, for the axis of a chart. */
  readonly hour: (at: number) => string;
  /** `Sat`, of an instant. */
  readonly weekday: (at: number) => string;
  /** `Sat, Sep 19`, of an instant. */
  readonly dateOf: (at: number) => string;
  /** `Saturday, September 19` or `Saturday 19 September`, of a local day. */
  readonly longDay: (day: string) => string;
  readonly shortDay: (day: string) => string;
  /** `Sep 19`, without its weekday. */
  readonly monthDay: (day: string) => string;
  readonly dayWithYear: (day: string) => string;
  /** `Sat`, of a local day. */
  readonly shortWeekday: (day: string) => string;
  readonly month: (day: string) => string;
}

/** Whether this machine's Intl can format for the tag. */
export function isKnownLocale(tag: string): boolean {
  try {
    return tag.length <= 35 && Intl.DateTimeFormat.supportedLocalesOf(tag).length > 0;
  } catch {
    return false;
  }
}

/** The locales to choose from: those offered, and such as the browser and the farm already have. */
export function localeOptions(others: readonly string[]): { value: string; label: string }[] {
  const known = others.filter((tag) => !OFFERED_LOCALES.some(({ value }) => value === tag));
  return [...OFFERED_LOCALES, ...[...new Set(known)].map((tag) => ({ value: tag, label: tag }))];
}

/** The first tag of an Accept-Language header that can be used; our default where there is none. */
export function localeOfBrowser(acceptLanguage: string | null): string {
  const tags = (acceptLanguage ?? "").slice(0, 200).split(",");
  const first = tags
    .map((part) => part.split(";")[0]!.trim())
    .find((tag) => tag !== "*" && isKnownLocale(tag));
  if (first === undefined) return DEFAULT_LOCALE;
  const { language, region } = new Intl.Locale(first).maximize();
  return language === "en" && region ? `en-${region}` : new Intl.Locale(first).baseName;
}

/** Where things are bought and sold by the pound. */
const BY_THE_POUND: readonly string[] = ["US", "LR", "MM"];
const CURRENCY_OF: Readonly<Record<string, Currency>> = {
  US: "USD",
  CA: "CAD",
  GB: "GBP",
  AU: "AUD",
  NZ: "NZD",
};
const EURO = "AD AT BE BG CY DE EE ES FI FR GR HR IE IT LT LU LV MC ME MT NL PT SI SK SM VA XK".split(" ");

/** The units and the money that are usual where a locale is from: what `Intl` does not know. */
export function usualUnits(locale: string): { unitSystem: UnitSystem; currency: Currency } {
  const region = new Intl.Locale(locale).maximize().region ?? "US";
  return {
    unitSystem: BY_THE_POUND.includes(region) ? "us" : "metric",
    currency: CURRENCY_OF[region] ?? (EURO.includes(region) ? "EUR" : "USD"),
  };
}

/** English with the formats of the tag's region. A tag that is not known here stands for our default. */
function englishTag(tag: string): Intl.Locale {
  const { language, region } = new Intl.Locale(isKnownLocale(tag) ? tag : DEFAULT_LOCALE).maximize();
  return new Intl.Locale(language === "en" && region === "US" ? DEFAULT_LOCALE : `en-${region ?? "US"}`);
}

interface WeekInfo {
  readonly firstDay: number;
}
/** Both spellings of one thing: engines moved it from a property to a method. */
type LocaleWithWeek = Intl.Locale & { weekInfo?: WeekInfo; getWeekInfo?: () => WeekInfo };

function weekStartOf(tag: LocaleWithWeek): number {
  const firstDay = (tag.getWeekInfo?.() ?? tag.weekInfo)?.firstDay ?? (tag.region === "US" ? 7 : 1);
  return firstDay - 1;
}

/** One space is as good as another: engines differ in which they put before AM. */
const plainSpaces = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
/** Engines differ in whether a comma follows the weekday where the day comes before the month. */
const withoutComma = (text: string) => plainSpaces(text).replace(/^(\p{L}+), (?=\d)/u, "$1 ");

/** Formats take a while to make, and a page asks for the same ones again and again. */
const made = new Map<string, LocaleFormats>();
const MOST_MADE = 20;

/** Formats for a farm's locale and time zone. */
export function localeFormats(locale: string, timeZone: string): LocaleFormats {
  const key = `${locale} ${timeZone}`;
  const known = made.get(key);
  if (known) return known;
  if (made.size >= MOST_MADE) made.clear();
  const formats = makeFormats(locale, timeZone);
  made.set(key, formats);
  return formats;
}

function makeFormats(locale: string, timeZone: string): LocaleFormats {
  const tag = englishTag(locale);
  const text = tag.toString();
  const is12Hour = new Intl.DateTimeFormat(text, { hour: "numeric" }).resolvedOptions().hour12 === true;
  const hour: Intl.DateTimeFormatOptions = { hour: is12Hour ? "numeric" : "2-digit" };
  const ofInstant = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(text, { timeZone, hour12: is12Hour, ...options });
    return (at: number) => withoutComma(format.format(at));
  };
  const ofDay = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(text, { timeZone: "UTC", ...options });
    return (day: string) => withoutComma(format.format(new Date(`${day}T12:00:00Z`)));
  };
  const numbers = new Map<string, Intl.NumberFormat>();
  const time = ofInstant({ ...hour, minute: "2-digit" });
  return {
    locale: text,
    paper: LETTER_REGIONS.has(tag.region ?? "US") ? "LETTER" : "A4",
    weekStart: weekStartOf(tag),
    is12Hour,
    number: (value, maxDigits, minDigits = 0) => {
      const key = `${maxDigits} ${minDigits}`;
      if (!numbers.has(key))
        numbers.set(
          key,
          new Intl.NumberFormat(text, { maximumFractionDigits: maxDigits, minimumFractionDigits: minDigits }),
        );
      return plainSpaces(numbers.get(key)!.format(value));
    },
    money: (cents, currency) =>
      plainSpaces(new Intl.NumberFormat(text, { style: "currency", currency }).format(cents / 100)),
    time,
    hour: is12Hour ? ofInstant(hour) : time,
    weekday: ofInstant({ weekday: "short" }),
    dateOf: ofInstant({ weekday: "short", day: "numeric", month: "short" }),
    longDay: ofDay({ weekday: "long", day: "numeric", month: "long" }),
    shortDay: ofDay({ weekday: "short", day: "numeric", month: "short" }),
    monthDay: ofDay({ day: "numeric", month: "short" }),
    dayWithYear: ofDay({ day: "numeric", month: "short", year: "numeric" }),
    shortWeekday: ofDay({ weekday: "short" }),
    month: ofDay({ month: "long" }),
  };
}
