export interface DoseScale {
  readonly referenceCelsius: number;
  readonly zCelsius: number;
  readonly floorCelsius: number;
}

export interface ScaldTimeInput {
  readonly bathCelsius: number;
  /** Dose that loosens the feathers, seconds' worth at the reference temperature. */
  readonly targetSeconds: number;
  readonly underRatio: number;
  readonly overRatio: number;
  readonly skinCeilingCelsius: number;
  readonly scale: DoseScale;
}

export interface ScaldTime {
  /** Seconds' worth at the reference temperature gained in a second. */
  readonly rate: number;
  /** Undefined where the bath is too cool to loosen feathers at all. */
  readonly seconds: number | undefined;
  readonly secondsEarliest: number | undefined;
  readonly secondsLatest: number | undefined;
  readonly isSkinInDanger: boolean;
}

/**
 * How long to scald in a bath that holds its temperature: t = target / 10^((T - reference) / z).
 * Below the floor the rate is 0 and no time is long enough. See docs/sources.md#scald.
 */
export function scaldTime({
  bathCelsius,
  targetSeconds,
  underRatio,
  overRatio,
  skinCeilingCelsius,
  scale,
}: ScaldTimeInput): ScaldTime {
  const rate =
    bathCelsius >= scale.floorCelsius ? 10 ** ((bathCelsius - scale.referenceCelsius) / scale.zCelsius) : 0;
  const seconds = rate > 0 ? targetSeconds / rate : undefined;
  return {
    rate,
    seconds,
    secondsEarliest: seconds && seconds * underRatio,
    secondsLatest: seconds && seconds * overRatio,
    isSkinInDanger: bathCelsius >= skinCeilingCelsius,
  };
}
