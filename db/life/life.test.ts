import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import BetterSqlite3 from "better-sqlite3";
import fc from "fast-check";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { isBackupDue } from "#core/file/file-life.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { backupsIn, dropOldBackups, unpackBackup, writeBackup } from "#db/life/backup-archive.server.ts";
import { damageOf, fileTrouble } from "#db/life/file-trouble.server.ts";
import { restoreBackup } from "#db/life/restore.server.ts";
import { newestVersion } from "#db/open-file.server.ts";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "pale-morning-life-"));
});
afterEach(() => rmSync(folder, { recursive: true }));
const at = (name: string) => join(folder, name);
const asked = (madeAt: number) => ({ madeAt, reason: "asked" as const });

const containers = (path: string) => {
  const file = openFarmFile(path);
  const names = file.catalog.containers().map(({ name }) => name);
  file.close();
  return names;
};
const addContainer = (file: ReturnType<typeof openFarmFile>, number: number) =>
  file.catalog.addContainer(
    { entryId: `container-of-tests-${number}`, at: number },
    { name: `Bowl ${number}`, tareMilligrams: 1000 },
  );

test("a backup made while the file is written holds all that was answered before it began, wherever it is restored", async () => {
  const file = openFarmFile(at("farm.sqlite"));
  let written = 0;
  const write = () => {
    written += 1;
    addContainer(file, written);
  };
  while (written < 40) write();
  const goesOn = setInterval(write, 0);
  const began = written;
  const { name, counts } = await writeBackup(at("farm.sqlite"), at("backups"), asked(1));
  clearInterval(goesOn);
  file.close();
  expect(counts.entries).toBeGreaterThanOrEqual(began);

  mkdirSync(at("elsewhere"));
  await restoreBackup(join(at("backups"), name), {
    path: at("elsewhere/farm.sqlite"),
    folder: at("elsewhere/backups"),
    now: 2,
  });
  const there = containers(at("elsewhere/farm.sqlite"));
  expect(there.slice(0, began)).toEqual(Array.from({ length: began }, (_, index) => `Bowl ${index + 1}`));
  expect(readdirSync(at("backups"))).toEqual([name]);
});

test("a byte that was changed in an archive is noticed, or changes nothing of what is unpacked", async () => {
  openFarmFile(at("farm.sqlite")).close();
  const { name } = await writeBackup(at("farm.sqlite"), at("backups"), asked(1));
  const archive = readFileSync(join(at("backups"), name));
  const said = await unpackBackup(join(at("backups"), name), at("whole"));
  const whole = readFileSync(at("whole"));
  await fc.assert(
    fc.asyncProperty(fc.nat(archive.length - 1), fc.integer({ min: 1, max: 255 }), async (place, change) => {
      rmSync(at("unpacked"), { force: true });
      const changed = Buffer.from(archive);
      changed[place] = changed[place]! ^ change;
      writeFileSync(at("changed.zip"), changed);
      const facts = await unpackBackup(at("changed.zip"), at("unpacked")).catch(() => undefined);
      if (facts === undefined) {
        expect(existsSync(at("unpacked"))).toBe(false);
      } else {
        expect(readFileSync(at("unpacked")).equals(whole)).toBe(true);
        expect(facts).toEqual(said);
      }
    }),
    { numRuns: 150 },
  );
});

test("what stands is kept before something else is put in its place, also where it is broken", async () => {
  const place = { path: at("farm.sqlite"), folder: at("backups"), now: 5 };
  const file = openFarmFile(place.path);
  addContainer(file, 1);
  const { name } = await writeBackup(place.path, place.folder, asked(1));
  addContainer(file, 2);
  file.close();
  const { kept } = await restoreBackup(join(place.folder, name), place);
  expect(containers(place.path)).toEqual(["Bowl 1"]);
  expect(kept).toMatchObject({ reason: "before-restore", madeAt: 5 });
  await restoreBackup(join(place.folder, kept!.name), { ...place, now: 6 });
  expect(containers(place.path)).toEqual(["Bowl 1", "Bowl 2"]);

  writeFileSync(place.path, "not a farm any more");
  const { setAside } = await restoreBackup(join(place.folder, name), { ...place, now: 7 });
  expect(readFileSync(setAside!, "utf8")).toBe("not a farm any more");
  expect(containers(place.path)).toEqual(["Bowl 1"]);
});

