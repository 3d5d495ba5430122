import { longitudeQuestion } from "#app/farm/first-run/first-run-form.ts";
import { degrees } from "#app/ui/read/read-when.ts";
import { Notice } from "#app/ui/sheet.tsx";
import { SkyRibbon } from "#app/ui/sky/sky-ribbon.tsx";
import { ShowProvider, useShow } from "#app/ui/use-show.tsx";
import { DEFAULT_LOCALE, isKnownLocale } from "#app/words/locale.ts";
import { isTimeZone, startOfDay } from "#core/calendar/farm-time.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { skyBetween, sunOfDay } from "#core/sky/farm-sky.ts";
import type { Place } from "#core/sky/sun.ts";

interface FirstSkyProps {
  today: string;
  /** As a form has them: not always text, since anybody may send anything. */
  latitude: unknown;
  longitude: unknown;
  timeZone: unknown;
  /** Of the clock. */
  locale: unknown;
}

const readLocale = (locale: unknown): string =>
  typeof locale === "string" && isKnownLocale(locale) ? locale : DEFAULT_LOCALE;

/** Today's sky over the place that was entered, by its own clock: a wrong sign shows at once. */
export function FirstSky({ today, latitude, longitude, timeZone, locale }: FirstSkyProps) {
  const [lat, lon] = [degrees(90, "").safeParse(latitude), degrees(180, "").safeParse(longitude)];
  if (!lat.success || !lon.success || typeof timeZone !== "string" || !isTimeZone(timeZone)) return null;
  const place = { latitude: lat.data / 1e6, longitude: lon.data / 1e6 };
  const question = longitudeQuestion(lon.data, timeZone);
  return (
    <ShowProvider reading={{ unitSystem: "us", currency: "USD", timeZone, locale: readLocale(locale) }}>
      <Today today={today} place={place} timeZone={timeZone} />
      {question && <Notice tone="stop">{question}</Notice>}
    </ShowProvider>
  );
}

function Today({ today, place, timeZone }: { today: string; place: Place; timeZone: string }) {
  const show = useShow();
  const from = startOfDay(today, timeZone);
  const { sunrise, sunset } = sunOfDay(today, timeZone, place);
  const marks = [
    ...(sunrise === undefined ? [] : [{ at: sunrise, label: "Sunrise" }]),
    ...(sunset === undefined ? [] : [{ at: sunset, label: "Sunset" }]),
  ];
  const sentence =
    marks.length === 0
      ? "The sun does not rise or set there today."
      : `Today there: ${marks.map(({ label, at }) => `${label.toLowerCase()} ${show.time(at)}`).join(", ")}.`;
  return (
    <div className="grid gap-1">
      <SkyRibbon sky={skyBetween(from, from + 24 * HOUR, place)} marks={marks} sentence={sentence} />
      <p role="status">{sentence}</p>
    </div>
  );
}
