import type { ReactNode } from "react";
import { Link } from "react-router";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { FoldedSheet, Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import { startingLaterInWords } from "#app/words/weather-words.ts";
import { dayNumber } from "#core/calendar/local-day.ts";
import { HOLDING_LIMIT_CELSIUS, type WeatherOnDay, weatherOnDay } from "#core/day/plan/weather-on-day.ts";
import { startingLater } from "#core/sky/hourly-weather.ts";
import type { WeatherDay } from "#core/sky/weather-days.ts";

const SOURCE_SENTENCE: Readonly<Record<WeatherDay["source"], string>> = {
  farm: "As you entered it.",
  forecast: "From the built-in forecast, which only knows what is typical for the date.",
  date: "No forecast was entered; this is typical for the date.",
};

const sourceWords = ({ source, spell }: WeatherDay) =>
  source === "farm" ? `as you entered it: ${spell?.what || "your forecast"}` : "typical for the date";

/** The day's temperatures, and whether someone entered them. */
const briefly = (day: WeatherDay, show: Show) =>
  `${show.air(day.lowCelsius)} to ${show.air(day.highCelsius)}, ${sourceWords(day)}`;

/** Heat, frost, storm and light at the hours of the line, and what to do about them. */
export function WeatherSheet() {
  const { planned, processedOn, around } = usePlan();
  const show = useShow();
  const day = around.weather.find((one) => one.dayNumber === dayNumber(processedOn));
  if (!day) {
    return (
      <FoldedSheet id="weather" heading="Weather and light" beside="no forecast yet">
        <p className="text-sm text-soft">There is no forecast this far from the day.</p>
      </FoldedSheet>
    );
  }
  const weather = weatherOnDay({
    temperatures: day,
    said: day.spell?.what ?? "",
    sun: planned.sun,
    startAt: planned.choices.startAt,
    line: planned.plan.line,
  });
  const left = weather.lightLeftMinutes;
  const { line } = planned.plan;
  const hours = startingLater(around.hours, planned.choices.startAt, line.nineInTenAt.value);
  return (
    <FoldedSheet
      id="weather"
      heading="Weather and light"
      beside={briefly(day, show)}
      isOpen={weather.hotFrom !== undefined || weather.isStormy}
    >
      <dl className="grid grid-cols-2 gap-x-4 sm:grid-cols-4">
        <Pair name="At setup">{show.air(weather.atSetUp)}</Pair>
        <Pair name="First bird">{show.air(weather.atFirstBird)}</Pair>
        <Pair name="Last bird">{show.air(weather.atLikelyEnd)}</Pair>
        <Pair name="Warmest">{show.air(day.highCelsius)}</Pair>
      </dl>
      {hours && <p className="py-1">{startingLaterInWords(hours, show)}</p>}
      <Warnings weather={weather} isRainExpected={planned.choices.isRainExpected} />
      <p className="pb-1 text-sm text-soft">
        {left !== undefined &&
          left >= 0 &&
          `Daylight left after a slow day's cleanup: ${show.minutes(left)}. `}
        {SOURCE_SENTENCE[day.source]}{" "}
        <Link to="/season/dates/weather" className="underline">
          Enter your forecast
        </Link>
      </p>
    </FoldedSheet>
  );
}

function Warnings({ weather, isRainExpected }: { weather: WeatherOnDay; isRainExpected: boolean }) {
  const show = useShow();
  const left = weather.lightLeftMinutes;
  return (
    <div className="grid gap-2 py-2 empty:hidden">
      {weather.hotFrom !== undefined && (
        <Notice tone="stop">
          <b>
            Too warm for crated birds from {show.time(weather.hotFrom)}, above{" "}
            {show.air(HOLDING_LIMIT_CELSIUS)}.
          </b>{" "}
          Start earlier, catch in small rounds, put fewer in each crate, give shade and moving air, and leave
          water until they are caught. Have more ice: the plan assumes the air temperature under Farm.
        </Notice>
      )}
      {weather.isStormy && (
        <Notice tone="stop">
          <b>Storms are forecast.</b> Don't work with metal, water, or wires in lightning, or with a flame in
          wind. Have a backup day; pull the feed only when you are sure to go.
        </Notice>
      )}
      {weather.isWet && (
        <Notice>
          <b>Rain.</b> Outdoor handwork is about a third slower
          {isRainExpected ? ", and the plan includes that" : "; check rain under Choices to include it"}. Wet
          birds scald poorly. Put a roof over the table and every plug.
        </Notice>
      )}
      {weather.isFrosty && (
        <Notice>
          <b>Frost at setup.</b> Drain the hoses the evening before and store them indoors; thaw the taps with
          hot water; sand the paths. Allow extra time for heating.
        </Notice>
      )}
      {left !== undefined && left < 0 && (
        <Notice tone="stop">
          <b>On a slow day (1 in 10), it is dark before cleanup is done</b>, by {show.minutes(-left)}. Start
          earlier, or set up waterproof lights.
        </Notice>
      )}
    </div>
  );
}

function Pair({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="py-1">
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="font-display text-xl">{children}</dd>
    </div>
  );
}
