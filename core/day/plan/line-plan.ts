import { type LineFault, type LineSetup, lineSetup } from "#core/day/plan/line-setup.ts";
import type { PlanInput } from "#core/day/plan/plan-input.ts";
import type { ScaldPlan } from "#core/day/plan/scald-plan.ts";
import { CLEAN_UP_MINUTES, LINE_SEED, SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { type LineAnswer, LineTally } from "#core/processing-line/line-tally.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

const MILLISECONDS_PER_MINUTE = 60_000;

/** Mornings for a first answer, which must come while a name is being moved: fewer where there are many birds. */
const FIRST_MORNINGS = 80;
const FIRST_BIRDS = 60;

/** Plays a day of the line through as many mornings as there is time for. */
export type PlayLine = (day: LineDay) => LineAnswer;

export interface LinePlan {
  readonly setup: LineSetup;
  readonly answer: LineAnswer;
  readonly faults: readonly LineFault[];
  readonly birdsPerHour: Reckoning;
  readonly setUpAt: number;
  /** Last bird in the chill: as likely earlier as later. */
  readonly evenChanceAt: Reckoning;
  readonly nineInTenAt: Reckoning;
  readonly oneInTenAt: Reckoning;
  readonly cleanAt: Reckoning;
  /** First bird to last in the chill at an even chance, breaks among them, minutes. */
  readonly lineMinutes: number;
  /** Set-up to clean-up at an even chance. */
  readonly wholeDayMinutes: Reckoning;
}

/** A day's line, played through many mornings. See docs/sources.md#line. */
export function linePlan(plan: PlanInput, scald: ScaldPlan, play: PlayLine = firstAnswer): LinePlan {
  const { choices } = plan;
  const setup = lineSetup(plan, scald);
  const answer = play(setup.day);
  // A crew whose hours end before the birds do never finishes; then the day is as long as their last bird came in.
  const last = answer.lastInChill ?? { p10: UNKNOWN, p50: UNKNOWN, p90: UNKNOWN };
  const doneAt = (minutes: number, rule: string) =>
    reckoning({
      value: choices.startAt + minutes * MILLISECONDS_PER_MINUTE,
      unit: "instant",
      inputs: [
        input("first bird", choices.startAt, "instant", "the farm's default"),
        input("birds", choices.birds, "birds", "the farm's default"),
        input("people", plan.crew.length, "people", "the farm's default"),
        input("mornings played", answer.replications, "count", "worked out"),
        input("line from first kill to last chill", minutes, "minutes", "worked out"),
        input("breaks in it", choices.breakMinutes, "minutes", "the farm's default"),
      ],
      rule,
      source: "line",
    });
  const evenChanceAt = doneAt(
    last.p50,
    "The day was played so many times, bird by bird, with good and bad luck; half of the mornings were done by then.",
  );
  // Packing goes on after the last bird is in the chill.
  const worked = choices.packsSameDay ? (answer.finish?.p50 ?? UNKNOWN) - CLEAN_UP_MINUTES : last.p50;
  const workedAt = choices.startAt + worked * MILLISECONDS_PER_MINUTE;
  const cleanAt = reckoning({
    value: workedAt + CLEAN_UP_MINUTES * MILLISECONDS_PER_MINUTE,
    unit: "instant",
    inputs: [
      choices.packsSameDay
        ? input("last bird packed", workedAt, "instant", "worked out")
        : input("last bird in the chill", workedAt, "instant", "worked out"),
      input("clean-up", CLEAN_UP_MINUTES, "minutes", "our default"),
    ],
    rule: choices.packsSameDay
      ? "Last bird packed, plus an hour to clean up."
      : "Last bird in the chill, plus an hour to clean up.",
    source: "line",
  });
  const setUpAt = choices.startAt - SET_UP_MINUTES * MILLISECONDS_PER_MINUTE;
  return {
    setup,
    answer,
    faults: [...setup.faults, ...faultsOfTimes(setup, last.p50)],
    birdsPerHour: reckoning({
      value: (60 * choices.birds) / last.p50,
      unit: "birds per hour",
      inputs: [
        input("birds", choices.birds, "birds", "the farm's default"),
        input("line from first kill to last chill", last.p50, "minutes", "worked out"),
      ],
      rule: "Birds over the time from the first kill to the last in the chill, breaks and all.",
      source: "line",
    }),
    setUpAt,
    evenChanceAt,
    nineInTenAt: doneAt(last.p90, "Of the mornings played, nine in ten were done by then."),
    oneInTenAt: doneAt(last.p10, "Of the mornings played, one in ten was done by then."),
    cleanAt,
    lineMinutes: last.p50,
    wholeDayMinutes: reckoning({
      value: (cleanAt.value - setUpAt) / MILLISECONDS_PER_MINUTE,
      unit: "minutes",
      inputs: [
        input("set-up", SET_UP_MINUTES, "minutes", "our default"),
        input("line", worked, "minutes", "worked out"),
        input("clean-up", CLEAN_UP_MINUTES, "minutes", "our default"),
      ],
      rule: "Set-up, line with its breaks, and clean-up.",
      source: "line",
    }),
  };
}

/** Stands for a day that never ends: a whole day and night. */
const UNKNOWN = 24 * 60;

/** What the hours turn out to be at odds with, once it is known how long the line takes. */
function faultsOfTimes({ day }: LineSetup, lineMinutes: number): LineFault[] {
  const [pause] = day.breaks;
  const isAfter = pause !== undefined && pause.fromMinute >= lineMinutes;
  const isLonger = pause !== undefined && !isAfter && pause.minutes > lineMinutes - pause.minutes;
  return [
    ...(isAfter ? [{ what: "break after the end" as const }] : []),
    ...(isLonger ? [{ what: "break longer than the work" as const }] : []),
    ...day.people
      .filter(({ fromMinute }) => fromMinute >= lineMinutes)
      .map(({ name }) => ({ what: "comes after the end" as const, name })),
  ];
}

function firstAnswer(day: LineDay): LineAnswer {
  const tally = new LineTally(day, LINE_SEED);
  tally.play(Math.max(8, Math.min(FIRST_MORNINGS, Math.round((FIRST_MORNINGS * FIRST_BIRDS) / day.birds))));
  return tally.answer();
}
