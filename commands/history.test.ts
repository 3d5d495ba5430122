import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import { afterAll, expect, test } from "vitest";
import { entryDetail } from "#app/farm/history/history-detail.ts";
import {
  changedThing,
  changedValues,
  deviceWords,
  entryWords,
  hasEntryWords,
} from "#app/farm/history/history-words.ts";
import { showFor } from "#app/words/show.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";

const folder = mkdtempSync(join(tmpdir(), "pale-morning-history-"));
const path = join(folder, "farm.sqlite");
let visiting: number | undefined;
let moment = 5_000;
const file = openFarmFile(path, { visiting: () => visiting, now: () => moment });
makeDemoFarm(file);
afterAll(() => {
  file.close();
  rmSync(folder, { recursive: true });
});
const { history } = file;
const show = showFor(file.farm()!);
const EVERYTHING = { from: 0, most: 1_000_000 };
/** All that pages calculate from, so that two moments can be told apart. */
const stored = () => {
  const database = new BetterSqlite3(path, { readonly: true });
  const all = [
    "SELECT * FROM pack_now ORDER BY pack_id",
    "SELECT * FROM pack_as_recorded ORDER BY pack_id",
  ].map((sql) => database.prepare(sql).all());
  database.close();
  return all;
};

test("every kind of entry of the demo farm has words, and is told without money", () => {
  const entries = history.entries(EVERYTHING);
  expect(entries.length).toBeGreaterThan(300);
  const kinds = new Set(entries.map(({ content }) => String(content[0])));
  expect([...kinds].filter((kind) => !hasEntryWords(kind))).toEqual([]);
  expect(entries.map(({ at }) => at)).toEqual(
    entries.map(({ at }) => at).toSorted((one, other) => other - one),
  );
  const loss = entries.find(({ content }) => content[0] === "loss")!;
  expect(`${entryWords("loss")}: ${entryDetail(loss.content, show)}`).toMatch(
    /^Birds lost: .+, [A-Z][a-z]+ \d+, \d{4}$/,
  );
  for (const { content } of entries) expect(entryDetail(content, show)).not.toMatch(/cents/i);
});

test("a change keeps what was there before, who made it, and when", () => {
  file.access.joinAsOwner(
    { entryId: "joined-of-tests", at: moment },
    { name: "Maren's phone", secretHash: Buffer.alloc(32, 7) },
  );
  visiting = 1;
  moment = 6_000;
  const person = file.people.people()[0]!;
  const revision = file.people.people()[0]!.revision;
  file.people.changePerson(
    { entryId: "change-of-tests", at: moment },
    { ...person, revision, handsPercent: person.handsPercent - 20 },
  );
  visiting = undefined;
  const [change] = history.changes({ from: 0, most: 1 });
  expect(change).toMatchObject({ table: "person", rowId: person.id, at: 6_000, deviceName: "Maren's phone" });
  expect(changedThing(change!)).toBe(`Person: ${person.name}`);
  expect(changedValues(change!, show)).toEqual([
    { what: "Hands", before: `${person.handsPercent} %`, after: `${person.handsPercent - 20} %` },
  ]);
  expect(deviceWords(undefined)).toBe("this computer");
});

test("what was removed is put back as it was, whatever it is, and by itself only where that is right", () => {
  const removable = history.entries(EVERYTHING).filter(({ entryId }) => {
    const before = JSON.stringify([file.batches(), file.people.people(), stored()]);
    if (file.removeFact(entryId, 7_000) === "not-a-fact") return false;
    const [removed] = history.removed({ from: 0, most: 1 });
    if (!removed!.canPutBack) return false;
    expect(history.putBack(entryId, 8_000)).toBe("put-back");
    expect(history.putBack(entryId, 8_000)).toBe("put-back");
    expect(JSON.stringify([file.batches(), file.people.people(), stored()])).toBe(before);
    return true;
  });
  const kinds = new Set(removable.map(({ content }) => content[0]));
  for (const kind of ["loss", "feed", "person", "supply", "out"]) expect(kinds).toContain(kind);
  const [now, recorded] = stored();
  expect(now).toEqual(recorded);
});

test("a pack that went out another way meanwhile is not taken out twice", () => {
  const out = history.entries(EVERYTHING).find(({ content }) => content[0] === "out" && content.length > 1)!;
  const [packId] = out.content[1] as number[];
  file.removeFact(out.entryId, 9_000);
  file.freezers.takeOut({ entryId: "out-of-tests", at: 9_000 }, [packId!], {
    outOn: "2026-09-20",
    how: "eaten",
  });
  expect(history.putBack(out.entryId, 9_500)).toBe("out-again");
  expect(history.putBack("never-entered", 9_500)).toBe("not-alone");
  expect(history.putBack("out-of-tests-2", 9_500)).toBe("not-alone");
});
