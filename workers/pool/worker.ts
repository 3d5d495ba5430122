import { setPriority } from "node:os";
import { parentPort, workerData } from "node:worker_threads";
import type { PoolReply, PoolRequest, PoolThread } from "#workers/pool/protocol.ts";
import { TASKS } from "#workers/pool/tasks.ts";

/** Two thirds of what others get of a busy core, and all of an idle one; the operating system's scale, from 0 to 19. */
const GIVES_WAY = 2;
// Only Linux has a priority for each thread; elsewhere this would slow the pages too.
if ((workerData as PoolThread).givesWay && process.platform === "linux") setPriority(GIVES_WAY);

parentPort!.postMessage({ type: "ready" } satisfies PoolReply);

/** A thread of the pool: it does one task after another and holds no rules of its own. */
parentPort!.on("message", async ({ id, name, input }: PoolRequest) => {
  const reply = (message: PoolReply) => parentPort!.postMessage(message);
  try {
    const task = TASKS[name] as (input: unknown, soFar: (output: never) => void) => never;
    const output = await task(input, (some) => reply({ id, type: "so-far", output: some }));
    reply({ id, type: "done", output });
  } catch (error) {
    reply({ id, type: "failed", message: error instanceof Error ? error.message : String(error) });
  }
});
