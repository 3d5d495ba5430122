import { SLOW_START, TIREDNESS } from "#core/processing-line/line-constants.ts";
import {
  BATH_BELOW,
  BATH_LOT,
  BATH_SINCE,
  BLEEDING,
  CHILLED,
  CONES_TAKEN,
  DUE_AT,
  FIRST_BIRD,
  IDLE,
  IN_PLUCKER,
  IN_SCALD,
  KILLED,
  LAST_WORK,
  type LineContext,
  MINUTES,
  NOW,
  PLACED,
  REST,
  RESTED,
  SEALER_FREE,
  SINCE_CHANGE,
  SLOW_START_BIRDS,
  WAIT_TO_CHILL,
  WAIT_TO_SCALD,
  WATER,
  WATER_IS_SHUT,
} from "#core/processing-line/line-context.ts";
import { BLEED_STREAM, drawIndex, TABLE_BITS } from "#core/processing-line/line-draws.ts";
import {
  announce,
  leaveTank,
  nextDrumLoad,
  nextScaldLoad,
  occupy,
  pop,
  push,
  takeTank,
  vacate,
} from "#core/processing-line/line-places.ts";
import {
  CONES,
  CUT,
  FEET,
  GIBLETS,
  GUT,
  PACK,
  PINS,
  PLUCK,
  RINSE,
  SCALD,
  SEAL,
  STATION_COUNT,
} from "#core/processing-line/line-station.ts";

/* What people do in a replication: begin with a bird or a load, and end it. See line-run.ts. */

const SLOW_START_FACTOR = Float64Array.from(
  { length: SLOW_START_BIRDS },
  (_, birds) => 1 + SLOW_START.extra * Math.exp(-birds / SLOW_START.birds),
);

/** Told of all that happens, where someone wants to watch. Kept off the context so that a hidden class stays one. */
export interface LineWatch {
  /** Before each event: the state holds since the last. */
  passes(context: LineContext, fromMinute: number, toMinute: number): void;
  begins(minute: number, station: number, person: number, bird: number): void;
  ends(minute: number, station: number, person: number, bird: number): void;
}

/** Someone begins: takes the bird or the load, promises it a place after, and knows when it will be done. */
export function begin(
  context: LineContext,
  key: number,
  person: number,
  station: number,
  watch: LineWatch | undefined,
): void {
  const { state } = context;
  const { counts, clock } = state;
  const now = clock[NOW]!;
  let bird: number;
  if (station === CONES) {
    bird = counts[KILLED]!;
    counts[KILLED] = bird + 1;
    counts[CONES_TAKEN] = counts[CONES_TAKEN]! + 1;
    counts[BLEEDING] = counts[BLEEDING]! + 1;
    state.killedAt[bird] = now;
    setHandMinutes(context, key, person, station, bird);
  } else if (station === SCALD) {
    bird = loadScald(context);
    const lot = context.lotOf[bird]!;
    clock[MINUTES] = medianOf(context, SCALD, bird) * drawsOf(context, key, SCALD, bird);
    if (context.hasBath)
      clock[MINUTES] = clock[MINUTES]! * Math.exp(context.stretchPerKelvin[lot]! * clock[BATH_BELOW]!);
  } else if (station === PLUCK && !context.isPluckedByHand) {
    bird = loadPlucker(context);
    clock[MINUTES] = medianOf(context, PLUCK, bird) * drawsOf(context, key, PLUCK, bird);
  } else {
    bird = pop(context, station);
    // Up to the rinse the next station is the next number; giblets, whole birds and sealed packs go nowhere.
    if (station < RINSE) {
      vacate(context, station, 1);
      occupy(context, station + 1, 1);
    } else if (station === RINSE) {
      vacate(context, station, 1);
      takeTank(context, bird);
    } else if (station === PACK) leaveTank(context, bird);
    else if (station === CUT) {
      leaveTank(context, bird);
      occupy(context, SEAL, 1);
    } else if (station === SEAL) vacate(context, SEAL, 1);
    setHandMinutes(context, key, person, station, bird);
  }
  const last = state.personLast[person]!;
  if (last !== -1) clock[MINUTES] = clock[MINUTES]! + context.walkMinutes[last * STATION_COUNT + station]!;
  if (station === SEAL) waitForSealer(context, bird);
  const minutes = clock[MINUTES]!;
  state.personLast[person] = station;
  state.personStation[person] = station;
  state.personBird[person] = bird;
  state.working[station] = state.working[station]! + 1;
  if (state.working[station]! >= context.places[station]!) counts[PLACED] = counts[PLACED]! & ~(1 << station);
  state.stationWork[station] = state.stationWork[station]! + minutes;
  state.personWork[person] = state.personWork[person]! + minutes;
  clock[DUE_AT] = now + minutes;
  announce(context, person);
  counts[IDLE] = counts[IDLE]! & ~(1 << person);
  watch?.begins(now, station, context.personOf[person]!, bird);
}

