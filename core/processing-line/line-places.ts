import {
  BLEEDING,
  CHILLED,
  CONES_TAKEN,
  DUE,
  DUE_AT,
  IN_PLUCKER,
  IN_SCALD,
  KILLED,
  type LineContext,
  NO_KILL,
  NO_SCALD,
  PLACED,
  QUEUED,
  ROOMY,
  TANK_TAKEN,
  WATER_IS_SHUT,
} from "#core/processing-line/line-context.ts";
import { CONES, FEET, PLUCK, RINSE, SCALD } from "#core/processing-line/line-station.ts";

/* Where the birds of a replication are, and what is to come. See line-run.ts. */

/** Stations whose readiness is told by the three sets of bits alone. */
const FROM_FEET_ON = -1 << FEET;

/** Puts what is to come in its place: the soonest last, so that it is taken at no cost; of two at once, the lower number. */
export function announce(context: LineContext, who: number): void {
  const { clock, counts, dueAt, dueWho } = context.state;
  const at = clock[DUE_AT]!;
  let place = counts[DUE]!;
  counts[DUE] = place + 1;
  while (place > 0) {
    const other = dueAt[place - 1]!;
    if (other > at || (other === at && dueWho[place - 1]! > who)) break;
    dueAt[place] = other;
    dueWho[place] = dueWho[place - 1]!;
    place -= 1;
  }
  dueAt[place] = at;
  dueWho[place] = who;
}

/** Puts a bird at the end of a queue, or before all birds of later lots that do not flow as one with its own. */
export function push({ state, birds, keepsOrder, flowOf }: LineContext, station: number, bird: number): void {
  const { queue } = state;
  const from = station * birds + state.head[station]!;
  let place = station * birds + state.tail[station]!;
  state.tail[station] = state.tail[station]! + 1;
  if (keepsOrder) {
    const flow = flowOf[bird]!;
    while (place > from && flowOf[queue[place - 1]!]! > flow) {
      queue[place] = queue[place - 1]!;
      place -= 1;
    }
  }
  queue[place] = bird;
  state.counts[QUEUED] = state.counts[QUEUED]! | (1 << station);
}

export function pop({ state, birds }: LineContext, station: number): number {
  const place = state.head[station]!;
  state.head[station] = place + 1;
  if (place + 1 === state.tail[station]) state.counts[QUEUED] = state.counts[QUEUED]! & ~(1 << station);
  return state.queue[station * birds + place]!;
}

/** Birds take or promise themselves room before a station; the one before it stops when that is full. */
export function occupy({ state, room }: LineContext, station: number, birds: number): void {
  const taken = state.occupied[station]! + birds;
  state.occupied[station] = taken;
  if (taken >= room[station]!) state.counts[ROOMY] = state.counts[ROOMY]! & ~(1 << (station - 1));
}

export function vacate({ state, room }: LineContext, station: number, birds: number): void {
  const taken = state.occupied[station]! - birds;
  state.occupied[station] = taken;
  if (taken < room[station]!) state.counts[ROOMY] = state.counts[ROOMY]! | (1 << (station - 1));
}

export function takeTank(context: LineContext, bird: number): void {
  changeTank(context, context.tankShare[context.lotOf[bird]!]!);
}

export function leaveTank(context: LineContext, bird: number): void {
  changeTank(context, -context.tankShare[context.lotOf[bird]!]!);
}

/** The tanks are full where one of the day's largest has no room in them. */
function changeTank({ state: { counts, clock }, tankBirds }: LineContext, by: number): void {
  const taken = clock[TANK_TAKEN]! + by;
  clock[TANK_TAKEN] = taken;
  if (taken + 1 > tankBirds) counts[ROOMY] = counts[ROOMY]! & ~(1 << RINSE);
  else counts[ROOMY] = counts[ROOMY]! | (1 << RINSE);
}

/** Birds at the head of a queue that flow as one, at most so many. */
function alike(
  { state: { queue, head }, birds, flowOf }: LineContext,
  station: number,
  most: number,
): number {
  const at = station * birds + head[station]!;
  const flow = flowOf[queue[at]!]!;
  let load = 1;
  while (load < most && flowOf[queue[at + load]!]! === flow) load += 1;
  return load;
}

/** Birds of the next load into the scald; none where birds of an earlier lot are still to come. */
export function nextScaldLoad(context: LineContext): number {
  const { state, birds, scaldAtOnce, flowOf, flowFrom, keepsOrder } = context;
  const scalded = state.head[SCALD]!;
  const most = Math.min(state.tail[SCALD]! - scalded, scaldAtOnce);
  if (!keepsOrder) return most;
  const flow = flowOf[state.queue[SCALD * birds + scalded]!]!;
  return flowFrom[flow]! <= scalded ? alike(context, SCALD, most) : 0;
}

/** Birds that make a load full: as many as the bath holds, or all that are left of lots that flow as one. */
function mostToScald({ state, scaldAtOnce, flowOf, flowTo, keepsOrder }: LineContext): number {
  if (!keepsOrder) return scaldAtOnce;
  const scalded = state.head[SCALD]!;
  return Math.min(flowTo[flowOf[scalded]!]! - scalded, scaldAtOnce);
}

/** Birds of the next load into the drum. */
export function nextDrumLoad(context: LineContext): number {
  const { state, pluckAtOnce, keepsOrder } = context;
  const most = Math.min(state.tail[PLUCK]! - state.head[PLUCK]!, pluckAtOnce);
  return keepsOrder ? alike(context, PLUCK, most) : most;
}

/** Stations, as bits, at which something can be begun now: work before it, a place at it, and room after it. */
export function readyStations(context: LineContext, flags: number): number {
  const { counts, head, tail, occupied } = context.state;
  const queued = counts[QUEUED]!;
  let ready = queued & counts[PLACED]! & counts[ROOMY]! & FROM_FEET_ON;
  const killed = counts[KILLED]!;
  const canKill =
    (flags & NO_KILL) === 0 &&
    killed < context.birds &&
    counts[CONES_TAKEN]! < context.coneCount &&
    killed - counts[CHILLED]! < context.mostInLine;
  if (canKill) ready |= 1 << CONES;
  if (
    (queued & (1 << SCALD)) !== 0 &&
    counts[IN_SCALD] === 0 &&
    (flags & NO_SCALD) === 0 &&
    counts[WATER_IS_SHUT] === 0
  ) {
    const load = nextScaldLoad(context);
    const isFull = load >= mostToScald(context);
    // A load that is not full goes in only when nothing can add to it: else it would wait for ever before a break.
    if (
      load > 0 &&
      occupied[PLUCK]! + load <= context.scaldedRoom &&
      (isFull || (!canKill && (counts[BLEEDING] === 0 || (flags & NO_KILL) !== 0)))
    )
      ready |= 1 << SCALD;
  }
  if ((queued & counts[ROOMY]! & (1 << PLUCK)) !== 0) {
    if (
      context.isPluckedByHand ||
      (counts[IN_PLUCKER] === 0 &&
        (tail[PLUCK]! - head[PLUCK]! >= context.pluckAtOnce || counts[IN_SCALD] === 0))
    )
      ready |= 1 << PLUCK;
  }
  return ready;
}
