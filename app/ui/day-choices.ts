import type { DayChoices } from "#core/day/plan/plan-input.ts";
import type { DayChoiceRow } from "#db/day/day-queries.server.ts";

/** What was chosen for a day, as core calculates with it. */
export function choicesOf(row: Omit<DayChoiceRow, "processedOn">): DayChoices {
  return {
    birds: row.birdCount,
    cutUp: row.cutUpCount,
    startAt: row.startAt,
    people: row.peopleCount,
    cones: row.coneCount,
    tablePlaces: row.tablePlaceCount,
    breakMinutes: row.breakMinutes,
    scaldMethod: row.scaldMethod,
    withdrawalMethod: row.withdrawalMethod,
    whichBirds: row.whichBirds,
    breakAtMinute: row.breakAtMinute,
    pinPlaces: row.pinPlaceCount,
    keepsGiblets: row.keepsGiblets === 1,
    keepsFeet: row.keepsFeet === 1,
    packsSameDay: row.packsSameDay === 1,
    isRainExpected: row.isRainExpected === 1,
    pluckBy: row.pluckBy,
    changeWaterBirds: row.changeWaterBirds ?? undefined,
    brineFraction: row.brinePermille === null ? undefined : row.brinePermille / 1000,
    crew: row.crew.map(({ personId, ...seat }) => ({ ...seat, personId: personId ?? undefined })),
  };
}
