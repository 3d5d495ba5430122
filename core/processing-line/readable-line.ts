import { sealCycleMinutes } from "#core/cutting/cutting-constants.ts";
import {
  BIRDS_IN_LINE_EACH,
  CHANGE_MINUTES,
  DRAIN_MINUTES,
  SLOW_START,
  TIREDNESS,
} from "#core/processing-line/line-constants.ts";
import {
  birdsByLot,
  birdsOf,
  flowsWith,
  type LineDay,
  type LineLot,
  type LinePerson,
} from "#core/processing-line/line-day.ts";
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

/** Water that never sags. */
const STEADY_BATH = { sagPerBird: 0, recoveryPerMinute: 0, waitBelow: Infinity };

/**
 * The same replication as line-run.ts plays, told plainly: lists, names and functions, no thought of speed. It is there to
 * be read, and to hold the other to.
 */
export const readableReplication = (day: LineDay, seed: number, replication: number): ReadableReplication =>
  new ReadableLine(day, replicationKey(seed, replication)).play();

class ReadableLine {
  private readonly happenings: Happening[] = [];
  private readonly waiting: Record<Station, number[]>;
  private readonly mostWaiting: Partial<Record<Station, number>> = {};
  private readonly killedAt = new Map<number, number>();
  private readonly chilled: { bird: number; minute: number; restedAt: number }[] = [];
  private readonly workers: readonly Worker[];
  private readonly mostInLine: number;
  private readonly pluckers: number;
  private readonly birds: readonly { readonly lot: number; readonly isCutUp: boolean }[];
  /** By lot, the first of those that flow as one with it. */
  private readonly flows: readonly number[];
  private dues: Due[] = [];
  private now: number;
  private bleeding = 0;
  private tankTaken = 0;
  private scalded = 0;
  private bathLot = 0;
  private rested = 0;
  private sinceChange = 0;
  private isWaterShut = false;
  private sealerFreeAt = 0;
  private bath: { below: number; since: number };

  /** @param key of the replication, from which all its random draws come */
  constructor(
    private readonly day: LineDay,
    private readonly key: number,
  ) {
    const dayFactor = dayDraw(key, day.daySdLn);
    this.workers = day.people
      .map((person, number) => ({
        person,
        number,
        order: workOrder(person.stations),
        factor: dayFactor * this.draws(PERSON_STREAM, number),
        done: {},
        task: undefined,
        lastStation: undefined,
      }))
      .toSorted((one, other) => one.order.length - other.order.length);
    const empty = Object.fromEntries(STATIONS.map((station) => [station, []]));
    this.waiting = empty as unknown as Record<Station, number[]>;
    this.birds = birdsByLot(day);
    this.flows = flowsWith(day);
    this.waiting.cones = this.birds.map((_, bird) => bird);
    this.now = day.setUpMinutes;
    this.bath = { below: 0, since: day.setUpMinutes };
    const early = day.people.filter(({ stations }) => stations.some(isBeforeChill));
    this.mostInLine = BIRDS_IN_LINE_EACH * early.length;
    this.pluckers = day.pluckBy === "hand" ? day.people.length : day.kit.pluckAtOnce;
  }

  play(): ReadableReplication {
    this.expectClock();
    const { happenings, killedAt, chilled, mostWaiting } = this;
    for (;;) {
      this.assign();
      for (const station of STATIONS)
        if (station !== "cones")
          mostWaiting[station] = Math.max(mostWaiting[station] ?? 0, this.waiting[station].length);
      if (this.isDone()) return { happenings, isFinished: true, killedAt, chilled, mostWaiting };
      const next = this.dues.toSorted((one, other) => one.minute - other.minute || one.rank - other.rank)[0];
      if (!next) return { happenings, isFinished: false, killedAt, chilled, mostWaiting };
      this.dues = this.dues.filter((due) => due !== next);
      this.now = next.minute;
      next.happen();
    }
  }

  /** The moments at which what may be done changes by the clock: breaks, and people who come and go. */
  private expectClock(): void {
    const aroundBreaks = this.day.breaks.flatMap(({ fromMinute, minutes }) => [
      fromMinute - DRAIN_MINUTES.kill,
      fromMinute - DRAIN_MINUTES.scald,
      fromMinute,
      fromMinute + minutes,
    ]);
    const ofPeople = this.day.people.flatMap(({ fromMinute, toMinute }) => [fromMinute, toMinute]);
    for (const minute of [...aroundBreaks, ...ofPeople])
      if (minute > this.now && minute < Infinity) this.expected(minute, 34, () => undefined);
  }

