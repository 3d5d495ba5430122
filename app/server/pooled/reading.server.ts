import { AsyncLocalStorage } from "node:async_hooks";

/** A page's reading of the file, which is begun anew each time the pool has answered something for it. */
export interface Reading {
  /** Whoever asked for the page has left. */
  readonly signal: AbortSignal;
  /** Answers that it has been given, by task and by what was asked, so that none is asked for twice. */
  readonly answers: Map<string, unknown>;
  /** What it has read so far of long lists, by their names. */
  readonly slices: Map<string, Slices>;
}

/** What has been read of a list while the file stayed as it is, by place in the list. */
export interface Slices {
  readonly state: string;
  /** Times that it was begun anew because the file had changed. */
  readonly restarts: number;
  readonly done: Map<number, unknown>;
  /** Places that wait for the pool. */
  readonly awaited: Map<number, Promise<unknown>>;
}

export const readings = new AsyncLocalStorage<Reading>();

/** Stops a reading until the pool has answered, or until others had their turn. */
export class NotYetKnown extends Error {
  readonly answer: Promise<unknown>;
  readonly isTurn: boolean;

  constructor(answer: Promise<unknown>, isTurn = false) {
    super("not known yet");
    this.answer = answer;
    this.isTurn = isTurn;
  }
}
