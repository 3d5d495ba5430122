import type { LineAnswers, LineAsk, LineCommand, LineReply } from "#workers/line/protocol.ts";

interface RunSettings {
  readonly signal: AbortSignal;
  readonly onProgress?: (share: number) => void;
}

/** The line's worker in a page. It is ended with the page that made it. */
export class LineWorker {
  readonly #worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module" });
  #lastId = 0;

  /** What was asked, answered; rejects with the signal's reason, or with an Error, also where the worker fails to load. */
  run<Ask extends LineAsk>(ask: Ask, { signal, onProgress }: RunSettings): Promise<LineAnswers[Ask["what"]]> {
    this.#lastId += 1;
    const id = this.#lastId;
    const worker = this.#worker;
    const send = (command: LineCommand) => worker.postMessage(command);
    return new Promise((resolve, reject) => {
      const hear = ({ data }: MessageEvent<LineReply>) => {
        if (data.id !== id) return;
        if (data.type === "progress") return onProgress?.(data.share);
        stop();
        if (data.type === "done") resolve(data.result as LineAnswers[Ask["what"]]);
        else reject(data.type === "failed" ? new Error(data.message) : signal.reason);
      };
      const fail = () => {
        stop();
        reject(new Error("the line's worker did not load"));
      };
      const cancel = () => send({ type: "cancel", id });
      const stop = () => {
        worker.removeEventListener("message", hear);
        worker.removeEventListener("error", fail);
        signal.removeEventListener("abort", cancel);
      };
      if (signal.aborted) return reject(signal.reason);
      worker.addEventListener("message", hear);
      worker.addEventListener("error", fail);
      signal.addEventListener("abort", cancel);
      send({ type: "start", id, ask });
    });
  }

  end(): void {
    this.#worker.terminate();
  }
}
