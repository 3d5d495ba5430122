import { sealCycleMinutes } from "#core/cutting/cutting-constants.ts";
import { CHANGE_MINUTES, DRAIN_MINUTES } from "#core/processing-line/line-constants.ts";
import {
  birdsByLot,
  birdsOf,
  flowsWith,
  type LineDay,
  type LineLot,
  mostInLine,
} from "#core/processing-line/line-day.ts";
import { DRAW_TABLES } from "#core/processing-line/line-draws.ts";
import {
  isAnotherBench,
  nextAtBench,
  PLUCK,
  SCALD,
  STATION_COUNT,
  STATION_NUMBER,
  STATIONS,
  type Station,
  stationRow,
  workOrder,
} from "#core/processing-line/line-station.ts";

/** Most people on one line: each is a bit of a number. */
export const MOST_PEOPLE = 24;
/** Most lots of one day: a number of a lot is kept in a byte, and a farm that has more plans another day. */
export const MOST_LOTS = 12;
/** Most birds of one day: far past what a farm dresses, and short of what would keep a page waiting. */
export const MOST_BIRDS = 2000;

/** What a stretch between two fixed moments of the day allows. */
export const IN_BREAK = 1;
export const NO_KILL = 2;
export const NO_SCALD = 4;

/** Slow starts are told apart for so many birds; after them the extra is below 1 in 20,000. */
export const SLOW_START_BIRDS = 64;

/** Who is due, beside people by number: the bird that has rested first, hot water, the clock, a bird that has bled. */
export const REST = 32;
export const WATER = 33;
export const NEXT_MOMENT = 34;
export const FIRST_BIRD = 64;

/** Places in `clock`: now, the end of the last work, the longest waits, how far the bath is below its setting and since when. */
export const NOW = 0;
export const LAST_WORK = 1;
export const WAIT_TO_SCALD = 2;
export const WAIT_TO_CHILL = 3;
export const BATH_BELOW = 4;
export const BATH_SINCE = 5;
/** What the work just begun will take: kept here because a number returned would be put on the heap. */
export const MINUTES = 6;
/** When what is about to be expected will come: an argument would be put on the heap, like the above. */
export const DUE_AT = 7;
/** Room in the tanks that is taken or promised, in birds of the day's largest. */
export const TANK_TAKEN = 8;
/** When the sealer's chamber is free again. */
export const SEALER_FREE = 9;
const CLOCKS = 10;

/** Places in `counts`. */
export const KILLED = 0;
export const CHILLED = 1;
/** Cones with a bird in them or about to get one. */
export const CONES_TAKEN = 2;
/** Birds under the knife or bleeding. */
export const BLEEDING = 3;
/** Birds, in the order of reaching the chill, that have rested. */
export const RESTED = 4;
export const IN_SCALD = 5;
export const IN_PLUCKER = 6;
export const SINCE_CHANGE = 7;
export const IDLE = 8;
export const MOMENT = 9;
export const EVENTS = 10;
/** Stations as bits: birds wait before it; a place at it is free; there is room after it. */
export const QUEUED = 11;
export const PLACED = 12;
export const ROOMY = 13;
/** Things to come, in `dueAt` and `dueWho`. */
export const DUE = 14;
export const WATER_IS_SHUT = 15;
/** The lot that the water is set for. */
export const BATH_LOT = 16;
const COUNTS = 17;

