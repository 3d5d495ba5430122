import { localClock, localDayOf, minuteOfClock, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import { after } from "#core/day/tasks/after-the-day.ts";
import {
  clockOn,
  type DayTask,
  type Draft,
  type LotOfTask,
  type TaskInput,
} from "#core/day/tasks/task-shapes.ts";
import { CLEAN_UP_MINUTES, SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { ruleAgainst } from "#core/safety/person-rules.ts";

const BOOK_AHEAD_DAYS = 21;

/** What follows from a scheduled day, in order of time. The times are the usual ones; those of the line, feed and burner are the plan's own. */
export function dayTasks(task: TaskInput): DayTask[] {
  const drafts: Draft[] = [...before(task), ...onTheDay(task), ...after(task)];
  const sorted = drafts
    .filter(({ key, at }) => (key !== "freeze" && key !== "drain") || at > task.choices.startAt)
    .map((draft) => ({ ...draft, at: Math.floor(draft.at / MINUTE) * MINUTE }))
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
