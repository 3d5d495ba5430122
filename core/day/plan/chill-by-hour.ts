import { CHILL, END_BIRD_DEVIATIONS, ICE, SURFACE_COEFFICIENT } from "#core/chill/chill-constants.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import type { ChillPlan } from "#core/day/plan/chill-plan.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { PlanInput } from "#core/day/plan/plan-input.ts";
import { SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";

/** A flock of very mixed size still has no bird lighter than this share of its mean. */
const LEAST_OF_MEAN = 0.2;

/** An hour of the tanks on an ordinary morning, from when they are filled until the last bird is cold. */
export interface ChillHour {
  /** When the hour begins, minutes after the first bird. */
  readonly fromMinute: number;
  /** Ice that melts in it and in all hours before it, margin and all, kg. */
  readonly meltedKilograms: number;
  /** Birds that have gone in by its end, and those of them that are cold through. */
  readonly birdsIn: number;
  readonly coldBirds: number;
}

/** A bird at one end of the flock, and how long the heat takes to leave its deepest part. */
export interface ChillOfBird {
  readonly carcassKilograms: number;
  readonly hours: number;
  /** Before it reaches the tank, on an ordinary morning at its slowest. */
  readonly waitMinutes: number;
  /** What is commonly quoted for its weight, from the kill. */
  readonly quotedHours: number;
  readonly isWithinQuoted: boolean;
}

export interface ChillByHour {
  readonly hours: readonly ChillHour[];
  /** When what is at hand has melted, minutes after the first bird; undefined where it lasts, or no one counted. */
  readonly iceOutMinute: number | undefined;
  /** When the tanks are full for the first time, minutes after the first bird; undefined where all fit. */
  readonly fullMinute: number | undefined;
  /** When the first bird is cold through and a place can be filled again. */
  readonly firstColdMinute: number;
  readonly lightest: ChillOfBird;
  readonly heaviest: ChillOfBird;
}

/**
 * The tanks hour by hour: each bird gives its heat as it cools, the water gives its own when the tanks are filled, and
 * the walls leak evenly. The parts add to the ice of the plan. See docs/sources.md#ice.
 *
 * @param atHandKilograms bought and made; undefined where no one said
 */
export function chillByHour(
  { flock, choices, means }: PlanInput,
  line: LinePlan,
  chill: Pick<ChillPlan, "ice" | "parts" | "tank">,
  atHandKilograms: number | undefined,
): ChillByHour {
  const mean = flock.dressed.value;
  const given = heatGiven(mean, SURFACE_COEFFICIENT[means.chillMethod]);
  const coldMinutes = given.hours * 60;
  const chills = line.answer.chills.map(({ p50 }) => p50);
  const fillMinute = -SET_UP_MINUTES;
  const lastCold = (chills.at(-1) ?? 0) + coldMinutes;
  const { carcassKilograms, waterKilograms, wallKilograms } = chill.parts;
  const meltedBy = (minute: number) => {
    const heat = chills.reduce((sum, at) => sum + given.share((minute - at) / 60), 0) / choices.birds;
    const share = Math.min(1, (minute - fillMinute) / (lastCold - fillMinute));
    return minute <= fillMinute ? 0 : waterKilograms + heat * carcassKilograms + share * wallKilograms;
  };
  const count = Math.ceil((lastCold - fillMinute) / 60);
  const hours = Array.from({ length: count }, (_, index): ChillHour => {
    const to = Math.min(lastCold, fillMinute + (index + 1) * 60);
    return {
      fromMinute: fillMinute + index * 60,
      meltedKilograms: meltedBy(to),
      birdsIn: chills.filter((at) => at <= to).length,
      coldBirds: chills.filter((at) => at + coldMinutes <= to + 1e-9).length,
    };
  });
  const room = chill.tank.birdsThatFit.value;
  const slowest = line.answer.longestWait.pluckToChill;
  const end = (deviations: number): ChillOfBird => {
    const weight = mean * Math.max(LEAST_OF_MEAN, 1 + deviations * flock.cv);
    const { hours: toCold } = heatGiven(weight, SURFACE_COEFFICIENT[means.chillMethod]);
    const quotedHours = quotedChillHours(weight);
    return {
      carcassKilograms: weight,
      hours: toCold,
      waitMinutes: slowest,
      quotedHours,
      isWithinQuoted: toCold + slowest / 60 <= quotedHours,
    };
  };
  return {
    hours,
    iceOutMinute:
      atHandKilograms === undefined || meltedBy(lastCold) <= atHandKilograms + 1e-9
        ? undefined
        : whenMelted(atHandKilograms, meltedBy, fillMinute, lastCold),
    fullMinute: room < choices.birds ? chills[Math.max(0, room - 1)] : undefined,
    firstColdMinute: (chills[0] ?? 0) + coldMinutes,
    lightest: end(-END_BIRD_DEVIATIONS),
    heaviest: end(END_BIRD_DEVIATIONS),
  };
}

/** The minute by which so much has melted, to a tenth, by halving. */
function whenMelted(kilograms: number, meltedBy: (minute: number) => number, from: number, to: number) {
  let low = from;
  let high = to;
  while (high - low > 0.1) {
    const middle = (low + high) / 2;
    if (meltedBy(middle) < kilograms) low = middle;
    else high = middle;
  }
  return high;
}

/** How long a carcass takes to 40 °F in its deepest part, and the share of its heat that it has given by then and before. */
function heatGiven(carcassKilograms: number, surfaceCoefficient: number) {
  const { halfThicknessMeters, lambda, amplitude, finish } = chillTime({
    carcassKilograms,
    surfaceCoefficient,
    startCelsius: ICE.carcassStartCelsius,
    mediumCelsius: ICE.bathCelsius,
    targetCelsius: CHILL.targetCelsius,
  });
  const diffusivity = CHILL.wattPerMeterKelvin / (CHILL.kilogramPerCubicMeter * CHILL.joulePerKilogramKelvin);
  const meanLeft = (hours: number) => {
    const fourier = (diffusivity * hours * 3600) / halfThicknessMeters ** 2;
    return Math.min(1, ((amplitude * Math.sin(lambda)) / lambda) * Math.exp(-(lambda ** 2) * fourier));
  };
  const hours = finish!.seconds / 3600;
  const whole = 1 - meanLeft(hours);
  return {
    hours,
    share: (hoursIn: number) =>
      hoursIn <= 0 ? 0 : Math.min(1, (1 - meanLeft(Math.min(hours, hoursIn))) / whole),
  };
}
