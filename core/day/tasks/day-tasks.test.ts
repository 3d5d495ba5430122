import { describe, expect, test } from "vitest";
import { instantOf, localClock, localDayOf } from "#core/calendar/farm-time.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import { dayTasks } from "#core/day/tasks/day-tasks.ts";
import { isTaskId, type LoadUnderWay, type TaskPerson } from "#core/day/tasks/task-shapes.ts";
import { reckoning, type Unit } from "#core/reckoning/reckoning.ts";
import { NO_RULES } from "#core/safety/person-rules.ts";

const ZONE = "America/New_York";
const at = (day: string, time: string) => {
  const instant = instantOf(day, time, ZONE);
  if (!instant.exists) throw new Error("no such time");
  return instant.at;
};
const figure = (value: number, unit: Unit) =>
  reckoning({ value, unit, inputs: [], rule: "typical-for-kind", source: "own-log" });

const LOT = {
  batchName: "Cockerels",
  choices: { birds: 23, batchId: 1 },
  withdrawal: { feedOffAt: figure(at("2026-10-02", "22:30") + 12_345.6, "instant"), windowHours: [8, 12] },
  catching: [{ at: at("2026-10-03", "06:45"), birds: 20, crates: 2 }],
};

/** Only what tasks are made of. */
const plan = (isBurnerPossible = true) =>
  ({
    lots: [LOT],
    heat: {
      burner: isBurnerPossible
        ? { possible: true, safeAt: figure(at("2026-10-03", "05:10"), "instant") }
        : { possible: false },
    },
    line: {
      lineMinutes: 330,
      setUpAt: at("2026-10-03", "06:00"),
      likelyAt: figure(at("2026-10-03", "12:30"), "instant"),
      cleanAt: figure(at("2026-10-03", "13:30"), "instant"),
      setup: { day: { breaks: [{ fromMinute: 150, minutes: 20 }] } },
    },
    chill: { bags: figure(7.2, "count"), tank: { birdsThatFit: figure(20, "birds") } },
    tanks: { iceOutMinute: 240, fullMinute: 200, heaviest: { hours: 2, quotedHours: 6 } },
  }) as unknown as DayPlan;

const DAY = {
  processedOn: "2026-10-03",
  choices: { startAt: at("2026-10-03", "07:00"), breakMinutes: 20 },
  timeZone: ZONE,
  plan: plan(),
  rest: [{ birds: 58, days: 3, cutUp: 0, brineOutAt: undefined }],
  keepsFeet: false,
  loads: [] as LoadUnderWay[],
  people: [] as TaskPerson[],
  toBook: undefined as string | undefined,
  today: "2026-09-17",
};
const said = (change: Partial<typeof DAY> = {}) =>
  dayTasks({ ...DAY, ...change }).map((task) => [
    task.key,
    localDayOf(task.at, ZONE),
    localClock(task.at, ZONE),
  ]);

