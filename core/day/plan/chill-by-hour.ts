import { CHILL, END_BIRD_DEVIATIONS, ICE, SURFACE_COEFFICIENT } from "#core/chill/chill-constants.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import type { ChillPlan } from "#core/day/plan/chill-plan.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import { SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { countAtMost } from "#core/quantity/count-at-most.ts";

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
  { lots, means }: PlanInput,
  line: LinePlan,
  chill: Pick<ChillPlan, "ice" | "parts" | "tank">,
  atHandKilograms: number | undefined,
): ChillByHour {
  const birds = inTanks(lots, means, line);
  const allKilograms = birds.reduce((sum, { kilograms }) => sum + kilograms, 0);
  const fillMinute = -SET_UP_MINUTES;
  const lastCold = Math.max(0, ...birds.map(({ coldAt }) => coldAt));
  const { carcassKilograms, waterKilograms, wallKilograms } = chill.parts;
  const given = heatGivenBy(birds);
  const inOrder = Float64Array.from(birds, ({ at }) => at).sort();
  const coldInOrder = Float64Array.from(birds, ({ coldAt }) => coldAt).sort();
  const meltedBy = (minute: number) => {
    const heat = given(minute);
    const share = Math.min(1, (minute - fillMinute) / (lastCold - fillMinute));
    const ofBirds = allKilograms > 0 ? (heat / allKilograms) * carcassKilograms : 0;
    return minute <= fillMinute ? 0 : waterKilograms + ofBirds + share * wallKilograms;
  };
  const count = Math.ceil((lastCold - fillMinute) / 60);
  const hours = Array.from({ length: count }, (_, index): ChillHour => {
    const to = Math.min(lastCold, fillMinute + (index + 1) * 60);
    return {
      fromMinute: fillMinute + index * 60,
      meltedKilograms: meltedBy(to),
      birdsIn: countAtMost(inOrder, to),
      coldBirds: countAtMost(coldInOrder, to + 1e-9),
    };
  });
  const room = chill.tank.birdsThatFit.value;
  const ends = lots.flatMap((lot) =>
    [-END_BIRD_DEVIATIONS, END_BIRD_DEVIATIONS].map((deviations) => endBird(lot, deviations, means, line)),
  );
  const byWeight = ends.toSorted((one, other) => one.carcassKilograms - other.carcassKilograms);
  return {
    hours,
    iceOutMinute:
      atHandKilograms === undefined || meltedBy(lastCold) <= atHandKilograms + 1e-9
        ? undefined
        : whenMelted(atHandKilograms, meltedBy, fillMinute, lastCold),
    fullMinute:
      room < birdsOf({ lots: lots.map(({ choices }) => choices) })
        ? birds[Math.max(0, room - 1)]?.at
        : undefined,
    firstColdMinute: birds.length > 0 ? Math.min(...birds.map(({ coldAt }) => coldAt)) : lastCold,
    lightest: byWeight[0]!,
    heaviest: byWeight.at(-1)!,
  };
}

/** The day's birds in the order of reaching the tanks, which is taken to be that of their lots, each as its lot's mean. */
function inTanks(lots: readonly LotInput[], { chillMethod }: PlanInput["means"], line: LinePlan) {
  const ofLots = lots.flatMap(({ choices, flock }) => {
    const kilograms = flock.dressed.value;
    const { hours, share } = heatGiven(kilograms, SURFACE_COEFFICIENT[chillMethod]);
    return Array<{ kilograms: number; hours: number; given: typeof share }>(choices.birds).fill({
      kilograms,
      hours,
      given: share,
    });
  });
  return line.answer.chills.map(({ p50: at }, index) => {
    const { hours, ...bird } = ofLots[index]!;
    return { ...bird, at, coldAt: at + hours * 60 };
  });
}

type BirdInTank = ReturnType<typeof inTanks>[number];

/** What all birds together have given of their heat by a minute, as kilograms: those that are cold count whole, once. */
function heatGivenBy(birds: readonly BirdInTank[]): (minute: number) => number {
  const byCold = birds.toSorted((one, other) => one.coldAt - other.coldAt);
  const coldInOrder = Float64Array.from(byCold, ({ coldAt }) => coldAt);
  const wholeOfFirst = new Float64Array(byCold.length + 1);
  for (const [index, { kilograms }] of byCold.entries())
    wholeOfFirst[index + 1] = wholeOfFirst[index]! + kilograms;
  const longest = Math.max(0, ...birds.map(({ at, coldAt }) => coldAt - at));
  return (minute) => {
    const cold = countAtMost(coldInOrder, minute);
    // No bird after these is in yet.
    const last = countAtMost(coldInOrder, minute + longest);
    let heat = wholeOfFirst[cold]!;
    for (let index = cold; index < last; index += 1) {
      const { at, kilograms, given } = byCold[index]!;
      if (at < minute) heat += kilograms * given((minute - at) / 60);
    }
    return heat;
  };
}

/** A bird of a lot so many standard deviations from its mean. */
function endBird(
  { flock }: LotInput,
  deviations: number,
  { chillMethod }: PlanInput["means"],
  line: LinePlan,
): ChillOfBird {
  const slowest = line.answer.longestWait.pluckToChill;
  const weight = flock.dressed.value * Math.max(LEAST_OF_MEAN, 1 + deviations * flock.cv);
  const { hours } = heatGiven(weight, SURFACE_COEFFICIENT[chillMethod]);
  const quotedHours = quotedChillHours(weight);
  return {
    carcassKilograms: weight,
    hours,
    waitMinutes: slowest,
    quotedHours,
    isWithinQuoted: hours + slowest / 60 <= quotedHours,
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
      hoursIn <= 0 ? 0 : hoursIn >= hours ? 1 : Math.min(1, (1 - meanLeft(hoursIn)) / whole),
  };
}
