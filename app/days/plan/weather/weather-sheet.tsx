import type { ReactNode } from "react";
import { Link } from "react-router";
import type { AroundDay } from "#app/server/around-day.server.ts";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { dayNumber } from "#core/calendar/local-day.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { HOLDING_LIMIT_CELSIUS, weatherOnDay } from "#core/day/plan/weather-on-day.ts";

interface WeatherSheetProps {
  planned: PlanForDate;
  processedOn: string;
  around: AroundDay;
}

/** Heat, frost, storm and light at the hours of the line, and what to do about them. */
export function WeatherSheet({ planned, processedOn, around }: WeatherSheetProps) {
  const show = useShow();
  const day = around.weather.find((one) => one.dayNumber === dayNumber(processedOn));
  if (!day) {
    return (
      <Sheet heading="Weather and light">
        <p className="text-sm text-soft">Nothing is known of the weather so far from the day that is set.</p>
      </Sheet>
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
  return (
    <Sheet
      heading="Weather and light"
      beside={day.spell ? `as you said: ${day.spell.what || "your forecast"}` : "usual for the date"}
    >
      <dl className="grid grid-cols-2 gap-x-4 sm:grid-cols-4">
        <Pair name="At set-up">{show.air(weather.atSetUp)}</Pair>
        <Pair name="First bird">{show.air(weather.atFirstBird)}</Pair>
        <Pair name="Last bird">{show.air(weather.atEvenChance)}</Pair>
        <Pair name="Warmest">{show.air(day.highCelsius)}</Pair>
      </dl>
      <div className="grid gap-2 py-2 empty:hidden">
        {weather.hotFrom !== undefined && (
          <Notice tone="stop">
            <b>
              Too warm for birds in crates from {show.time(weather.hotFrom)}, over{" "}
              {show.air(HOLDING_LIMIT_CELSIUS)}.
            </b>{" "}
            Start earlier, catch in small rounds, fewer in a crate, shade and moving air, water until they are
            caught. Have more ice: the plan's is reckoned at the Yard's air.
          </Notice>
        )}
        {weather.isStormy && (
          <Notice tone="stop">
            <b>A storm is said.</b> No work at metal, water and wires under lightning, no flame in wind. Have
            another day ready; feed is only pulled when you go.
          </Notice>
        )}
        {weather.isWet && (
          <Notice>
            <b>Rain.</b> Hands outdoors are about a third slower
            {planned.choices.isRainExpected
              ? ", and the line is reckoned so"
              : "; tick rain under Choices to reckon with it"}
            . Wet birds scald worse. Roof over the table and every plug.
          </Notice>
        )}
        {weather.isFrosty && (
          <Notice>
            <b>Frost at set-up.</b> Drain the hoses the evening before and lay them indoors; hot water to the
            taps; sand on the way. Allow the burner longer.
          </Notice>
        )}
        {left !== undefined && left < 0 && (
          <Notice tone="stop">
            <b>On a slow day, one of ten, it is dark before the clean-up is done</b>, by {show.minutes(-left)}
            . Start earlier, or have lights that stand water.
          </Notice>
        )}
      </div>
      <p className="pb-1 text-sm text-soft">
        {left !== undefined && left >= 0 && `Light left after a slow day's clean-up: ${show.minutes(left)}. `}
        {day.spell
          ? "It stands as it was typed. "
          : "Nobody has said what the forecast is; this is what the date usually brings. "}
        <Link to="/season/dates/weather" className="underline">
          Say what your forecast says
        </Link>
      </p>
    </Sheet>
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
