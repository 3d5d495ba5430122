import { instantOf, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import type { ByProductKind } from "#core/packing/by-products.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { PersonRules } from "#core/safety/person-rules.ts";

export const TASK_KEYS = [
  "book",
  "count-stock",
  "pens",
  "jugs",
  "sharpen",
  "scrub",
  "try-machines",
  "ice",
  "feed-off",
  "burner",
  "day",
  "set-up",
  "catch",
  "first-bird",
  "break",
  "more-ice",
  "second-fill",
  "clean",
  "probe",
  "shut-in",
  "brine-out",
  "drain",
  "cut-up",
  "broth",
  "dehydrator",
  "dry-check",
  "broth-out",
  "freeze",
  "freezer-check",
] as const;
export type TaskKey = (typeof TASK_KEYS)[number];

/** Of one lot or load of several, or of the birds that rest so many days. */
const TASK_PART = /^\d{1,9}(-days)?$/;

/** Whether this can be the id of a day's task, whatever is planned by now: a tick may arrive after the plan has changed. */
export function isTaskId(text: string): boolean {
  const [key, part, ...more] = text.split(":", 3);
  return (
    TASK_KEYS.some((one) => one === key) && more.length === 0 && (part === undefined || TASK_PART.test(part))
  );
}

/** What a task's words need to know; each key uses its own few. */
export interface TaskFacts {
  readonly thing?: string;
  readonly lots?: readonly LotOfTask[];
  /** The lot's, where a day has several and the task is of one of them. */
  readonly batchName?: string;
  readonly birds?: number;
  readonly bags?: number;
  readonly crates?: number;
  readonly windowHours?: readonly [number, number];
  readonly minutes?: number;
  readonly quotedHours?: number;
  readonly restDays?: number;
  /** The by-product that the task is about. */
  readonly load?: ByProductKind;
}

export interface LotOfTask {
  readonly birds: number;
  readonly batchName: string;
}

/** Something to be done for a scheduled day, at its time. */
export interface DayTask {
  /** The same for as long as the day is, however often it is moved: its key, and of one lot of several the lot's batch. */
  readonly id: string;
  readonly key: TaskKey;
  readonly facts: TaskFacts;
  readonly at: number;
  readonly minutes: number;
  /** Between setup and cleanup: the run sheet's, and too much for a calendar. */
  readonly isOnTheLine: boolean;
  /** Who would do it, of those who are there then and may; undefined where no one is known. */
  readonly who: string | undefined;
}

/** Someone who can be asked to do something. */
export interface TaskPerson {
  readonly name: string;
  readonly rules: PersonRules;
  /** Where they stand on the day, first of all; undefined where they don't work on it. */
  readonly station: Station | undefined;
  /** On a day, at a minute of it by the farm's clock. */
  readonly isThere: (day: LocalDay, minute: number) => boolean;
}

/** Birds that rest alike, as far as it makes work. */
export interface PartToRest {
  readonly birds: number;
  /** Days until they are packed or frozen. */
  readonly days: number;
  /** Of them to be cut up. */
  readonly cutUp: number;
  /** When they come out of the brine; undefined without one. */
  readonly brineOutAt: number | undefined;
}

/** A load of a by-product that is still in the dryer or the pot. */
export interface LoadUnderWay {
  readonly id: number;
  readonly kind: ByProductKind;
  /** When it went in, or was looked at last. */
  readonly lookedAt: number;
}

export interface TaskInput {
  readonly processedOn: LocalDay;
  readonly choices: Pick<DayChoices, "startAt" | "breakMinutes">;
  readonly timeZone: string;
  readonly plan: DayPlan;
  /** The parts of the day's birds that rest alike; at least one. */
  readonly rest: readonly PartToRest[];
  /** Feet are kept, so that someone peels them. */
  readonly keepsFeet: boolean;
  readonly loads: readonly LoadUnderWay[];
  /** In the order in which the farm named them. */
  readonly people: readonly TaskPerson[];
  /** What must be borrowed for the day and is not booked yet; undefined if nothing is. */
  readonly toBook: string | undefined;
  /** The day on which it became known that the thing must be booked. */
  readonly today: LocalDay;
}

/** A task before it is known who does it. */
export type Draft = Omit<DayTask, "id" | "who" | "isOnTheLine" | "facts"> & {
  /** Of which lot, where a day has several. */
  readonly batchId?: number | undefined;
  /** Which part of the rest, where the birds rest in several. */
  readonly part?: string | undefined;
  readonly facts?: TaskFacts;
  readonly isOnTheLine?: boolean;
  /** The station at which the same is asked of people: its rules bind here too. */
  readonly like: Station;
};

/** A time of the day so many days before; where the clocks jump over it, three hours into the day. */
export function clockOn({ processedOn, timeZone }: TaskInput) {
  return (daysBefore: number, time: string) => {
    const day = addDays(processedOn, -daysBefore);
    const instant = instantOf(day, time, timeZone);
    return instant.exists ? instant.at : startOfDay(day, timeZone) + 3 * HOUR;
  };
}
