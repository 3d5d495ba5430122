import { sum } from "d3-array";
import { plural, type Show } from "#app/words/show.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
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

/** What is said of each lot, with its batch where there are several. */
const eachLot = ({ plan: { lots } }: PlanForDate, words: (lot: LotPlan) => string): string =>
  lots.length === 1 ? words(lots[0]!) : lots.map((lot) => `${lot.batchName}: ${words(lot)}`).join("; ");

/** What two plans come to, line by line, in the farm's own words. */
export function compareRows(one: Side, other: Side, show: Show): CompareRow[] {
  const row = (name: string, words: (side: Side) => string): CompareRow => {
    const [first, second] = [words(one), words(other)];
    return { name, one: first, other: second, differs: first !== second };
  };
  return [
    row("Date", ({ processedOn }) => show.longDay(processedOn)),
    row("Birds", ({ planned }) =>
      eachLot(planned, ({ choices }) => `${choices.birds}, ${choices.cutUp} cut up`),
    ),
    row("Crew", ({ planned }) => planned.plan.line.setup.day.people.map(({ name }) => name).join(", ")),
    row("Conflicts", ({ against }) => (against.length === 0 ? "none known" : against.join("; "))),
    row("First bird", ({ planned }) => show.time(planned.choices.startAt)),
    row("Last bird in the chill tank", ({ planned }) => show.time(planned.plan.line.likelyAt.value)),
    row("9 in 10 by", ({ planned }) => show.time(planned.plan.line.nineInTenAt.value)),
    row("Cleaned up by", ({ planned }) => show.time(planned.plan.line.cleanAt.value)),
    row("Limits the line", ({ bottleneck }) => (bottleneck ? STATION_WORDS[bottleneck] : "none")),
    row("Feed off", ({ planned }) =>
      eachLot(planned, ({ withdrawal }) => show.dayTime(withdrawal.feedOffAt.value)),
    ),
    row("Time off feed at kill", ({ planned }) =>
      eachLot(planned, ({ withdrawal: { firstBirdHours, lastBirdHours } }) =>
        [firstBirdHours, lastBirdHours].map(({ value }) => show.value(value, "hours")).join(" to "),
      ),
    ),
    row("Birds outside the withdrawal window", ({ planned: { plan } }) =>
      plural(
        sum(plan.lots, ({ withdrawal: { share } }) => share.tooShort + share.tooLong),
        "bird",
      ),
    ),
    row("Mean dressed weight", ({ planned }) =>
      eachLot(planned, ({ forecast }) => show.value(forecast.dressed.value, "carcass-kg")),
    ),
    row("Total dressed weight", ({ planned: { plan } }) =>
      show.value(
        sum(plan.lots, ({ forecast, choices }) => forecast.dressed.value * choices.birds),
        "kg",
      ),
    ),
    row("Ice needed", ({ planned }) => plural(planned.plan.chill.bags.value, "bag")),
    row("Scald bath", ({ planned: { plan } }) => {
      const fails = plan.bath.lots.find(({ failsAtBird }) => failsAtBird !== undefined);
      return fails ? `too cool from bird ${fails.failsAtBird}` : "keeps up";
    }),
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
