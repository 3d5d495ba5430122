import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import { afterAll, beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { dayFields } from "#app/days/plan/choices/day-form.ts";
import { farmSettings } from "#app/farm/farm-settings.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { HERE, openHere, startClock } from "#app/server/farm/here-of-tests.ts";

/** Every action on the demo farm: sent twice it does what once does; the same form changed is never half kept. */
const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
const path = join(folder, "farm.sqlite");
startClock("2026-09-19T13:00:00Z");
openHere(path);

type Fields = Readonly<Record<string, string>>;
interface Case {
  readonly route: string;
  readonly params?: Fields;
  readonly fields: Fields;
  /** What is changed in the third sending. */
  readonly changed: Fields;
}

const PERSON = { handsPercent: "100", saturday: "on" };
const WEEK = "2026-09-12";

/** One that writes under an entry's id; ids are made by the test. */
const RECORDED: readonly Case[] = [
  {
    route: "batches/new-batch.tsx",
    fields: {
      name: "Red 2",
      kind: "slow",
      hatchedOn: "2026-08-01",
      arrivedCount: "20",
      chickCost: "40",
      malePercent: "50",
      state: "here",
    },
    changed: { arrivedCount: "21" },
  },
  {
    route: "days/plan/lots/add-lot.tsx",
    params: { dayId: "1" },
    fields: { batchId: "2", birdCount: "3", ownerId: "" },
    changed: { birdCount: "4" },
  },
  {
    route: "days/plan/lots/bring-lot.tsx",
    params: { dayId: "1" },
    fields: {
      ownerName: "Ines",
      ownerKind: "neighbor",
      kind: "mature",
      birdCount: "2",
      weeks: "40",
      malePercent: "100",
    },
    changed: { birdCount: "3" },
  },
  {
    route: "farm/owners.tsx",
    fields: { name: "The next farm over", kind: "household" },
    changed: { kind: "neighbor" },
  },
  {
    route: "farm/devices/devices.tsx",
    fields: { device: "bath-probe", host: "127.0.0.1", port: "9" },
    changed: { port: "10" },
  },
  {
    route: "batches/record/record-cost.tsx",
    params: { batchId: "1" },
    fields: { what: "straw", amount: "12", spentOn: WEEK },
    changed: { amount: "13" },
  },
  {
    route: "batches/record/record-loss.tsx",
    params: { batchId: "1" },
    fields: { lostOn: WEEK, birdCount: "1", cause: "hawk" },
    changed: { birdCount: "2" },
  },
  {
    route: "batches/record/record-feed.tsx",
    params: { batchId: "1" },
    fields: { boughtOn: WEEK, bagCount: "2", bagWeight: "50", bagPrice: "20" },
    changed: { bagCount: "3" },
  },
  {
    route: "batches/record/record-feed-left.tsx",
    params: { batchId: "1" },
    fields: { countedOn: WEEK, bagsLeft: "1", bagWeight: "50" },
    changed: { bagsLeft: "1.5" },
  },
  {
    route: "batches/record/record-weigh-in.tsx",
    params: { batchId: "1" },
    fields: { weighedOn: WEEK, weights: "5 2\n5 4", sex: "mixed" },
    changed: { weights: "5 2" },
  },
  {
    route: "batches/batch.tsx",
    params: { batchId: "1" },
    fields: { happenedOn: WEEK, line: "1 died" },
    changed: { line: "2 died" },
  },
  {
    route: "season/people/people.tsx",
    fields: { name: "Wren", ...PERSON },
    changed: { name: "Finch" },
  },
  {
    route: "season/people/person.tsx",
    params: { personId: "1" },
    fields: { onDay: "2026-10-10", canCome: "no", why: "" },
    changed: { canCome: "yes" },
  },
  {
    route: "season/people/change-person.tsx",
    params: { personId: "1" },
    fields: { ...PERSON, handsPercent: "90" },
    changed: { handsPercent: "80" },
  },
  {
    route: "season/dates/add-booking.tsx",
    fields: { thing: "Trailer", fromOn: "2026-10-02", toOn: "2026-10-03" },
    changed: { thing: "Plucker" },
  },
  {
    route: "season/dates/add-mark.tsx",
    fields: { kind: "out", what: "fair", fromOn: "2026-10-02", toOn: "2026-10-03", price: "" },
    changed: { what: "market" },
  },
  {
    route: "season/dates/say-weather.tsx",
    fields: { fromOn: "2026-10-02", toOn: "2026-10-03", mean: "50", what: "" },
    changed: { mean: "51" },
  },
  {
    route: "season/rules/add-size.tsx",
    fields: { who: "the inn", least: "4", most: "5", birdCount: "12" },
    changed: { birdCount: "13" },
  },
  {
    route: "freezers/add-place.tsx",
    fields: { name: "Barn", kind: "freezer", capacityCount: "40" },
    changed: { capacityCount: "41" },
  },
  {
    route: "freezers/add-supply.tsx",
    fields: { kind: "ice", name: "Ice", packAmount: "1", packPrice: "3", inStock: "4" },
    changed: { inStock: "5" },
  },
  {
    route: "books/add-past-batch.tsx",
    fields: {
      name: "White 25",
      kind: "fast",
      finishedOn: "2025-09-01",
      dressedCount: "30",
      dressed: "150",
      cost: "300",
    },
    changed: { dressedCount: "31" },
  },
  {
    route: "farm/add-kit.tsx",
    fields: { name: "Cones", price: "80", life: "1000", counted: "birds" },
    changed: { price: "81" },
  },
  {
    route: "days/run/taps/tap.ts",
    params: { dayId: "1" },
    fields: { kind: "bird", answer: "json" },
    changed: { kind: "note", note: "windy" },
  },
  {
    route: "days/settle/add-cost.tsx",
    params: { dayId: "1" },
    fields: { what: "gas", amount: "5" },
    changed: { amount: "6" },
  },
  {
    route: "days/pack/pack.tsx",
    params: { dayId: "1" },
    fields: { birdNumber: "1", weight: "4 9", purpose: "sale", reason: "", placeId: "" },
    changed: { weight: "4 8" },
  },
];

/** What a form of the page itself would send, read from what its loader gives. */
const dayForm = () =>
  dayFields(HERE.file.day(1)!, { timeZone: "America/New_York", unitSystem: "us" }) as Fields;
const farmForm = () => clean(farmSettings(HERE.file.farm()!));
const clean = (fields: Record<string, string | undefined>): Fields =>
  Object.fromEntries(
    Object.entries(fields).filter((pair): pair is [string, string] => pair[1] !== undefined),
  );

interface Repeat {
  readonly route: string;
  readonly params?: Fields;
  readonly query?: string;
  readonly fields: () => Fields;
  /** Nothing is there yet for it to do: it refuses. */
  readonly isRefused?: true;
  /** What is changed in the third sending, which may write once more but never half. */
  readonly changed?: Fields;
}

/** Those that write under no id of their own: a second sending finds nothing left to do, or is refused. In order. */
const REPEATED: readonly Repeat[] = [
  {
    route: "days/plan/new-day.tsx",
    query: "?batch=1",
    fields: () => ({
      ...Object.fromEntries(Object.entries(dayForm()).filter(([name]) => !/^lots\[[12]\]/.test(name))),
      entryId: "second-day-of-tests",
      "lots[0].birdCount": "1",
      processedOn: "2026-09-26",
    }),
    changed: { "lots[0].birdCount": "2" },
  },
  {
    route: "days/plan/plan.tsx",
    params: { dayId: "1" },
    // Two lots have been added since.
    query: "?seen=3",
    fields: () => ({ ...dayForm(), entryId: "plan-of-tests", coneCount: "4" }),
    changed: { coneCount: "5" },
  },
  {
    route: "days/plan/lots/restore-lot.ts",
    params: { dayId: "1", lotId: "1" },
    fields: () => ({}),
  },
  {
    route: "days/plan/lots/join-days.ts",
    params: { dayId: "1", otherId: "2" },
    fields: () => ({}),
    isRefused: true,
  },
  {
    route: "days/plan/lots/split-day.ts",
    params: { dayId: "1", otherId: "2" },
    fields: () => ({}),
    isRefused: true,
  },
  {
    route: "days/plan/tasks/tasks.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "tick-of-tests", task: "ice" }),
    changed: { task: "jugs" },
  },
  { isRefused: true, route: "days/plan/file/from-file.tsx", query: "?batch=1", fields: () => ({}) },
  {
    route: "freezers/supply.tsx",
    params: { supplyId: "1" },
    fields: () => ({ entryId: "bought-of-tests", kind: "bought", amount: "2", movedOn: WEEK }),
    changed: { amount: "3" },
  },
  {
    route: "farm/farm.tsx",
    query: "?seen=1",
    fields: () => ({ ...farmForm(), entryId: "farm-of-tests", name: "High Gate" }),
    changed: { name: "Low Gate" },
  },
  {
    route: "season/rules/rules.tsx",
    query: "?seen=0",
    fields: () => ({ entryId: "rules-of-tests", longestHours: "4" }),
    changed: { longestHours: "5" },
  },
  {
    isRefused: true,
    route: "season/people/read-person-calendar.tsx",
    params: { personId: "1" },
    fields: () => ({ entryId: "calendar-of-tests" }),
  },
  { route: "season/calendar/set-season.ts", fields: () => ({}) },
  { route: "season/calendar/stop-season.ts", fields: () => ({}) },
  {
    isRefused: true,
    route: "season/calendar/pin-birds.ts",
    fields: () => ({ entryId: "pin-of-tests", batchId: "1", from: "2026-10-03", to: "2026-10-03" }),
  },
  {
    route: "days/pack/marks.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "marks-of-tests", birdNumber: "1", fleshing: "3" }),
    changed: { fleshing: "4" },
  },
  {
    route: "freezers/take-out.ts",
    fields: () => ({ entryId: "out-of-tests", carcassId: "1", how: "sold" }),
    changed: { how: "eaten" },
  },
  {
    route: "days/run/taps/undo.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "entry-of-days-run-tap-ts", answer: "json" }),
  },
  {
    route: "home/take-back.ts",
    fields: () => ({ entryId: "entry-of-batches-record-record-cost-tsx", back: "/batches/1" }),
  },
  {
    route: "days/settle/settle.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "settle-of-tests", workHours: "12", liveMean: "" }),
    changed: { workHours: "13" },
  },
  { route: "days/settle/reopen.ts", params: { dayId: "1" }, fields: () => ({}) },
  {
    route: "days/pack/take-back.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "entry-of-days-pack-pack-tsx" }),
  },
  {
    route: "days/run/change/change.tsx",
    params: { dayId: "1" },
    fields: () => ({
      entryId: "change-of-tests",
      pluckBy: "hand",
      later: "30",
      birds: "5",
      seen: String(HERE.file.day(1)!.revision),
      what: "split",
      splitOn: "2026-11-28",
    }),
    changed: { birds: "4" },
  },
  {
    isRefused: true,
    route: "days/run/look/take-picture.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "picture-of-tests", of: "no-look-of-tests", picture: "words" }),
  },
  {
    isRefused: true,
    route: "days/run/change/undo-change.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "no-change-of-tests" }),
  },
  {
    isRefused: true,
    route: "farm/devices/simulate-device.ts",
    fields: () => ({ device: "bath-probe", deed: "dunk" }),
  },
  { isRefused: true, route: "home/nowhere.tsx", fields: () => ({}) },
];

function digest(): string {
  const database = new BetterSqlite3(path, { readonly: true });
  const names = database
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all();
  const all = names.map(({ name }) => [name, database.prepare(`SELECT * FROM "${name}"`).all()]);
  database.close();
  return JSON.stringify(all);
}

beforeAll(() => makeFarmOfTests(HERE.file));
afterAll(() => rmSync(folder, { recursive: true }));

test("no action is forgotten here", () => {
  const routes = readdirSync("app", { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
    .filter((name) =>
      /export (async function|function|const) action\b/.test(readFileSync(join("app", name), "utf8")),
    );
  expect([...RECORDED.map(({ route }) => route), ...REPEATED.map(({ route }) => route)].toSorted()).toEqual(
    routes.toSorted(),
  );
});

test.each(RECORDED)(
  "$route sent twice is kept once, and changed under its id it is refused whole",
  async (of) => {
    const { action } = (await import(`./${of.route}`)) as { action: (args: never) => unknown };
    const send = (fields: Fields) =>
      callRoute(action, post({ entryId: `entry-of-${of.route.replace(/\W/g, "-")}`, ...fields }), of.params);
    const before = digest();
    const first = await send(of.fields);
    expect(first, JSON.stringify(first)).toSatisfy(
      ({ status }: typeof first) => status === 303 || status === 200,
    );
    const after = digest();
    expect(after).not.toBe(before);
    const second = await send(of.fields);
    expect(second.status).toBe(first.status);
    expect(digest()).toBe(after);
    await send({ ...of.fields, ...of.changed });
    expect(digest()).toBe(after);
  },
);

/** Without what tells only that something was sent: revisions count on. */
const facts = () => digest().replace(/"revision":\d+,?/g, "");

test.each(REPEATED)(
  "$route sent twice does what once does, and changed it is whole or nothing",
  async (of) => {
    const { action } = (await import(`./${of.route}`)) as { action: (args: never) => unknown };
    const send = async (fields: Fields) => {
      const request = post(fields);
      const url = `${request.url}${of.query ?? ""}`;
      return callRoute(action, new Request(url, request), of.params).catch((error: unknown) => {
        throw new Error(`${of.route} crashed`, { cause: error });
      });
    };
    const fields = of.fields();
    const first = await send(fields);
    expect(first.status >= 400, `${first.status} ${JSON.stringify(first)}`).toBe(of.isRefused ?? false);
    const after = facts();
    await send(fields);
    expect(facts()).toBe(after);
    if (of.changed) {
      const third = await send({ ...fields, ...of.changed });
      expect(third.status).toBeLessThan(500);
      if (third.status >= 400) expect(facts()).toBe(after);
    }
  },
);
