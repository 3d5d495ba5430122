import { CHILL } from "#core/chill/chill-constants.ts";

export interface ChillTimeInput {
  readonly carcassKilograms: number;
  /** W/m²K, see SURFACE_COEFFICIENT. */
  readonly surfaceCoefficient: number;
  readonly startCelsius: number;
  readonly mediumCelsius: number;
  readonly targetCelsius: number;
  readonly halfThicknessMeters?: number;
}

export interface ChillTime {
  readonly halfThicknessMeters: number;
  readonly biot: number;
  readonly lambda: number;
  readonly amplitude: number;
  /** Undefined where the medium is not colder than the target: the bird never gets there. */
  readonly finish:
    | { readonly fourier: number; readonly seconds: number; readonly meanCelsius: number }
    | undefined;
}

/** Below this Fourier number one term of the series is not enough. See docs/sources.md#chill. */
export const ONE_TERM_FOURIER = 0.2;

/**
 * Time until the deepest point of a carcass reaches a target: a slab cooled on both faces, one term of the
 * conduction series. Half thickness grows with the cube root of the weight. See docs/sources.md#chill.
 *
 * @throws {RangeError} if the weight is not more than 0
 */
export function chillTime({
  carcassKilograms,
  surfaceCoefficient,
  startCelsius,
  mediumCelsius,
  targetCelsius,
  halfThicknessMeters: reference = CHILL.halfThicknessMeters,
}: ChillTimeInput): ChillTime {
  if (!(carcassKilograms > 0))
    throw new RangeError(`carcass weight must be more than 0 kg, got ${carcassKilograms}`);
  const halfThicknessMeters = reference * Math.cbrt(carcassKilograms / CHILL.ofKilograms);
  const biot = (surfaceCoefficient * halfThicknessMeters) / CHILL.wattPerMeterKelvin;
  const lambda = firstRoot(biot);
  const amplitude = (4 * Math.sin(lambda)) / (2 * lambda + Math.sin(2 * lambda));
  return { halfThicknessMeters, biot, lambda, amplitude, finish: finish() };

  function finish() {
    if (mediumCelsius >= targetCelsius) return undefined;
    const theta = (targetCelsius - mediumCelsius) / (startCelsius - mediumCelsius);
    const fourier = Math.max(0, Math.log(amplitude / theta)) / lambda ** 2;
    const diffusivity =
      CHILL.wattPerMeterKelvin / (CHILL.kilogramPerCubicMeter * CHILL.joulePerKilogramKelvin);
    return {
      fourier,
      seconds: (halfThicknessMeters ** 2 * fourier) / diffusivity,
      meanCelsius: mediumCelsius + ((targetCelsius - mediumCelsius) * Math.sin(lambda)) / lambda,
    };
  }
}

/** The root of x tan(x) = biot between 0 and pi/2, by bisection to the last bit. */
function firstRoot(biot: number): number {
  let low = 0;
  let high = Math.PI / 2;
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (middle * Math.tan(middle) < biot) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
