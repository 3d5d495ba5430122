import { setMaxListeners } from "node:events";
import { data } from "react-router";
import { NotYetKnown, readings } from "#app/server/pooled/reading.server.ts";
import { pagePool } from "#app/server/work-pool.server.ts";
import { TookTooLong } from "#workers/pool/client.ts";
import type { TaskInput, TaskName, TaskOutput } from "#workers/pool/tasks.ts";

/** A page that asks for more answers than this, one after another, goes in circles. */
const MOST_ROUNDS = 200;

/**
 * Reads the file for a page without holding up the others: where the reading asks for something that takes long, it
 * stops, and is begun anew once the pool has the answer. So each reading is of one moment of the file, and it must write
 * nothing.
 */
export function readWithPool<Read>(signal: AbortSignal, read: () => Read | Promise<Read>): Promise<Read> {
  // A page of many years waits for many answers at once.
  setMaxListeners(0, signal);
  return readings.run({ signal, answers: new Map(), slices: new Map() }, async () => {
    for (let round = 0; round < MOST_ROUNDS; round += 1)
      try {
        return await read();
      } catch (error) {
        if (!(error instanceof NotYetKnown)) throw error;
        if (error.isTurn) round -= 1;
        await error.answer.catch(inWords);
      }
    throw new Error("the page went on asking for more");
  });
}

/** Reads the same of many things: what any of them needs of the pool is asked for at once, and not one after another. */
export function mapWithPool<Item, Read>(items: readonly Item[], read: (item: Item) => Read): Read[] {
  const unknown: Promise<unknown>[] = [];
  const known = items.flatMap((item) => {
    try {
      return [read(item)];
    } catch (error) {
      if (!(error instanceof NotYetKnown)) throw error;
      unknown.push(error.answer);
      return [];
    }
  });
  if (unknown.length > 0) throw new NotYetKnown(Promise.all(unknown));
  return known;
}

/** What took too long is said on the page. */
function inWords(error: unknown): never {
  if (error instanceof TookTooLong) throw data(TOO_MUCH, { status: 422 });
  throw error;
}

const TOO_MUCH =
  "This is too much to calculate at once. Nothing was changed. Plan fewer birds or people on one day, or split the day in two.";

interface UnderWay<Output> {
  readonly answer: Promise<Output>;
  readonly leave: AbortController;
  /** Readings that wait for it: it is given up once all have left. */
  waiting: number;
}

/**
 * A sum that takes long, as a reading asks for it: done in the pool within `readWithPool`, and in this thread without. The last
 * answers are remembered by all that was asked.
 *
 * @param here does it in this thread
 * @param most answers kept; the oldest goes first
 * @param complete adds what follows from what is asked and may itself have to be asked for; only where the answer is not kept
 */
export function pooled<Name extends TaskName>(
  name: Name,
  here: (asked: TaskInput<Name>) => TaskOutput<Name>,
  most: number,
  complete: (asked: TaskInput<Name>) => TaskInput<Name> = (asked) => asked,
): (asked: TaskInput<Name>) => TaskOutput<Name> {
  const kept = new Map<string, TaskOutput<Name>>();
  const underWay = new Map<string, UnderWay<TaskOutput<Name>>>();
  const keep = (key: string, answer: TaskOutput<Name>) => {
    if (kept.size >= most) kept.delete(kept.keys().next().value!);
    kept.set(key, answer);
    return answer;
  };
  const begun = (key: string, asked: TaskInput<Name>): UnderWay<TaskOutput<Name>> => {
    const leave = new AbortController();
    const answer = pagePool()
      .run(name, asked, { signal: leave.signal })
      .then((output) => keep(key, output))
      .finally(() => {
        if (underWay.get(key) === one) underWay.delete(key);
      });
    const one = { answer, leave, waiting: 0 };
    underWay.set(key, one);
    return one;
  };
  return (asked) => {
    const key = JSON.stringify(asked);
    const reading = readings.getStore();
    const ofReading = `${name} ${key}`;
    if (kept.has(key)) return kept.get(key)!;
    if (!reading) return keep(key, here(complete(asked)));
    if (reading.answers.has(ofReading)) return reading.answers.get(ofReading) as TaskOutput<Name>;
    const one = underWay.get(key) ?? begun(key, complete(asked));
    one.waiting += 1;
    const onLeft = () => {
      one.waiting -= 1;
      if (one.waiting > 0) return;
      underWay.delete(key);
      one.leave.abort();
    };
    reading.signal.addEventListener("abort", onLeft, { once: true });
    throw new NotYetKnown(
      one.answer
        .then((answer) => reading.answers.set(ofReading, answer))
        .finally(() => reading.signal.removeEventListener("abort", onLeft)),
    );
  };
}