/** Packs are bagged while the chamber runs; they go in once it is free, and its cycles then run without hands. */
function waitForSealer(context: LineContext, bird: number): void {
  const { clock } = context.state;
  const now = clock[NOW]!;
  const free = clock[SEALER_FREE]! - now;
  if (free > clock[MINUTES]!) clock[MINUTES] = free;
  clock[SEALER_FREE] = now + clock[MINUTES]! + context.sealCycle[context.lotOf[bird]!]!;
}

function loadScald(context: LineContext): number {
  const { state } = context;
  const { counts, clock } = state;
  const load = nextScaldLoad(context);
  const now = clock[NOW]!;
  for (let place = 0; place < load; place += 1) {
    const bird = pop(context, SCALD);
    state.inScald[place] = bird;
    const waited = now - state.bledAt[bird]!;
    if (waited > clock[WAIT_TO_SCALD]!) clock[WAIT_TO_SCALD] = waited;
  }
  counts[IN_SCALD] = load;
  counts[CONES_TAKEN] = counts[CONES_TAKEN]! - load;
  occupy(context, PLUCK, load);
  if (context.hasBath) {
    const lot = context.lotOf[state.inScald[0]!]!;
    const below = clock[BATH_BELOW]! - context.recoveryPerMinute[lot]! * (now - clock[BATH_SINCE]!);
    clock[BATH_BELOW] = Math.max(below, 0) + context.sagPerBird[lot]! * load;
    clock[BATH_SINCE] = now;
  }
  return state.inScald[0]!;
}

function loadPlucker(context: LineContext): number {
  const { state, room } = context;
  const { counts, occupied } = state;
  let load = nextDrumLoad(context);
  const roomLeft = room[FEET]! - occupied[FEET]!;
  if (load > roomLeft) load = roomLeft;
  for (let place = 0; place < load; place += 1) state.inPlucker[place] = pop(context, PLUCK);
  counts[IN_PLUCKER] = load;
  vacate(context, PLUCK, load);
  occupy(context, FEET, load);
  return state.inPlucker[0]!;
}

function medianOf({ medians, lotOf }: LineContext, station: number, bird: number): number {
  return medians[lotOf[bird]! * STATION_COUNT + station]!;
}

function drawsOf(context: LineContext, key: number, station: number, bird: number): number {
  const stream = context.streams[station]!;
  return context.draws[(stream << TABLE_BITS) + drawIndex(key, stream, bird)]!;
}

/** Hands have good and bad days, slow starts, tired afternoons and rain; machines have none of them. */
function setHandMinutes(
  context: LineContext,
  key: number,
  person: number,
  station: number,
  bird: number,
): void {
  const { state } = context;
  const now = state.clock[NOW]!;
  const at = person * STATION_COUNT + station;
  const done = state.personDone[at]!;
  let minutes =
    medianOf(context, station, bird) *
    context.pace[at]! *
    state.personFactor[person]! *
    SLOW_START_FACTOR[done < SLOW_START_BIRDS ? done : SLOW_START_BIRDS - 1]! *
    drawsOf(context, key, station, bird);
  if (now > TIREDNESS.afterMinutes) minutes *= 1 + TIREDNESS.perMinute * (now - TIREDNESS.afterMinutes);
  if (now >= context.spellFrom && now < context.spellTo) minutes *= context.spellFactor;
  state.clock[MINUTES] = minutes;
}

