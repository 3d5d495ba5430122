import { beforeAll, describe, expect, test, vi } from "vitest";
import { lotOf, ORDINARY_DAY } from "#core/processing-line/line-days-of-tests.ts";
import { LineTally } from "#core/processing-line/line-tally.ts";
import { LineWorker } from "#workers/line/client.ts";
import type { LineAsk, LineCommand, LineReply } from "#workers/line/protocol.ts";

/** Both ends of a worker in one thread: what one posts, the other hears a moment later. */
const page = new EventTarget();
const shell = Object.assign(new EventTarget(), {
  postMessage: (data: LineReply) =>
    setTimeout(() => page.dispatchEvent(new MessageEvent("message", { data }))),
});
class WorkerOfTests {
  postMessage(data: LineCommand): void {
    setTimeout(() => shell.dispatchEvent(new MessageEvent("message", { data })));
  }
  addEventListener = page.addEventListener.bind(page);
  removeEventListener = page.removeEventListener.bind(page);
  terminate(): void {}
}

beforeAll(async () => {
  vi.stubGlobal("self", shell);
  vi.stubGlobal("Worker", WorkerOfTests);
  await import("#workers/line/worker.ts");
});

const ask = (replications: number, birds = 12) =>
  ({
    what: "answer",
    day: { ...ORDINARY_DAY, lots: [lotOf({ birds })] },
    seed: 1,
    replications,
  }) as const satisfies LineAsk;

describe("the line's worker", () => {
  test("answers as the sums do, and tells how far it is", async () => {
    const shares: number[] = [];
    const { answer } = await new LineWorker().run(ask(120), {
      signal: new AbortController().signal,
      onProgress: (share) => shares.push(share),
    });
    const tally = new LineTally(ask(120).day, 1);
    tally.play(120);
    expect(answer).toEqual(tally.answer());
    expect(shares).toEqual(shares.toSorted((one, other) => one - other));
    expect(shares.length).toBeGreaterThan(1);
  });

  test("gives up what is no longer wanted, and answers the next question all the same", async () => {
    const worker = new LineWorker();
    const abort = new AbortController();
    const long = worker.run(ask(1_000_000), abort);
    const short = worker.run(ask(20), new AbortController());
    setTimeout(() => abort.abort(new Error("a name was moved")), 20);
    await expect(long).rejects.toThrow("a name was moved");
    await expect(short).resolves.toMatchObject({ answer: { replications: 20 } });
    await expect(worker.run(ask(20), abort)).rejects.toThrow("a name was moved");
  });

  test("says what was wrong with a day that can't be played", async () => {
    await expect(new LineWorker().run(ask(20, 0), new AbortController())).rejects.toThrow("birds must be 1");
  });

  test("that never loads is told from one that is slow", async () => {
    const waiting = new LineWorker().run(ask(20), new AbortController());
    page.dispatchEvent(new Event("error"));
    await expect(waiting).rejects.toThrow("did not load");
    await expect(new LineWorker().run(ask(20), new AbortController())).resolves.toBeDefined();
  });
});
