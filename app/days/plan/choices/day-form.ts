import { z } from "zod";
import {
  LOT_TICKS,
  type LotSetting,
  lotFields,
  lotForm,
  MOST_BIRDS_A_DAY,
} from "#app/days/plan/choices/lot-form.ts";
import { LOT_MOVE } from "#app/days/plan/choices/lot-moves.ts";
import { choice, optional, percent, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { clockTime, localDay } from "#app/ui/read/read-when.ts";
import { clockOfMinute, instantOf, localClock, minuteOfClock } from "#core/calendar/farm-time.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import { MOST_LOTS, MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { birdsOf, PLUCK_BY } from "#core/processing-line/line-day.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

export interface DayFormSetting {
  readonly timeZone: string;
  readonly unitSystem: UnitSystem;
  /** In the order of the day's lots. */
  readonly lots: readonly LotSetting[];
}

const Crew = z.array(
  z.object({
    personId: z.number().int().nullish(),
    name: z.string().trim().min(1).max(60),
    stations: z.array(z.enum(STATIONS)).min(1).max(STATIONS.length),
  }),
);

/** Who stands where, as the line's sheet writes it. */
const crew = z
  .string()
  .default("[]")
  .transform((text, context): CrewSeat[] => {
    try {
      return Crew.parse(JSON.parse(text)).map(({ personId, ...seat }) => ({
        ...seat,
        personId: personId ?? undefined,
      }));
    } catch {
      context.addIssue({
        code: "custom",
        message: "The station assignments could not be read. Reload the page",
      });
      return z.NEVER;
    }
  });

/** What is chosen for a day; reads into the choices with the first bird as an instant. */
export function dayForm({ timeZone, unitSystem, lots }: DayFormSetting) {
  const youngest = lots
    .map(({ hatchedOn }) => hatchedOn)
    .toSorted()
    .at(-1)!;
  return z
    .object({
      processedOn: localDay({
        ask: "Enter the date",
        from: { day: youngest, problem: `They hatch on ${youngest}; choose a later date` },
      }),
      startTime: clockTime,
      lots: z
        .array(lotForm(lots, unitSystem))
        .min(1, "A day needs birds of at least one batch")
        .max(MOST_LOTS),
      peopleCount: wholeNumber({ least: 1, most: MOST_PEOPLE, ask: "Enter the number of people" }),
      coneCount: wholeNumber({ least: 1, most: 100, ask: "Enter the number of cones" }),
      tablePlaceCount: wholeNumber({
        least: 1,
        most: 100,
        ask: "Enter how many can work at the evisceration table",
      }),
      breakMinutes: wholeNumber({ most: 600, ask: "Enter the break in minutes; 0 for none" }),
      breakAt: clockTime,
      pinPlaceCount: wholeNumber({
        least: 1,
        most: 100,
        ask: "Enter how many can work at the pinning table",
      }),
      packsSameDay: tick,
      isRainExpected: tick,
      rinsesFirst: tick,
      coolsAfter: tick,
      pluckBy: choice(PLUCK_BY, "Choose how you pluck"),
      changeWaterBirds: optional(wholeNumber({ least: 1, most: MOST_BIRDS_A_DAY, ask: "" })),
      brine: optional(percent({ least: 0.1, most: 5, ask: "" })),
      crew,
      /** What else the button does that was pressed: see lot-moves.ts. */
      move: z.string().regex(LOT_MOVE).optional(),
    })
    .transform((typed, context) => {
      const { startTime, breakAt, brine, peopleCount, ...rest } = typed;
      const { coneCount, tablePlaceCount, pinPlaceCount, ...same } = rest;
      const choices = {
        ...same,
        people: peopleCount,
        cones: coneCount,
        tablePlaces: tablePlaceCount,
        pinPlaces: pinPlaceCount,
        changeWaterBirds: same.changeWaterBirds ?? undefined,
        brineFraction: brine === undefined ? undefined : brine / 1000,
        breakAtMinute: minuteOfClock(breakAt),
        crew: same.crew.slice(0, peopleCount),
      };
      const birds = birdsOf(choices);
      if (birds > MOST_BIRDS_A_DAY)
        context.addIssue({
          code: "custom",
          path: ["lots", 0, "birdCount"],
          message: `The lots have ${birds} birds together; a day takes at most ${MOST_BIRDS_A_DAY}`,
        });
      const start = instantOf(choices.processedOn, startTime, timeZone);
      if (!start.exists) {
        context.addIssue({
          code: "custom",
          path: ["startTime"],
          message: `The clocks change that night, and ${startTime} does not exist. Choose ${start.next} or later`,
        });
        return z.NEVER;
      }
      return { ...choices, startAt: start.at };
    });
}

export const BATCH_TWICE =
  "Two lots of one batch can't be on one day. Put their birds into one lot, or on two days";

/** Who stands where, as the form sends it. */
export function seatsAsText(seats: readonly CrewSeat[]): string {
  return JSON.stringify(
    seats.map(({ personId, name, stations }) => ({ personId: personId ?? null, name, stations })),
  );
}

/** Boxes of the day's form. */
const DAY_TICKS = ["packsSameDay", "isRainExpected", "rinsesFirst", "coolsAfter"] as const;
/** Whether a field is sent: a box that is not ticked is not. */
export const isSent = ([name, value]: readonly [string, string]): boolean =>
  value !== "" || ![...DAY_TICKS, ...LOT_TICKS].some((tickName) => name.endsWith(tickName));

/** The name of a lot's field in the day's form. */
export const lotField = (lot: number, field: string): string => `lots[${lot}].${field}`;

/** A day's choices, as a person would type them; who stands where is left to the line's sheet. */
export function dayFields(
  row: DatedChoices,
  { timeZone, unitSystem }: Pick<DayFormSetting, "timeZone" | "unitSystem">,
): Record<string, string> {
  return {
    processedOn: row.processedOn,
    startTime: localClock(row.startAt, timeZone),
    peopleCount: String(row.people),
    coneCount: String(row.cones),
    tablePlaceCount: String(row.tablePlaces),
    breakMinutes: String(row.breakMinutes),
    breakAt: clockOfMinute(row.breakAtMinute),
    pinPlaceCount: String(row.pinPlaces),
    ...Object.fromEntries(DAY_TICKS.map((name) => [name, row[name] ? "on" : ""])),
    pluckBy: row.pluckBy,
    changeWaterBirds: String(row.changeWaterBirds ?? ""),
    brine: row.brineFraction === undefined ? "" : String(Math.round(row.brineFraction * 1000) / 10),
    ...Object.fromEntries(
      row.lots.flatMap((lot, index) =>
        Object.entries(lotFields(lot, unitSystem)).map(([name, value]) => [lotField(index, name), value]),
      ),
    ),
  };
}
