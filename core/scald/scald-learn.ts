import { normalShareBelow } from "#core/quantity/normal.ts";

/** How the feathers of a bird answered at its last lift: they held, slipped out, or the skin tore. */
export const FEATHER_ANSWERS = ["hold", "slip", "tear"] as const;
export type FeatherAnswer = (typeof FEATHER_ANSWERS)[number];

export interface ScaldedBird {
  /** Total dose of its dips against our target, more than 0. */
  readonly doseRatio: number;
  readonly answer: FeatherAnswer;
}

export interface LearnInput {
  /** Dose against target below which feathers hold, and above which skin suffers. */
  readonly underRatio: number;
  readonly overRatio: number;
  readonly birds: readonly ScaldedBird[];
  readonly priorSdLn?: number;
  readonly testSdLn?: number;
}

export interface LearnedTarget {
  /** Natural logarithm of the own target against ours, and its spread. */
  readonly thetaMean: number;
  readonly thetaSd: number;
  /** The own target is this times ours. */
  readonly targetFactor: number;
}

/** Our choices: how far own targets lie from ours, and how sharply feathers tell. See docs/sources.md#scald. */
export const SCALD_LEARNING = { priorSdLn: 0.18, testSdLn: 0.25 } as const;

const GRID_POINTS = 8001;
const GRID_SDS = 8;

/**
 * The own scald target, learned from how the feathers answered: theta = ln(own / ours) has a normal prior, and each bird's
 * answer is an ordered probit of its dose about the two limits. Mean and sd on an even grid.
 *
 * @throws {RangeError} if a dose is not more than 0
 */
export function learnTarget({ underRatio, overRatio, birds, ...spreads }: LearnInput): LearnedTarget {
  const { priorSdLn, testSdLn } = { ...SCALD_LEARNING, ...spreads };
  for (const { doseRatio } of birds)
    if (!(doseRatio > 0)) throw new RangeError(`dose must be more than 0, got ${doseRatio}`);
  const [lnUnder, lnOver] = [Math.log(underRatio), Math.log(overRatio)];
  const likelihood = ({ doseRatio, answer }: ScaldedBird, theta: number): number => {
    const lnDose = Math.log(doseRatio);
    const holds = normalShareBelow((lnUnder - lnDose + theta) / testSdLn);
    const notTears = normalShareBelow((lnOver - lnDose + theta) / testSdLn);
    return answer === "hold" ? holds : answer === "tear" ? 1 - notTears : notTears - holds;
  };
  const grid = Array.from({ length: GRID_POINTS }, (_, point) => {
    const deviation = GRID_SDS * ((2 * point) / (GRID_POINTS - 1) - 1);
    const theta = deviation * priorSdLn;
    const logLikelihood = birds.reduce(
      (sum, bird) => sum + Math.log(Math.max(likelihood(bird, theta), Number.MIN_VALUE)),
      -0.5 * deviation * deviation,
    );
    return { theta, logLikelihood };
  });
  const most = grid.reduce((best, { logLikelihood }) => Math.max(best, logLikelihood), -Infinity);
  let total = 0;
  let sum = 0;
  let squares = 0;
  for (const { theta, logLikelihood } of grid) {
    const weight = Math.exp(logLikelihood - most);
    total += weight;
    sum += weight * theta;
    squares += weight * theta * theta;
  }
  const thetaMean = sum / total;
  return {
    thetaMean,
    thetaSd: Math.sqrt(squares / total - thetaMean * thetaMean),
    targetFactor: Math.exp(thetaMean),
  };
}
