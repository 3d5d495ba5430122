import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import { temperatureAt } from "#core/sky/day-temperature.ts";
import type { SunTimes } from "#core/sky/sun.ts";
import type { DayTemperatures } from "#core/sky/usual-weather.ts";

/** Above this birds suffer in crates, and carcasses and flies don't wait: choice. See docs/sources.md#weather. */
export const HOLDING_LIMIT_CELSIUS = 27;
/** Below this water in a hose left lying freezes: choice, with the ground colder than the air. See docs/sources.md#weather. */
export const FROST_CELSIUS = 2;

const SAMPLE_MINUTES = 10;

export interface WeatherInput {
  readonly temperatures: DayTemperatures;
  /** What someone said of the day; empty where it is the usual weather of the date. */
  readonly said: string;
  readonly sun: SunTimes;
  readonly startAt: number;
  readonly line: Pick<LinePlan, "setUpAt" | "likelyAt" | "nineInTenAt" | "cleanAt">;
}

export interface WeatherOnDay {
  /** From setup to the slow end of the cleanup, °C. */
  readonly atSetUp: number;
  readonly atFirstBird: number;
  readonly atLikelyEnd: number;
  /** When it gets too warm for birds to be held, if before the last may be killed; undefined where it does not. */
  readonly hotFrom: number | undefined;
  readonly isFrosty: boolean;
  readonly isStormy: boolean;
  readonly isWet: boolean;
  /** Clean-up on a slow day of ten. */
  readonly slowCleanAt: number;
  /** Light left then, minutes; less than 0 in the dark; undefined where the sun does not set. */
  readonly lightLeftMinutes: number | undefined;
}

/** Heat, frost, storm and light of a day, against the hours of its line. */
export function weatherOnDay({ temperatures, said, sun, startAt, line }: WeatherInput): WeatherOnDay {
  const sunrise = sun.sunrise ?? startAt - HOUR;
  const celsiusAt = (at: number) => temperatureAt((at - sunrise) / HOUR, temperatures);
  const slowCleanAt = line.nineInTenAt.value + (line.cleanAt.value - line.likelyAt.value);
  const samples = Math.ceil((line.nineInTenAt.value - line.setUpAt) / (SAMPLE_MINUTES * MINUTE));
  const hotFrom = Array.from(
    { length: samples + 1 },
    (_, index) => line.setUpAt + index * SAMPLE_MINUTES * MINUTE,
  ).find((at) => celsiusAt(at) > HOLDING_LIMIT_CELSIUS);
  const isStormy = /storm|thunder|gale|lightning/i.test(said);
  return {
    atSetUp: celsiusAt(line.setUpAt),
    atFirstBird: celsiusAt(startAt),
    atLikelyEnd: celsiusAt(line.likelyAt.value),
    hotFrom,
    isFrosty: celsiusAt(line.setUpAt) <= FROST_CELSIUS,
    isStormy,
    isWet: isStormy || /rain|wet|snow|sleet|shower/i.test(said),
    slowCleanAt,
    lightLeftMinutes: sun.sunset === undefined ? undefined : (sun.sunset - slowCleanAt) / MINUTE,
  };
}
