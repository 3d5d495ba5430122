import { DAY_SD_LN, FIRST_DAYS_SD_LN } from "#core/processing-line/line-constants.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

/** How far a farm's own times usually lie from ours, sd of the logarithm: choice. See docs/sources.md#own-days. */
const FARM_SD_LN = 0.25;
/** Our spread of days counts for so many of the farm's own: choice. See docs/sources.md#own-days. */
const SPREAD_WORTH_DAYS = 4;

/** A day this many times quicker or slower than ours would have been was not tapped as it happened: choice. See docs/sources.md#own-days. */
const MOST_TIMES_OURS = 4;

/** A day that was run: how long its line took, and how long ours would have said with the same birds and crew. */
export interface DayTaken {
  readonly tookMinutes: number;
  readonly predictedMinutes: number;
}

/** How quick a farm is against our times of practiced hands, and how its days scatter. */
export interface OwnPace {
  /** What our times are multiplied by: 1 where no day of its own has been run. */
  readonly factor: number;
  /** Of whole days about it, sd of the logarithm. */
  readonly daySdLn: number;
  /** How well the factor itself is known, sd of the logarithm; undefined before the first day. */
  readonly factorSdLn: number | undefined;
  readonly days: number;
}

export const OUR_PACE: OwnPace = { factor: 1, daySdLn: FIRST_DAYS_SD_LN, factorSdLn: undefined, days: 0 };

/**
 * What a farm's own days say of its pace: our estimate and each day, weighed by how sure they are (normal, in logarithms),
 * and the spread of its days from ours and theirs, with as many days behind ours as it is worth: wide at first, narrower as days
 * come in that are alike. Days whose taps can't be
 * how they went, such as all of them within a minute, are left out. See docs/sources.md#own-days.
 */
export function ownPace(taken: readonly DayTaken[]): OwnPace {
  const ratios = taken
    .map(({ tookMinutes, predictedMinutes }) => Math.log(tookMinutes / predictedMinutes))
    .filter((ratio) => Math.abs(ratio) <= Math.log(MOST_TIMES_OURS));
  if (ratios.length === 0) return OUR_PACE;
  const precision = 1 / FARM_SD_LN ** 2 + ratios.length / DAY_SD_LN ** 2;
  const mean = ratios.reduce((sum, ratio) => sum + ratio, 0) / DAY_SD_LN ** 2 / precision;
  const squares = ratios.reduce((sum, ratio) => sum + (ratio - mean) ** 2, 0);
  const scatter = (SPREAD_WORTH_DAYS * FIRST_DAYS_SD_LN ** 2 + squares) / (SPREAD_WORTH_DAYS + ratios.length);
  return {
    factor: Math.exp(mean),
    daySdLn: Math.sqrt(scatter),
    factorSdLn: Math.sqrt(1 / precision),
    days: ratios.length,
  };
}

/** The factor with its working; undefined where no day has been run. */
export function paceReckoning(pace: OwnPace): Reckoning | undefined {
  if (pace.factorSdLn === undefined) return undefined;
  return reckoning({
    value: pace.factor,
    unit: "times",
    inputs: [
      input("your-own-days", pace.days, "days", "measured"),
      input("starting-estimate", 1, "times", "our-estimate"),
      input("low-end-of-range", pace.factor * Math.exp(-pace.factorSdLn), "times", "calculated"),
      input("high-end-of-range", pace.factor * Math.exp(pace.factorSdLn), "times", "calculated"),
    ],
    rule: "own-pace",
    source: "own-log",
  });
}
