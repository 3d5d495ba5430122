import {
  BIRDS_IN_LINE_EACH,
  CHANGE_MINUTES,
  DRAIN_MINUTES,
  SLOW_START,
  TIREDNESS,
} from "#core/processing-line/line-constants.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import {
  BLEED_STREAM,
  DAY_STREAM,
  luckPlace,
  luckTables,
  morningKey,
  PERSON_STREAM,
  TABLE_BITS,
} from "#core/processing-line/line-luck.ts";
import { isBeforeChill, STATIONS, type Station, workOrder } from "#core/processing-line/line-station.ts";

/** As much of the package as is used; it ships no types. */
interface Request {
  done(callback: () => void): Request;
}
interface Entity {
  setTimer(minutes: number): Request;
  putStore(store: Store, bird: number): Request;
  getStore(store: Store): Request;
  time(): number;
  callbackMessage: number;
}
interface Store {
  current(): number;
}
interface Package {
  Sim: new () => { simulate(until: number): void; addEntity<One>(entity: new (name?: string) => One): One };
  Entity: new (name?: string) => Entity;
  Store: new (room: number, name: string) => Store;
}

/** The package offers itself to a page only, as a property of its window. */
async function loadPackage(): Promise<Package> {
  const page = globalThis as unknown as { window?: unknown; Sim?: Package };
  page.window ??= globalThis;
  // @ts-expect-error it ships no types
  await import("simjs");
  return page.Sim!;
}

/**
 * The same model as core/processing-line in a general-purpose simulation package: queues are its stores, work is its
 * timers, people are its entities. For days without packing, baths or water changes. Gives when the last work ended.
 */