  private isDone(): boolean {
    return (
      this.chilled.length === this.birds.length &&
      (!this.day.packSameDay || this.rested === this.birds.length) &&
      this.workers.every(({ task }) => !task) &&
      STATIONS.every((station) => this.waiting[station].length === 0)
    );
  }

  private lotOf(bird: number): LineLot {
    return this.day.lots[this.birds[bird]!.lot]!;
  }

  /** Birds of the day before the first of a lot. */
  private birdsBefore(lot: number): number {
    return birdsOf({ lots: this.day.lots.slice(0, lot) });
  }

  private flowOf(bird: number): number {
    return this.flows[this.birds[bird]!.lot]!;
  }

  /** A bird waits behind those of earlier lots and those that flow as one with its own, before all of later ones. */
  private waits(station: Station, bird: number): void {
    const queue = this.waiting[station];
    const later = queue.findIndex((other) => this.flowOf(other) > this.flowOf(bird));
    queue.splice(later === -1 ? queue.length : later, 0, bird);
  }

  /** The first birds of a queue that flow as one, at most so many. */
  private alike(queue: readonly number[], most: number): number[] {
    const other = queue.findIndex((bird) => this.flowOf(bird) !== this.flowOf(queue[0]!));
    return queue.slice(0, other === -1 ? most : Math.min(most, other));
  }

  private draws(stream: number, index: number): number {
    return DRAW_TABLES[(stream << TABLE_BITS) + drawIndex(this.key, stream, index)]!;
  }

  private expected(minute: number, rank: number, happen: () => void): void {
    this.dues.push({ minute, rank, happen });
  }

  private atWork(station: Station): Worker[] {
    return this.workers.filter(({ task }) => task?.station === station);
  }

  private onTheWayTo(station: Station): number {
    const before = this.atWork(STATIONS[STATIONS.indexOf(station) - 1]!);
    return before.reduce((sum, { task }) => sum + task!.birds.length, 0);
  }

  private roomBefore(station: BufferStation): number {
    return this.day.kit.buffers[station] - this.waiting[station].length - this.onTheWayTo(station);
  }

  private hasPlace(station: keyof LineDay["kit"]["places"]): boolean {
    return this.atWork(station).length < this.day.kit.places[station];
  }

  private isNearBreak(early: number): boolean {
    return this.day.breaks.some(
      ({ fromMinute, minutes }) => this.now >= fromMinute - early && this.now < fromMinute + minutes,
    );
  }

  private canKill(): boolean {
    return (
      this.waiting.cones.length > 0 &&
      this.bleeding + this.waiting.scald.length < this.day.kit.cones &&
      this.killedAt.size - this.chilled.length < this.mostInLine &&
      !this.isNearBreak(DRAIN_MINUTES.kill)
    );
  }

  /** The birds that would be taken if someone began at a station now; none where no one can. */
  private load(station: Station): number[] {
    const first = this.waiting[station].slice(0, 1);
    switch (station) {
      case "cones":
        return this.canKill() ? first : [];
      case "scald": {
        const { scaldAtOnce } = this.day.kit;
        // No bird goes in before all of the earlier lots have.
        const isEarly = first.some((bird) => this.birdsBefore(this.flowOf(bird)) > this.scalded);
        const birds = isEarly ? [] : this.alike(this.waiting.scald, scaldAtOnce);
        const isFull = birds.length === Math.min(scaldAtOnce, this.leftToScald());
        const canNothingBeAdded =
          !this.canKill() && (this.bleeding === 0 || this.isNearBreak(DRAIN_MINUTES.kill));
        const scaldedRoom = this.pluckers + this.day.kit.scaldAtOnce - this.waiting.pluck.length;
        const isBathFree =
          this.atWork("scald").length === 0 && !this.isWaterShut && !this.isNearBreak(DRAIN_MINUTES.scald);
        return isBathFree && birds.length <= scaldedRoom && (isFull || canNothingBeAdded) ? birds : [];
      }
      case "pluck": {
        if (this.day.pluckBy === "hand") return this.roomBefore("feet") > 0 ? first : [];
        const isWorthIt =
          this.waiting.pluck.length >= this.day.kit.pluckAtOnce || this.atWork("scald").length === 0;
        const most = Math.min(this.day.kit.pluckAtOnce, this.roomBefore("feet"));
        return this.atWork("pluck").length === 0 && isWorthIt
          ? this.alike(this.waiting.pluck, Math.max(0, most))
          : [];
      }
      case "feet":
        return this.hasPlace("feet") && this.roomBefore("pins") > 0 ? first : [];
      case "pins":
        return this.hasPlace("pins") && this.roomBefore("gut") > 0 ? first : [];
      case "gut":
        return this.hasPlace("gut") && this.roomBefore("rinse") > 0 ? first : [];
      case "rinse":
        return this.hasPlace("rinse") && this.tankTaken + 1 <= this.day.kit.tankBirds ? first : [];
      case "cut":
        return this.hasPlace("cut") && this.roomBefore("seal") > 0 ? first : [];
      default:
        return this.hasPlace(station) ? first : [];
    }
  }

