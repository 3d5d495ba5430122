import type { SeasonProblem } from "#core/season/season-problem.ts";
import { startThread } from "#workers/program.ts";
import type { SeasonReply, SeasonRequest } from "#workers/season/protocol.ts";
import type { SeasonProgress, SolvedSeason } from "#workers/season/solve-season.ts";

export interface SeasonRun {
  /** The answer; rejects if the worker could not be started or fell over. */
  readonly solved: Promise<SolvedSeason>;
  /** Asks for the best so far, which `solved` then gives. */
  stop(): void;
}

interface RunSettings {
  readonly gap: number;
  readonly mostSeconds: number;
  /** Folder of the application. */
  readonly root: string;
  readonly onProgress: (progress: SeasonProgress) => void;
}

/** A solver that was told to stop and does not answer within this is ended. */
const PATIENCE_MILLISECONDS = 15_000;

/** Solves a season in a thread of its own, so that pages are answered meanwhile. */
export function runSeason(
  problem: SeasonProblem,
  { gap, mostSeconds, root, onProgress }: RunSettings,
): SeasonRun {
  const stop = new Int32Array(new SharedArrayBuffer(4));
  const request: SeasonRequest = { problem, gap, mostSeconds, stop };
  const worker = startThread(root, "workers/season/worker.ts", request);
  const patience = setTimeout(() => void worker.terminate(), mostSeconds * 1000 + PATIENCE_MILLISECONDS);
  patience.unref();
  const solved = new Promise<SolvedSeason>((resolve, reject) => {
    worker.on("message", (reply: SeasonReply) => {
      if (reply.type === "progress") onProgress(reply.progress);
      else if (reply.type === "done") resolve(reply.solved);
      else reject(new Error(reply.message));
    });
    worker.once("error", reject);
    worker.once("exit", () => reject(new Error("the season's worker ended without an answer")));
  });
  void solved.catch(() => undefined).finally(() => clearTimeout(patience));
  return { solved, stop: () => void Atomics.store(stop, 0, 1) };
}
