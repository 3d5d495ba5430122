import { parentPort, workerData } from "node:worker_threads";
import loadHighs from "highs";
import type { SeasonReply, SeasonRequest } from "#workers/season/protocol.ts";
import { solveSeason } from "#workers/season/solve-season.ts";

/** A thread around one solve: it holds no rules of its own. */
const { problem, gap, mostSeconds, stop } = workerData as SeasonRequest;
const reply = (message: SeasonReply) => parentPort!.postMessage(message);
try {
  const solved = solveSeason(await loadHighs(), problem, {
    gap,
    mostSeconds,
    now: () => performance.now(),
    onProgress: (progress) => reply({ type: "progress", progress }),
    isStopped: () => Atomics.load(stop, 0) === 1,
  });
  reply({ type: "done", solved });
} catch (error) {
  reply({ type: "failed", message: error instanceof Error ? error.message : String(error) });
}
