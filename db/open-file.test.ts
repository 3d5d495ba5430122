import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import BetterSqlite3 from "better-sqlite3";
import { expect, test } from "vitest";
import { openFile } from "#db/open-file.server.ts";

test("an older file is brought up to date with a backup beside it, and what stops the change leaves the file as it was", () => {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  const path = join(folder, "farm.sqlite");
  const older = new BetterSqlite3(path);
  for (const name of ["0001_farm", "0002_batch", "0003_day", "0004_book"])
    older.exec(readFileSync(join("db", "migrations", `${name}.sql`), "utf8"));
  older.pragma("user_version = 4");
  older.exec("INSERT INTO entry (id, content, at) VALUES ('kept-from-before', '1', 1)");
  older.close();

  const opened = openFile(path);
  expect(opened.pragma("user_version", { simple: true })).toBeGreaterThan(4);
  expect(opened.prepare("SELECT count(*) AS n FROM batch_arrival").get()).toEqual({ n: 0 });
  expect(existsSync(`${path}.before-5`)).toBe(true);
  expect(existsSync(`${path}.trial`)).toBe(false);
  opened.pragma("user_version = 4");
  opened.close();

  // awaited_on is there already now, so the same migration can't run: it fails on the copy, and the file is untouched.
  expect(() => openFile(path)).toThrow("duplicate column name: awaited_on");
  const untouched = new BetterSqlite3(path);
  expect(untouched.pragma("user_version", { simple: true })).toBe(4);
  expect(untouched.prepare("SELECT id FROM entry").get()).toEqual({ id: "kept-from-before" });
  untouched.close();
  rmSync(folder, { recursive: true });
});

test("a file whose trial was ended in the middle is brought up to date all the same", () => {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  const path = join(folder, "farm.sqlite");
  const older = gunzipSync(readFileSync("db/fixtures/farm-at-version-18.sqlite.gz"));
  writeFileSync(path, older);
  // What the killed program left: a trial, and the journal of the change that it was in.
  writeFileSync(`${path}.trial`, older);
  const trial = new BetterSqlite3(`${path}.trial`);
  trial.pragma("journal_mode = DELETE");
  trial.pragma("cache_size = 1");
  trial.exec("ALTER TABLE carcass RENAME TO fowl");
  trial.exec("BEGIN; ALTER TABLE fowl RENAME TO carcass; CREATE TABLE more AS SELECT * FROM entry");
  const journal = readFileSync(`${path}.trial-journal`);
  expect(journal.subarray(0, 8).toString("hex")).toBe("d9d505f920a163d7");
  trial.exec("ROLLBACK");
  trial.close();
  writeFileSync(`${path}.trial-journal`, journal);

  const opened = openFile(path);
  expect(opened.pragma("integrity_check", { simple: true })).toBe("ok");
  expect(opened.pragma("user_version", { simple: true })).toBeGreaterThan(18);
  expect(existsSync(`${path}.trial-journal`)).toBe(false);
  opened.close();
  rmSync(folder, { recursive: true });
});

test("pictures of an older file stand by what they hold, the same one once", () => {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  const path = join(folder, "farm.sqlite");
  writeFileSync(path, gunzipSync(readFileSync("db/fixtures/farm-at-version-18.sqlite.gz")));
  const older = new BetterSqlite3(path);
  const put = older.prepare(`
    INSERT INTO day_picture (entry_id, day_id, of_entry_id, jpeg)
    SELECT id, 3, id, ? FROM entry WHERE id NOT IN (SELECT entry_id FROM day_picture) LIMIT 1`);
  for (const bytes of ["one picture", "another", "one picture"]) put.run(Buffer.from(bytes));
  older.close();
  const opened = openFile(path);
  const shown = opened.prepare("SELECT jpeg FROM day_picture JOIN picture USING (sha256) ORDER BY id").all();
  expect(shown.map((row) => String((row as { jpeg: Buffer }).jpeg))).toEqual([
    "one picture",
    "another",
    "one picture",
  ]);
  expect(opened.prepare("SELECT count(*) AS n FROM picture").get()).toEqual({ n: 2 });
  opened.close();
  rmSync(folder, { recursive: true });
});

test("every answer is on the disk, and tables hold what they say", () => {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  const database = openFile(join(folder, "farm.sqlite"));
  expect(database.pragma("journal_mode", { simple: true })).toBe("wal");
  expect(database.pragma("synchronous", { simple: true })).toBe(2);
  expect(database.pragma("foreign_keys", { simple: true })).toBe(1);
  const loose = database
    .prepare(
      "SELECT name FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND strict = 0 AND name NOT LIKE 'sqlite_%'",
    )
    .all();
  expect(loose).toEqual([]);
  database.close();
  rmSync(folder, { recursive: true });
});
