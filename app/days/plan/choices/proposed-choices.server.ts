import { MOST_BIRDS_A_DAY } from "#app/days/plan/choices/lot-form.ts";
import { choicesOfFile } from "#app/days/plan/file/start-from-file.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { instantOf, localClock, localDayOf, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, isLocalDay, type LocalDay } from "#core/calendar/local-day.ts";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import { comes } from "#core/day/crew/who-can-come.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { SKIN_CEILING } from "#core/scald/scald-constants.ts";
import { CHICKS } from "#core/season/season-constants.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";
import { USUAL_DAY, USUAL_LOT } from "#db/day/usual-day.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** What a new day starts from: the farm's last day where there is one, ours where there is none. */
export function proposedChoices(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  freeCount: number,
  asked: URLSearchParams,
): DatedChoices {
  const askedDay = asked.get("on");
  const fromFile = choicesOfFile(here, asked.get("plan"));
  const birdCount = Math.min(
    freeCount,
    MOST_BIRDS_A_DAY,
    fromFile?.birds ?? countOf(asked.get("birds")) ?? freeCount,
  );
  const last = here.file.days().at(-1);
  const usual = addDays(batch.hatchedOn, CHICKS.usualAgeDays[batch.kind]);
  const tomorrow = addDays(localDayOf(here.now(), farm.timeZone), 1);
  const isAskedGood = askedDay !== null && isLocalDay(askedDay) && askedDay >= batch.hatchedOn;
  const processedOn = isAskedGood ? askedDay : laterOf(usual, tomorrow);
  const start = instantOf(
    processedOn,
    fromFile?.start ?? (last ? localClock(last.startAt, last.timeZone) : "07:00"),
    farm.timeZone,
  );
  const crew = seatsOfThoseWhoCome(here, processedOn, last?.crew ?? []);
  const usually: DatedChoices = {
    processedOn,
    startAt: start.exists ? start.at : startOfDay(processedOn, farm.timeZone),
    lots: [
      {
        ...proposedLot(last, batch, birdCount),
        cutUp: Math.min(birdCount, countOf(asked.get("cut")) ?? 0),
      },
    ],
    people: countOf(asked.get("people")) || crew.length || (last?.people ?? 3),
    cones: last?.cones ?? 3,
    tablePlaces: last?.tablePlaces ?? 2,
    breakMinutes: last?.breakMinutes ?? 30,
    breakAtMinute: last?.breakAtMinute ?? USUAL_DAY.breakAtMinute,
    pinPlaces: last?.pinPlaces ?? USUAL_DAY.pinPlaces,
    packsSameDay: last?.packsSameDay ?? USUAL_DAY.packsSameDay,
    isRainExpected: USUAL_DAY.isRainExpected,
    rinsesFirst: last?.rinsesFirst ?? USUAL_DAY.rinsesFirst,
    coolsAfter: last?.coolsAfter ?? USUAL_DAY.coolsAfter,
    pluckBy: last?.pluckBy ?? USUAL_DAY.pluckBy,
    brineFraction: last?.brineFraction,
    changeWaterBirds: last?.changeWaterBirds,
    crew,
  };
  if (!fromFile) return usually;
  const { start: _start, birds: _birds, lot, ...ofFile } = fromFile;
  const [own] = usually.lots;
  return {
    ...usually,
    ...ofFile,
    lots: [{ ...own!, ...lot, cutUp: Math.min(birdCount, lot.cutUp) }],
  };
}

/** The farm's people who can come on a day, each where they stood on its last day; where people usually go if they did not. */
function seatsOfThoseWhoCome(
  { file }: FarmContext,
  day: LocalDay,
  lastCrew: readonly CrewSeat[],
): CrewSeat[] {
  const said = file.people.personDays(day, day);
  return file.people
    .people()
    .filter((person) => comes(person, said, day).canCome)
    .slice(0, MOST_PEOPLE)
    .map(({ id, name }) => ({
      personId: id,
      name,
      stations: lastCrew.find(({ personId }) => personId === id)?.stations ?? [],
    }));
}

/** What a lot starts from: the way the farm's last day did its first, ours where there is none. */
export function proposedLot(
  last: Pick<DatedChoices, "lots"> | undefined,
  { id, kind }: Pick<Batch, "id" | "kind">,
  birds: number,
): LotChoices {
  const before = last?.lots[0];
  const scaldCelsius = before?.scaldCelsius;
  return {
    ...USUAL_LOT,
    ...(before && {
      scaldMethod: before.scaldMethod,
      withdrawalMethod: before.withdrawalMethod,
      keepsGiblets: before.keepsGiblets,
      keepsFeet: before.keepsFeet,
      scaldCelsius:
        scaldCelsius !== undefined && scaldCelsius < SKIN_CEILING[kind] ? scaldCelsius : undefined,
    }),
    batchId: id,
    birds,
  };
}

const countOf = (text: string | null) => (/^[0-9]{1,5}$/.test(text ?? "") ? Number(text) : undefined);

const laterOf = (one: string, other: string) => (one.localeCompare(other) < 0 ? other : one);
