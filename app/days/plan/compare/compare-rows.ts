import { plural, type Show } from "#app/words/show.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { WeatherOnDay } from "#core/day/plan/weather-on-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";

/** One of two plans that are held beside each other. */
export interface Side {
  readonly processedOn: string;
  readonly planned: PlanForDate;
  readonly weather: WeatherOnDay | undefined;
  readonly toBuyCents: number;
  /** Undefined where no station holds the line. */
  readonly bottleneck: Station | undefined;
  /** Of those who are to come, who has said that they can't, and what else speaks against the day. */
  readonly against: readonly string[];
}

export interface CompareRow {
  readonly name: string;
  readonly one: string;
  readonly other: string;
  readonly differs: boolean;
}

/** What two plans come to, line by line, in the farm's own words. */
export function compareRows(one: Side, other: Side, show: Show): CompareRow[] {
  const row = (name: string, words: (side: Side) => string): CompareRow => {
    const [first, second] = [words(one), words(other)];
    return { name, one: first, other: second, differs: first !== second };
  };
  return [
    row("Date", ({ processedOn }) => show.longDay(processedOn)),
    row("Birds", ({ planned }) => `${planned.choices.birds}, ${planned.choices.cutUp} cut up`),
    row("Crew", ({ planned }) => planned.plan.line.setup.day.people.map(({ name }) => name).join(", ")),
    row("Conflicts", ({ against }) => (against.length === 0 ? "none known" : against.join("; "))),
    row("First bird", ({ planned }) => show.time(planned.choices.startAt)),
    row("Last bird in the chill tank", ({ planned }) => show.time(planned.plan.line.likelyAt.value)),
    row("9 in 10 by", ({ planned }) => show.time(planned.plan.line.nineInTenAt.value)),
    row("Cleaned up by", ({ planned }) => show.time(planned.plan.line.cleanAt.value)),
    row("Limits the line", ({ bottleneck }) => (bottleneck ? STATION_WORDS[bottleneck] : "none")),
    row("Feed off", ({ planned }) => show.dayTime(planned.plan.withdrawal.feedOffAt.value)),
    row("Time off feed at kill", ({ planned: { plan } }) =>
      [plan.withdrawal.firstBirdHours, plan.withdrawal.lastBirdHours]
        .map(({ value }) => show.value(value, "hours"))
        .join(" to "),
    ),
    row("Birds outside the withdrawal window", ({ planned: { plan } }) =>
      plural(plan.withdrawal.share.tooShort + plan.withdrawal.share.tooLong, "bird"),
    ),
    row("Mean dressed weight", ({ planned }) => show.value(planned.forecast.dressed.value, "carcass-kg")),
    row("Total dressed weight", ({ planned: { forecast, choices } }) =>
      show.value(forecast.dressed.value * choices.birds, "kg"),
    ),
    row("Ice needed", ({ planned }) => plural(planned.plan.chill.bags.value, "bag")),
    row("Scald bath", ({ planned: { plan } }) =>
      plan.bath.failsAtBird === undefined ? "keeps up" : `too cool from bird ${plan.bath.failsAtBird}`,
    ),
    row("To buy", ({ toBuyCents }) => show.money(toBuyCents)),
    row("Temperature at the last bird", ({ weather }) =>
      weather ? show.air(weather.atLikelyEnd) : "unknown",
    ),
    row("Daylight left after a slow cleanup", ({ weather }) =>
      weather?.lightLeftMinutes === undefined
        ? "unknown"
        : weather.lightLeftMinutes < 0
          ? "none; it is dark"
          : show.minutes(weather.lightLeftMinutes),
    ),
  ];
}
