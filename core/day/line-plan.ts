import type { PlanInput } from "#core/day/plan-input.ts";
import type { ScaldPlan } from "#core/day/scald-plan.ts";
import {
  CLEAN_UP_MINUTES,
  DAY_SD_LN,
  PRACTICE_FACTOR,
  SET_UP_MINUTES,
} from "#core/processing-line/line-constants.ts";
import { type LineEstimate, slowestStation } from "#core/processing-line/slowest-station.ts";
import { input, inputFrom, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

const MILLISECONDS_PER_MINUTE = 60_000;
/** Standard normal quantile at 0.9. */
const NINE_IN_TEN = 1.281552;

export interface LinePlan {
  readonly estimate: LineEstimate;
  readonly birdsPerHour: Reckoning;
  /** From kill to kill, breaks spread over the day, hours. */
  readonly killIntervalHours: number;
  readonly setUpAt: number;
  /** Last bird in the chill: as likely earlier as later. */
  readonly evenChanceAt: Reckoning;
  readonly nineInTenAt: Reckoning;
  readonly cleanAt: Reckoning;
  /** Set-up to clean-up at an even chance. */
  readonly wholeDayMinutes: Reckoning;
}

/** A first estimate of the day's length from its slowest station. See docs/sources.md#line. */
export function linePlan({ choices, means }: PlanInput, scald: ScaldPlan): LinePlan {
  const estimate = slowestStation({
    birds: choices.birds,
    people: choices.people,
    cones: choices.cones,
    tablePlaces: choices.tablePlaces,
    scaldAtOnce: means.scalder.scaldAtOnce,
    pluckAtOnce: means.pluckAtOnce,
    dipSeconds: scald.seconds.value,
    // A bath with no heat to spare sags with every bird; that is said as a caution, not as a day without end.
    bathBirdsPerHour: scald.birdsPerHour.value > 0 ? scald.birdsPerHour.value : Number.MAX_SAFE_INTEGER,
    handsFactor: PRACTICE_FACTOR[means.practice],
  });
  const { lineMinutes } = estimate;
  const birdsPerHour = reckoning({
    value: estimate.slowestBirdsPerHour,
    unit: "birds per hour",
    inputs: [
      input("cones allow", estimate.birdsPerHour.cones, "birds per hour", "worked out"),
      input("the scald allows", estimate.birdsPerHour.scald, "birds per hour", "worked out"),
      input("the bath's heat allows", estimate.birdsPerHour.bath, "birds per hour", "worked out"),
      input("the plucker allows", estimate.birdsPerHour.pluck, "birds per hour", "worked out"),
      input("places at the gut table allow", estimate.birdsPerHour.gut, "birds per hour", "worked out"),
      input("all hands together allow", estimate.birdsPerHour.hands, "birds per hour", "worked out"),
      input("hands' time for one bird", estimate.handMinutesPerBird, "minutes per bird", "our default"),
    ],
    rule: "The least of what each station allows. A first estimate by the slowest station: it knows no queues and no waiting.",
    source: "line",
  });
  const doneAt = (factor: number, rule: string) =>
    reckoning({
      value: choices.startAt + (lineMinutes * factor + choices.breakMinutes) * MILLISECONDS_PER_MINUTE,
      unit: "instant",
      inputs: [
        input("first bird", choices.startAt, "instant", "the farm's default"),
        input("birds", choices.birds, "birds", "the farm's default"),
        inputFrom("pace of the line", birdsPerHour),
        input("line from first kill to last chill", lineMinutes, "minutes", "worked out"),
        input("allowed for a slow day", factor, "fraction", "our default"),
        input("breaks", choices.breakMinutes, "minutes", "the farm's default"),
      ],
      rule,
      source: "line",
    });
  const evenChanceAt = doneAt(
    1,
    "First bird, plus all birds at the pace of the slowest station, plus breaks.",
  );
  const slowDay = Math.exp(NINE_IN_TEN * DAY_SD_LN);
  const nineInTenAt = doneAt(slowDay, "The same with the day as slow as it is one time in ten.");
  const cleanAt = reckoning({
    value: evenChanceAt.value + CLEAN_UP_MINUTES * MILLISECONDS_PER_MINUTE,
    unit: "instant",
    inputs: [
      inputFrom("last bird in the chill", evenChanceAt),
      input("clean-up", CLEAN_UP_MINUTES, "minutes", "our default"),
    ],
    rule: "Last bird in the chill, plus an hour to clean up.",
    source: "line",
  });
  const setUpAt = choices.startAt - SET_UP_MINUTES * MILLISECONDS_PER_MINUTE;
  return {
    estimate,
    birdsPerHour,
    killIntervalHours: killInterval(estimate, choices.birds, choices.breakMinutes) / 60,
    setUpAt,
    evenChanceAt,
    nineInTenAt,
    cleanAt,
    wholeDayMinutes: reckoning({
      value: (cleanAt.value - setUpAt) / MILLISECONDS_PER_MINUTE,
      unit: "minutes",
      inputs: [
        input("set-up", SET_UP_MINUTES, "minutes", "our default"),
        input("line", lineMinutes, "minutes", "worked out"),
        input("breaks", choices.breakMinutes, "minutes", "the farm's default"),
        input("clean-up", CLEAN_UP_MINUTES, "minutes", "our default"),
      ],
      rule: "Set-up, line, breaks and clean-up.",
      source: "line",
    }),
  };
}

function killInterval({ intervalMinutes }: LineEstimate, birds: number, breakMinutes: number): number {
  return birds > 1 ? intervalMinutes + breakMinutes / (birds - 1) : intervalMinutes;
}