  /** Birds that are still to be scalded of the lots that flow as one with the next. */
  private leftToScald(): number {
    const last = this.flows.lastIndexOf(this.flowOf(Math.min(this.scalded, this.birds.length - 1)));
    return this.birdsBefore(last + 1) - this.scalded;
  }

  private handMinutes(median: number, worker: Worker, station: Station, bird: number): number {
    const spell = this.day.slowSpell;
    const done = worker.done[station] ?? 0;
    const pace = worker.person.pace[station] ?? 1;
    const slowStart = 1 + SLOW_START.extra * Math.exp(-Math.min(done, 63) / SLOW_START.birds);
    let minutes =
      median * pace * worker.factor * slowStart * this.draws(stationRow(station).drawStream, bird);
    if (this.now > TIREDNESS.afterMinutes)
      minutes *= 1 + TIREDNESS.perMinute * (this.now - TIREDNESS.afterMinutes);
    if (spell && this.now >= spell.fromMinute && this.now < spell.fromMinute + spell.minutes)
      minutes *= spell.factor;
    return minutes;
  }

  private minutesFor(worker: Worker, { station, birds }: Task): number {
    const bird = birds[0]!;
    const { minutes, bath } = this.lotOf(bird);
    const machine = (median: number) => median * this.draws(stationRow(station).drawStream, bird);
    const hands = (median: number) => this.handMinutes(median, worker, station, bird);
    switch (station) {
      case "scald": {
        if (!bath) return machine(minutes.scald);
        return machine(minutes.scald) * Math.exp((Math.LN10 / bath.zCelsius) * this.bath.below);
      }
      case "pluck":
        return this.day.pluckBy === "hand" ? hands(minutes.pluck) : machine(minutes.pluck);
      default:
        return hands(minutes[station]);
    }
  }

  private begin(worker: Worker, station: Station, birds: number[]): void {
    const task = { station, birds };
    this.waiting[station] = this.waiting[station].slice(birds.length);
    if (station === "cones") {
      this.killedAt.set(birds[0]!, this.now);
      this.bleeding += 1;
    }
    const { bath, tankShare } = this.lotOf(birds[0]!);
    if (station === "rinse") this.tankTaken += tankShare;
    if (station === "pack" || station === "cut") this.tankTaken -= tankShare;
    if (station === "scald") this.scalded += birds.length;
    if (station === "scald" && this.hasBath()) {
      const { sagPerBird, recoveryPerMinute } = bath ?? STEADY_BATH;
      const below = Math.max(0, this.bath.below - recoveryPerMinute * (this.now - this.bath.since));
      this.bath = { below: below + sagPerBird * birds.length, since: this.now };
    }
    const hasMoved = worker.lastStation !== undefined && isAnotherBench(worker.lastStation, station);
    const atHand = this.minutesFor(worker, task) + (hasMoved ? CHANGE_MINUTES : 0);
    const minutes = station === "seal" ? this.untilSealed(birds[0]!, atHand) : atHand;
    worker.lastStation = station;
    worker.task = task;
    this.happenings.push({
      minute: this.now,
      what: "begins",
      station,
      person: worker.person.name,
      bird: birds[0]!,
    });
    this.expected(this.now + minutes, this.workers.indexOf(worker), () => this.end(worker));
  }

  /** Packs are bagged while the chamber runs; they go in once it is free, and its cycles then run without hands. */
  private untilSealed(bird: number, handMinutes: number): number {
    const { packsPerBird } = this.lotOf(bird);
    const minutes = Math.max(handMinutes, this.sealerFreeAt - this.now);
    this.sealerFreeAt =
      this.now + minutes + sealCycleMinutes({ packsPerBird, sealAtOnce: this.day.kit.sealAtOnce });
    return minutes;
  }

