import { z } from "zod";
import { clockOfMinute, minuteOfClock } from "#core/calendar/farm-time.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import { BLEED_FLOOR_MINUTES, CLEAN_UP_MINUTES, DAY_SD_LN } from "#core/processing-line/line-constants.ts";
import { MOST_BIRDS, MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { type LineDay, lineMinutes, neededStations } from "#core/processing-line/line-day.ts";
import {
  DEFAULT_BUFFERS,
  DEFAULT_PLACES,
  STATIONS,
  type Station,
  stationRow,
} from "#core/processing-line/line-station.ts";
import { SCALD_DOSE, TARGET_SECONDS } from "#core/scald/scald-constants.ts";

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

/** A day's plan as a file, for the command and for taking a plan along. All but birds, people and cones has a default. */
export const LineFile = z.strictObject({
  birds: whole(1, MOST_BIRDS),
  kind: z.enum(BIRD_KINDS, `must be one of ${BIRD_KINDS.join(", ")}`).default("fast"),
  liveKg: z.number().min(0.3, "must be at least 0.3").max(14, "must be at most 14").default(2.6),
  start: clock.default("07:00"),
  people: z
    .array(person)
    .min(1, "needs at least one person")
    .max(MOST_PEOPLE, `must be at most ${MOST_PEOPLE}`),
  kit: z.strictObject({
    cones: whole(1, 100),
    scaldAtOnce: whole(1, 20).default(1),
    pluckAtOnce: whole(1, 20).default(1),
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
      restMinutes: minutes(4320).default(60),
      pluckBy: z.enum(["drum", "hand"], "must be drum or hand").default("drum"),
      dipSeconds: z.number().min(5, "must be at least 5").max(600, "must be at most 600").optional(),
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
  bath: z
    .strictObject({
      sagPerBird: z.number().min(0, "can't be below 0").max(30, "must be at most 30"),
      recoveryPerMinute: z.number().gt(0, "must be more than 0").max(30, "must be at most 30"),
      waitBelow: z.number().min(0, "can't be below 0").max(30, "must be at most 30"),
    })
    .optional(),
  daySpread: z.number().min(0, "can't be below 0").max(1, "must be at most 1").default(DAY_SD_LN),
  seed: whole(0, 2 ** 31 - 1).default(1),
  replications: whole(1, 100_000).default(2000),
});
export type LineFile = z.output<typeof LineFile>;

/** What can't be in a file that reads well: the field, and what is wrong with it. */
export interface LineFileProblem {
  readonly field: string;
  readonly problem: string;
}

/** The day of a file as the line plays it, or what is impossible about it. */
export function lineDayOfFile(file: LineFile): { day: LineDay } | { problems: LineFileProblem[] } {
  const { kit, work } = file;
  const start = minuteOfClock(file.start);
  const after = (time: string) => minuteOfClock(time) - start;
  const dipMinutes = (work.dipSeconds ?? TARGET_SECONDS[file.kind].middle) / 60;
  const isOlder = hasPinsAndFeetInOne(file);
  const day: LineDay = {
    birds: file.birds,
    people: file.people.map(({ name, stations, pace, from, to }, index) => ({
      name: name ?? `Person ${index + 1}`,
      stations: isOlder && stations ? stations.flatMap(withFeet) : (stations ?? STATIONS),
      pace: isOlder && pace.pins !== undefined ? { ...pace, feet: pace.pins } : pace,
      fromMinute: from === undefined ? 0 : after(from),
      toMinute: to === undefined ? Infinity : after(to),
    })),
    kit: {
      ...kit,
      places: filled(DEFAULT_PLACES, kit.places, isOlder),
      buffers: filled(DEFAULT_BUFFERS, kit.buffers, isOlder),
      tankBirds: kit.tankBirds ?? file.birds,
    },
    minutes: lineMinutes({ dipMinutes, keepsFeet: work.feet, pluckBy: work.pluckBy }),
    bleedFloorMinutes: work.bleedFloorMinutes,
    pluckBy: work.pluckBy,
    giblets: work.giblets,
    packSameDay: work.packSameDay,
    cutUp: work.cutUp,
    restMinutes: work.restMinutes,
    breaks: file.breaks
      .map(({ at, minutes }) => ({ fromMinute: after(at), minutes }))
      .toSorted((one, other) => one.fromMinute - other.fromMinute),
    setUpMinutes: file.setUpMinutes,
    cleanUpMinutes: file.cleanUpMinutes,
    slowSpell: file.slowSpell,
    waterChange: file.waterChange,
    bath: file.bath && { ...file.bath, zCelsius: SCALD_DOSE.zCelsius },
    daySdLn: file.daySpread,
  };
  const problems = [...problemsOfTimes(file, after), ...problemsOfPeople(day)];
  if (work.cutUp > file.birds)
    problems.push({ field: "work.cutUp", problem: `there are only ${file.birds} birds` });
  return problems.length > 0 ? { problems } : { day };
}

/** Files of before stations `feet` and `pins` were told apart say `pins` for both. */
function hasPinsAndFeetInOne({ people, kit }: LineFile): boolean {
  const names = people.some(({ stations, pace }) => stations?.includes("feet") || pace.feet !== undefined);
  return !names && kit.places.feet === undefined && kit.buffers.feet === undefined;
}

const withFeet = (station: Station): Station[] => (station === "pins" ? ["feet", "pins"] : [station]);

/** What a file says of each station, our default where it says nothing; an older file's `pins` stands for the feet too. */
function filled<Of extends Station>(
  defaults: Readonly<Record<Of, number>>,
  said: { readonly [One in Of]?: number | undefined },
  isOlder: boolean,
): Record<Of, number> {
  const given = isOlder && "pins" in said ? { ...said, feet: said["pins" as Of] } : said;
  const known = Object.entries(given).filter(([, value]) => value !== undefined);
  return { ...defaults, ...Object.fromEntries(known) };
}

const rounded = (value: number, digits = 3) => Number(value.toFixed(digits));

/** Reads a file's text as a day of the line, or says in words what is wrong with it, field by field. */
export function readLineFile(text: string): { day: LineDay; file: LineFile } | { problems: string[] } {
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch (error) {
    return { problems: [`it is not JSON: ${error instanceof Error ? error.message : "unreadable"}`] };
  }
  const parsed = LineFile.safeParse(content);
  if (!parsed.success) {
    return {
      problems: parsed.error.issues.map(({ path, message }) => `${path.join(".") || "the day"}: ${message}`),
    };
  }
  const outcome = lineDayOfFile(parsed.data);
  return "day" in outcome
    ? { day: outcome.day, file: parsed.data }
    : { problems: outcome.problems.map(({ field, problem }) => `${field}: ${problem}`) };
}

/** A day of the line as a file, so that a plan can be taken along, changed elsewhere, and played by the command. */
export function lineFileOf(
  day: LineDay,
  of: { kind: LineFile["kind"]; liveKilograms: number; start: string },
): z.input<typeof LineFile> {
  const clockAt = (minute: number) => clockOfMinute(Math.round(minuteOfClock(of.start) + minute));
  return {
    birds: day.birds,
    kind: of.kind,
    liveKg: rounded(of.liveKilograms),
    start: of.start,
    people: day.people.map(({ name, stations, pace, fromMinute, toMinute }) => ({
      name,
      stations: [...stations],
      pace: Object.fromEntries(stations.map((station) => [station, rounded(pace[station] ?? 1)])),
      ...(fromMinute > 0 && { from: clockAt(fromMinute) }),
      ...(toMinute < Infinity && { to: clockAt(toMinute) }),
    })),
    kit: day.kit,
    work: {
      giblets: day.giblets,
      feet: day.minutes.feet > stationRow("feet").medianMinutes,
      packSameDay: day.packSameDay,
      cutUp: day.cutUp,
      restMinutes: rounded(day.restMinutes),
      pluckBy: day.pluckBy,
      dipSeconds: rounded(day.minutes.scald * 60),
      bleedFloorMinutes: day.bleedFloorMinutes,
    },
    breaks: day.breaks.map(({ fromMinute, minutes }) => ({ at: clockAt(fromMinute), minutes })),
    setUpMinutes: day.setUpMinutes,
    cleanUpMinutes: day.cleanUpMinutes,
    ...(day.slowSpell && { slowSpell: day.slowSpell }),
    ...(day.waterChange && {
      waterChange: { everyBirds: day.waterChange.everyBirds, minutes: rounded(day.waterChange.minutes) },
    }),
    ...(day.bath && {
      bath: {
        sagPerBird: rounded(day.bath.sagPerBird, 6),
        recoveryPerMinute: rounded(day.bath.recoveryPerMinute, 6),
        waitBelow: day.bath.waitBelow,
      },
    }),
    daySpread: day.daySdLn,
  };
}

function problemsOfTimes(file: LineFile, after: (time: string) => number): LineFileProblem[] {
  const breaks = file.breaks
    .map(({ at, minutes }, index) => ({ index, at, from: after(at), to: after(at) + minutes }))
    .toSorted((one, other) => one.from - other.from);
  return [
    ...breaks
      .filter(({ from }) => from < 0)
      .map(({ index, at }) => ({
        field: `breaks.${index}.at`,
        problem: `${at} is before the start, ${file.start}`,
      })),
    ...breaks
      .slice(1)
      .flatMap(({ index, from, at }, before) =>
        from < breaks[before]!.to
          ? [{ field: `breaks.${index}.at`, problem: `${at} is within the previous break` }]
          : [],
      ),
    ...file.people.flatMap(({ from, to }, index) =>
      to !== undefined && after(to) <= (from === undefined ? 0 : after(from))
        ? [{ field: `people.${index}.to`, problem: `${to} is not after they arrive` }]
        : [],
    ),
  ];
}

function problemsOfPeople(day: LineDay): LineFileProblem[] {
  const manned = new Set(day.people.flatMap(({ stations }) => stations));
  return neededStations(day)
    .filter((needed) => !manned.has(needed))
    .map((needed) => ({ field: "people", problem: `no one is at ${needed}, which this day needs` }));
}
