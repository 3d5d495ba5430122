import { z } from "zod";
import { LOT_MOVE } from "#app/days/plan/choices/lot-moves.ts";
import { temperatureAsTyped } from "#app/ui/read/as-typed.ts";
import { choice, optional, percent, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { temperature } from "#app/ui/read/read-measure.ts";
import { clockTime, localDay } from "#app/ui/read/read-when.ts";
import { plural } from "#app/words/show.ts";
import { clockOfMinute, instantOf, localClock, minuteOfClock } from "#core/calendar/farm-time.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { WHICH_BIRDS } from "#core/growth/flock.ts";
import { MOST_LOTS, MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import { SCALD_METHODS, SKIN_CEILING } from "#core/scald/scald-constants.ts";
import { WITHDRAWAL_METHODS } from "#core/withdrawal/withdrawal-constants.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** Far past what a small farm dresses in a day (250), and short of what a slip of the key makes of it. */
export const MOST_BIRDS_A_DAY = 2000;
/** A cooler bath loosens no feather; a hotter one cooks the skin of any bird. */
const LEAST_BATH_CELSIUS = 50;
const MOST_BATH_CELSIUS = 70;

/** A batch that a lot of the day is of. */
export interface LotSetting {
  readonly batchId: number;
  readonly batchName: string;
  readonly kind: BirdKind;
  readonly hatchedOn: string;
  /** Birds alive that no other day has taken. */
  readonly freeCount: number;
  /** Pens that the batch stands in. */
  readonly pens: readonly string[];
}

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
      pluckBy: choice(["drum", "hand"], "Choose how you pluck"),
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

/** Birds of one batch, and what is done with them. */
function lotForm(settings: readonly LotSetting[], unitSystem: UnitSystem) {
  return z
    .object({
      batchId: wholeNumber({ least: 1, most: 1_000_000_000, ask: "Choose a batch" }),
      birdCount: wholeNumber({ least: 1, most: MOST_BIRDS_A_DAY, ask: "Enter the number of birds" }),
      cutUpCount: wholeNumber({
        most: MOST_BIRDS_A_DAY,
        ask: "Enter how many birds to cut up; 0 if all stay whole",
      }),
      whichBirds: choice(WHICH_BIRDS, "Choose which birds to process"),
      scaldMethod: choice(SCALD_METHODS, "Choose how you scald"),
      scaldBath: optional(
        temperature({ unitSystem, least: LEAST_BATH_CELSIUS, most: MOST_BATH_CELSIUS, ask: "" }),
      ),
      withdrawalMethod: choice(WITHDRAWAL_METHODS, "Choose a feed withdrawal method"),
      keepsGiblets: tick,
      keepsFeet: tick,
      ownerId: optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" })),
      pen: z.string().max(60).optional(),
    })
    .transform(({ birdCount, cutUpCount, scaldBath, pen, ...same }, context): LotChoices => {
      const fault = (field: string, message: string) =>
        context.addIssue({ code: "custom", path: [field], message });
      const setting = settings.find(({ batchId }) => batchId === same.batchId);
      if (!setting) fault("birdCount", "This batch is no longer part of the day. Reload the page");
      else if (birdCount > setting.freeCount) fault("birdCount", tooManyBirds(setting.freeCount));
      if (setting && scaldBath !== undefined && scaldBath / 1000 >= SKIN_CEILING[setting.kind])
        fault("scaldBath", "That bath cooks the skin of these birds whatever the time. Choose a cooler one");
      if (cutUpCount > birdCount) fault("cutUpCount", `Only ${plural(birdCount, "bird")} to cut up`);
      return {
        ...same,
        birds: birdCount,
        cutUp: cutUpCount,
        ownerId: same.ownerId ?? undefined,
        scaldCelsius: scaldBath === undefined ? undefined : scaldBath / 1000,
        pens: pen ? [pen] : [],
      };
    });
}

export const BATCH_TWICE =
  "Two lots of one batch can't be on one day. Put their birds into one lot, or on two days";

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

/** Boxes of the day's form and of a lot's; one that is not ticked is not sent at all. */
const DAY_TICKS = ["packsSameDay", "isRainExpected"] as const;
const LOT_TICKS = ["keepsGiblets", "keepsFeet"] as const;
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

const lotFields = (lot: LotChoices, unitSystem: UnitSystem): Record<string, string> => ({
  batchId: String(lot.batchId),
  birdCount: String(lot.birds),
  cutUpCount: String(lot.cutUp),
  whichBirds: lot.whichBirds,
  scaldMethod: lot.scaldMethod,
  scaldBath:
    lot.scaldCelsius === undefined ? "" : temperatureAsTyped(unitSystem, Math.round(lot.scaldCelsius * 1000)),
  withdrawalMethod: lot.withdrawalMethod,
  ...Object.fromEntries(LOT_TICKS.map((name) => [name, lot[name] ? "on" : ""])),
  ownerId: lot.ownerId === undefined ? "" : String(lot.ownerId),
  pen: lot.pens[0] ?? "",
});
