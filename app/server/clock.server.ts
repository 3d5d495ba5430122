/**
 * The one clock. It may be set to start at another moment, from which it ticks:
 * PALE_MORNING_CLOCK=2026-09-17T10:12:00Z
 */
const startedAt = Date.now();
const setTo = process.env.PALE_MORNING_CLOCK ? Date.parse(process.env.PALE_MORNING_CLOCK) : startedAt;
if (Number.isNaN(setTo))
  throw new Error(`PALE_MORNING_CLOCK is not a moment: ${process.env.PALE_MORNING_CLOCK}`);

/** Now, epoch milliseconds UTC. */
export function now(): number {
  return setTo + Date.now() - startedAt;
}
