import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type LineFault, type LineSetup, lineSetup, withEveryoneStaying } from "#core/day/plan/line-setup.ts";
import type { PlanInput } from "#core/day/plan/plan-input.ts";
import type { ScaldPlan } from "#core/day/plan/scald-plan.ts";
import { CLEAN_UP_MINUTES, LINE_SEED, SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";
import { type LineAnswer, LineTally } from "#core/processing-line/line-tally.ts";
import { firstReplications } from "#core/processing-line/replications.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { RuleName } from "#core/reckoning/reckoning-names.ts";

/** Plays a day of the line through as many replications as there is time for. */
export type PlayLine = (day: LineDay) => LineAnswer;

export interface LinePlan {
  readonly setup: LineSetup;
  readonly answer: LineAnswer;
  readonly faults: readonly LineFault[];
  readonly birdsPerHour: Reckoning;
  readonly setUpAt: number;
  /** Last bird in the chill: as likely earlier as later. */
  readonly likelyAt: Reckoning;
  readonly nineInTenAt: Reckoning;
  readonly oneInTenAt: Reckoning;
  readonly cleanAt: Reckoning;
  /** Likely minutes from the first bird to the last in the chill tank, breaks included. */
  readonly lineMinutes: number;
  /** Likely time from setup through cleanup. */
  readonly wholeDayMinutes: Reckoning;
}

/**
 * Plays a day. Where people leave with birds undone on more than one day in ten, nothing true could be said of nine days
 * in ten: it is played as if everyone stayed, and the fault says that they leave too early.
 */
export function playedSetup(setup: LineSetup, play: PlayLine): { setup: LineSetup; answer: LineAnswer } {
  const answer = play(setup.day);
  if (answer.stuckReplications * 10 <= answer.replications) return { setup, answer };
  const staying = withEveryoneStaying(setup);
  return { setup: staying, answer: play(staying.day) };
}

/** A day's line, played through many replications. See docs/sources.md#line. */
export function linePlan(
  plan: PlanInput,
  scalds: readonly ScaldPlan[],
  play: PlayLine = firstAnswer,
): LinePlan {
  const { choices } = plan;
  const { setup, answer } = playedSetup(lineSetup(plan, scalds), play);
  // A crew whose hours end before the birds do never finishes; then the day is as long as their last bird came in.
  const last = answer.lastInChill ?? { p10: UNKNOWN, p50: UNKNOWN, p90: UNKNOWN };
  const doneAt = (minutes: number, rule: RuleName) => doneReckoning(plan, answer, minutes, rule);
  const likelyAt = doneAt(last.p50, "likely-done");
  // Packing goes on after the last bird is in the chill.
  const worked = choices.packsSameDay ? (answer.finish?.p50 ?? UNKNOWN) - CLEAN_UP_MINUTES : last.p50;
  const workedAt = choices.startAt + worked * MINUTE;
  const cleanAt = cleanReckoning(workedAt, choices.packsSameDay);
  const setUpAt = choices.startAt - SET_UP_MINUTES * MINUTE;
  return {
    setup,
    answer,
    faults: [...setup.faults, ...faultsOfTimes(setup, last.p50)],
    birdsPerHour: reckoning({
      value: (60 * birdsOf(choices)) / last.p50,
      unit: "birds-per-hour",
      inputs: [
        input("birds", birdsOf(choices), "birds", "farm-setting"),
        input("first-kill-to-last-bird-in-chill-tank", last.p50, "minutes", "calculated"),
      ],
      rule: "birds-per-hour",
      source: "line",
    }),
    setUpAt,
    likelyAt,
    nineInTenAt: doneAt(last.p90, "nine-in-ten-done"),
    oneInTenAt: doneAt(last.p10, "one-in-ten-done"),
    cleanAt,
    lineMinutes: last.p50,
    wholeDayMinutes: wholeDayReckoning((cleanAt.value - setUpAt) / MINUTE, worked),
  };
}

/** When the last bird is in the chill tank, so many minutes after the first is killed. */
const doneReckoning = (
  { choices, crew }: PlanInput,
  answer: LineAnswer,
  minutes: number,
  rule: RuleName,
): Reckoning =>
  reckoning({
    value: choices.startAt + minutes * MINUTE,
    unit: "instant",
    inputs: [
      input("first-bird", choices.startAt, "instant", "farm-setting"),
      input("birds", birdsOf(choices), "birds", "farm-setting"),
      input("people", crew.length, "people", "farm-setting"),
      input("simulated-days", answer.replications, "count", "calculated"),
      input("first-kill-to-last-bird-in-chill-tank", minutes, "minutes", "calculated"),
      input("breaks", choices.breakMinutes, "minutes", "farm-setting"),
    ],
    rule,
    source: "line",
  });

const cleanReckoning = (workedAt: number, packsSameDay: boolean): Reckoning =>
  reckoning({
    value: workedAt + CLEAN_UP_MINUTES * MINUTE,
    unit: "instant",
    inputs: [
      packsSameDay
        ? input("last-bird-packed", workedAt, "instant", "calculated")
        : input("last-bird-in-chill-tank", workedAt, "instant", "calculated"),
      input("cleanup", CLEAN_UP_MINUTES, "minutes", "our-estimate"),
    ],
    rule: packsSameDay ? "clean-after-packing" : "clean-after-chill",
    source: "line",
  });

const wholeDayReckoning = (minutes: number, workedMinutes: number): Reckoning =>
  reckoning({
    value: minutes,
    unit: "minutes",
    inputs: [
      input("setup", SET_UP_MINUTES, "minutes", "our-estimate"),
      input("line", workedMinutes, "minutes", "calculated"),
      input("cleanup", CLEAN_UP_MINUTES, "minutes", "our-estimate"),
    ],
    rule: "whole-day",
    source: "line",
  });

/** Stands for a day that never ends: a whole day and night. */
const UNKNOWN = 24 * 60;

/** What the hours turn out to be at odds with, once it is known how long the line takes. */
function faultsOfTimes({ day }: LineSetup, lineMinutes: number): LineFault[] {
  const [pause] = day.breaks;
  const isAfter = pause !== undefined && pause.fromMinute >= lineMinutes;
  const isLonger = pause !== undefined && !isAfter && pause.minutes > lineMinutes - pause.minutes;
  return [
    ...(isAfter ? [{ what: "break-after-end" as const }] : []),
    ...(isLonger ? [{ what: "break-longer-than-work" as const }] : []),
    ...day.people
      .filter(({ fromMinute }) => fromMinute >= lineMinutes)
      .map(({ name }) => ({ what: "arrives-after-end" as const, name })),
  ];
}

function firstAnswer(day: LineDay): LineAnswer {
  const tally = new LineTally(day, LINE_SEED);
  tally.play(firstReplications(day));
  return tally.answer();
}
