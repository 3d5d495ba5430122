import { readLineFile } from "#app/days/plan/file/read-line-file.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { minuteOfClock } from "#core/calendar/farm-time.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** What a plan's file says of a day: all but the date, and the methods of feed and scald. */
export type ChoicesOfFile = Pick<
  DatedChoices,
  "people" | "cones" | "tablePlaces" | "pinPlaces" | "packsSameDay" | "pluckBy" | "crew"
> &
  Partial<Pick<DatedChoices, "breakMinutes" | "breakAtMinute" | "changeWaterBirds">> & {
    readonly start: string;
    /** Of its first lot. */
    readonly birds: number;
    /** A file of several lots starts a day of its first: the others are added where their batch is chosen. */
    readonly lot: Pick<LotChoices, "cutUp" | "keepsGiblets" | "keepsFeet">;
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
  const [lot] = day.lots;
  return {
    start: file.start,
    birds: file.lots ? lot!.birds : birdsOf(day),
    lot: { cutUp: lot!.cutUp, keepsGiblets: lot!.giblets, keepsFeet: file.lots?.[0]?.feet ?? file.work.feet },
    people: day.people.length,
    cones: day.kit.cones,
    tablePlaces: day.kit.places.gut,
    pinPlaces: day.kit.places.pins,
    packsSameDay: day.packSameDay,
    pluckBy: file.work.pluckBy,
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