describe("what follows from a scheduled day", () => {
  test("stands in order of time, at its hour", () => {
    expect(said()).toEqual([
      ["count-stock", "2026-09-26", "18:00"],
      ["pens", "2026-09-30", "17:00"],
      ["jugs", "2026-09-30", "18:00"],
      ["sharpen", "2026-10-01", "18:00"],
      ["scrub", "2026-10-02", "13:30"],
      ["try-machines", "2026-10-02", "15:00"],
      ["ice", "2026-10-02", "16:30"],
      ["feed-off", "2026-10-02", "22:30"],
      ["burner", "2026-10-03", "05:10"],
      ["day", "2026-10-03", "06:00"],
      ["set-up", "2026-10-03", "06:00"],
      ["catch", "2026-10-03", "06:45"],
      ["first-bird", "2026-10-03", "07:00"],
      ["break", "2026-10-03", "09:30"],
      ["more-ice", "2026-10-03", "10:00"],
      ["second-fill", "2026-10-03", "10:20"],
      ["clean", "2026-10-03", "12:30"],
      ["probe", "2026-10-03", "14:30"],
      ["shut-in", "2026-10-03", "20:30"],
      ["drain", "2026-10-04", "08:00"],
      ["freeze", "2026-10-06", "18:00"],
      ["freezer-check", "2026-10-07", "18:00"],
    ]);
  });

  test("pulls the feed of each lot at its own hour, by an id of its own", () => {
    const roosters = { ...LOT, batchName: "Roosters", choices: { birds: 2, batchId: 9 } };
    const two = { ...plan(), lots: [LOT, roosters] } as unknown as DayPlan;
    const ids = dayTasks({ ...DAY, plan: two }).map(({ id }) => id);
    expect(ids.filter((id) => id.startsWith("feed-off"))).toEqual(["feed-off:1", "feed-off:9"]);
    expect(ids.filter((id) => id.startsWith("catch"))).toEqual(["catch:1", "catch:9"]);
    expect(new Set(ids).size).toBe(ids.length);
    expect(dayTasks(DAY).every(({ id, key }) => id === key)).toBe(true);
  });

  test("has work for each part of the rest, cut-up birds with the first that may be cut", () => {
    const part = { birds: 18, days: 1, cutUp: 5, brineOutAt: at("2026-10-04", "03:00") };
    const rest = [part, { birds: 12, days: 2, cutUp: 0, brineOutAt: undefined }];
    const after = dayTasks({ ...DAY, rest }).slice(-9);
    expect(after.map(({ id, facts }) => [id, facts.birds])).toEqual([
      ["probe", undefined],
      ["shut-in", undefined],
      ["brine-out:1-days", 18],
      ["drain", undefined],
      ["cut-up:1-days", 5],
      ["broth:1-days", 5],
      ["freeze:1-days", 18],
      ["freeze:2-days", 12],
      ["freezer-check", undefined],
    ]);
  });

  test("counts whole bags of ice and whole minutes", () => {
    const tasks = dayTasks(DAY);
    expect(tasks.find(({ key }) => key === "ice")!.facts).toEqual({ bags: 8 });
    expect(tasks.find(({ key }) => key === "day")).toMatchObject({
      facts: { lots: [{ birds: 23, batchName: "Cockerels" }] },
      minutes: 450,
    });
    expect(tasks.every((task) => task.at % 60_000 === 0)).toBe(true);
  });

  test("has the plucker booked three weeks before, or at once where that is past", () => {
    const booked = (today: string) => said({ toBook: "Drum plucker", today }).find(([key]) => key === "book");
    expect(booked("2026-09-01")).toEqual(["book", "2026-09-12", "09:00"]);
    expect(booked("2026-09-17")).toEqual(["book", "2026-09-17", "09:00"]);
    expect(said().some(([key]) => key === "book")).toBe(false);
  });

  test("lights no burner that can't reach its heat, and freezes no bird before it is killed", () => {
    expect(said({ plan: plan(false) }).some(([key]) => key === "burner")).toBe(false);
    expect(said({ rest: [{ birds: 58, days: 0, cutUp: 0, brineOutAt: undefined }] }).at(-2)).toEqual([
      "freeze",
      "2026-10-03",
      "18:00",
    ]);
  });

  test("keeps the same keys wherever the day goes", () => {
    const keys = (processedOn: string) =>
      dayTasks({ ...DAY, processedOn })
        .map(({ key }) => key)
        .toSorted();
    expect(keys("2026-11-21")).toEqual(keys("2026-10-03"));
  });

  test("asks whoever stands there on the day, else who is there and was asked least, and never against a rule", () => {
    const person = (name: string, change: Partial<TaskPerson>): TaskPerson => ({
      name,
      rules: NO_RULES,
      station: undefined,
      isThere: () => true,
      ...change,
    });
    const people = [
      person("Child", { rules: { ...NO_RULES, age: 12 }, station: "pins" }),
      person("Scalder", { station: "scald" }),
      person("Weak", { rules: { ...NO_RULES, lifts: false }, station: "pack" }),
      person("Away", { isThere: () => false }),
      person("Afternoons", { station: "pack", isThere: (_, minute) => minute >= 13 * 60 }),
    ];
    const who = (key: string) => dayTasks({ ...DAY, people }).find((task) => task.key === key)!.who;
    expect(who("burner")).toBe("Scalder");
    expect(who("pens")).toBe("Scalder");
    expect(who("sharpen")).not.toBe("Child");
    // At half past two; Weak packs too, and was named first.
    expect(who("probe")).toBe("Weak");
    expect(who("set-up")).toBe("Scalder");
    expect(who("break")).toBe("Weak");
    const asked = dayTasks({ ...DAY, people }).map((task) => task.who);
    expect(asked).not.toContain("Away");
    const early = dayTasks({ ...DAY, people }).filter(({ at: moment }) => localClock(moment, ZONE) < "13:00");
    expect(early.map((task) => task.who)).not.toContain("Afternoons");
    expect(dayTasks(DAY).every((task) => task.who === undefined)).toBe(true);
  });

  test("what dries is looked at, what boils is strained, and frames and feet are not forgotten", () => {
    const rest = [{ birds: 58, days: 1, cutUp: 12, brineOutAt: undefined }];
    const loads = [
      { id: 1, kind: "dry-feet", lookedAt: at("2026-10-04", "18:00") },
      { id: 2, kind: "boil", lookedAt: at("2026-10-04", "17:30") },
      { id: 3, kind: "feathers", lookedAt: at("2026-10-03", "12:00") },
    ] as const;
    const tasks = dayTasks({ ...DAY, rest, loads, keepsFeet: true }).map((task) => [
      task.id,
      `${localDayOf(task.at, ZONE)} ${localClock(task.at, ZONE)}`,
    ]);
    expect(tasks.filter(([id]) => /^(broth|dry|dehydrator)/.test(id!))).toEqual([
      ["dehydrator", "2026-10-04 10:00"],
      ["broth", "2026-10-04 17:00"],
      ["broth-out:2", "2026-10-04 22:30"],
      ["dry-check:1", "2026-10-05 07:00"],
    ]);
  });
});

test("a tick may name any task of a day, also one that the plan has dropped since, and nothing else", () => {
  for (const id of ["ice", "feed-off:12", "cut-up:2-days"]) expect(isTaskId(id)).toBe(true);
  for (const id of ["", "99:99", "ice:", "ice:x", "ice:1:2", "toString", `ice:${"9".repeat(60_000)}`])
    expect(isTaskId(id)).toBe(false);
});
