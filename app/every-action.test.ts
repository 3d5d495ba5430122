import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import { afterAll, beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";

/** Every action on the demo farm: sent twice it does what once does; the same form changed is never half kept. */
const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
const path = join(folder, "farm.sqlite");
process.env.PALE_MORNING_DATA = path;
process.env.PALE_MORNING_CLOCK = "2026-09-19T13:00:00Z";
const { farmFile } = await import("#app/server/farm-file.server.ts");
const { makeFarmOfTests } = await import("#app/farm-of-tests.ts");

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
    route: "days/run/tap.ts",
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

/** Those that write under no id of their own, since a second sending finds nothing left to do; each is tested by name elsewhere. */
const WITHOUT_ENTRY = [
  "days/pack/marks.tsx",
  "days/pack/take-back.ts",
  "days/plan/file/from-file.tsx",
  "days/plan/new-day.tsx",
  "days/plan/plan.tsx",
  "days/plan/tasks/tasks.tsx",
  "days/run/undo.ts",
  "days/settle/reopen.ts",
  "days/settle/settle.tsx",
  "home/nowhere.tsx",
  "home/take-back.ts",
  "season/calendar/pin-birds.ts",
  "season/calendar/set-season.ts",
  "season/calendar/stop-season.ts",
  "season/people/read-person-calendar.tsx",
  "season/rules/rules.tsx",
  "freezers/supply.tsx",
  "freezers/take-out.ts",
  "farm/farm.tsx",
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

beforeAll(() => makeFarmOfTests(farmFile()));
afterAll(() => rmSync(folder, { recursive: true }));

test("no action is forgotten here", () => {
  const routes = readdirSync("app", { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
    .filter((name) =>
      /export (async function|function|const) action\b/.test(readFileSync(join("app", name), "utf8")),
    );
  expect([...RECORDED.map(({ route }) => route), ...WITHOUT_ENTRY].toSorted()).toEqual(routes.toSorted());
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