test("a restore lets nobody in who was blocked since, and brings back no passphrase that was changed", async () => {
  const place = { path: at("farm.sqlite"), folder: at("backups"), now: 50 };
  const file = openFarmFile(place.path);
  const passphrase = (byte: number) => ({ salt: Buffer.alloc(16, byte), hash: Buffer.alloc(32, byte) });
  const secret = (name: string) => Buffer.alloc(32, name);
  file.access.setPassphrase({ entryId: "passphrase-1", at: 1 }, passphrase(1));
  for (const name of ["kept", "lost"])
    file.access.joinAsOwner({ entryId: `joined-${name}`, at: 1 }, { name, secretHash: secret(name) });
  const invitation = { role: "owner" as const, endsAt: 1000, mostCount: 1, secretHash: secret("code") };
  file.access.invite({ entryId: "invitation-1", at: 1 }, invitation);
  const { name } = await writeBackup(place.path, place.folder, asked(1));
  file.access.block(file.access.deviceBySecret(secret("lost"))!.id, 2);
  file.access.setPassphrase({ entryId: "passphrase-2", at: 3 }, passphrase(2));
  file.removeFact("invitation-1", 4);
  file.close();

  const doors = async (restored: string) => {
    await restoreBackup(join(place.folder, name), { ...place, path: at(restored) });
    const there = openFarmFile(at(restored));
    const { access } = there;
    const seen = {
      in: access
        .devices()
        .filter(({ blockedAt }) => blockedAt === undefined)
        .map((device) => device.name),
      passphrase: access.passphrase()?.hash[0],
      codes: access.openInvitations(51).length,
    };
    there.close();
    return seen;
  };
  expect(await doors("farm.sqlite")).toEqual({ in: ["kept"], passphrase: 2, codes: 0 });
  // On a computer that knows none of them, everyone joins again.
  expect(await doors("elsewhere.sqlite")).toEqual({ in: [], passphrase: 1, codes: 0 });
});

test.each([8, 11, 12, 18])(
  "a backup of a file at version %d is brought up to date as it is restored",
  async (version) => {
    writeFileSync(
      at("old.sqlite"),
      gunzipSync(readFileSync(`db/fixtures/farm-at-version-${version}.sqlite.gz`)),
    );
    const backup = await writeBackup(at("old.sqlite"), at("backups"), asked(1));
    expect(backup.version).toBe(version);
    await restoreBackup(join(at("backups"), backup.name), {
      path: at("farm.sqlite"),
      folder: at("backups"),
      now: 2,
    });
    const file = openFarmFile(at("farm.sqlite"));
    expect(file.farm()?.name).toBeTruthy();
    file.close();
  },
);

test("fourteen archives made on their own are kept, and each that was asked for", async () => {
  openFarmFile(at("farm.sqlite")).close();
  for (let day = 1; day <= 17; day += 1)
    await writeBackup(at("farm.sqlite"), at("backups"), {
      madeAt: day * 86_400_000,
      reason: day === 2 ? "asked" : "daily",
    });
  writeFileSync(join(at("backups"), "notes.zip"), "of someone else");
  expect(await dropOldBackups(at("backups"))).toHaveLength(2);
  const left = await backupsIn(at("backups"));
  expect(left.map(({ madeAt }) => madeAt / 86_400_000)).toEqual([
    17, 16, 15, 14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4, 2,
  ]);
  expect(existsSync(join(at("backups"), "notes.zip"))).toBe(true);
});

describe("before anything is written, a file says what keeps it from being opened", () => {
  test("one that is not there yet, empty, or of an older version may be opened", () => {
    expect(fileTrouble(at("new/farm.sqlite"))).toBeUndefined();
    writeFileSync(at("empty.sqlite"), "");
    expect(fileTrouble(at("empty.sqlite"))).toBeUndefined();
    openFarmFile(at("farm.sqlite")).close();
    expect(fileTrouble(at("farm.sqlite"))).toBeUndefined();
    expect(damageOf(at("farm.sqlite"))).toEqual([]);
  });

  test("of a newer version, of another program, no database, or in no folder", () => {
    openFarmFile(at("newer.sqlite")).close();
    const newer = new BetterSqlite3(at("newer.sqlite"));
    newer.pragma(`user_version = ${newestVersion() + 1}`);
    newer.close();
    expect(fileTrouble(at("newer.sqlite"))).toMatchObject({ kind: "newer" });
    const foreign = new BetterSqlite3(at("foreign.sqlite"));
    foreign.exec("CREATE TABLE recipe (name TEXT)");
    foreign.close();
    expect(fileTrouble(at("foreign.sqlite"))).toMatchObject({ kind: "foreign" });
    writeFileSync(at("letter.txt"), "Dear neighbor, ".repeat(100));
    expect(fileTrouble(at("letter.txt"))).toMatchObject({ kind: "foreign" });
    expect(fileTrouble(at("letter.txt/farm.sqlite"))).toMatchObject({ kind: "no-folder" });
    expect(fileTrouble(folder)).toMatchObject({ kind: "foreign" });
  });

  test("a file that was damaged is found by reading all of it", () => {
    const file = openFarmFile(at("farm.sqlite"));
    for (let number = 1; number <= 200; number += 1) addContainer(file, number);
    file.close();
    copyFileSync(at("farm.sqlite"), at("damaged.sqlite"));
    const bytes = readFileSync(at("damaged.sqlite"));
    bytes.fill(0xff, 4096 * 2, bytes.length - 4096);
    writeFileSync(at("damaged.sqlite"), bytes);
    expect(fileTrouble(at("damaged.sqlite"))?.kind ?? damageOf(at("damaged.sqlite"))[0]).toBeTruthy();
  });
});

test("a backup is due after most of a day, at once where there is none, and where the clock was set back", () => {
  const hour = 3_600_000;
  expect([undefined, 0, 3 * hour, 30 * hour].map((last) => isBackupDue(last, 24 * hour))).toEqual([
    true,
    true,
    false,
    true,
  ]);
});
