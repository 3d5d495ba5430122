/** A clock that starts at a moment, epoch milliseconds UTC, and ticks from there. */
export function clockFrom(start: number): () => number {
  const begun = Date.now();
  return () => start + Date.now() - begun;
}