  private end(worker: Worker): void {
    const { station, birds } = worker.task!;
    worker.task = undefined;
    worker.done[station] = (worker.done[station] ?? 0) + 1;
    this.happenings.push({
      minute: this.now,
      what: "ends",
      station,
      person: worker.person.name,
      bird: birds[0]!,
    });
    if (station === "cones") this.bleed(birds[0]!);
    if (station === "scald") this.afterScald(birds);
    for (const bird of birds) {
      if (station === "pluck") this.waits("feet", bird);
      if (station === "feet") this.waits("pins", bird);
      if (station === "pins") this.waits("gut", bird);
      if (station === "gut") this.waits("rinse", bird);
      if (station === "gut" && this.lotOf(bird).giblets) this.waits("giblets", bird);
      if (station === "rinse") this.chill(bird);
      if (station === "cut") this.waits("seal", bird);
    }
  }

  private hasBath(): boolean {
    return this.day.lots.some(({ bath }) => bath);
  }

  private bleed(bird: number): void {
    const minutes = Math.max(
      this.lotOf(bird).minutes.bleed * this.draws(BLEED_STREAM, bird),
      this.day.bleedFloorMinutes,
    );
    this.expected(this.now + minutes, 64 + bird, () => {
      this.bleeding -= 1;
      this.waits("scald", bird);
    });
  }

  private afterScald(birds: readonly number[]): void {
    for (const bird of birds) this.waits("pluck", bird);
    this.sinceChange += birds.length;
    const next = this.birds[this.scalded]?.lot;
    const lot = this.day.lots[next ?? this.day.lots.length - 1]!;
    const isNextLot = next !== undefined && next !== this.bathLot;
    this.bathLot = next ?? this.bathLot;
    const { changeWaterEvery } = this.day;
    if (changeWaterEvery !== undefined && this.sinceChange >= changeWaterEvery && next !== undefined) {
      this.sinceChange = 0;
      this.bath = { ...this.bath, below: 0 };
      this.shutWater(lot.waterChangeMinutes);
      return;
    }
    const { recoveryPerMinute, waitBelow } = lot.bath ?? STEADY_BATH;
    const below = this.bath.below - recoveryPerMinute * (this.now - this.bath.since);
    const setting = isNextLot ? lot.settingMinutes : 0;
    // All of the heat goes into a new setting first.
    if (setting > 0) this.bath = { below: Math.max(0, below), since: this.now + setting };
    const recovery = below > waitBelow ? (below - waitBelow) / recoveryPerMinute : 0;
    if (setting + recovery > 0) this.shutWater(setting + recovery);
  }

  private shutWater(minutes: number): void {
    this.isWaterShut = true;
    this.expected(this.now + minutes, 33, () => {
      this.isWaterShut = false;
    });
  }

  private chill(bird: number): void {
    const before = this.chilled.at(-1);
    const { restMinutes, tankShare } = this.lotOf(bird);
    // Birds are taken out in the order in which they went in.
    const restedAt = Math.max(this.now + restMinutes, before?.restedAt ?? 0);
    this.chilled.push({ bird, minute: this.now, restedAt });
    this.expected(restedAt, 32, () => {
      this.rested += 1;
      if (!this.day.packSameDay) this.tankTaken -= tankShare;
      else this.waits(this.birds[bird]!.isCutUp ? "cut" : "pack", bird);
    });
  }

  /** The bird in hand at the same bench first, then the person's own order. */
  private choices({ order, lastStation }: Worker): readonly Station[] {
    const next = lastStation && nextAtBench(lastStation);
    return next && order.includes(next) ? [next, ...order] : order;
  }

  /** Whoever is idle and can do least chooses first; each takes the first station of their order that has work. */
  private assign(): void {
    for (;;) {
      if (this.isNearBreak(0)) return;
      const found = this.workers
        .filter(({ task, person }) => !task && person.fromMinute <= this.now && this.now < person.toMinute)
        .flatMap((worker) =>
          this.choices(worker).map((station) => ({ worker, station, birds: this.load(station) })),
        )
        .find(({ birds }) => birds.length > 0);
      if (!found) return;
      this.begin(found.worker, found.station, found.birds);
    }
  }
}
