import type { Worker } from "node:worker_threads";
import type { PoolReply, PoolRequest } from "#workers/pool/protocol.ts";
import type { TaskInput, TaskName, TaskOutput } from "#workers/pool/tasks.ts";
import { startThread } from "#workers/program.ts";

interface PoolSettings {
  /** Folder of the application. */
  readonly root: string;
  /** Threads that are started as there is work for them, and then stay. */
  readonly threads: number;
  /** A task that takes longer is given up, and its thread ended. */
  readonly mostMilliseconds: number;
}

interface Waiting {
  readonly request: PoolRequest;
  readonly resolve: (output: never) => void;
  readonly reject: (reason: Error) => void;
  readonly soFar: ((output: never) => void) | undefined;
}

/** Threads for what would keep pages waiting. Tasks that find no free thread wait for their turn. */
export class WorkPool {
  readonly #settings: PoolSettings;
  readonly #idle: Worker[] = [];
  readonly #waiting: Waiting[] = [];
  #threads = 0;
  #asked = 0;

  constructor(settings: PoolSettings) {
    this.#settings = settings;
  }

  /**
   * @param soFar hears of an answer that is not whole yet
   * @throws {Error} (rejects) if the task fails, takes too long, or its thread ends
   */
  run<Name extends TaskName>(
    name: Name,
    input: TaskInput<Name>,
    soFar?: (output: TaskOutput<Name>) => void,
  ): Promise<TaskOutput<Name>> {
    this.#asked += 1;
    const request = { id: this.#asked, name, input };
    return new Promise((resolve, reject) => {
      this.#waiting.push({ request, resolve, reject, soFar });
      this.#next();
    });
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
    const worker = startThread(this.#settings.root, "workers/pool/worker.ts");
    worker.unref();
    return worker;
  }

  #give(worker: Worker, { request, resolve, reject, soFar }: Waiting): void {
    const patience = setTimeout(
      () => ended(new Error(`${request.name} took too long`)),
      this.#settings.mostMilliseconds,
    );
    patience.unref();
    const onMessage = (reply: PoolReply) => {
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
      worker.off("message", onMessage);
      worker.off("error", ended);
      worker.off("exit", onExit);
    };
    worker.on("message", onMessage);
    worker.once("error", ended);
    worker.once("exit", onExit);
    worker.postMessage(request);
  }
}
