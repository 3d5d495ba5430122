import {
  BLEEDING,
  CHILLED,
  CONES_TAKEN,
  DUE,
  DUE_AT,
  IN_PLUCKER,
  IN_SCALD,
  IN_TANK,
  KILLED,
  type LineContext,
  NO_KILL,
  NO_SCALD,
  PLACED,
  QUEUED,
  ROOMY,
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

export function push({ state, birds }: LineContext, station: number, bird: number): void {
  const place = state.tail[station]!;
  state.queue[station * birds + place] = bird;
  state.tail[station] = place + 1;
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

export function takeTank({ state: { counts }, tankBirds }: LineContext): void {
  const taken = counts[IN_TANK]! + 1;
  counts[IN_TANK] = taken;
  if (taken >= tankBirds) counts[ROOMY] = counts[ROOMY]! & ~(1 << RINSE);
}

export function leaveTank({ state: { counts }, tankBirds }: LineContext): void {
  const taken = counts[IN_TANK]! - 1;
  counts[IN_TANK] = taken;
  if (taken < tankBirds) counts[ROOMY] = counts[ROOMY]! | (1 << RINSE);
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
    const bled = tail[SCALD]! - head[SCALD]!;
    const isFull = bled >= context.scaldAtOnce;
    const load = isFull ? context.scaldAtOnce : bled;
    // A load that is not full goes in only when nothing can add to it: else it would wait for ever before a break.
    if (
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
