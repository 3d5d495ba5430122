import { instantOf, localClock, localDayOf, minuteOfClock, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
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
  | "drain"
  | "freeze"
  | "freezer-check";

/** Something to be done for a set day, at its time. */
export interface DayTask {
  /** The same for as long as the day is, however often it is moved. */
  readonly key: TaskKey;
  readonly title: string;
  readonly why: string;
  readonly at: number;
  readonly minutes: number;
  /** Between set-up and clean-up: the run sheet's, and too much for a calendar. */
  readonly isOnTheLine: boolean;
  /** Who would do it, of those who are there then and may; undefined where nobody is known. */
  readonly who: string | undefined;
}

/** Somebody who can be asked to do something. */
export interface TaskPerson {
  readonly name: string;
  readonly rules: PersonRules;
  /** Where they stand on the day, first of all; undefined where they don't work on it. */
  readonly station: Station | undefined;
  /** On a day, at a minute of it by the farm's clock. */
  readonly isThere: (day: LocalDay, minute: number) => boolean;
}

export interface TaskInput {
  readonly processedOn: LocalDay;
  readonly choices: Pick<DayChoices, "startAt" | "birds" | "breakMinutes">;
  readonly batchName: string;
  readonly timeZone: string;
  readonly plan: DayPlan;
  readonly restDays: number;
  /** In the order in which the farm named them. */
  readonly people: readonly TaskPerson[];
  /** What must be borrowed for the day and is not booked yet; undefined if nothing is. */
  readonly toBook: string | undefined;
  /** The day on which it became known that the thing must be booked. */
  readonly today: LocalDay;
}

const BOOK_AHEAD_DAYS = 21;
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

type Draft = Omit<DayTask, "who" | "isOnTheLine"> & {
  readonly isOnTheLine?: boolean;
  /** The station at which the same is asked of people: its rules bind here too. */
  readonly like: Station;
};

/** What follows from a set day, in order of time. The times are the usual ones; those of the line, feed and burner are the plan's own. */
export function dayTasks(task: TaskInput): DayTask[] {
  const drafts: Draft[] = [...before(task), ...onTheDay(task), ...after(task)];
  const sorted = drafts
    .filter(({ key, at }) => (key !== "freeze" && key !== "drain") || at > task.choices.startAt)
    .map((draft) => ({ ...draft, at: Math.round(draft.at / MINUTE) * MINUTE }))
    .toSorted((one, other) => one.at - other.at);
  const askedOften = new Map<string, number>();
  return sorted.map(({ like, isOnTheLine = false, ...draft }) => {
    const who = whoFor(task, like, draft.at, askedOften);
    if (who !== undefined) askedOften.set(who, (askedOften.get(who) ?? 0) + 1);
    return { ...draft, isOnTheLine, who };
  });
}

/** Who stands at the station on the day; else whoever is there, may, and was asked least. */
function whoFor(
  { people, processedOn, timeZone }: TaskInput,
  like: Station,
  at: number,
  askedOften: ReadonlyMap<string, number>,
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
    (one, other) => (askedOften.get(one.name) ?? 0) - (askedOften.get(other.name) ?? 0),
  )[0];
  const anyone = people.find(({ rules }) => ruleAgainst(rules, like) === undefined);
  return (expert ?? least ?? anyone)?.name;
}

function before(task: TaskInput): Draft[] {
  const { processedOn, choices, batchName, timeZone, plan, toBook, today } = task;
  const { withdrawal, chill } = plan;
  const on = clockOn(task);
  const bags = Math.ceil(chill.bags.value);
  const bookOn = addDays(processedOn, -BOOK_AHEAD_DAYS);
  const booking: Draft[] =
    toBook === undefined
      ? []
      : [
          {
            key: "book",
            title: `Book the ${toBook.toLowerCase()}`,
            why: `for ${birdsInWords(choices.birds)} of ${batchName}`,
            at: bookOn < today ? startOfDay(today, timeZone) + 9 * HOUR : on(BOOK_AHEAD_DAYS, "09:00"),
            minutes: 15,
            like: "pack",
          },
        ];
  return [
    ...booking,
    {
      key: "count-stock",
      title: "Count bags, ties, labels and gloves; order what is short",
      why: "a week is enough for the post",
      at: on(7, "18:00"),
      minutes: 30,
      like: "pack",
    },
    {
      key: "pens",
      title: "Move the pens near the killing place, on fresh grass",
      why: "clean birds, and a short way to carry crates",
      at: on(3, "17:00"),
      minutes: 45,
      like: "pluck",
    },
    {
      key: "jugs",
      title: "Freeze water jugs",
      why: "they save ice, and take three days",
      at: on(3, "18:00"),
      minutes: 20,
      like: "pluck",
    },
    {
      key: "sharpen",
      title: "Sharpen the knives",
      why: "a dull one tears",
      at: on(2, "18:00"),
      minutes: 40,
      like: "gut",
    },
    {
      key: "scrub",
      title: "Scrub and sanitize tables, sinks, coolers and bins",
      why: "dirt eats chlorine: scrub first. Never bleach with acid or ammonia",
      at: on(1, "13:30"),
      minutes: 75,
      // Bleach is no child's work, as the giblets' knives are not.
      like: "giblets",
    },
    {
      key: "try-machines",
      title: "Try every machine, with water",
      why: "while a part can still be had",
      at: on(1, "15:00"),
      minutes: 60,
      like: "scald",
    },
    {
      key: "ice",
      title: `Have ${bags} ${bags === 1 ? "bag" : "bags"} of ice`,
      why: "what the chill takes by the plan, beyond your own",
      at: on(1, "16:30"),
      minutes: 45,
      like: "pluck",
    },
    {
      key: "feed-off",
      title: "Pull the feed",
      why: `first bird off feed ${withdrawal.windowHours[0]} to ${withdrawal.windowHours[1]} h; leave the water`,
      at: withdrawal.feedOffAt.value,
      minutes: 15,
      like: "pins",
    },
  ];
}

