import type { ReactNode } from "react";
import { PlanShown } from "#app/days/plan/plan-context.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { IN_POUNDS, said } from "#app/ui/said-of-tests.tsx";
import type { Reading } from "#app/words/show.ts";
import { instantOf } from "#core/calendar/farm-time.ts";
import { BASIS, CHOICES, MEANS, own } from "#core/day/plan/days-of-tests.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices, FarmMeans } from "#core/day/plan/plan-input.ts";
import type { Station } from "#core/processing-line/line-station.ts";

export const DAY = "2026-09-19";
export const STRONG = { ...MEANS.scalder, powerWatts: own(9000), circuit: undefined };

export function at(time: string): number {
  const instant = instantOf(DAY, time, BASIS.timeZone);
  if (!instant.exists) throw new Error("no such time");
  return instant.at;
}

/** A plan of a day on which nothing is wrong: a strong bath, room in the tanks and a lamp in the pens. */
export function planned(
  change: Partial<DayChoices> = {},
  means: Partial<FarmMeans> = {},
  basis: Partial<PlanBasis> = {},
) {
  const all = { ...BASIS, ...basis, means: { ...MEANS, scalder: STRONG, ...means } };
  const choices = { ...CHOICES, startAt: at("07:00"), birds: 20, breakMinutes: 0, ...change };
  return { basis: all, planned: planForDate(all, DAY, choices) };
}

export const seat = (name: string, stations: readonly Station[]) => ({ personId: undefined, name, stations });

/** A kitchen refrigerator, no other day, no forecast; a kilogram of meat brings 10.00. */
export const AROUND: AroundDay = {
  places: [{ name: "Kitchen", capacity: 30, stored: 4, canFreeze: false }],
  others: [],
  restDays: 1,
  weather: [],
  centsPerKilogram: 1000,
  at: 0,
};

/** What a sheet says of a plan. */
export const sheetSaid = (
  sheet: ReactNode,
  of: ReturnType<typeof planned>,
  { around = {}, reading = IN_POUNDS }: { around?: Partial<AroundDay>; reading?: Reading } = {},
) =>
  said(
    <PlanShown {...of} processedOn={DAY} around={{ ...AROUND, ...around }}>
      {sheet}
    </PlanShown>,
    reading,
  );
