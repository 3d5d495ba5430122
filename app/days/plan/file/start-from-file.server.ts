import { readLineFile } from "#app/days/plan/file/read-line-file.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { minuteOfClock } from "#core/calendar/farm-time.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** What a plan's file says of a day: all but the date, and the methods of feed and scald. */
export type ChoicesOfFile = Pick<
  DatedChoices,
  | "birds"
  | "cutUp"
  | "people"
  | "cones"
  | "tablePlaces"
  | "pinPlaces"
  | "keepsGiblets"
  | "keepsFeet"
  | "packsSameDay"
  | "pluckBy"
  | "crew"
> &
  Partial<Pick<DatedChoices, "breakMinutes" | "breakAtMinute" | "changeWaterBirds">> & {
    readonly start: string;
  };

/**
 * The choices of a plan's file; undefined where there is none or it can't be read. People are known by their names:
 * whoever is not among the farm's own comes as a helper. Paces and times are the farm's, not the file's.
 */
export function choicesOfFile(here: FarmContext, text: string | null): ChoicesOfFile | undefined {
  const read = text === null ? undefined : readLineFile(text);
  if (!read || "problems" in read) return undefined;
  const { day, file } = read;
  const people = here.file.people.people();
  const [pause] = file.breaks;
  return {
    start: file.start,
    birds: birdsOf(day),
    cutUp: day.lots.reduce((sum, { cutUp }) => sum + cutUp, 0),
    people: day.people.length,
    cones: day.kit.cones,
    tablePlaces: day.kit.places.gut,
    pinPlaces: day.kit.places.pins,
    keepsGiblets: day.lots[0]!.giblets,
    keepsFeet: file.work.feet,
    packsSameDay: day.packSameDay,
    pluckBy: day.pluckBy,
    breakMinutes: pause?.minutes ?? 0,
    ...(pause && { breakAtMinute: minuteOfClock(pause.at) }),
    changeWaterBirds: day.changeWaterEvery,
    crew: day.people.map(({ name, stations }) => ({
      personId: people.find((person) => person.name === name)?.id,
      name,
      stations,
    })),
  };
}
