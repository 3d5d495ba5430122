/** Lengths of time, in milliseconds as clocks count them. A farm's day may be an hour longer or shorter: see farm-time.ts. */
export const SECOND = 1000;
export const MINUTE = 60 * SECOND;
export const HOUR = 60 * MINUTE;
