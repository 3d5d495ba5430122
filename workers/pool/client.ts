import type { Worker } from "node:worker_threads";
import type { PoolReply, PoolRequest, PoolThread } from "#workers/pool/protocol.ts";
import type { TaskInput, TaskName, TaskOutput } from "#workers/pool/tasks.ts";
import { startThread } from "#workers/program.ts";

interface PoolSettings {
  /** Folder of the application. */
  readonly root: string;
  /** Threads that are started as there is work for them, and then stay. */
  readonly threads: number;
  /** Its threads work when nobody else wants to. */
  readonly givesWay?: boolean;
  /** A task that takes longer is given up, and its thread ended. */
  readonly mostMilliseconds: number;
}

/** A task took longer than it may: too much was asked at once. */
export class TookTooLong extends Error {}

interface Limits<Output> {
  /** Hears of an answer that is not whole yet. */
  readonly soFar?: (output: Output) => void;
  /** Shorter than the pool's own, for what somebody waits for. */
  readonly mostMilliseconds?: number;
  /** Whoever asked has left: the task is not begun, or ended. */
  readonly signal?: AbortSignal;
}

interface Waiting {
  readonly request: PoolRequest;
  readonly resolve: (output: never) => void;
  readonly reject: (reason: Error) => void;
  readonly limits: Limits<never>;
}

/** Threads for what would keep pages waiting. Tasks that find no free thread wait for their turn. */
export class WorkPool {
  readonly #settings: PoolSettings;
  readonly #idle: Worker[] = [];
  readonly #waiting: Waiting[] = [];
  readonly #ready = new WeakSet<Worker>();
  #threads = 0;
  #asked = 0;

  constructor(settings: PoolSettings) {
    this.#settings = settings;
  }

  /**
   * @throws {TookTooLong} (rejects) if the task takes longer than it may
   * @throws {Error} (rejects) if the task fails, whoever asked has left, or its thread ends
   */
  run<Name extends TaskName>(
    name: Name,
    input: TaskInput<Name>,
    limits: Limits<TaskOutput<Name>> = {},
  ): Promise<TaskOutput<Name>> {
    this.#asked += 1;
    const request = { id: this.#asked, name, input };
    return new Promise((resolve, reject) => {
      const waiting: Waiting = { request, resolve, reject, limits };
      limits.signal?.addEventListener("abort", () => this.#leave(waiting), { once: true });
      this.#waiting.push(waiting);
      this.#next();
    });
  }

  /** Takes a task out that nobody waits for any more, if it was not begun. */
  #leave(waiting: Waiting): void {
    const place = this.#waiting.indexOf(waiting);
    if (place === -1) return;
    this.#waiting.splice(place, 1);
    waiting.reject(new Error(`nobody waits for ${waiting.request.name} any more`));
  }

  /** Ends every thread. */
  async close(): Promise<void> {
    await Promise.all(this.#idle.splice(0).map((worker) => worker.terminate()));
  }

  #next(): void {
    if (this.#waiting.length === 0) return;
    const worker = this.#idle.pop() ?? this.#started();
    if (worker) this.#give(worker, this.#waiting.shift()!);
  }

  #started(): Worker | undefined {
    if (this.#threads >= this.#settings.threads) return undefined;
    this.#threads += 1;
    const told: PoolThread = { givesWay: this.#settings.givesWay === true };
    const worker = startThread(this.#settings.root, "workers/pool/worker.ts", told);
    worker.unref();
    return worker;
  }

  #give(worker: Worker, { request, resolve, reject, limits }: Waiting): void {
    const { soFar, signal, mostMilliseconds = this.#settings.mostMilliseconds } = limits;
    let patience: ReturnType<typeof setTimeout> | undefined;
    // What a thread has to load first does not count.
    const begin = () => {
      this.#ready.add(worker);
      patience = setTimeout(
        () => ended(new TookTooLong(`${request.name} took too long`)),
        mostMilliseconds,
      ).unref();
    };
    const onLeft = () => ended(new Error(`nobody waits for ${request.name} any more`));
    signal?.addEventListener("abort", onLeft, { once: true });
    const onMessage = (reply: PoolReply) => {
      if (reply.type === "ready") return begin();
      if (reply.type === "so-far") return soFar?.(reply.output as never);
      free();
      this.#idle.push(worker);
      if (reply.type === "done") resolve(reply.output as never);
      else reject(new Error(reply.message));
      this.#next();
    };
    const ended = (reason: Error) => {
      free();
      this.#threads -= 1;
      void worker.terminate();
      reject(reason);
      this.#next();
    };
    const onExit = () => ended(new Error(`the thread of ${request.name} ended`));
    const free = () => {
      clearTimeout(patience);
      signal?.removeEventListener("abort", onLeft);
      worker.off("message", onMessage);
      worker.off("error", ended);
      worker.off("exit", onExit);
    };
    if (this.#ready.has(worker)) begin();
    worker.on("message", onMessage);
    worker.once("error", ended);
    worker.once("exit", onExit);
    worker.postMessage(request);
  }
}
