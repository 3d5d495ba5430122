import { readFileSync } from "node:fs";

/** What a virtual machine's processors did since it started, in clock ticks of all of them together. */
export interface ProcessorTicks {
  /** Given to other machines on the same host while this one had work to do. */
  readonly stolen: number;
  readonly all: number;
}

/** Where the columns of the first line of /proc/stat end: user, nice, system, idle, iowait, irq, softirq, steal. */
const TICK_COLUMNS = 8;
const STOLEN_COLUMN = 7;

/** @returns zeros on a system that does not count them, so that nothing is ever taken for stolen there */
export function processorTicks(): ProcessorTicks {
  let line: string;
  try {
    line = readFileSync("/proc/stat", "utf8").split("\n", 1)[0] ?? "";
  } catch {
    return { stolen: 0, all: 0 };
  }
  const ticks = line
    .split(/\s+/)
    .slice(1, 1 + TICK_COLUMNS)
    .map(Number);
  return { stolen: ticks[STOLEN_COLUMN] ?? 0, all: ticks.reduce((sum, of) => sum + of, 0) };
}

/** The share of the processors that other machines had between two counts, from 0 to 1. */
export function stolenShare(before: ProcessorTicks, after: ProcessorTicks): number {
  const all = after.all - before.all;
  return all > 0 ? Math.min(1, Math.max(0, (after.stolen - before.stolen) / all)) : 0;
}
