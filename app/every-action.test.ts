import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import { afterAll, beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { type Fields, RECORDED } from "#app/recorded-actions-of-tests.ts";
import { REPEATED } from "#app/repeated-actions-of-tests.ts";
import { HERE, openHere, startClock } from "#app/server/farm/here-of-tests.ts";

/** Every action on the demo farm: sent twice it does what once does; the same form changed is never half kept. */
const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
const path = join(folder, "farm.sqlite");
startClock("2026-09-19T13:00:00Z");
openHere(path);

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
      callRoute(
        action,
        post({ entryId: `entry-of-${of.route.replace(/\W/g, "-")}`, ...fields }, of.query),
        of.params,
      );
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
      return callRoute(action, post(fields, of.query), of.params).catch((error: unknown) => {
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
