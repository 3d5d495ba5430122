import {
  CHANGE_MINUTES,
  DRAIN_MINUTES,
  SLOW_START,
  TIREDNESS,
} from "#core/processing-line/line-constants.ts";
import { type LineDay, type LineLot, type LinePerson, mostInLine } from "#core/processing-line/line-day.ts";
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
  isAnotherBench,
  nextAtBench,
  STATIONS,
  type Station,
  stationRow,
  workOrder,
} from "#core/processing-line/line-station.ts";

/** Stations up to the chill and beside it: the tellings in packages know no packing. */
export type EarlyStation = Exclude<Station, "pack" | "cut" | "seal">;
export const QUEUES = ["scald", "pluck", "feet", "pins", "gut", "rinse", "giblets"] as const;
export type Queue = (typeof QUEUES)[number];

/** Someone's hands on this replication. */
export interface Hands {
  readonly person: LinePerson;
  readonly order: readonly EarlyStation[];
  readonly factor: number;
  readonly done: Map<Station, number>;
  last: Station | undefined;
}

/**
 * What core/processing-line allows and how long it takes, told for packages that bring clock, queues and waiting
 * themselves. For days of one lot without packing, baths or water changes.
 */
export class LineRules {
  readonly day: LineDay;
  /** The only one: the packages' models know no second. */
  readonly lot: LineLot;
  /** Those who can do least choose first. */
  readonly hands: readonly Hands[];
  #lastWork = 0;
  #killed = 0;
  #chilled = 0;
  #inCones = 0;
  #bleeding = 0;
  /** Birds that wait before a station, or have a place in the tank, or are on their way there. */
  readonly #promised = { pluck: 0, feet: 0, pins: 0, gut: 0, rinse: 0, tank: 0 };
  readonly #working = new Map<Station, number>(STATIONS.map((station) => [station, 0]));
  readonly #mostInLine: number;
  readonly #waiting: (station: Queue) => number;
  readonly #luck: (stream: number, index: number) => number;

  /** @param waiting birds in the package's queue before a station */
  constructor(day: LineDay, seed: number, replication: number, waiting: (station: Queue) => number) {
    const key = replicationKey(seed, replication);
    this.#luck = (stream, index) => DRAW_TABLES[(stream << TABLE_BITS) + drawIndex(key, stream, index)]!;
    this.#waiting = waiting;
    this.day = day;
    this.lot = day.lots[0]!;
    const dayFactor = dayDraw(key, day.daySdLn);
    this.hands = day.people
      .map((person, number) => ({
        person,
        order: workOrder(person.stations) as EarlyStation[],
        factor: dayFactor * this.#luck(PERSON_STREAM, number),
        done: new Map<Station, number>(),
        last: undefined,
      }))
      .toSorted((one, other) => one.order.length - other.order.length);
    this.#mostInLine = mostInLine(day.people);
  }

  /** Minutes at which someone may find work without anything having ended. */
  get moments(): number[] {
    const { breaks, people } = this.day;
    const all = [
      ...breaks.flatMap(({ fromMinute, minutes }) => [
        fromMinute - DRAIN_MINUTES.kill,
        fromMinute - DRAIN_MINUTES.scald,
        fromMinute + minutes,
      ]),
      ...people.map(({ fromMinute }) => fromMinute),
    ];
    return [0, ...all.filter((minute) => minute > 0)];
  }

  /** When the last work ended; Infinity where birds are left. */
  get end(): number {
    return this.#chilled === this.lot.birds ? this.#lastWork : Infinity;
  }

