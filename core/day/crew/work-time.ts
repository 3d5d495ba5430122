import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CLEAN_UP_MINUTES, SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

export interface WorkTimeInput {
  readonly people: number;
  /** First tap to last of the day's log, epoch milliseconds; or, where no one tapped both, first bird to last as planned. */
  readonly time: { readonly from: number; readonly to: number } | { readonly plannedLineMinutes: number };
}

/** Hours of all people together: the day's log, or its plan where there is none, with setup and cleanup. */
export function workTime({ people, time }: WorkTimeInput): Reckoning {
  const logged = "from" in time;
  const line = logged ? (time.to - time.from) / MINUTE : time.plannedLineMinutes;
  return reckoning({
    value: people * (line + SET_UP_MINUTES + CLEAN_UP_MINUTES),
    unit: "minutes",
    inputs: [
      input("people", people, "people", "farm-setting"),
      input("start-to-finish", line, "minutes", logged ? "measured" : "calculated"),
      input("setup-and-cleanup", SET_UP_MINUTES + CLEAN_UP_MINUTES, "minutes", "our-estimate"),
    ],
    rule: logged ? "hours-worked-logged" : "hours-worked-planned",
    source: "line",
  });
}
