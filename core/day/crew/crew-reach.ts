import {
  crewOf,
  type Helper,
  linePeople,
  mayWorkAlone,
  rulesOf,
  usualStations,
} from "#core/day/crew/crew.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";
import { likelyMinutes } from "#core/processing-line/alternatives/line-whatif.ts";
import { BLEED_FLOOR_MINUTES, LINE_SEED } from "#core/processing-line/line-constants.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { type LineDay, lineMinutes, neededStations } from "#core/processing-line/line-day.ts";
import { DEFAULT_BUFFERS, DEFAULT_PLACES, STATIONS } from "#core/processing-line/line-station.ts";

/** Replications by which a crew's reach is known to a bird or two. */
const REPLICATIONS = 24;
/** The most birds a small farm does in a day. */
const MOST_BIRDS = 250;
/** A dip for the pace of a crew, minutes: a slow bird at 60 °C; the plan takes the kind's own. */
const DIP_MINUTES = 1.25;
/** When a day usually begins, by which people's hours are counted. */
const USUAL_START_MINUTE = 7 * 60;

export interface Reach {
  readonly helpers: readonly Helper[];
  readonly means: FarmMeans;
  readonly cones: number;
  readonly tablePlaces: number;
  readonly minutes: number;
  readonly year: number;
}

/**
 * Whole birds that a crew likely brings into the chill tank within a number of minutes, by the same line as the plan
 * plays, each where people usually go. 0 where no one may kill, or not one bird is done in time.
 */
export function crewReach(reach: Reach): number {
  const takes = (birds: number) => likelyMinutes(lineOf(reach, birds), LINE_SEED, REPLICATIONS);
  if (reach.helpers.length === 0 || !(takes(1) <= reach.minutes)) return 0;
  let most = 1;
  let tooMany = 2;
  while (tooMany <= MOST_BIRDS && takes(tooMany) <= reach.minutes) {
    most = tooMany;
    tooMany *= 2;
  }
  tooMany = Math.min(tooMany, MOST_BIRDS + 1);
  while (tooMany - most > 1) {
    const middle = Math.floor((most + tooMany) / 2);
    if (takes(middle) <= reach.minutes) most = middle;
    else tooMany = middle;
  }
  return most;
}

function lineOf({ helpers, means, cones, tablePlaces, year }: Reach, birds: number): LineDay {
  const coming = helpers.slice(0, MOST_PEOPLE);
  const seats = coming.map((helper, seat) => ({
    personId: helper.id,
    name: helper.name,
    stations: usualStations(seat, coming.length, rulesOf(helper, year)),
  }));
  const crew = crewOf(seats, seats.length, { helpers: coming, year });
  const people = linePeople(crew, means, (minute) => minute - USUAL_START_MINUTE);
  const day: LineDay = {
    lots: [
      {
        birds,
        cutUp: 0,
        minutes: lineMinutes({ dipMinutes: DIP_MINUTES, keepsFeet: false, pluckBy: "drum" }),
        packsPerBird: 0,
        giblets: true,
        restMinutes: 0,
        tankShare: 1,
        bath: undefined,
        settingMinutes: 0,
        waterChangeMinutes: 0,
      },
    ],
    people,
    kit: {
      cones,
      scaldAtOnce: means.scalder.scaldAtOnce,
      pluckAtOnce: means.pluckAtOnce,
      places: { ...DEFAULT_PLACES, gut: tablePlaces },
      buffers: DEFAULT_BUFFERS,
      tankBirds: birds,
      sealAtOnce: 1,
    },
    bleedFloorMinutes: BLEED_FLOOR_MINUTES,
    pluckBy: "drum",
    packSameDay: false,
    breaks: [],
    setUpMinutes: 0,
    cleanUpMinutes: 0,
    slowSpell: undefined,
    changeWaterEvery: undefined,
    daySdLn: means.ownPace.daySdLn,
  };
  const manned = new Set(people.flatMap(({ stations }) => stations));
  if (neededStations(day).every((station) => manned.has(station))) return day;
  // Someone has to help where no one usually stands, as far as their rules let them.
  const helping = people.map((person, seat) => {
    const may = mayWorkAlone(crew[seat]!.rules);
    const others = STATIONS.filter((station) => may.includes(station) && !person.stations.includes(station));
    return { ...person, stations: [...person.stations, ...others] };
  });
  return { ...day, people: helping };
}