function onTheDay({ choices, batchName, plan }: TaskInput): Draft[] {
  const { scald, line, chill, tanks, catching } = plan;
  const at = (minute: number) => choices.startAt + minute * MINUTE;
  const [pause] = line.setup.day.breaks;
  const drafts: (Draft | false)[] = [
    scald.burner.possible && {
      key: "burner",
      title: "Heat the scald water",
      why: "never an element that is not under water; gas outdoors only",
      at: scald.burner.safeAt.value,
      minutes: 15,
      like: "scald",
    },
    {
      key: "day",
      title: `Processing day: ${birdsInWords(choices.birds)} of ${batchName}`,
      why: "set-up to clean-up at an even chance; it may well take longer",
      at: line.setUpAt,
      minutes: Math.round((line.cleanAt.value - line.setUpAt) / MINUTE),
      like: "pack",
    },
    {
      key: "set-up",
      title: "Set up tables, cones and hoses; fill the tanks, water and ice",
      why: "birds go one way, dirty to clean",
      at: line.setUpAt,
      minutes: SET_UP_MINUTES,
      isOnTheLine: true,
      like: "pluck",
    },
    catching.length > 0 && {
      key: "catch",
      title: `Catch the first ${catching[0]!.birds}: ${catching[0]!.crates} crates`,
      why: "in low light, in the shade, not long before the cones",
      at: catching[0]!.at,
      minutes: 15,
      isOnTheLine: true,
      like: "pluck",
    },
    {
      key: "first-bird",
      title: "First bird",
      why: "from here the hours off feed are counted",
      at: choices.startAt,
      minutes: 5,
      isOnTheLine: true,
      like: "cones",
    },
    pause !== undefined &&
      pause.fromMinute < line.lineMinutes && {
        key: "break",
        title: `Break, ${choices.breakMinutes} min`,
        why: "no kill in the 5 min before it; every killed bird is in the chill first",
        at: at(pause.fromMinute),
        minutes: pause.minutes,
        isOnTheLine: true,
        like: "pack",
      },
    tanks.iceOutMinute !== undefined && {
      key: "more-ice",
      title: "Fetch more ice",
      why: "what is at hand melts within the hour",
      at: at(tanks.iceOutMinute) - HOUR,
      minutes: 45,
      isOnTheLine: true,
      like: "pluck",
    },
    tanks.fullMinute !== undefined && {
      key: "second-fill",
      title: "The tanks are full: move the cold birds on, fill again",
      why: `they hold ${chill.tank.birdsThatFit.value}`,
      at: at(tanks.fullMinute),
      minutes: 20,
      isOnTheLine: true,
      like: "rinse",
    },
    {
      key: "clean",
      title: "Clean up: heat off before draining",
      why: "while it is wet; dry blood takes twice as long",
      at: line.cleanAt.value - CLEAN_UP_MINUTES * MINUTE,
      minutes: CLEAN_UP_MINUTES,
      isOnTheLine: true,
      like: "scald",
    },
    {
      key: "probe",
      title: "Probe the breast of the heaviest bird",
      why: `it should be cold by now; often quoted limit ${tanks.heaviest.quotedHours} h, your local rule decides`,
      at: line.evenChanceAt.value + tanks.heaviest.hours * HOUR,
      minutes: 10,
      like: "pack",
    },
  ];
  return drafts.filter((draft) => draft !== false);
}

function after(task: TaskInput): Draft[] {
  const { restDays } = task;
  const on = clockOn(task);
  const drafts: (Draft | false)[] = [
    restDays > 1 && {
      key: "drain",
      title: "Drain the birds, look at the fridge's thermometer",
      why: "rigor lets go after about a day; keep them cold",
      at: on(-1, "08:00"),
      minutes: 20,
      like: "pack",
    },
    {
      key: "freeze",
      title: "Move the rested birds to the freezer",
      why: `${restDays} ${restDays === 1 ? "day" : "days"} after the kill; one layer at a time`,
      at: on(-restDays, "18:00"),
      minutes: 45,
      like: "pack",
    },
    {
      key: "freezer-check",
      title: "Look at the freezer: hard through, nothing stacked soft",
      why: "a full freezer freezes slowly",
      at: on(-restDays - 1, "18:00"),
      minutes: 10,
      like: "pack",
    },
  ];
  return drafts.filter((draft) => draft !== false);
}

/** A time of the day so many days before; where the clocks jump over it, three hours into the day. */
function clockOn({ processedOn, timeZone }: TaskInput) {
  return (daysBefore: number, time: string) => {
    const day = addDays(processedOn, -daysBefore);
    const instant = instantOf(day, time, timeZone);
    return instant.exists ? instant.at : startOfDay(day, timeZone) + 3 * HOUR;
  };
}

const birdsInWords = (birds: number) => `${birds} ${birds === 1 ? "bird" : "birds"}`;
