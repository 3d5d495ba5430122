import type { ReactNode } from "react";
import { PlanShown } from "#app/days/plan/plan-context.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { IN_POUNDS, said } from "#app/ui/said-of-tests.tsx";
import type { Reading } from "#app/words/show.ts";
import { instantOf } from "#core/calendar/farm-time.ts";
import {
  BASIS,
  BATCH,
  CHOICES,
  choicesOf,
  LOT,
  MEANS,
  type OneLotChoices,
  own,
} from "#core/day/plan/days-of-tests.ts";
import {
  type BatchBasis,
  type PlanBasis,
  type PlanForDate,
  planForDate,
} from "#core/day/plan/plan-for-date.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";
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
  change: Partial<OneLotChoices> = {},
  means: Partial<FarmMeans> = {},
  { aliveBirds, pens, flock, ...more }: Partial<PlanBasis> & Partial<BatchBasis> = {},
) {
  const ofBatch = Object.entries({ aliveBirds, pens, flock }).filter(([, value]) => value !== undefined);
  const basis = {
    ...BASIS,
    ...more,
    batches: [{ ...BATCH, ...Object.fromEntries(ofBatch) }],
    means: { ...MEANS, scalder: STRONG, ...means },
  };
  const choices = choicesOf({ ...CHOICES, startAt: at("07:00"), breakMinutes: 0 }, { birds: 20, ...change });
  const of = planForDate(basis, DAY, choices);
  return { basis, planned: of, lot: of.plan.lots[0]!, bath: of.plan.bath.lots[0]! };
}

/** A day of White 26-A, and after them two roosters of a neighbor, in a hotter bath. */
export function plannedOfTwo() {
  const { basis } = planned();
  const roosters = {
    ...BATCH,
    batchId: 2,
    name: "Ines's roosters",
    flock: { ...BATCH.flock, kind: "mature" as const },
  };
  const both = { ...basis, batches: [...basis.batches, roosters] };
  const hot = { ...LOT, batchId: 2, birds: 2, scaldMethod: "hot" as const };
  const choices = { ...CHOICES, startAt: at("07:00"), breakMinutes: 0, lots: [{ ...LOT, birds: 20 }, hot] };
  return { basis: both, planned: planForDate(both, DAY, choices) };
}

export const seat = (name: string, stations: readonly Station[]) => ({ personId: undefined, name, stations });

/** A kitchen refrigerator, no other day, no forecast; a kilogram of meat brings 10.00. */
export const AROUND: AroundDay = {
  places: [{ name: "Kitchen", capacity: 30, stored: 4, canFreeze: false }],
  others: [],
  restDays: 1,
  weather: [],
  hours: [],
  centsPerKilogram: 1000,
  forOthers: { rule: "", names: {} },
  longestLineMinutes: 300,
  people: [],
  personDays: [],
  marks: [],
  savedOn: DAY,
  otherDays: [],
  at: 0,
};

/** What a sheet says of a plan. */
export const sheetSaid = (
  sheet: ReactNode,
  { basis, planned: plan }: { readonly basis: PlanBasis; readonly planned: PlanForDate },
  { around = {}, reading = IN_POUNDS }: { around?: Partial<AroundDay>; reading?: Reading } = {},
) =>
  said(
    <PlanShown basis={basis} planned={plan} processedOn={DAY} around={{ ...AROUND, ...around }}>
      {sheet}
    </PlanShown>,
    reading,
  );
