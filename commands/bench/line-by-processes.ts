import { benchPackage } from "#commands/bench/bench-package.ts";
import { type EarlyStation, type Hands, LineRules, QUEUES, type Queue } from "#commands/bench/line-rules.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";

/** As much of the package as is used; its own types are not there unless the bench's packages are installed. */
interface Entity {
  delay(minutes: number): Promise<number>;
  waitSignal(signal: unknown): Promise<number>;
  sendSignal(signal: unknown): number;
  enterQueueImmediately(queue: PackageQueue): void;
  leaveQueue(queue: PackageQueue): void;
}
interface PackageQueue {
  readonly pop: number;
  readonly entities: readonly Entity[];
}
interface Happening {
  addEventListener(listener: () => void): void;
}
interface Simulation {
  readonly timeNow: number;
  readonly started: Happening;
  readonly finished: Happening;
  start(reset: boolean): Promise<void>;
  activate(entity: Entity): Promise<number>;
}
interface Package {
  Simulation: new () => Simulation;
  Entity: new () => Entity;
  Queue: new (name: string, capacity?: number) => PackageQueue;
}

/**
 * The line in a package of processes (simscript): birds and people are its entities, each with a script of its own that
 * delays, waits for a signal and goes through queues. Gives when the last work ended.
 */
export function lineByProcesses(): (day: LineDay, seed: number, replication: number) => Promise<number> {
  // Every quarter of a second the package lets the page draw.
  const page = globalThis as unknown as { requestAnimationFrame?: (draw: () => void) => unknown };
  page.requestAnimationFrame ??= (draw) => setImmediate(draw);
  const { Simulation, Entity, Queue } = benchPackage("simscript") as Package;
  return (day, seed, replication) => {
    const simulation = new Simulation();
    const waiting = Object.fromEntries(QUEUES.map((name) => [name, new Queue(name)])) as Record<
      Queue,
      PackageQueue
    >;
    const tank = new Queue("tank", day.kit.tankBirds);
    const rules = new LineRules(day, seed, replication, (station) => waiting[station].pop);
    const wake = () => {
      for (let again = true; again; ) again = people.some((person) => !person.task && person.choose());
    };

    class Bird extends Entity {
      readonly number: number;
      constructor(number: number) {
        super();
        this.number = number;
      }
      /** From the knife to the end of its rest; between bleeding and chill it is where hands put it. */
      async script(): Promise<void> {
        await this.delay(rules.bleedMinutes(this.number));
        rules.bled();
        this.enterQueueImmediately(waiting.scald);
        wake();
        await this.waitSignal(this);
        await this.delay(day.lots[0]!.restMinutes);
        this.leaveQueue(tank);
        rules.rested();
        wake();
      }
    }

    class Giblets extends Bird {
      override async script(): Promise<void> {
        this.enterQueueImmediately(waiting.giblets);
        await this.waitSignal(this);
      }
    }

    class Person extends Entity {
      task: { readonly station: EarlyStation; readonly birds: readonly Bird[] } | undefined;
      readonly hands: Hands;
      constructor(hands: Hands) {
        super();
        this.hands = hands;
      }

      choose(): boolean {
        const choice = rules.choice(this.hands, simulation.timeNow);
        if (!choice) return false;
        const { station, load } = choice;
        const next = rules.begin(station, load);
        const birds =
          station === "cones" ? [new Bird(next)] : (waiting[station].entities.slice(0, load) as Bird[]);
        if (station !== "cones") for (const bird of birds) bird.leaveQueue(waiting[station]);
        this.task = { station, birds };
        this.sendSignal(this);
        return true;
      }

      async script(): Promise<void> {
        for (;;) {
          if (!this.task) await this.waitSignal(this);
          const { station, birds } = this.task!;
          await this.delay(rules.minutesFor(this.hands, station, birds[0]!.number, simulation.timeNow));
          this.task = undefined;
          rules.finish(this.hands, station, simulation.timeNow);
          for (const bird of birds) this.passOn(station, bird);
          wake();
        }
      }

      passOn(station: EarlyStation, bird: Bird): void {
        if (station === "cones") simulation.activate(bird);
        if (station === "scald") bird.enterQueueImmediately(waiting.pluck);
        if (station === "pluck") bird.enterQueueImmediately(waiting.feet);
        if (station === "feet") bird.enterQueueImmediately(waiting.pins);
        if (station === "pins") bird.enterQueueImmediately(waiting.gut);
        if (station === "gut") bird.enterQueueImmediately(waiting.rinse);
        if (station === "gut" && day.lots[0]!.giblets) simulation.activate(new Giblets(bird.number));
        if (station === "rinse") bird.enterQueueImmediately(tank);
        if (station === "rinse" || station === "giblets") this.sendSignal(bird);
      }
    }

    class Moment extends Entity {
      readonly minute: number;
      constructor(minute: number) {
        super();
        this.minute = minute;
      }
      async script(): Promise<void> {
        await this.delay(this.minute);
        wake();
      }
    }

    const people = rules.hands.map((hands) => new Person(hands));
    return new Promise((resolve) => {
      simulation.started.addEventListener(() => {
        for (const person of people) simulation.activate(person);
        for (const minute of rules.moments) simulation.activate(new Moment(minute));
      });
      simulation.finished.addEventListener(() => resolve(rules.end));
      void simulation.start(true);
    });
  };
}
