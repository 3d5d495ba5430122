export interface UptakeInput {
  /** Share of the warm weight that is taken up in the end; less than 0 where air dries the skin. */
  readonly mostFraction: number;
  readonly tauHours: number;
  readonly hours: number;
  readonly drainHours: number;
  readonly drainKeptFraction: number;
  readonly drainTauHours: number;
}

/** Water that a carcass takes up while it chills, as a share of its warm weight, when lifted and after draining. See docs/sources.md#uptake. */
export function waterUptake(chill: UptakeInput) {
  const atLift = chill.mostFraction * -Math.expm1(-chill.hours / chill.tauHours);
  const kept =
    chill.drainKeptFraction +
    (1 - chill.drainKeptFraction) * Math.exp(-chill.drainHours / chill.drainTauHours);
  return { atLift, afterDrain: atLift > 0 ? atLift * kept : atLift };
}
