import { workerData } from "node:worker_threads";
import { register } from "tsx/esm/api";

/** Lets a thread read TypeScript: Node's own --import does not reach into it. */
register();
await import(workerData.module);
