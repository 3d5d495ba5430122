export interface VerdictInput {
  /** Dose that the bird had, and the one that loosens its feathers, seconds' worth at the reference temperature. */
  readonly doseSeconds: number;
  readonly targetSeconds: number;
  /** The hottest that the bath was. */
  readonly peakCelsius: number;
  readonly underRatio: number;
  readonly overRatio: number;
  readonly skinCeilingCelsius: number;
  readonly cuticleLimitCelsius: number;
}

export type ScaldVerdict = "good" | "under" | "over" | "skin-damage";

/** What a scald did to a bird. A bath at the skin's ceiling damages it, whatever the dose. See docs/sources.md#scald. */
export function scaldVerdict(scald: VerdictInput) {
  const ratio = scald.doseSeconds / scald.targetSeconds;
  const verdict: ScaldVerdict =
    scald.peakCelsius >= scald.skinCeilingCelsius
      ? "skin-damage"
      : ratio < scald.underRatio
        ? "under"
        : ratio > scald.overRatio
          ? "over"
          : "good";
  return {
    ratio,
    verdict,
    isCuticleLikelyKept: scald.peakCelsius <= scald.cuticleLimitCelsius && ratio <= scald.overRatio,
  };
}
