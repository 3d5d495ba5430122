import { STATION_MINUTES as MEDIAN } from "#core/processing-line/line-constants.ts";

export interface LineInput {
  readonly birds: number;
  readonly people: number;
  readonly cones: number;
  readonly tablePlaces: number;
  readonly scaldAtOnce: number;
  readonly pluckAtOnce: number;
  readonly dipSeconds: number;
  /** Birds an hour that the bath can keep hot for. */
  readonly bathBirdsPerHour: number;
  /** 1 for practised hands, more for slower ones. */
  readonly handsFactor: number;
}

export const LINE_STATIONS = ["cones", "scald", "bath", "pluck", "gut", "hands"] as const;
export type LineStation = (typeof LINE_STATIONS)[number];

export interface LineEstimate {
  readonly birdsPerHour: Readonly<Record<LineStation, number>>;
  readonly slowest: LineStation;
  readonly slowestBirdsPerHour: number;
  /** From one bird to the next at the slowest station. */
  readonly intervalMinutes: number;
  /** From the first kill to the last bird in the chill, without breaks. */
  readonly lineMinutes: number;
  /** Work of all hands on one bird. */
  readonly handMinutesPerBird: number;
}

/**
 * A first estimate of the line: no faster than its slowest station, or than all hands together.
 *
 * It knows no queues, no waiting and no tiredness, so it is the least the day can take. "gut" is the table's
 * places, "bath" the heat, "hands" all people's work shared out evenly. See docs/sources.md#line.
 *
 * @throws {RangeError} if birds, people or any piece of kit is less than 1
 */
export function slowestStation(line: LineInput): LineEstimate {
  for (const name of ["birds", "people", "cones", "tablePlaces", "scaldAtOnce", "pluckAtOnce"] as const) {
    if (!(line[name] >= 1)) throw new RangeError(`${name} must be at least 1, got ${line[name]}`);
  }
  const hands = (minutes: number) => minutes * line.handsFactor;
  const scaldLoadMinutes = Math.max(MEDIAN.scaldLoad, line.dipSeconds / 60);
  const coneMinutes = hands(MEDIAN.kill) + MEDIAN.bleed;
  const tableMinutes = hands(MEDIAN.pins + MEDIAN.gut + MEDIAN.rinse + MEDIAN.giblets);
  const handMinutesPerBird =
    hands(MEDIAN.kill) +
    scaldLoadMinutes / line.scaldAtOnce +
    MEDIAN.pluckLoad / line.pluckAtOnce +
    tableMinutes;
  const birdsPerHour: Record<LineStation, number> = {
    cones: (60 * line.cones) / coneMinutes,
    scald: (60 * line.scaldAtOnce) / scaldLoadMinutes,
    bath: line.bathBirdsPerHour,
    pluck: (60 * line.pluckAtOnce) / MEDIAN.pluckLoad,
    gut: (60 * Math.min(line.tablePlaces, line.people)) / hands(MEDIAN.gut),
    hands: (60 * line.people) / handMinutesPerBird,
  };
  const slowest = LINE_STATIONS.reduce((least, station) =>
    birdsPerHour[station] < birdsPerHour[least] ? station : least,
  );
  const intervalMinutes = 60 / birdsPerHour[slowest];
  const firstBirdMinutes = coneMinutes + scaldLoadMinutes + MEDIAN.pluckLoad + tableMinutes;
  return {
    birdsPerHour,
    slowest,
    slowestBirdsPerHour: birdsPerHour[slowest],
    intervalMinutes,
    lineMinutes: firstBirdMinutes + (line.birds - 1) * intervalMinutes,
    handMinutesPerBird,
  };
}
