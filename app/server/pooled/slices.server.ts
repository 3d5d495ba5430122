import { mapWithPool } from "#app/server/pooled/pooled.server.ts";
import { NotYetKnown, readings, type Slices } from "#app/server/pooled/reading.server.ts";

/** How long a reading goes on before it lets others have their turn, ms: half of what no page may pass. */
const SLICE_MILLISECONDS = 25;

/** A file that is written to all the time would never be read to its end: after so many restarts it is read in one go. */
const MOST_RESTARTS = 3;

/**
 * Reads the same of each thing in a list that may be long, such as all days of many years: a slice at a time, and others
 * have their turn in between. Begun anew where the file has changed meanwhile, so that it is of one moment. What the pool
 * has to answer is asked for as in `mapWithPool`; outside of a page's reading it is done in one go.
 *
 * @param name names the list within its page
 */
export function mapInSlices<Item, Read>(
  file: { state(): string },
  name: string,
  items: readonly Item[],
  read: (item: Item) => Read,
): Read[] {
  const reading = readings.getStore();
  if (!reading) return mapWithPool(items, read);
  const state = file.state();
  let slices: Slices | undefined = reading.slices.get(name);
  if (slices?.state !== state) {
    slices = { state, restarts: slices ? slices.restarts + 1 : 0, done: new Map(), awaited: new Map() };
    reading.slices.set(name, slices);
  }
  const { done, awaited } = slices;
  const until =
    slices.restarts < MOST_RESTARTS ? performance.now() + SLICE_MILLISECONDS : Number.POSITIVE_INFINITY;
  for (const [index, item] of items.entries()) {
    if (done.has(index) || awaited.has(index)) continue;
    if (performance.now() > until) throw new NotYetKnown(turnOfOthers(reading.signal), true);
    try {
      done.set(index, read(item));
    } catch (error) {
      if (!(error instanceof NotYetKnown)) throw error;
      const answered = error.answer.finally(() => awaited.delete(index));
      // Where it fails, it is asked for again and said then.
      answered.catch(() => undefined);
      awaited.set(index, answered);
    }
  }
  if (awaited.size > 0) throw new NotYetKnown(Promise.all(awaited.values()));
  return items.map((_, index) => done.get(index) as Read);
}

/** Turns of the thread in which others go on: to send a file, a request needs several, one after another. */
const TURNS = 8;

async function turnOfOthers(signal: AbortSignal): Promise<void> {
  for (let turn = 0; turn < TURNS; turn += 1) await new Promise((resolve) => setImmediate(resolve));
  if (signal.aborted) throw new Error("nobody waits for this list any more");
}
