import { z } from "zod";
import { choice, optional, percent, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { clockTime, localDay } from "#app/ui/read/read-when.ts";
import { plural } from "#app/words/show.ts";
import { clockOfMinute, instantOf, localClock, minuteOfClock } from "#core/calendar/farm-time.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import { WHICH_BIRDS } from "#core/growth/flock.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import { SCALD_METHODS } from "#core/scald/scald-constants.ts";
import { WITHDRAWAL_METHODS } from "#core/withdrawal/withdrawal-constants.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** Far past what a small farm dresses in a day (250), and short of what a slip of the key makes of it. */
export const MOST_BIRDS_A_DAY = 2000;

export interface DayFormSetting {
  readonly timeZone: string;
  readonly hatchedOn: string;
  /** Birds alive that no other day has taken. */
  readonly freeCount: number;
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
export function dayForm({ timeZone, hatchedOn, freeCount }: DayFormSetting) {
  return z
    .object({
      processedOn: localDay({
        ask: "Enter the date",
        from: { day: hatchedOn, problem: `They hatch on ${hatchedOn}; choose a later date` },
      }),
      startTime: clockTime,
      birdCount: wholeNumber({ least: 1, most: MOST_BIRDS_A_DAY, ask: "Enter the number of birds" }),
      cutUpCount: wholeNumber({
        most: MOST_BIRDS_A_DAY,
        ask: "Enter how many birds to cut up; 0 if all stay whole",
      }),
      peopleCount: wholeNumber({ least: 1, most: MOST_PEOPLE, ask: "Enter the number of people" }),
      coneCount: wholeNumber({ least: 1, most: 100, ask: "Enter the number of cones" }),
      tablePlaceCount: wholeNumber({
        least: 1,
        most: 100,
        ask: "Enter how many can work at the evisceration table",
      }),
      breakMinutes: wholeNumber({ most: 600, ask: "Enter the break in minutes; 0 for none" }),
      scaldMethod: choice(SCALD_METHODS, "Choose how you scald"),
      withdrawalMethod: choice(WITHDRAWAL_METHODS, "Choose a feed withdrawal method"),
      whichBirds: choice(WHICH_BIRDS, "Choose which birds to process"),
      breakAt: clockTime,
      pinPlaceCount: wholeNumber({
        least: 1,
        most: 100,
        ask: "Enter how many can work at the pinning table",
      }),
      keepsGiblets: tick,
      keepsFeet: tick,
      packsSameDay: tick,
      isRainExpected: tick,
      pluckBy: choice(["drum", "hand"], "Choose how you pluck"),
      changeWaterBirds: optional(wholeNumber({ least: 1, most: MOST_BIRDS_A_DAY, ask: "" })),
      brine: optional(percent({ least: 0.1, most: 5, ask: "" })),
      crew,
    })
    .transform((typed, context) => {
      const { startTime, breakAt, brine, birdCount, cutUpCount, peopleCount, ...rest } = typed;
      const { coneCount, tablePlaceCount, pinPlaceCount, ...same } = rest;
      const choices = {
        ...same,
        birds: birdCount,
        cutUp: cutUpCount,
        people: peopleCount,
        cones: coneCount,
        tablePlaces: tablePlaceCount,
        pinPlaces: pinPlaceCount,
        keepsGiblets: same.keepsGiblets,
        keepsFeet: same.keepsFeet,
        packsSameDay: same.packsSameDay,
        isRainExpected: same.isRainExpected,
        changeWaterBirds: same.changeWaterBirds ?? undefined,
        brineFraction: brine === undefined ? undefined : brine / 1000,
        breakAtMinute: minuteOfClock(breakAt),
        crew: same.crew.slice(0, peopleCount),
      };
      const fault = (field: string, message: string) =>
        context.addIssue({ code: "custom", path: [field], message });
      const start = instantOf(choices.processedOn, startTime, timeZone);
      if (choices.birds > freeCount) fault("birdCount", tooManyBirds(freeCount));
      if (choices.cutUp > choices.birds)
        fault("cutUpCount", `Only ${plural(choices.birds, "bird")} to cut up`);
      if (!start.exists) {
        fault(
          "startTime",
          `The clocks change that night, and ${startTime} does not exist. Choose ${start.next} or later`,
        );
        return z.NEVER;
      }
      return { ...choices, startAt: start.at };
    });
}

export function tooManyBirds(freeCount: number): string {
  return freeCount <= 0
    ? "All birds in this batch are processed, lost, or scheduled for another day"
    : `Only ${freeCount} left alive and not scheduled for another day`;
}

/** Who stands where, as the form sends it. */
export function seatsAsText(seats: readonly CrewSeat[]): string {
  return JSON.stringify(
    seats.map(({ personId, name, stations }) => ({ personId: personId ?? null, name, stations })),
  );
}

/** Boxes of the day's form; one that is not ticked is not sent at all. */
export const DAY_TICKS = ["keepsGiblets", "keepsFeet", "packsSameDay", "isRainExpected"] as const;
export const isSent = ([name, value]: readonly [string, string]): boolean =>
  value !== "" || !DAY_TICKS.some((tickName) => tickName === name);

/** A day's choices, as a person would type them; who stands where is left to the line's sheet. */
export function dayFields(row: DatedChoices, timeZone: string): Record<string, string> {
  return {
    processedOn: row.processedOn,
    startTime: localClock(row.startAt, timeZone),
    birdCount: String(row.birds),
    cutUpCount: String(row.cutUp),
    peopleCount: String(row.people),
    coneCount: String(row.cones),
    tablePlaceCount: String(row.tablePlaces),
    breakMinutes: String(row.breakMinutes),
    breakAt: clockOfMinute(row.breakAtMinute),
    scaldMethod: row.scaldMethod,
    withdrawalMethod: row.withdrawalMethod,
    whichBirds: row.whichBirds,
    pinPlaceCount: String(row.pinPlaces),
    ...Object.fromEntries(DAY_TICKS.map((name) => [name, row[name] ? "on" : ""])),
    pluckBy: row.pluckBy,
    changeWaterBirds: String(row.changeWaterBirds ?? ""),
    brine: row.brineFraction === undefined ? "" : String(Math.round(row.brineFraction * 1000) / 10),
  };
}
