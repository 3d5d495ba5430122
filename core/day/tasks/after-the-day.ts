import { localClock, localDayOf, minuteOfClock, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import {
  clockOn,
  type Draft,
  type LoadUnderWay,
  type PartToRest,
  type TaskInput,
} from "#core/day/tasks/task-shapes.ts";
import { byProductRow } from "#core/packing/by-products.ts";

/** What is to be done once the birds are in the chill: rest, cut, freeze. */
export function after(task: TaskInput): Draft[] {
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
    task.keepsFeet && { key: "dehydrator", at: on(-1, "10:00"), minutes: 45, like: "pack" },
    ...task.loads.flatMap((load) => afterLoad(task, load)),
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
    cutUp > 0 &&
      days > 0 && {
        key: "broth",
        part,
        facts: { ...facts, birds: cutUp },
        at: on(-days, "17:00"),
        minutes: 30,
        like: "pack",
      },
    { key: "freeze", part, facts, at: on(-days, "18:00"), minutes: 45, like: "pack" },
  ];
  return drafts.filter((draft) => draft !== false);
}

/** A look at what dries, and the end of what boils. */
function afterLoad({ timeZone }: TaskInput, { id, kind, lookedAt }: LoadUnderWay): Draft[] {
  const facts = { load: kind };
  const part = String(id);
  if (byProductRow(kind).dries !== undefined)
    return [
      {
        key: "dry-check",
        part,
        facts,
        at: whenAwake(lookedAt + DRY_CHECK_HOURS * HOUR, timeZone),
        minutes: 10,
        like: "pack",
      },
    ];
  return kind === "boil"
    ? [{ key: "broth-out", part, facts, at: lookedAt + BROTH_HOURS * HOUR, minutes: 40, like: "pack" }]
    : [];
}

/** The same time, or the morning after it where people sleep. */
function whenAwake(at: number, timeZone: string): number {
  const minute = minuteOfClock(localClock(at, timeZone));
  if (minute >= MORNING_MINUTE && minute < NIGHT_MINUTE) return at;
  const day = localDayOf(at, timeZone);
  const morning = minute < MORNING_MINUTE ? day : addDays(day, 1);
  return startOfDay(morning, timeZone) + MORNING_MINUTE * MINUTE;
}

const MORNING_MINUTE = 7 * 60;
const NIGHT_MINUTE = 22 * 60;

/** Hours from one look at a drying load to the next, and that frames are boiled. Choices. See docs/sources.md#drying. */
const DRY_CHECK_HOURS = 8;
const BROTH_HOURS = 5;

/** To cut up and pack one bird. Choice. See docs/sources.md#line. */
const CUT_MINUTES_PER_BIRD = 8;
