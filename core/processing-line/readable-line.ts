import {
  BIRDS_IN_LINE_EACH,
  CHANGE_MINUTES,
  DRAIN_MINUTES,
  SLOW_START,
  TIREDNESS,
} from "#core/processing-line/line-constants.ts";
import { isCutUp, type LineDay, type LinePerson } from "#core/processing-line/line-day.ts";
import {
  BLEED_STREAM,
  DRAW_TABLES,
  dayDraw,
  drawIndex,
  PERSON_STREAM,
  replicationKey,
  TABLE_BITS,
} from "#core/processing-line/line-draws.ts";
import {
  type BufferStation,
  isAnotherBench,
  isBeforeChill,
  nextAtBench,
  STATIONS,
  type Station,
  stationRow,
  workOrder,
} from "#core/processing-line/line-station.ts";

/** Something that someone begins or ends at a station, with the first bird of the load. */
export interface Happening {
  readonly minute: number;
  readonly what: "begins" | "ends";
  readonly station: Station;
  readonly person: string;
  readonly bird: number;
}

export interface ReadableReplication {
  readonly happenings: readonly Happening[];
  readonly isFinished: boolean;
  readonly killedAt: ReadonlyMap<number, number>;
  /** In the order of reaching the chill. */
  readonly chilled: readonly { readonly bird: number; readonly minute: number }[];
  /** The most birds seen waiting before each station. */
  readonly mostWaiting: Readonly<Partial<Record<Station, number>>>;
}

interface Task {
  readonly station: Station;
  readonly birds: readonly number[];
}

interface Worker {
  readonly person: LinePerson;
  readonly number: number;
  readonly order: readonly Station[];
  readonly factor: number;
  readonly done: Partial<Record<Station, number>>;
  task: Task | undefined;
  lastStation: Station | undefined;
}

interface Due {
  readonly minute: number;
  /** Of two at the same minute the lower goes first: people, then rest, water, clock, then birds that have bled. */
  readonly rank: number;
  readonly happen: () => void;
}

/**
 * The same replication as line-run.ts plays, told plainly: lists, names and functions, no thought of speed. It is there to
 * be read, and to hold the other to.
 */
