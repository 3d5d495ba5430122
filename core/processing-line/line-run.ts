import {
  BATH_SINCE,
  BLEEDING,
  CHILLED,
  DUE,
  DUE_AT,
  EVENTS,
  FIRST_BIRD,
  IDLE,
  IN_BREAK,
  LAST_WORK,
  type LineContext,
  type LineState,
  MOMENT,
  MOST_PEOPLE,
  NEXT_MOMENT,
  NOW,
  PLACED,
  QUEUED,
  REST,
  RESTED,
  ROOMY,
  WATER,
  WATER_IS_SHUT,
} from "#core/processing-line/line-context.ts";
import {
  dayDraw,
  drawIndex,
  PERSON_STREAM,
  replicationKey,
  TABLE_BITS,
} from "#core/processing-line/line-draws.ts";
import { announce, leaveTank, push, readyStations } from "#core/processing-line/line-places.ts";
import { CUT, PACK, SCALD, STATION_COUNT } from "#core/processing-line/line-station.ts";
import { begin, finish, type LineWatch } from "#core/processing-line/line-work.ts";

/*
 * One replication, event by event. Module-level functions over a context, typed arrays, nothing allocated: some thousands
 * of replications must be played while someone moves a name. readable-line.ts plays the same replications in plain words, and
 * a test holds the two equal, event for event.
 */

/**
 * Plays one replication; what came of it stands in the context's state.
 *
 * @returns whether every bird reached the chill and all work was done; false where the day gets stuck, as when no one is
 *   left who may do what is next
 */
export function playReplication(context: LineContext, replication: number, watch?: LineWatch): boolean {
  const key = replicationKey(context.seed, replication);
  beginReplication(context, key, dayDraw(key, context.daySdLn));
  return playOn(context, key, undefined, watch) === "done";
}

/** Where a replication is to halt: at a minute, or as soon as so many birds have passed what is counted. */
export interface Halt {
  readonly minute: number;
  readonly count: number;
  readonly counted: (state: LineState) => number;
}

/**
 * Plays on from where the context's state stands.
 *
 * @param key of the replication, see replicationKey
 * @returns "halted" where the halt came first: all that anybody had begun by then has begun
 */
export function playOn(
  context: LineContext,
  key: number,
  halt: Halt | undefined,
  watch?: LineWatch,
): "done" | "stuck" | "halted" {
  const { clock, counts, dueAt, dueWho } = context.state;
  const everybody = (1 << context.personCount) - 1;
  for (;;) {
    assign(context, key, watch);
    if (counts[IDLE] === everybody && isAllDone(context)) return "done";
    const last = counts[DUE]! - 1;
    if (last < 0) return "stuck";
    if (halt !== undefined && (dueAt[last]! > halt.minute || halt.counted(context.state) >= halt.count))
      return "halted";
    counts[DUE] = last;
    const who = dueWho[last]!;
    watch?.passes(context, clock[NOW]!, dueAt[last]!);
    clock[NOW] = dueAt[last]!;
    counts[EVENTS] = counts[EVENTS]! + 1;
    if (who < MOST_PEOPLE) finish(context, key, who, watch);
    else if (who >= FIRST_BIRD) finishBleeding(context, who - FIRST_BIRD);
    else if (who === REST) finishRest(context);
    else if (who === WATER) counts[WATER_IS_SHUT] = 0;
    else passMoment(context);
  }
}

/**
 * Lays the context's state out for the first minute of a replication.
 *
 * @param day how the whole day goes against the usual one, a factor on its work, see dayDraw
 */
