import { readFileSync } from "node:fs";

/** What a virtual machine's processors did since it started, in clock ticks of all of them together. */
export interface ProcessorTicks {
  /** Given to other machines on the same host while this one had work to do. */
  readonly stolen: number;
  /** Spent on work of this one. */
  readonly worked: number;
  readonly all: number;
}

/** Columns of the first line of /proc/stat: user, nice, system, idle, iowait, irq, softirq, steal. */
const WORKED_COLUMNS = [0, 1, 2, 5, 6];
const STOLEN_COLUMN = 7;
const COLUMNS = 8;

/** @returns zeros on a system that does not count them, so that nothing is ever taken for stolen there */
export function processorTicks(): ProcessorTicks {
  let line: string;
  try {
    line = readFileSync("/proc/stat", "utf8").split("\n", 1)[0] ?? "";
  } catch {
    return { stolen: 0, worked: 0, all: 0 };
  }
  const ticks = line
    .split(/\s+/)
    .slice(1, 1 + COLUMNS)
    .map(Number);
  return {
    stolen: ticks[STOLEN_COLUMN] ?? 0,
    worked: WORKED_COLUMNS.reduce((sum, column) => sum + (ticks[column] ?? 0), 0),
    all: ticks.reduce((sum, of) => sum + of, 0),
  };
}

/** The share of the processors that other machines had between two counts, from 0 to 1. */
export function stolenShare(before: ProcessorTicks, after: ProcessorTicks): number {
  const all = after.all - before.all;
  return all > 0 ? Math.min(1, Math.max(0, (after.stolen - before.stolen) / all)) : 0;
}

/**
 * The share of the time in which this machine wanted a processor that other machines had it, between two counts, from 0
 * to 1. Idle time says nothing: a request that keeps one of two processors busy waits as long for that one.
 */
export function stolenOfWanted(before: ProcessorTicks, after: ProcessorTicks): number {
  const stolen = Math.max(0, after.stolen - before.stolen);
  const wanted = stolen + Math.max(0, after.worked - before.worked);
  return wanted > 0 ? stolen / wanted : 0;
}
