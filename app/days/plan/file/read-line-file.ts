import { type FileLot, LineFile } from "#app/days/plan/file/line-file.ts";
import { minuteOfClock } from "#core/calendar/farm-time.ts";
import { CUT_MINUTES, type CuttingWork, USUAL_CUTTING } from "#core/cutting/cutting-constants.ts";
import { dipAt } from "#core/day/plan/scald-plan.ts";
import { BIRD_PIECES, type BirdPiece } from "#core/packing/product-kinds.ts";
import { MOST_BIRDS } from "#core/processing-line/line-context.ts";
import {
  birdsOf,
  type LineDay,
  type LineLot,
  lineMinutes,
  neededStations,
  tankShareOf,
} from "#core/processing-line/line-day.ts";
import {
  DEFAULT_BUFFERS,
  DEFAULT_PLACES,
  STATIONS,
  type Station,
} from "#core/processing-line/line-station.ts";
import { METHOD_BATH, SCALD_DOSE } from "#core/scald/scald-constants.ts";

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
  const lots = lotsOfFile(file);
  const isOlder = hasPinsAndFeetInOne(file);
  const day: LineDay = {
    lots,
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
      tankBirds: kit.tankBirds ?? Math.max(1, birdsOf({ lots })),
    },
    bleedFloorMinutes: work.bleedFloorMinutes,
    pluckBy: work.pluckBy === "drum" ? "drum" : "hand",
    packSameDay: work.packSameDay,
    breaks: file.breaks
      .map(({ at, minutes }) => ({ fromMinute: after(at), minutes }))
      .toSorted((one, other) => one.fromMinute - other.fromMinute),
    setUpMinutes: file.setUpMinutes,
    cleanUpMinutes: file.cleanUpMinutes,
    slowSpell: file.slowSpell,
    changeWaterEvery: file.waterChange?.everyBirds,
    daySdLn: file.daySpread,
  };
  const problems = [...problemsOfLots(file, lots), ...problemsOfTimes(file, after), ...problemsOfPeople(day)];
  return problems.length > 0 ? { problems } : { day };
}

/** What our usual scalder does, 3 kW in 76 liters: °C a minute, and minutes to cool it with water from the tap. See docs/sources.md#bath. */
const HEATS_PER_MINUTE = 0.5;
const COOLED_IN_MINUTES = 3;

/** The lots of a file; one of all its birds where it names none. */
function lotsOfFile(file: LineFile): LineLot[] {
  const { work } = file;
  const named: readonly FileLot[] = file.lots ?? [
    {
      birds: file.birds ?? 0,
      kind: file.kind,
      liveKg: file.liveKg,
      scald: "middle",
      cutUp: work.cutUp,
    },
  ];
  const heaviest = Math.max(...named.map(({ liveKg }) => liveKg));
  const cutting = cuttingOf(file);
  return named.map((lot, index) => {
    const dipSeconds = lot.dipSeconds ?? work.dipSeconds ?? dipOf(lot);
    const bath = lot.bath ?? file.bath;
    return {
      birds: lot.birds,
      cutUp: lot.cutUp,
      minutes: lineMinutes({
        dipMinutes: dipSeconds / 60,
        keepsFeet: lot.feet ?? work.feet,
        pluckBy: work.pluckBy,
        cutting,
      }),
      packsPerBird: cutting.packsPerBird,
      giblets: lot.giblets ?? work.giblets,
      restMinutes: lot.restMinutes ?? work.restMinutes,
      tankShare: tankShareOf(lot.liveKg, heaviest),
      bath: bath && work.pluckBy !== "skin" ? { ...bath, zCelsius: SCALD_DOSE.zCelsius } : undefined,
      settingMinutes: lot.settingMinutes ?? settingMinutes(named[index - 1], lot, bath?.recoveryPerMinute),
      waterChangeMinutes: lot.waterChangeMinutes ?? file.waterChange?.minutes ?? 0,
    };
  });
}

/** How a file's birds are cut and sealed; into the usual packs where it does not say. */
function cuttingOf({ kit, work }: LineFile): CuttingWork {
  const packs = work.packs && Object.entries(work.packs);
  return {
    minutesPerBird: CUT_MINUTES[work.cutWith],
    sealAtOnce: kit.sealAtOnce,
    packsPerBird: packs
      ? packs.reduce(
          (sum, [piece, each]) => sum + BIRD_PIECES[piece.replace("_", "-") as BirdPiece] / each,
          0,
        )
      : USUAL_CUTTING.packsPerBird,
  };
}

const dipOf = ({ kind, scald }: FileLot): number => dipAt(METHOD_BATH[scald].set, kind, scald).seconds!;

function settingMinutes(before: FileLot | undefined, lot: FileLot, perMinute = HEATS_PER_MINUTE): number {
  if (!before) return 0;
  const warmer = METHOD_BATH[lot.scald].set - METHOD_BATH[before.scald].set;
  if (warmer > 0) return warmer / perMinute;
  return warmer < 0 ? COOLED_IN_MINUTES : 0;
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

function problemsOfLots(file: LineFile, lots: readonly LineLot[]): LineFileProblem[] {
  const birds = birdsOf({ lots });
  if (file.birds === undefined && !file.lots)
    return [{ field: "birds", problem: "says how many there are, unless `lots` do" }];
  if (file.birds !== undefined && file.birds !== birds)
    return [{ field: "birds", problem: `must be ${birds}, as the lots have together, or left out` }];
  if (birds > MOST_BIRDS)
    return [{ field: "lots", problem: `must have at most ${MOST_BIRDS} birds together` }];
  const cutUp = lots.reduce((sum, lot) => sum + lot.cutUp, 0);
  if (file.lots && file.work.cutUp > 0 && file.work.cutUp !== cutUp)
    return [{ field: "work.cutUp", problem: `must be ${cutUp}, as the lots have together, or left out` }];
  const cutField = (lot: number) => (file.lots ? `lots.${lot}.cutUp` : "work.cutUp");
  return lots.flatMap((lot, index) =>
    lot.cutUp > lot.birds ? [{ field: cutField(index), problem: `there are only ${lot.birds} birds` }] : [],
  );
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
