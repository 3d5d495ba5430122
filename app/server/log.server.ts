import { pino } from "pino";

/** Structured lines to standard output. */
export const log = pino({ level: process.env.PALE_MORNING_LOG ?? "info", base: null });