export async function lineInPackage(): Promise<(day: LineDay, seed: number, replication: number) => number> {
  const { Sim, Entity, Store } = await loadPackage();
  return (day, seed, replication) => {
    const key = morningKey(seed, replication);
    const tables = luckTables(day.daySdLn);
    const luck = (stream: number, index: number) =>
      tables[(stream << TABLE_BITS) + luckPlace(key, stream, index)]!;
    const dayFactor = luck(DAY_STREAM, 0);
    const simulation = new Sim();
    const store = (name: string) => new Store(10_000, name);
    const waiting = {
      scald: store("scald"),
      pluck: store("pluck"),
      pins: store("pins"),
      gut: store("gut"),
      rinse: store("rinse"),
      giblets: store("giblets"),
    };
    const { kit, birds } = day;
    const line = {
      killed: 0,
      chilled: 0,
      inCones: 0,
      bleeding: 0,
      inTank: 0,
      working: {} as Record<Station, number>,
      /** Birds that wait before a station or are on their way there. */
      promised: { pluck: 0, pins: 0, gut: 0, rinse: 0 },
      lastWork: 0,
    };
    for (const station of STATIONS) line.working[station] = 0;
    const mostInLine =
      BIRDS_IN_LINE_EACH * day.people.filter(({ stations }) => stations.some(isBeforeChill)).length;
    const people: Person[] = [];
    const wake = () => {
      for (let again = true; again; ) again = people.some((person) => person.isIdle && person.choose());
    };

    class Cone extends Entity {
      start(): void {}
      bleed(bird: number): void {
        const minutes = Math.max(day.minutes.bleed * luck(BLEED_STREAM, bird), day.bleedFloorMinutes);
        this.setTimer(minutes).done(() => {
          line.bleeding -= 1;
          this.putStore(waiting.scald, bird);
          wake();
        });
      }
    }
    const cone = simulation.addEntity(Cone);

    class Person extends Entity {
      isIdle = true;
      number = 0;
      order: readonly Station[] = [];
      factor = 1;
      last: Station | undefined;
      readonly done = new Map<Station, number>();
      start(): void {}

      choose(): boolean {
        const now = this.time();
        const person = day.people[this.number]!;
        if (now < person.fromMinute || now >= person.toMinute || isNearBreak(now, 0)) return false;
        const station = this.order.find((candidate) => loadAt(candidate, now) > 0);
        if (station === undefined) return false;
        this.begin(station, loadAt(station, now));
        return true;
      }

      /** The package hands each bird over by an event of its own. */
      take(from: Store, count: number, then: (taken: readonly number[]) => void): void {
        const taken: number[] = [];
        for (let index = 0; index < count; index += 1)
          this.getStore(from).done(() => {
            taken.push(this.callbackMessage);
            if (taken.length === count) then(taken);
          });
      }

      begin(station: Station, load: number): void {
        const work = (loaded: readonly number[]) => {
          const minutes = this.minutesFor(station, loaded[0]!);
          this.setTimer(minutes).done(() => this.end(station, loaded));
        };
        this.isIdle = false;
        line.working[station] += 1;
        if (station === "cones") work([line.killed]);
        else this.take(waiting[station as "gut"], load, work);
        if (station === "cones") {
          line.killed += 1;
          line.inCones += 1;
          line.bleeding += 1;
        } else if (station === "scald") {
          line.inCones -= load;
          line.promised.pluck += load;
        } else if (station === "pluck") {
          line.promised.pluck -= load;
          line.promised.pins += load;
        } else if (station === "pins") {
          line.promised.pins -= 1;
          line.promised.gut += 1;
        } else if (station === "gut") {
          line.promised.gut -= 1;
          line.promised.rinse += 1;
        } else if (station === "rinse") {
          line.promised.rinse -= 1;
          line.inTank += 1;
        }
      }

      minutesFor(station: Station, bird: number): number {
        const moved = this.last !== undefined && this.last !== station ? CHANGE_MINUTES : 0;
        this.last = station;
        const chance = luck(STATIONS.indexOf(station), bird);
        if (station === "scald") return day.minutes.scaldLoad * chance + moved;
        if (station === "pluck") return day.minutes.pluck * chance + moved;
        const median = station === "cones" ? day.minutes.kill : day.minutes[station];
        const before = Math.min(this.done.get(station) ?? 0, 63);
        const now = this.time();
        const tired =
          now > TIREDNESS.afterMinutes ? 1 + TIREDNESS.perMinute * (now - TIREDNESS.afterMinutes) : 1;
        const pace = day.people[this.number]!.pace[station] ?? 1;
        const slow = 1 + SLOW_START.extra * Math.exp(-before / SLOW_START.birds);
        return median * pace * this.factor * slow * chance * tired + moved;
      }

      end(station: Station, loaded: readonly number[]): void {
        this.isIdle = true;
        line.working[station] -= 1;
        line.lastWork = this.time();
        this.done.set(station, (this.done.get(station) ?? 0) + 1);
        if (station === "cones") cone.bleed(loaded[0]!);
        for (const bird of loaded) {
          if (station === "scald") this.putStore(waiting.pluck, bird);
          if (station === "pluck") this.putStore(waiting.pins, bird);
          if (station === "pins") this.putStore(waiting.gut, bird);
          if (station === "gut") this.putStore(waiting.rinse, bird);
          if (station === "gut" && day.giblets) this.putStore(waiting.giblets, bird);
          if (station === "rinse") {
            line.chilled += 1;
            this.setTimer(day.restMinutes).done(() => {
              line.inTank -= 1;
              wake();
            });
          }
        }
        wake();
      }
    }

    for (const [number, { stations }] of day.people.entries()) {
      const person = simulation.addEntity(Person);
      person.number = number;
      person.order = workOrder(stations);
      person.factor = dayFactor * luck(PERSON_STREAM, number);
      people.push(person);
    }
    people.sort((one, other) => one.order.length - other.order.length);
    for (const { fromMinute, minutes } of day.breaks)
      for (const minute of [
        fromMinute - DRAIN_MINUTES.kill,
        fromMinute - DRAIN_MINUTES.scald,
        fromMinute + minutes,
      ])
        if (minute > 0) cone.setTimer(minute).done(wake);
    for (const { fromMinute } of day.people) if (fromMinute > 0) cone.setTimer(fromMinute).done(wake);
    cone.setTimer(0).done(wake);
    simulation.simulate(5000);
    return line.chilled === birds ? line.lastWork : Infinity;

    function isNearBreak(now: number, early: number): boolean {
      return day.breaks.some(
        ({ fromMinute, minutes }) => now >= fromMinute - early && now < fromMinute + minutes,
      );
    }

    function canKill(now: number): boolean {
      return (
        line.killed < birds &&
        line.inCones < kit.cones &&
        line.killed - line.chilled < mostInLine &&
        !isNearBreak(now, DRAIN_MINUTES.kill)
      );
    }

    function loadAt(station: Station, now: number): number {
      if (station === "cones") return canKill(now) ? 1 : 0;
      if (station === "pack" || station === "cut" || station === "seal") return 0;
      const queue = waiting[station].current();
      if (queue === 0) return 0;
      const hasPlace =
        station === "scald" || station === "pluck"
          ? line.working[station] === 0
          : line.working[station] < kit.places[station];
      if (!hasPlace) return 0;
      if (station === "scald") {
        const load = Math.min(queue, kit.scaldAtOnce);
        const isFull = load === kit.scaldAtOnce;
        const isAlone = !canKill(now) && (line.bleeding === 0 || isNearBreak(now, DRAIN_MINUTES.kill));
        const hasRoom = line.promised.pluck + load <= kit.pluckAtOnce + kit.scaldAtOnce;
        return hasRoom && !isNearBreak(now, DRAIN_MINUTES.scald) && (isFull || isAlone) ? load : 0;
      }
      if (station === "pluck") {
        const isWorthIt = queue >= kit.pluckAtOnce || line.working.scald === 0;
        return isWorthIt
          ? Math.max(0, Math.min(queue, kit.pluckAtOnce, kit.buffers.pins - line.promised.pins))
          : 0;
      }
      if (station === "pins") return line.promised.gut < kit.buffers.gut ? 1 : 0;
      if (station === "gut") return line.promised.rinse < kit.buffers.rinse ? 1 : 0;
      if (station === "rinse") return line.inTank < kit.tankBirds ? 1 : 0;
      return 1;
    }
  };
}
