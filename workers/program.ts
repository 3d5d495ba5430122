import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { Worker } from "node:worker_threads";

/** Whether this code is read as it was written, by tests, benches, and while it is being changed; else it was compiled. */
const isSource = new URL(import.meta.url).pathname.endsWith(".ts");

/** What Node is to run for a program of ours. @param source its path from the root folder, such as devices/forecast/simulate.ts */
export const programArguments = (root: string, source: string): string[] =>
  isSource ? ["--import", "tsx", join(root, source)] : [compiledPath(root, source)];

/** Memory for a thread's objects, megabytes: enough for a whole farm's file, and little enough that what is done with is soon let go. */
const MOST_MEGABYTES = 768;

/** Starts a thread on a module of ours. @param source its path from the root folder, such as workers/pool/worker.ts */
export function startThread(root: string, source: string, data: object = {}): Worker {
  const resourceLimits = { maxOldGenerationSizeMb: MOST_MEGABYTES };
  if (!isSource)
    return new Worker(pathToFileURL(compiledPath(root, source)), { workerData: data, resourceLimits });
  const module = pathToFileURL(join(root, source)).href;
  return new Worker(pathToFileURL(join(root, "workers", "start-worker.mjs")), {
    workerData: { ...data, module },
    resourceLimits,
  });
}

const compiledPath = (root: string, source: string): string =>
  join(root, "build", "programs", source.replace(/\.ts$/, ".js"));