export function readableReplication(day: LineDay, seed: number, replication: number): ReadableReplication {
  const key = replicationKey(seed, replication);
  const draws = (stream: number, index: number) =>
    DRAW_TABLES[(stream << TABLE_BITS) + drawIndex(key, stream, index)]!;
  const dayFactor = dayDraw(key, day.daySdLn);
  const workers: Worker[] = day.people
    .map((person, number) => ({
      person,
      number,
      order: workOrder(person.stations),
      factor: dayFactor * draws(PERSON_STREAM, number),
      done: {},
      task: undefined,
      lastStation: undefined,
    }))
    .toSorted((one, other) => one.order.length - other.order.length);

  const happenings: Happening[] = [];
  const waiting = Object.fromEntries(STATIONS.map((station) => [station, []])) as unknown as Record<
    Station,
    number[]
  >;
  waiting.cones = Array.from({ length: day.birds }, (_, bird) => bird);
  const mostWaiting: Partial<Record<Station, number>> = {};
  const killedAt = new Map<number, number>();
  const chilled: { bird: number; minute: number }[] = [];
  let dues: Due[] = [];
  let now = day.setUpMinutes;
  let bleeding = 0;
  let inTank = 0;
  let rested = 0;
  let sinceChange = 0;
  let isWaterShut = false;
  let bath = { below: 0, since: day.setUpMinutes };

  const expected = (minute: number, rank: number, happen: () => void) => dues.push({ minute, rank, happen });
  const atWork = (station: Station) => workers.filter(({ task }) => task?.station === station);
  const onTheWayTo = (station: Station) =>
    atWork(STATIONS[STATIONS.indexOf(station) - 1]!).reduce((sum, { task }) => sum + task!.birds.length, 0);
  const roomBefore = (station: BufferStation) =>
    day.kit.buffers[station] - waiting[station].length - onTheWayTo(station);
  const hasPlace = (station: keyof LineDay["kit"]["places"]) =>
    atWork(station).length < day.kit.places[station];
  const isNearBreak = (early: number) =>
    day.breaks.some(({ fromMinute, minutes }) => now >= fromMinute - early && now < fromMinute + minutes);
  const killedCount = () => killedAt.size;
  const birdsInCones = () => bleeding + waiting.scald.length;
  const mostInLine =
    BIRDS_IN_LINE_EACH * day.people.filter(({ stations }) => stations.some(isBeforeChill)).length;
  const pluckers = day.pluckBy === "hand" ? day.people.length : day.kit.pluckAtOnce;

  function canKill(): boolean {
    return (
      waiting.cones.length > 0 &&
      birdsInCones() < day.kit.cones &&
      killedCount() - chilled.length < mostInLine &&
      !isNearBreak(DRAIN_MINUTES.kill)
    );
  }

  /** The birds that would be taken if someone began at a station now; none where no one can. */
  function load(station: Station): number[] {
    const first = waiting[station].slice(0, 1);
    switch (station) {
      case "cones":
        return canKill() ? first : [];
      case "scald": {
        const birds = waiting.scald.slice(0, day.kit.scaldAtOnce);
        const isFull = birds.length === day.kit.scaldAtOnce;
        const canNothingBeAdded = !canKill() && (bleeding === 0 || isNearBreak(DRAIN_MINUTES.kill));
        const scaldedRoom = pluckers + day.kit.scaldAtOnce - waiting.pluck.length;
        const isBathFree = atWork("scald").length === 0 && !isWaterShut && !isNearBreak(DRAIN_MINUTES.scald);
        return isBathFree && birds.length <= scaldedRoom && (isFull || canNothingBeAdded) ? birds : [];
      }
      case "pluck": {
        if (day.pluckBy === "hand") return roomBefore("feet") > 0 ? first : [];
        const isWorthIt = waiting.pluck.length >= day.kit.pluckAtOnce || atWork("scald").length === 0;
        const most = Math.min(day.kit.pluckAtOnce, roomBefore("feet"));
        return atWork("pluck").length === 0 && isWorthIt ? waiting.pluck.slice(0, Math.max(0, most)) : [];
      }
      case "feet":
        return hasPlace("feet") && roomBefore("pins") > 0 ? first : [];
      case "pins":
        return hasPlace("pins") && roomBefore("gut") > 0 ? first : [];
      case "gut":
        return hasPlace("gut") && roomBefore("rinse") > 0 ? first : [];
      case "rinse":
        return hasPlace("rinse") && inTank < day.kit.tankBirds ? first : [];
      case "cut":
        return hasPlace("cut") && roomBefore("seal") > 0 ? first : [];
      default:
        return hasPlace(station) ? first : [];
    }
  }

  function handMinutes(median: number, worker: Worker, station: Station, bird: number): number {
    const spell = day.slowSpell;
    const done = worker.done[station] ?? 0;
    const pace = worker.person.pace[station] ?? 1;
    const slowStart = 1 + SLOW_START.extra * Math.exp(-Math.min(done, 63) / SLOW_START.birds);
    let minutes = median * pace * worker.factor * slowStart * draws(stationRow(station).drawStream, bird);
    if (now > TIREDNESS.afterMinutes) minutes *= 1 + TIREDNESS.perMinute * (now - TIREDNESS.afterMinutes);
    if (spell && now >= spell.fromMinute && now < spell.fromMinute + spell.minutes) minutes *= spell.factor;
    return minutes;
  }

  function minutesFor(worker: Worker, { station, birds }: Task): number {
    const { minutes } = day;
    const bird = birds[0]!;
    const machine = (median: number) => median * draws(stationRow(station).drawStream, bird);
    const hands = (median: number) => handMinutes(median, worker, station, bird);
    switch (station) {
      case "scald": {
        if (!day.bath) return machine(minutes.scald);
        return machine(minutes.scald) * Math.exp((Math.LN10 / day.bath.zCelsius) * bath.below);
      }
      case "pluck":
        return day.pluckBy === "hand" ? hands(minutes.pluck) : machine(minutes.pluck);
      default:
        return hands(minutes[station]);
    }
  }

  function begin(worker: Worker, station: Station, birds: number[]): void {
    const task = { station, birds };
    waiting[station] = waiting[station].slice(birds.length);
    if (station === "cones") {
      killedAt.set(birds[0]!, now);
      bleeding += 1;
    }
    if (station === "rinse") inTank += 1;
    if (station === "pack" || station === "cut") inTank -= 1;
    if (station === "scald" && day.bath) {
      const below = Math.max(0, bath.below - day.bath.recoveryPerMinute * (now - bath.since));
      bath = { below: below + day.bath.sagPerBird * birds.length, since: now };
    }
    const hasMoved = worker.lastStation !== undefined && isAnotherBench(worker.lastStation, station);
    const minutes = minutesFor(worker, task) + (hasMoved ? CHANGE_MINUTES : 0);
    worker.lastStation = station;
    worker.task = task;
    happenings.push({ minute: now, what: "begins", station, person: worker.person.name, bird: birds[0]! });
    expected(now + minutes, workers.indexOf(worker), () => end(worker));
  }

  function end(worker: Worker): void {
    const { station, birds } = worker.task!;
    worker.task = undefined;
    worker.done[station] = (worker.done[station] ?? 0) + 1;
    happenings.push({ minute: now, what: "ends", station, person: worker.person.name, bird: birds[0]! });
    if (station === "cones") bleed(birds[0]!);
    if (station === "scald") afterScald(birds);
    if (station === "pluck") waiting.feet.push(...birds);
    if (station === "feet") waiting.pins.push(...birds);
    if (station === "pins") waiting.gut.push(...birds);
    if (station === "gut") waiting.rinse.push(...birds);
    if (station === "gut" && day.giblets) waiting.giblets.push(...birds);
    if (station === "rinse") chill(birds[0]!);
    if (station === "cut") waiting.seal.push(...birds);
  }

  function bleed(bird: number): void {
    const minutes = Math.max(day.minutes.bleed * draws(BLEED_STREAM, bird), day.bleedFloorMinutes);
    expected(now + minutes, 64 + bird, () => {
      bleeding -= 1;
      waiting.scald.push(bird);
    });
  }

  function afterScald(birds: readonly number[]): void {
    waiting.pluck.push(...birds);
    sinceChange += birds.length;
    const isLast =
      birds.length + (killedCount() - bleeding - waiting.scald.length - birds.length) >= day.birds;
    if (day.waterChange && sinceChange >= day.waterChange.everyBirds && !isLast) {
      sinceChange = 0;
      bath = { ...bath, below: 0 };
      shutWater(day.waterChange.minutes);
    } else if (day.bath) {
      const below = bath.below - day.bath.recoveryPerMinute * (now - bath.since);
      if (below > day.bath.waitBelow) shutWater((below - day.bath.waitBelow) / day.bath.recoveryPerMinute);
    }
  }

  function shutWater(minutes: number): void {
    isWaterShut = true;
    expected(now + minutes, 33, () => {
      isWaterShut = false;
    });
  }

  function chill(bird: number): void {
    chilled.push({ bird, minute: now });
    expected(now + day.restMinutes, 32, () => {
      rested += 1;
      if (!day.packSameDay) inTank -= 1;
      else waiting[isCutUp(bird, day) ? "cut" : "pack"].push(bird);
    });
  }

  /** The bird in hand at the same bench first, then the person's own order. */
  function choices({ order, lastStation }: Worker): readonly Station[] {
    const next = lastStation && nextAtBench(lastStation);
    return next && order.includes(next) ? [next, ...order] : order;
  }

  /** Whoever is idle and can do least chooses first; each takes the first station of their order that has work. */
  function assign(): void {
    for (;;) {
      if (isNearBreak(0)) return;
      const found = workers
        .filter(({ task, person }) => !task && person.fromMinute <= now && now < person.toMinute)
        .flatMap((worker) => choices(worker).map((station) => ({ worker, station, birds: load(station) })))
        .find(({ birds }) => birds.length > 0);
      if (!found) return;
      begin(found.worker, found.station, found.birds);
    }
  }

  const isDone = () =>
    chilled.length === day.birds &&
    (!day.packSameDay || rested === day.birds) &&
    workers.every(({ task }) => !task) &&
    STATIONS.every((station) => waiting[station].length === 0);

  for (const { fromMinute, minutes } of day.breaks)
    for (const minute of [
      fromMinute - DRAIN_MINUTES.kill,
      fromMinute - DRAIN_MINUTES.scald,
      fromMinute,
      fromMinute + minutes,
    ])
      if (minute > now) expected(minute, 34, () => undefined);
  for (const { fromMinute, toMinute } of day.people)
    for (const minute of [fromMinute, toMinute])
      if (minute > now && minute < Infinity) expected(minute, 34, () => undefined);
  for (;;) {
    assign();
    for (const station of STATIONS)
      if (station !== "cones")
        mostWaiting[station] = Math.max(mostWaiting[station] ?? 0, waiting[station].length);
    if (isDone()) return { happenings, isFinished: true, killedAt, chilled, mostWaiting };
    const next = dues.toSorted((one, other) => one.minute - other.minute || one.rank - other.rank)[0];
    if (!next) return { happenings, isFinished: false, killedAt, chilled, mostWaiting };
    dues = dues.filter((due) => due !== next);
    now = next.minute;
    next.happen();
  }
}
