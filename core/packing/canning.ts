/** The pressure that a tested process asks for up to a height above the sea. */
export interface CanningStep {
  readonly upToMeters: number;
  readonly pascals: number;
}

export type CanningVerdict =
  | { readonly may: true; readonly pascals: number }
  | { readonly may: false; readonly why: "altitude-unknown" | "too-high" };

/**
 * What a tested process asks of a canner at a height above the sea. It fails closed: without a height, or above the process's
 * highest step, nothing may be canned by it.
 *
 * @param altitudeMeters of the farm; undefined where nobody has said
 */
export function canningAt(steps: readonly CanningStep[], altitudeMeters: number | undefined): CanningVerdict {
  if (altitudeMeters === undefined) return { may: false, why: "altitude-unknown" };
  const step = steps
    .toSorted((one, other) => one.upToMeters - other.upToMeters)
    .find(({ upToMeters }) => altitudeMeters <= upToMeters);
  return step ? { may: true, pascals: step.pascals } : { may: false, why: "too-high" };
}
