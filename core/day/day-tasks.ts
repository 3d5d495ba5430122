import { instantOf, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import type { DayPlan } from "#core/day/day-plan.ts";

/** Something to be done for a set day, at its time. */
export interface DayTask {
  /** The same for as long as the day is, however often it is moved. */
  readonly key:
    | "book"
    | "try-machines"
    | "sharpen"
    | "jugs"
    | "ice"
    | "feed-off"
    | "burner"
    | "day"
    | "freeze";
  readonly title: string;
  readonly why: string;
  readonly at: number;
  readonly minutes: number;
}

interface TaskInput {
  readonly processedOn: LocalDay;
  readonly startAt: number;
  readonly birds: number;
  readonly batchName: string;
  readonly timeZone: string;
  readonly plan: DayPlan;
  readonly restDays: number;
  /** What must be borrowed for the day and is not booked yet; undefined if nothing is. */
  readonly toBook: string | undefined;
  /** The day on which it became known that the thing must be booked. */
  readonly today: LocalDay;
}

const BOOK_AHEAD_DAYS = 21;

/** What follows from a set day, in order of time. The times are the usual ones; feed, burner and day are the plan's own. */
export function dayTasks(input: TaskInput): DayTask[] {
  const { processedOn, startAt, birds, batchName, timeZone, plan, restDays, toBook, today } = input;
  const on = (daysBefore: number, time: string) => {
    const day = addDays(processedOn, -daysBefore);
    const instant = instantOf(day, time, timeZone);
    return instant.exists ? instant.at : startOfDay(day, timeZone) + 3 * 3_600_000;
  };
  const birdsWords = `${birds} ${birds === 1 ? "bird" : "birds"} of ${batchName}`;
  const { withdrawal, scald, line, chill } = plan;
  const bags = Math.ceil(chill.bags.value);
  const bookOn = addDays(processedOn, -BOOK_AHEAD_DAYS);
  const tasks: (DayTask | undefined)[] = [
    toBook === undefined
      ? undefined
      : {
          key: "book",
          title: `Book the ${toBook.toLowerCase()}`,
          why: `for ${birdsWords}`,
          at: bookOn < today ? startOfDay(today, timeZone) + 9 * 3_600_000 : on(BOOK_AHEAD_DAYS, "09:00"),
          minutes: 15,
        },
    {
      key: "jugs",
      title: "Freeze water jugs",
      why: "they save ice, and take three days",
      at: on(3, "18:00"),
      minutes: 20,
    },
    { key: "sharpen", title: "Sharpen the knives", why: "a dull one tears", at: on(2, "18:00"), minutes: 40 },
    {
      key: "try-machines",
      title: "Try every machine, with water",
      why: "while a part can still be had",
      at: on(1, "15:00"),
      minutes: 60,
    },
    {
      key: "ice",
      title: `Buy ice: ${bags} ${bags === 1 ? "bag" : "bags"}`,
      why: "what the chill takes by the plan; jugs take some of it",
      at: on(1, "16:30"),
      minutes: 45,
    },
    {
      key: "feed-off",
      title: "Pull the feed",
      why: `first bird off feed ${withdrawal.windowHours[0]} to ${withdrawal.windowHours[1]} h; leave the water`,
      at: withdrawal.feedOffAt.value,
      minutes: 15,
    },
    scald.burner.possible
      ? {
          key: "burner",
          title: "Heat the scald water",
          why: "never an element that is not under water",
          at: scald.burner.safeAt.value,
          minutes: 15,
        }
      : undefined,
    {
      key: "day",
      title: `Processing day: ${birdsWords}`,
      why: "set-up to clean-up at an even chance; it may well take longer",
      at: line.setUpAt,
      minutes: Math.round((line.cleanAt.value - line.setUpAt) / 60_000),
    },
    {
      key: "freeze",
      title: "Move the rested birds to the freezer",
      why: `${restDays} ${restDays === 1 ? "day" : "days"} after the kill; one layer at a time`,
      at: on(-restDays, "18:00"),
      minutes: 45,
    },
  ];
  return tasks
    .filter((task) => task !== undefined)
    .filter((task) => task.key !== "freeze" || task.at > startAt)
    .map((task) => ({ ...task, at: Math.round(task.at / 60_000) * 60_000 }))
    .toSorted((one, other) => one.at - other.at);
}