  /** What someone who is idle takes up now, and the birds of it: the number of the next, or so many of those that wait. */
  choice({ person, order, last }: Hands, now: number): { station: EarlyStation; load: number } | undefined {
    if (now < person.fromMinute || now >= person.toMinute || this.#isNearBreak(now, 0)) return undefined;
    const inHand = last && nextAtBench(last);
    const choices =
      inHand && order.includes(inHand as EarlyStation) ? [inHand as EarlyStation, ...order] : order;
    for (const station of choices) {
      const load = this.#loadAt(station, now);
      if (load > 0) return { station, load };
    }
    return undefined;
  }

  /** Counts what someone takes up. At the cones this is the number of the bird. */
  begin(station: EarlyStation, load: number): number {
    this.#working.set(station, this.#working.get(station)! + 1);
    const promised = this.#promised;
    if (station === "cones") {
      this.#inCones += 1;
      this.#bleeding += 1;
      this.#killed += 1;
    } else if (station === "scald") {
      this.#inCones -= load;
      promised.pluck += load;
    } else if (station === "pluck") {
      promised.pluck -= load;
      promised.feet += load;
    } else if (station === "feet") {
      promised.feet -= 1;
      promised.pins += 1;
    } else if (station === "pins") {
      promised.pins -= 1;
      promised.gut += 1;
    } else if (station === "gut") {
      promised.gut -= 1;
      promised.rinse += 1;
    } else if (station === "rinse") {
      promised.rinse -= 1;
      promised.tank += 1;
    }
    return this.#killed - 1;
  }

  minutesFor(hands: Hands, station: EarlyStation, bird: number, now: number): number {
    const moved = hands.last !== undefined && isAnotherBench(hands.last, station) ? CHANGE_MINUTES : 0;
    hands.last = station;
    const { minutes } = this.lot;
    const chance = this.#luck(stationRow(station).drawStream, bird);
    if (station === "scald") return minutes.scald * chance + moved;
    if (station === "pluck") return minutes.pluck * chance + moved;
    const median = minutes[station];
    const before = Math.min(hands.done.get(station) ?? 0, 63);
    const tired = now > TIREDNESS.afterMinutes ? 1 + TIREDNESS.perMinute * (now - TIREDNESS.afterMinutes) : 1;
    const slow = 1 + SLOW_START.extra * Math.exp(-before / SLOW_START.birds);
    return median * (hands.person.pace[station] ?? 1) * hands.factor * slow * chance * tired + moved;
  }

  bleedMinutes(bird: number): number {
    return Math.max(this.lot.minutes.bleed * this.#luck(BLEED_STREAM, bird), this.day.bleedFloorMinutes);
  }

  bled(): void {
    this.#bleeding -= 1;
  }

  finish(hands: Hands, station: EarlyStation, now: number): void {
    this.#working.set(station, this.#working.get(station)! - 1);
    hands.done.set(station, (hands.done.get(station) ?? 0) + 1);
    this.#lastWork = now;
    if (station === "rinse") this.#chilled += 1;
  }

  rested(): void {
    this.#promised.tank -= 1;
  }

  #isNearBreak(now: number, early: number): boolean {
    return this.day.breaks.some(
      ({ fromMinute, minutes }) => now >= fromMinute - early && now < fromMinute + minutes,
    );
  }

  #canKill(now: number): boolean {
    return (
      this.#killed < this.lot.birds &&
      this.#inCones < this.day.kit.cones &&
      this.#killed - this.#chilled < this.#mostInLine &&
      !this.#isNearBreak(now, DRAIN_MINUTES.kill)
    );
  }

  #loadAt(station: EarlyStation, now: number): number {
    const { kit } = this.day;
    if (station === "cones") return this.#canKill(now) ? 1 : 0;
    const queue = this.#waiting(station);
    if (queue === 0) return 0;
    const places = station === "scald" || station === "pluck" ? 1 : kit.places[station];
    if (this.#working.get(station)! >= places) return 0;
    const promised = this.#promised;
    if (station === "scald") return this.#scaldLoad(queue, now);
    if (station === "pluck") {
      const isWorthIt = queue >= kit.pluckAtOnce || this.#working.get("scald") === 0;
      const most = Math.min(queue, kit.pluckAtOnce, kit.buffers.feet - promised.feet);
      return isWorthIt ? Math.max(0, most) : 0;
    }
    if (station === "feet") return promised.pins < kit.buffers.pins ? 1 : 0;
    if (station === "pins") return promised.gut < kit.buffers.gut ? 1 : 0;
    if (station === "gut") return promised.rinse < kit.buffers.rinse ? 1 : 0;
    if (station === "rinse") return promised.tank < kit.tankBirds ? 1 : 0;
    return 1;
  }

  #scaldLoad(queue: number, now: number): number {
    const { kit } = this.day;
    const load = Math.min(queue, kit.scaldAtOnce);
    const isFull = load === kit.scaldAtOnce;
    const isAlone =
      !this.#canKill(now) && (this.#bleeding === 0 || this.#isNearBreak(now, DRAIN_MINUTES.kill));
    const hasRoom = this.#promised.pluck + load <= kit.pluckAtOnce + kit.scaldAtOnce;
    return hasRoom && !this.#isNearBreak(now, DRAIN_MINUTES.scald) && (isFull || isAlone) ? load : 0;
  }
}
