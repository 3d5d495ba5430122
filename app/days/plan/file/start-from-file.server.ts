import { readLineFile } from "#app/days/plan/file/line-file.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import { minuteOfClock } from "#core/calendar/farm-time.ts";
import type { DayChoiceRow } from "#db/day/day-queries.server.ts";

/** What a plan's file says of a day: all but the date, and the methods of feed and scald. */
export type ChoicesOfFile = Pick<
  DayChoiceRow,
  | "birdCount"
  | "cutUpCount"
  | "peopleCount"
  | "coneCount"
  | "tablePlaceCount"
  | "pinPlaceCount"
  | "keepsGiblets"
  | "keepsFeet"
  | "packsSameDay"
  | "pluckBy"
  | "crew"
> &
  Partial<Pick<DayChoiceRow, "breakMinutes" | "breakAtMinute" | "changeWaterBirds">> & {
    readonly start: string;
  };

/**
 * The choices of a plan's file; undefined where there is none or it can't be read. People are known by their names:
 * whoever is not among the farm's own comes as a helper. Paces and times are the farm's, not the file's.
 */
export function choicesOfFile(text: string | null): ChoicesOfFile | undefined {
  const read = text === null ? undefined : readLineFile(text);
  if (!read || "problems" in read) return undefined;
  const { day, file } = read;
  const people = farmFile().people.people();
  const [pause] = file.breaks;
  return {
    start: file.start,
    birdCount: day.birds,
    cutUpCount: day.cutUp,
    peopleCount: day.people.length,
    coneCount: day.kit.cones,
    tablePlaceCount: day.kit.places.gut,
    pinPlaceCount: day.kit.places.pins,
    keepsGiblets: day.giblets ? 1 : 0,
    keepsFeet: file.work.feet ? 1 : 0,
    packsSameDay: day.packSameDay ? 1 : 0,
    pluckBy: day.pluckBy,
    breakMinutes: pause?.minutes ?? 0,
    ...(pause && { breakAtMinute: minuteOfClock(pause.at) }),
    changeWaterBirds: day.waterChange?.everyBirds ?? null,
    crew: day.people.map(({ name, stations }) => ({
      personId: people.find((person) => person.name === name)?.id ?? null,
      name,
      stations,
    })),
  };
}
