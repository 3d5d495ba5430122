import { instantOf, localClock, localDayOf, minuteOfClock, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { CLEAN_UP_MINUTES, SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { type PersonRules, ruleAgainst } from "#core/safety/person-rules.ts";

export type TaskKey =
  | "book"
  | "count-stock"
  | "pens"
  | "jugs"
  | "sharpen"
  | "scrub"
  | "try-machines"
  | "ice"
  | "feed-off"
  | "burner"
  | "day"
  | "set-up"
  | "catch"
  | "first-bird"
  | "break"
  | "more-ice"
  | "second-fill"
  | "clean"
  | "probe"
  | "shut-in"
  | "brine-out"
  | "drain"
  | "cut-up"
  | "freeze"
  | "freezer-check";

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

export interface TaskInput {
  readonly processedOn: LocalDay;
  readonly choices: Pick<DayChoices, "startAt" | "breakMinutes">;
  readonly timeZone: string;
  readonly plan: DayPlan;
  /** The parts of the day's birds that rest alike; at least one. */
  readonly rest: readonly PartToRest[];
  /** In the order in which the farm named them. */
  readonly people: readonly TaskPerson[];
  /** What must be borrowed for the day and is not booked yet; undefined if nothing is. */
  readonly toBook: string | undefined;
  /** The day on which it became known that the thing must be booked. */
  readonly today: LocalDay;
}

const BOOK_AHEAD_DAYS = 21;

type Draft = Omit<DayTask, "id" | "who" | "isOnTheLine" | "facts"> & {
  /** Of which lot, where a day has several. */
  readonly batchId?: number | undefined;
  /** Which part of the rest, where the birds rest in several. */
  readonly part?: string | undefined;
  readonly facts?: TaskFacts;
  readonly isOnTheLine?: boolean;
  /** The station at which the same is asked of people: its rules bind here too. */
  readonly like: Station;
};

/** What follows from a scheduled day, in order of time. The times are the usual ones; those of the line, feed and burner are the plan's own. */
export function dayTasks(task: TaskInput): DayTask[] {
  const drafts: Draft[] = [...before(task), ...onTheDay(task), ...after(task)];
  const sorted = drafts
    .filter(({ key, at }) => (key !== "freeze" && key !== "drain") || at > task.choices.startAt)
    .map((draft) => ({ ...draft, at: Math.round(draft.at / MINUTE) * MINUTE }))
    .toSorted((one, other) => one.at - other.at);
  const timesAsked = new Map<string, number>();
  return sorted.map(({ like, batchId, part, isOnTheLine = false, facts = {}, ...draft }) => {
    const who = whoFor(task, like, draft.at, timesAsked);
    if (who !== undefined) timesAsked.set(who, (timesAsked.get(who) ?? 0) + 1);
    const of = batchId ?? part;
    const id = of === undefined ? draft.key : `${draft.key}:${of}`;
    return { ...draft, id, facts, isOnTheLine, who };
  });
}

/** Who stands at the station on the day; else whoever is there, may, and was asked least. */
function whoFor(
  { people, processedOn, timeZone }: TaskInput,
  like: Station,
  at: number,
  timesAsked: ReadonlyMap<string, number>,
): string | undefined {
  const day = localDayOf(at, timeZone);
  const minute = minuteOfClock(localClock(at, timeZone));
  const able = people.filter(
    ({ rules, isThere, station }) =>
      ruleAgainst(rules, like) === undefined &&
      isThere(day, minute) &&
      (day !== processedOn || station !== undefined),
  );
  const expert = able.find(({ station }) => station === like);
  const least = able.toSorted(
    (one, other) => (timesAsked.get(one.name) ?? 0) - (timesAsked.get(other.name) ?? 0),
  )[0];
  const anyone = people.find(({ rules }) => ruleAgainst(rules, like) === undefined);
  return (expert ?? least ?? anyone)?.name;
}

function before(task: TaskInput): Draft[] {
  const { processedOn, timeZone, plan, toBook, today } = task;
  const { chill } = plan;
  const on = clockOn(task);
  const bags = Math.ceil(chill.bags.value);
  const bookOn = addDays(processedOn, -BOOK_AHEAD_DAYS);
  const booking: Draft[] =
    toBook === undefined
      ? []
      : [
          {
            key: "book",
            facts: { thing: toBook, lots: lotsOf(plan) },
            at: bookOn < today ? startOfDay(today, timeZone) + 9 * HOUR : on(BOOK_AHEAD_DAYS, "09:00"),
            minutes: 15,
            like: "pack",
          },
        ];
  return [
    ...booking,
    {
      key: "count-stock",
      at: on(7, "18:00"),
      minutes: 30,
      like: "pack",
    },
    {
      key: "pens",
      at: on(3, "17:00"),
      minutes: 45,
      like: "pluck",
    },
    {
      key: "jugs",
      at: on(3, "18:00"),
      minutes: 20,
      like: "pluck",
    },
    {
      key: "sharpen",
      at: on(2, "18:00"),
      minutes: 40,
      like: "gut",
    },
    {
      key: "scrub",
      at: on(1, "13:30"),
      minutes: 75,
      // Bleach is no child's work, as the giblets' knives are not.
      like: "giblets",
    },
    {
      key: "try-machines",
      at: on(1, "15:00"),
      minutes: 60,
      like: "scald",
    },
    {
      key: "ice",
      facts: { bags },
      at: on(1, "16:30"),
      minutes: 45,
      like: "pluck",
    },
    ...plan.lots.map(
      (lot): Draft => ({
        ...ofLot(lot, plan),
        key: "feed-off",
        facts: { ...ofLot(lot, plan).facts, windowHours: lot.withdrawal.windowHours },
        at: lot.withdrawal.feedOffAt.value,
        minutes: 15,
        like: "pins",
      }),
    ),
  ];
}

const lotsOf = (plan: DayPlan): LotOfTask[] =>
  plan.lots.map(({ batchName, choices }) => ({ batchName, birds: choices.birds }));

/** What tells the tasks of several lots apart. */
const ofLot = ({ batchName, choices }: DayPlan["lots"][number], { lots }: DayPlan) =>
  lots.length > 1 ? { batchId: choices.batchId, facts: { batchName } } : { facts: {} };

function onTheDay({ choices, plan }: TaskInput): Draft[] {
  const { heat, line, chill, tanks } = plan;
  const at = (minute: number) => choices.startAt + minute * MINUTE;
  const [pause] = line.setup.day.breaks;
  const drafts: (Draft | false)[] = [
    heat.burner.possible && {
      key: "burner",
      at: heat.burner.safeAt.value,
      minutes: 15,
      like: "scald",
    },
    {
      key: "day",
      facts: { lots: lotsOf(plan) },
      at: line.setUpAt,
      minutes: Math.round((line.cleanAt.value - line.setUpAt) / MINUTE),
      like: "pack",
    },
    {
      key: "set-up",
      at: line.setUpAt,
      minutes: SET_UP_MINUTES,
      isOnTheLine: true,
      like: "pluck",
    },
    ...plan.lots.flatMap((lot): Draft[] =>
      lot.catching.slice(0, 1).map(({ at: caughtAt, birds, crates }) => ({
        ...ofLot(lot, plan),
        key: "catch",
        facts: { ...ofLot(lot, plan).facts, birds, crates },
        at: caughtAt,
        minutes: 15,
        isOnTheLine: true,
        like: "pluck",
      })),
    ),
    {
      key: "first-bird",
      at: choices.startAt,
      minutes: 5,
      isOnTheLine: true,
      like: "cones",
    },
    pause !== undefined &&
      pause.fromMinute < line.lineMinutes && {
        key: "break",
        facts: { minutes: choices.breakMinutes },
        at: at(pause.fromMinute),
        minutes: pause.minutes,
        isOnTheLine: true,
        like: "pack",
      },
    tanks.iceOutMinute !== undefined && {
      key: "more-ice",
      at: at(tanks.iceOutMinute) - HOUR,
      minutes: 45,
      isOnTheLine: true,
      like: "pluck",
    },
    tanks.fullMinute !== undefined && {
      key: "second-fill",
      facts: { birds: chill.tank.birdsThatFit.value },
      at: at(tanks.fullMinute),
      minutes: 20,
      isOnTheLine: true,
      like: "rinse",
    },
    {
      key: "clean",
      at: line.cleanAt.value - CLEAN_UP_MINUTES * MINUTE,
      minutes: CLEAN_UP_MINUTES,
      isOnTheLine: true,
      like: "scald",
    },
    {
      key: "probe",
      facts: { quotedHours: tanks.heaviest.quotedHours },
      at: line.likelyAt.value + tanks.heaviest.hours * HOUR,
      minutes: 10,
      like: "pack",
    },
  ];
  return drafts.filter((draft) => draft !== false);
}

function after(task: TaskInput): Draft[] {
  const on = clockOn(task);
  const longest = Math.max(...task.rest.map(({ days }) => days));
  const drafts: (Draft | false)[] = [
    longest > 0 && { key: "shut-in", at: on(0, "20:30"), minutes: 10, like: "pack" },
    longest > 1 && {
      key: "drain",
      at: on(-1, "08:00"),
      minutes: 20,
      like: "pack",
    },
    ...task.rest.flatMap((one) => afterRest(task, one)),
    {
      key: "freezer-check",
      at: on(-longest - 1, "18:00"),
      minutes: 10,
      like: "pack",
    },
  ];
  return drafts.filter((draft) => draft !== false);
}

/** What a part of the birds makes to do once it has rested. */
function afterRest(task: TaskInput, { birds, days, cutUp, brineOutAt }: PartToRest): Draft[] {
  const on = clockOn(task);
  const part = task.rest.length > 1 ? `${days}-days` : undefined;
  const facts = { restDays: days, ...(part !== undefined && { birds }) };
  const drafts: (Draft | false)[] = [
    brineOutAt !== undefined && { key: "brine-out", part, facts, at: brineOutAt, minutes: 20, like: "pack" },
    cutUp > 0 &&
      days > 0 && {
        key: "cut-up",
        part,
        facts: { ...facts, birds: cutUp },
        at: on(-days, "15:00"),
        minutes: Math.round(cutUp * CUT_MINUTES_PER_BIRD),
        like: "cut",
      },
    { key: "freeze", part, facts, at: on(-days, "18:00"), minutes: 45, like: "pack" },
  ];
  return drafts.filter((draft) => draft !== false);
}

/** To cut up and pack one bird. Choice. See docs/sources.md#line. */
const CUT_MINUTES_PER_BIRD = 8;

/** A time of the day so many days before; where the clocks jump over it, three hours into the day. */
function clockOn({ processedOn, timeZone }: TaskInput) {
  return (daysBefore: number, time: string) => {
    const day = addDays(processedOn, -daysBefore);
    const instant = instantOf(day, time, timeZone);
    return instant.exists ? instant.at : startOfDay(day, timeZone) + 3 * HOUR;
  };
}
