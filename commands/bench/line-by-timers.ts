import { benchPackage } from "#commands/bench/bench-package.ts";
import { type EarlyStation, type Hands, LineRules, QUEUES, type Queue } from "#commands/bench/line-rules.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";

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

const ROOM = 10_000;
const UNTIL_MINUTE = 5000;

/**
 * The line in a package of timers and stores (simjs): queues are its stores, work is its timers, people are its
 * entities. Gives when the last work ended.
 */
export function lineByTimers(): (day: LineDay, seed: number, replication: number) => number {
  // The package offers itself to a page only, as a property of its window.
  const page = globalThis as unknown as { window?: unknown; Sim?: Package };
  page.window ??= globalThis;
  benchPackage("simjs");
  const { Sim, Entity, Store } = page.Sim!;
  return (day, seed, replication) => {
    const simulation = new Sim();
    const waiting = Object.fromEntries(QUEUES.map((name) => [name, new Store(ROOM, name)])) as Record<
      Queue,
      Store
    >;
    const rules = new LineRules(day, seed, replication, (station) => waiting[station].current());
    const people: Person[] = [];
    const wake = () => {
      for (let again = true; again; ) again = people.some((person) => person.isIdle && person.choose());
    };

    class Cone extends Entity {
      start(): void {}
      bleed(bird: number): void {
        this.setTimer(rules.bleedMinutes(bird)).done(() => {
          rules.bled();
          this.putStore(waiting.scald, bird);
          wake();
        });
      }
    }
    const cone = simulation.addEntity(Cone);

    class Person extends Entity {
      isIdle = true;
      hands: Hands | undefined;
      start(): void {}

      choose(): boolean {
        const choice = rules.choice(this.hands!, this.time());
        if (!choice) return false;
        const { station, load } = choice;
        this.isIdle = false;
        const work = (loaded: readonly number[]) => {
          const minutes = rules.minutesFor(this.hands!, station, loaded[0]!, this.time());
          this.setTimer(minutes).done(() => this.end(station, loaded));
        };
        const bird = rules.begin(station, load);
        if (station === "cones") work([bird]);
        else this.take(waiting[station], load, work);
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

      end(station: EarlyStation, loaded: readonly number[]): void {
        this.isIdle = true;
        rules.finish(this.hands!, station, this.time());
        for (const bird of loaded) {
          if (station === "cones") cone.bleed(bird);
          if (station === "scald") this.putStore(waiting.pluck, bird);
          if (station === "pluck") this.putStore(waiting.feet, bird);
          if (station === "feet") this.putStore(waiting.pins, bird);
          if (station === "pins") this.putStore(waiting.gut, bird);
          if (station === "gut") this.putStore(waiting.rinse, bird);
          if (station === "gut" && day.lots[0]!.giblets) this.putStore(waiting.giblets, bird);
          if (station === "rinse")
            this.setTimer(day.lots[0]!.restMinutes).done(() => {
              rules.rested();
              wake();
            });
        }
        wake();
      }
    }

    for (const hands of rules.hands) {
      const person = simulation.addEntity(Person);
      person.hands = hands;
      people.push(person);
    }
    for (const minute of rules.moments) cone.setTimer(minute).done(wake);
    simulation.simulate(UNTIL_MINUTE);
    return rules.end;
  };
}
