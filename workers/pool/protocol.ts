import type { TaskInput, TaskName, TaskOutput } from "#workers/pool/tasks.ts";

/** What a thread of a pool is told when it starts. */
export interface PoolThread {
  /** It works when nobody else wants to: for what no one waits for. */
  readonly givesWay: boolean;
}

/** One task for a worker. Each has exactly one answer, done or failed; before it may come some that are not whole yet. */
export interface PoolRequest<Name extends TaskName = TaskName> {
  readonly id: number;
  readonly name: Name;
  readonly input: TaskInput<Name>;
}

export type PoolReply<Name extends TaskName = TaskName> =
  /** The thread has loaded what it needs; comes once, before any answer. */
  | { readonly type: "ready" }
  | { readonly id: number; readonly type: "so-far"; readonly output: TaskOutput<Name> }
  | { readonly id: number; readonly type: "done"; readonly output: TaskOutput<Name> }
  | { readonly id: number; readonly type: "failed"; readonly message: string };