/** All that one replication needs, laid out once for thousands of them. See line-run.ts. */
export interface LineContext {
  readonly birds: number;
  readonly personCount: number;
  readonly coneCount: number;
  readonly scaldAtOnce: number;
  readonly pluckAtOnce: number;
  readonly isPluckedByHand: boolean;
  readonly packsSameDay: boolean;
  /** Whether a day has lots that do not flow as one, so that queues must be kept in their order. */
  readonly keepsOrder: boolean;
  readonly tankBirds: number;
  /** Whether anything waits for a bird to have rested: packing, or its place in the tank. */
  readonly doesRestMatter: boolean;
  readonly mostInLine: number;
  readonly scaldedRoom: number;
  readonly changeEvery: number;
  readonly hasBath: boolean;
  readonly seed: number;
  /** By station: the bit of the next one at the same bench, 0 where there is none. */
  readonly nextAtBench: Int32Array;
  /** By station left and station begun: minutes lost on the way, 0 within one bench. */
  readonly walkMinutes: Float64Array;
  /** By lot and station: medians. */
  readonly medians: Float64Array;
  /** By station: streams of random draws, places, room before it. */
  readonly streams: Int32Array;
  readonly places: Int32Array;
  readonly room: Int32Array;
  readonly setUpMinutes: number;
  readonly bleedFloor: number;
  readonly spellFrom: number;
  readonly spellTo: number;
  readonly spellFactor: number;
  /** By bird: its lot, and whether it is cut up. */
  readonly lotOf: Uint8Array;
  readonly isCut: Uint8Array;
  /** By bird: the first of the lots that flow as one with its own. */
  readonly flowOf: Uint8Array;
  /** By that lot: the first of their birds, and the bird after their last. */
  readonly flowFrom: Int32Array;
  readonly flowTo: Int32Array;
  /** By lot, as in LineLot. */
  readonly hasGiblets: Uint8Array;
  readonly tankShare: Float64Array;
  readonly bleedMinutes: Float64Array;
  /** The sealer's own cycles for a bird's packs. */
  readonly sealCycle: Float64Array;
  readonly restMinutes: Float64Array;
  readonly settingMinutes: Float64Array;
  readonly changeMinutes: Float64Array;
  readonly sagPerBird: Float64Array;
  readonly recoveryPerMinute: Float64Array;
  readonly waitBelow: Float64Array;
  /** ln 10 / z: a bath so much colder stretches the dip by e to that. */
  readonly stretchPerKelvin: Float64Array;
  /** By person in the order in which they choose: stations in their work order, how many, as bits, and pace by station. */
  readonly order: Uint8Array;
  readonly orderCount: Uint8Array;
  readonly allowed: Int32Array;
  readonly pace: Float64Array;
  /** Place of each of them in the day's list of people. */
  readonly personOf: readonly number[];
  /** Moments at which the day changes by the clock, and from each on what it allows and who is there. */
  readonly moments: Float64Array;
  readonly momentFlags: Uint8Array;
  readonly momentPresent: Int32Array;
  readonly draws: Float64Array;
  /** How much whole days differ; undefined for ours. */
  readonly daySdLn: number | undefined;
  readonly state: LineState;
}

/** What changes in a replication. Birds in queues are numbers in the order of their kill. */
export interface LineState {
  /** What is to come, the soonest last: when, and who. */
  readonly dueAt: Float64Array;
  readonly dueWho: Int32Array;
  readonly clock: Float64Array;
  readonly counts: Int32Array;
  readonly personStation: Int8Array;
  readonly personLast: Int8Array;
  readonly personBird: Int32Array;
  readonly personFactor: Float64Array;
  readonly personDone: Int32Array;
  readonly inScald: Int32Array;
  readonly inPlucker: Int32Array;
  readonly queue: Int32Array;
  readonly head: Int32Array;
  readonly tail: Int32Array;
  /** Birds that wait before a station or are on their way there. */
  readonly occupied: Int32Array;
  readonly working: Int32Array;
  readonly killedAt: Float64Array;
  readonly bledAt: Float64Array;
  readonly pluckedAt: Float64Array;
  /** In the order of reaching the chill. */
  readonly chilledAt: Float64Array;
  readonly chilledBird: Int32Array;
  /** Minutes of work by station and by person. */
  readonly stationWork: Float64Array;
  readonly personWork: Float64Array;
}

const UNLIMITED = 1 << 29;

const NEXT_AT_BENCH = Int32Array.from(STATIONS, (station) => {
  const next = nextAtBench(station);
  return next === undefined ? 0 : 1 << STATION_NUMBER[next];
});
const STREAMS = Int32Array.from(STATIONS, (station) => stationRow(station).drawStream);
const WALK_MINUTES = Float64Array.from(
  STATIONS.flatMap((from) => STATIONS.map((to) => (isAnotherBench(from, to) ? CHANGE_MINUTES : 0))),
);

/** Whether a bird may have to wait for room in the tanks, which is there while one of the day's largest still fits. */
function canTankBeFull({ lots, kit }: LineDay): boolean {
  const takenByAll = lots.reduce((sum, lot) => sum + lot.birds * lot.tankShare, 0);
  const least = Math.min(...lots.map(({ tankShare }) => tankShare));
  return takenByAll - least + 1 > kit.tankBirds;
}

/**
 * Lays a day out for the hot loop.
 *
 * @throws {RangeError} if there is no bird, no one, no cone, or more people or birds than can be held
 */