/** Someone is done: the bird goes on. */
export function finish(
  context: LineContext,
  key: number,
  person: number,
  watch: LineWatch | undefined,
): void {
  const { state } = context;
  const { counts, clock } = state;
  const station = state.personStation[person]!;
  const bird = state.personBird[person]!;
  const at = person * STATION_COUNT + station;
  state.personDone[at] = state.personDone[at]! + 1;
  state.working[station] = state.working[station]! - 1;
  counts[PLACED] = counts[PLACED]! | (1 << station);
  clock[LAST_WORK] = clock[NOW]!;
  counts[IDLE] = counts[IDLE]! | (1 << person);
  watch?.ends(clock[NOW]!, station, context.personOf[person]!, bird);
  if (station === CONES) startBleeding(context, key, bird);
  else if (station === SCALD) unloadScald(context);
  else if (station === PLUCK) unloadPlucker(context, bird);
  else if (station === FEET || station === PINS) push(context, station + 1, bird);
  else if (station === GUT) {
    push(context, RINSE, bird);
    if (context.hasGiblets[context.lotOf[bird]!] === 1) push(context, GIBLETS, bird);
  } else if (station === RINSE) intoChill(context, bird);
  else if (station === CUT) push(context, SEAL, bird);
}

function startBleeding(context: LineContext, key: number, bird: number): void {
  const { clock } = context.state;
  const place = (BLEED_STREAM << TABLE_BITS) + drawIndex(key, BLEED_STREAM, bird);
  const minutes = context.bleedMinutes[context.lotOf[bird]!]! * context.draws[place]!;
  clock[DUE_AT] = clock[NOW]! + Math.max(minutes, context.bleedFloor);
  announce(context, FIRST_BIRD + bird);
}

function unloadScald(context: LineContext): void {
  const { counts, inScald } = context.state;
  const load = counts[IN_SCALD]!;
  for (let place = 0; place < load; place += 1) push(context, PLUCK, inScald[place]!);
  counts[IN_SCALD] = 0;
  counts[SINCE_CHANGE] = counts[SINCE_CHANGE]! + load;
  readyWater(context);
}

/** Makes the water ready for the next load: new water, the next lot's setting, or back from its sag. */
function readyWater(context: LineContext): void {
  const { counts, clock, head } = context.state;
  const now = clock[NOW]!;
  const scalded = head[SCALD]!;
  const lot = context.lotOf[scalded < context.birds ? scalded : scalded - 1]!;
  const isNextLot = counts[BATH_LOT] !== lot;
  counts[BATH_LOT] = lot;
  if (counts[SINCE_CHANGE]! >= context.changeEvery && scalded < context.birds) {
    counts[SINCE_CHANGE] = 0;
    clock[BATH_BELOW] = 0;
    shutWater(context, context.changeMinutes[lot]!);
    return;
  }
  let minutes = isNextLot ? context.settingMinutes[lot]! : 0;
  if (context.hasBath) {
    const recovery = context.recoveryPerMinute[lot]!;
    const below = clock[BATH_BELOW]! - recovery * (now - clock[BATH_SINCE]!);
    if (minutes > 0) {
      // All of the heat goes into the new setting first.
      clock[BATH_BELOW] = Math.max(below, 0);
      clock[BATH_SINCE] = now + minutes;
    }
    if (below > context.waitBelow[lot]!) minutes += (below - context.waitBelow[lot]!) / recovery;
  }
  if (minutes > 0) shutWater(context, minutes);
}

function shutWater(context: LineContext, minutes: number): void {
  const { counts, clock } = context.state;
  counts[WATER_IS_SHUT] = 1;
  clock[DUE_AT] = clock[NOW]! + minutes;
  announce(context, WATER);
}

function unloadPlucker(context: LineContext, bird: number): void {
  const { state } = context;
  const now = state.clock[NOW]!;
  if (context.isPluckedByHand) {
    state.pluckedAt[bird] = now;
    push(context, FEET, bird);
    return;
  }
  const load = state.counts[IN_PLUCKER]!;
  for (let place = 0; place < load; place += 1) {
    const plucked = state.inPlucker[place]!;
    state.pluckedAt[plucked] = now;
    push(context, FEET, plucked);
  }
  state.counts[IN_PLUCKER] = 0;
}

function intoChill(context: LineContext, bird: number): void {
  const { counts, clock, chilledAt, chilledBird, pluckedAt } = context.state;
  const now = clock[NOW]!;
  const place = counts[CHILLED]!;
  chilledAt[place] = now;
  chilledBird[place] = bird;
  counts[CHILLED] = place + 1;
  if (context.doesRestMatter && counts[RESTED] === place) {
    clock[DUE_AT] = now + context.restMinutes[context.lotOf[bird]!]!;
    announce(context, REST);
  }
  const waited = now - pluckedAt[bird]!;
  if (waited > clock[WAIT_TO_CHILL]!) clock[WAIT_TO_CHILL] = waited;
}