export function beginReplication(context: LineContext, key: number, day: number): void {
  const { state, personCount, moments } = context;
  const { counts, clock } = state;
  clock.fill(0);
  counts.fill(0);
  state.personDone.fill(0);
  state.head.fill(0);
  state.tail.fill(0);
  state.occupied.fill(0);
  state.working.fill(0);
  state.stationWork.fill(0);
  state.personWork.fill(0);
  state.personLast.fill(-1);
  clock[NOW] = context.setUpMinutes;
  clock[LAST_WORK] = context.setUpMinutes;
  clock[BATH_SINCE] = context.setUpMinutes;
  counts[IDLE] = (1 << personCount) - 1;
  counts[PLACED] = -1;
  counts[ROOMY] = -1;
  if (moments.length > 1) {
    clock[DUE_AT] = moments[1]!;
    announce(context, NEXT_MOMENT);
  }
  for (let person = 0; person < personCount; person += 1) {
    const place = drawIndex(key, PERSON_STREAM, context.personOf[person]!);
    state.personFactor[person] = day * context.draws[(PERSON_STREAM << TABLE_BITS) + place]!;
  }
}

function isAllDone({ state: { counts }, birds, packsSameDay }: LineContext): boolean {
  return counts[CHILLED] === birds && counts[QUEUED] === 0 && (!packsSameDay || counts[RESTED] === birds);
}

function passMoment(context: LineContext): void {
  const { counts, clock } = context.state;
  const moment = counts[MOMENT]! + 1;
  counts[MOMENT] = moment;
  if (moment + 1 === context.moments.length) return;
  clock[DUE_AT] = context.moments[moment + 1]!;
  announce(context, NEXT_MOMENT);
}

function finishBleeding(context: LineContext, bird: number): void {
  const { state } = context;
  state.counts[BLEEDING] = state.counts[BLEEDING]! - 1;
  state.bledAt[bird] = state.clock[NOW]!;
  push(context, SCALD, bird);
}

/** The bird that was in the chill first has rested: it goes on, or gives its place in the tank to another. */
function finishRest(context: LineContext): void {
  const { counts, clock, chilledAt, chilledBird } = context.state;
  const place = counts[RESTED]!;
  counts[RESTED] = place + 1;
  const bird = chilledBird[place]!;
  if (!context.packsSameDay) leaveTank(context, bird);
  else push(context, context.isCut[bird] === 1 ? CUT : PACK, bird);
  if (place + 1 === counts[CHILLED]) return;
  const restedAt = chilledAt[place + 1]! + context.restMinutes[context.lotOf[chilledBird[place + 1]!]!]!;
  // Birds are taken out in the order in which they went in.
  clock[DUE_AT] = Math.max(restedAt, clock[NOW]!);
  announce(context, REST);
}

/** What someone takes up: the bird in hand at the same bench, else the first station of their order that is ready. */
function stationFor(context: LineContext, person: number, ready: number): number {
  const last = context.state.personLast[person]!;
  if (last !== -1) {
    const inHand = ready & context.nextAtBench[last]!;
    if (inHand !== 0) return 31 - Math.clz32(inHand);
  }
  let rank = person * STATION_COUNT;
  while ((ready & (1 << context.order[rank]!)) === 0) rank += 1;
  return context.order[rank]!;
}

/** Gives work to whoever is idle and may do what is ready, those who can do least first. */
function assign(context: LineContext, key: number, watch: LineWatch | undefined): void {
  const { counts } = context.state;
  const moment = counts[MOMENT]!;
  const flags = context.momentFlags[moment]!;
  if ((flags & IN_BREAK) !== 0) return;
  let waiting = counts[IDLE]! & context.momentPresent[moment]!;
  while (waiting !== 0) {
    const ready = readyStations(context, flags);
    let asking = waiting;
    let person = -1;
    while (asking !== 0) {
      const candidate = 31 - Math.clz32(asking & -asking);
      if ((ready & context.allowed[candidate]!) !== 0) {
        person = candidate;
        break;
      }
      asking &= asking - 1;
    }
    if (person === -1) return;
    begin(context, key, person, stationFor(context, person, ready & context.allowed[person]!), watch);
    waiting &= ~(1 << person);
  }
}
