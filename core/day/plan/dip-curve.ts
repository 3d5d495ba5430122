import type { LotInput } from "#core/day/plan/plan-input.ts";
import { dipAt, type ScaldPlan } from "#core/day/plan/scald-plan.ts";

/** A bath, and how long birds of this kind need in it: at least, best and at most, seconds; undefined where it is too cool. */
export interface DipPoint {
  readonly celsius: number;
  readonly seconds: number;
  readonly earliest: number;
  readonly latest: number;
}

/** Temperature against time for this kind by the chosen method's dose, a point each half degree from the floor to the skin's ceiling. */
export function dipCurve({ kind, choices }: LotInput, { skinCeilingCelsius }: ScaldPlan): DipPoint[] {
  const points: DipPoint[] = [];
  for (let celsius = 50; celsius <= skinCeilingCelsius; celsius += 0.5) {
    const { seconds, secondsEarliest, secondsLatest } = dipAt(celsius, kind, choices.scaldMethod);
    points.push({ celsius, seconds: seconds!, earliest: secondsEarliest!, latest: secondsLatest! });
  }
  return points;
}