export function lineContext(day: LineDay, seed: number): LineContext {
  const birds = birdsOf(day);
  for (const [what, count, most] of [
    ["lots", day.lots.length, MOST_LOTS],
    ["birds", birds, MOST_BIRDS],
    ...day.lots.map((lot) => ["birds of a lot", lot.birds, MOST_BIRDS] as const),
    ["people", day.people.length, MOST_PEOPLE],
    ["cones", day.kit.cones, 100],
    ["scald at once", day.kit.scaldAtOnce, 100],
    ["pluck at once", day.kit.pluckAtOnce, 100],
  ] as const)
    if (!(Number.isInteger(count) && count >= 1 && count <= most))
      throw new RangeError(`${what} must be 1 to ${most}, got ${count}`);
  const personOf = day.people
    .map((_, index) => index)
    .toSorted((one, other) => day.people[one]!.stations.length - day.people[other]!.stations.length);
  const people = personOf.map((index) => day.people[index]!);
  const { kit } = day;
  const pluckers = day.pluckBy === "hand" ? people.length : kit.pluckAtOnce;
  return {
    birds,
    personCount: people.length,
    coneCount: kit.cones,
    scaldAtOnce: kit.scaldAtOnce,
    pluckAtOnce: day.pluckBy === "hand" ? 1 : kit.pluckAtOnce,
    isPluckedByHand: day.pluckBy === "hand",
    packsSameDay: day.packSameDay,
    keepsOrder: flowsWith(day).some((first) => first > 0),
    tankBirds: kit.tankBirds,
    doesRestMatter: day.packSameDay || canTankBeFull(day),
    mostInLine: mostInLine(people),
    scaldedRoom: pluckers + kit.scaldAtOnce,
    changeEvery: day.changeWaterEvery ?? UNLIMITED,
    hasBath: day.lots.some(({ bath }) => bath !== undefined),
    seed,
    ...stationTables(day),
    ...lotTables(day),
    ...peopleTables(people),
    personOf,
    ...clockTables(day, people),
    draws: DRAW_TABLES,
    daySdLn: day.daySdLn,
    state: emptyState(day),
  };
}

function stationTables(day: LineDay) {
  const { kit, slowSpell } = day;
  const places = new Int32Array(STATION_COUNT).fill(UNLIMITED);
  places[SCALD] = 1;
  places[PLUCK] = day.pluckBy === "hand" ? UNLIMITED : 1;
  for (const [station, count] of Object.entries(kit.places))
    places[STATION_NUMBER[station as Station]] = count;
  const room = new Int32Array(STATION_COUNT).fill(UNLIMITED);
  for (const [station, count] of Object.entries(kit.buffers))
    room[STATION_NUMBER[station as Station]] = count;
  return {
    nextAtBench: NEXT_AT_BENCH,
    walkMinutes: WALK_MINUTES,
    streams: STREAMS,
    places,
    room,
    setUpMinutes: day.setUpMinutes,
    bleedFloor: day.bleedFloorMinutes,
    spellFrom: slowSpell?.fromMinute ?? Infinity,
    spellTo: slowSpell ? slowSpell.fromMinute + slowSpell.minutes : Infinity,
    spellFactor: slowSpell?.factor ?? 1,
  };
}

function lotTables(day: LineDay) {
  const { lots } = day;
  const birds = birdsByLot(day);
  const flows = flowsWith(day);
  const birdsBefore = (lot: number) => birdsOf({ lots: lots.slice(0, lot) });
  const ofLots = (of: (lot: LineLot) => number) => Float64Array.from(lots, of);
  return {
    medians: Float64Array.from(lots.flatMap(({ minutes }) => STATIONS.map((station) => minutes[station]))),
    lotOf: Uint8Array.from(birds, ({ lot }) => lot),
    isCut: Uint8Array.from(birds, ({ isCutUp }) => Number(isCutUp)),
    flowOf: Uint8Array.from(birds, ({ lot }) => flows[lot]!),
    flowFrom: Int32Array.from(flows, birdsBefore),
    flowTo: Int32Array.from(flows, (first) => birdsBefore(flows.lastIndexOf(first) + 1)),
    hasGiblets: Uint8Array.from(lots, ({ giblets }) => Number(giblets)),
    tankShare: ofLots(({ tankShare }) => tankShare),
    bleedMinutes: ofLots(({ minutes }) => minutes.bleed),
    sealCycle: ofLots(({ packsPerBird }) =>
      sealCycleMinutes({ packsPerBird, sealAtOnce: day.kit.sealAtOnce }),
    ),
    restMinutes: ofLots(({ restMinutes }) => restMinutes),
    settingMinutes: ofLots(({ settingMinutes }) => settingMinutes),
    changeMinutes: ofLots(({ waterChangeMinutes }) => waterChangeMinutes),
    sagPerBird: ofLots(({ bath }) => bath?.sagPerBird ?? 0),
    recoveryPerMinute: ofLots(({ bath }) => bath?.recoveryPerMinute ?? 0),
    waitBelow: ofLots(({ bath }) => bath?.waitBelow ?? Infinity),
    stretchPerKelvin: ofLots(({ bath }) => (bath ? Math.LN10 / bath.zCelsius : 0)),
  };
}

