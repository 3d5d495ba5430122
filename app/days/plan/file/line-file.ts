import { z } from "zod";
import { CUTTING_TOOLS } from "#core/cutting/cutting-constants.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import { BLEED_FLOOR_MINUTES, CLEAN_UP_MINUTES, DAY_SD_LN } from "#core/processing-line/line-constants.ts";
import { MOST_BIRDS, MOST_LOTS, MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { PLUCK_BY } from "#core/processing-line/line-day.ts";
import {
  DEFAULT_BUFFERS,
  DEFAULT_PLACES,
  STATIONS,
  type Station,
} from "#core/processing-line/line-station.ts";
import { SCALD_METHODS } from "#core/scald/scald-constants.ts";

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, "must be a time of day such as 07:00");
const whole = (least: number, most: number) =>
  z
    .number()
    .int("must be a whole number")
    .min(least, `must be at least ${least}`)
    .max(most, `must be at most ${most}`);
const minutes = (most = 1440) =>
  z.number().min(0, "can't be below 0").max(most, `must be at most ${most} minutes`);
const station = z.enum(STATIONS, `must be one of ${STATIONS.join(", ")}`);
const pace = z.number().min(0.3, "must be at least 0.3").max(10, "must be at most 10");

const person = z.strictObject({
  name: z.string().trim().min(1, "needs a name").max(60, "must be at most 60 characters").optional(),
  stations: z
    .array(station)
    .min(1, "name a station, or leave it out for all stations")
    .refine((named) => new Set(named).size === named.length, "names a station twice")
    .optional(),
  pace: z.partialRecord(station, pace).default({}),
  from: clock.optional(),
  to: clock.optional(),
});

const place = whole(1, 50);
const waiting = whole(1, 1000);

/** One optional number for each station that a default names. */
function optionalEach<Of extends Station>(defaults: Readonly<Record<Of, number>>, number: z.ZodNumber) {
  const stations = Object.keys(defaults) as Of[];
  return Object.fromEntries(stations.map((one) => [one, number.optional()])) as Record<
    Of,
    z.ZodOptional<z.ZodNumber>
  >;
}

/** Pieces of a bird that can be counted into packs, as files name them. */
export const CUT_PIECES = [
  "breast",
  "tender",
  "leg_quarter",
  "thigh",
  "drumstick",
  "wing",
  "back",
  "neck",
] as const;

const kind = z.enum(BIRD_KINDS, `must be one of ${BIRD_KINDS.join(", ")}`);
const liveKg = z.number().min(0.3, "must be at least 0.3").max(14, "must be at most 14");
const dipSeconds = z.number().min(5, "must be at least 5").max(600, "must be at most 600");
const bath = z.strictObject({
  sagPerBird: z.number().min(0, "can't be below 0").max(30, "must be at most 30"),
  recoveryPerMinute: z.number().gt(0, "must be more than 0").max(30, "must be at most 30"),
  waitBelow: z.number().min(0, "can't be below 0").max(30, "must be at most 30"),
});

/** Birds of one batch; what it leaves out is as the day's own fields say. */
const lot = z.strictObject({
  birds: whole(1, MOST_BIRDS),
  kind: kind.default("fast"),
  liveKg: liveKg.default(2.6),
  scald: z.enum(SCALD_METHODS, `must be one of ${SCALD_METHODS.join(", ")}`).default("middle"),
  cutUp: whole(0, MOST_BIRDS).default(0),
  giblets: z.boolean().optional(),
  feet: z.boolean().optional(),
  dipSeconds: dipSeconds.optional(),
  restMinutes: minutes(4320).optional(),
  /** Until the water of the lot before is as hot or as cool as this one's. */
  settingMinutes: minutes(720).optional(),
  waterChangeMinutes: minutes(720).optional(),
  bath: bath.optional(),
});
export type FileLot = z.output<typeof lot>;

/** A day's plan as a file, for the command and for taking a plan along. All but birds, people and cones has a default. */
export const LineFile = z.strictObject({
  /** May be left out where there are lots. */
  birds: whole(1, MOST_BIRDS).optional(),
  kind: kind.default("fast"),
  liveKg: liveKg.default(2.6),
  /** In the order in which they are killed; where there are none, the day is one lot of `birds`. */
  lots: z
    .array(lot)
    .min(1, "needs at least one lot")
    .max(MOST_LOTS, `must be at most ${MOST_LOTS}`)
    .optional(),
  start: clock.default("07:00"),
  people: z
    .array(person)
    .min(1, "needs at least one person")
    .max(MOST_PEOPLE, `must be at most ${MOST_PEOPLE}`),
  kit: z.strictObject({
    cones: whole(1, 100),
    scaldAtOnce: whole(1, 20).default(1),
    pluckAtOnce: whole(1, 20).default(1),
    /** Packs that the sealer takes at once. */
    sealAtOnce: whole(1, 12).default(1),
    places: z.strictObject(optionalEach(DEFAULT_PLACES, place)).prefault({}),
    buffers: z.strictObject(optionalEach(DEFAULT_BUFFERS, waiting)).prefault({}),
    tankBirds: whole(1, 100_000).optional(),
  }),
  work: z
    .strictObject({
      giblets: z.boolean().default(true),
      feet: z.boolean().default(false),
      packSameDay: z.boolean().default(false),
      cutUp: whole(0, MOST_BIRDS).default(0),
      cutWith: z.enum(CUTTING_TOOLS, "must be knife or saw").default("knife"),
      /** What a bird is cut into, and the pieces of each in a pack. */
      packs: z
        .partialRecord(z.enum(CUT_PIECES, `must be some of ${CUT_PIECES.join(", ")}`), whole(1, 500))
        .optional(),
      restMinutes: minutes(4320).default(60),
      pluckBy: z.enum(PLUCK_BY, "must be drum, hand, or skin").default("drum"),
      dipSeconds: dipSeconds.optional(),
      bleedFloorMinutes: minutes(10).default(BLEED_FLOOR_MINUTES),
    })
    .prefault({}),
  breaks: z.array(z.strictObject({ at: clock, minutes: minutes(720) })).default([]),
  setUpMinutes: minutes(720).default(0),
  cleanUpMinutes: minutes(720).default(CLEAN_UP_MINUTES),
  slowSpell: z
    .strictObject({
      fromMinute: minutes(2880),
      minutes: minutes(2880),
      factor: z.number().min(0.2, "must be at least 0.2").max(10, "must be at most 10"),
    })
    .optional(),
  waterChange: z.strictObject({ everyBirds: whole(1, MOST_BIRDS), minutes: minutes(720) }).optional(),
  bath: bath.optional(),
  daySpread: z.number().min(0, "can't be below 0").max(1, "must be at most 1").default(DAY_SD_LN),
  seed: whole(0, 2 ** 31 - 1).default(1),
  replications: whole(1, 100_000).default(2000),
});
export type LineFile = z.output<typeof LineFile>;