function peopleTables(people: LineDay["people"]) {
  const order = new Uint8Array(people.length * STATION_COUNT);
  const orderCount = new Uint8Array(people.length);
  const allowed = new Int32Array(people.length);
  const pace = new Float64Array(people.length * STATION_COUNT).fill(1);
  for (const [index, person] of people.entries()) {
    for (const [rank, station] of workOrder(person.stations).entries()) {
      const number = STATION_NUMBER[station];
      order[index * STATION_COUNT + rank] = number;
      orderCount[index] = rank + 1;
      allowed[index] = allowed[index]! | (1 << number);
      pace[index * STATION_COUNT + number] = person.pace[station] ?? 1;
    }
  }
  return { order, orderCount, allowed, pace };
}

function clockTables(day: LineDay, people: LineDay["people"]) {
  const breaks = day.breaks.map(({ fromMinute, minutes }) => ({
    from: fromMinute,
    to: fromMinute + minutes,
  }));
  const times = [
    day.setUpMinutes,
    ...breaks.flatMap(({ from, to }) => [from - DRAIN_MINUTES.kill, from - DRAIN_MINUTES.scald, from, to]),
    ...people.flatMap(({ fromMinute, toMinute }) => [fromMinute, toMinute]),
  ];
  const moments = Float64Array.from(
    [
      ...new Set(times.filter((time) => Number.isFinite(time) && time > day.setUpMinutes)),
      day.setUpMinutes,
    ].toSorted((one, other) => one - other),
  );
  const within = (time: number, early: number) =>
    breaks.some(({ from, to }) => time >= from - early && time < to);
  const momentFlags = Uint8Array.from(
    moments,
    (time) =>
      (within(time, 0) ? IN_BREAK : 0) |
      (within(time, DRAIN_MINUTES.kill) ? NO_KILL : 0) |
      (within(time, DRAIN_MINUTES.scald) ? NO_SCALD : 0),
  );
  const momentPresent = Int32Array.from(moments, (time) =>
    people.reduce(
      (bits, { fromMinute, toMinute }, index) =>
        fromMinute <= time && time < toMinute ? bits | (1 << index) : bits,
      0,
    ),
  );
  return { moments, momentFlags, momentPresent };
}

function emptyState({ lots, people, kit }: LineDay): LineState {
  const birds = birdsOf({ lots });
  const persons = people.length;
  return {
    dueAt: new Float64Array(persons + kit.cones + 3),
    dueWho: new Int32Array(persons + kit.cones + 3),
    clock: new Float64Array(CLOCKS),
    counts: new Int32Array(COUNTS),
    personStation: new Int8Array(persons),
    personLast: new Int8Array(persons),
    personBird: new Int32Array(persons),
    personFactor: new Float64Array(persons),
    personDone: new Int32Array(persons * STATION_COUNT),
    inScald: new Int32Array(kit.scaldAtOnce),
    inPlucker: new Int32Array(kit.pluckAtOnce),
    queue: new Int32Array(STATION_COUNT * birds),
    head: new Int32Array(STATION_COUNT),
    tail: new Int32Array(STATION_COUNT),
    occupied: new Int32Array(STATION_COUNT),
    working: new Int32Array(STATION_COUNT),
    killedAt: new Float64Array(birds),
    bledAt: new Float64Array(birds),
    pluckedAt: new Float64Array(birds),
    chilledAt: new Float64Array(birds),
    chilledBird: new Int32Array(birds),
    stationWork: new Float64Array(STATION_COUNT),
    personWork: new Float64Array(persons),
  };
}
