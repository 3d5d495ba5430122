import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { hashesOf, unlike } from "#commands/soak/facts-in-file.ts";
import { SoakServer } from "#commands/soak/soak-server.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

const VERSIONS = [8, 11, 12, 18] as const;
const PORT = 5294;
/** From before the file is opened until it is served. */
const MOST_BEFORE_KILL_MILLISECONDS = 1200;

/** Starts the server on older files and kills it while it brings them up to date. @returns files that are not as they should be */
export async function migrationsSoak(kills: number, draw: () => number): Promise<number> {
  let faults = 0;
  for (const version of VERSIONS) {
    const wanted = hashesOfUpdated(version);
    const server = new SoakServer(PORT, "2026-09-19T12:00:00Z", (path) => writeOld(version, path));
    for (let kill = 0; kill < kills / VERSIONS.length; kill += 1) {
      server.begin();
      await new Promise((resolve) => setTimeout(resolve, MOST_BEFORE_KILL_MILLISECONDS * draw()));
      await server.end("SIGKILL");
      // Half of them find the old file, whatever became of it before.
      if (draw() < 0.5) server.makeAnew();
    }
    await server.start();
    const harmed = unlike(hashesOf(server.data), wanted);
    if (harmed.length > 0)
      console.log(`soak: version ${version} updated is not what it is undisturbed: ${harmed.join()}`);
    faults += harmed.length;
    await server.remove();
  }
  console.log(
    `soak, updates: ${kills} kills while files of ${VERSIONS.length} older versions were updated, ${faults} harmed`,
  );
  return faults;
}

function writeOld(version: number, path: string): void {
  for (const suffix of ["-wal", "-shm"]) rmSync(`${path}${suffix}`, { force: true });
  writeFileSync(path, gunzipSync(readFileSync(`db/fixtures/farm-at-version-${version}.sqlite.gz`)));
}

function hashesOfUpdated(version: number): ReadonlyMap<string, string> {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-soak-"));
  const path = join(folder, "farm.sqlite");
  writeOld(version, path);
  openFarmFile(path).close();
  const hashes = hashesOf(path);
  rmSync(folder, { recursive: true });
  return hashes;
}
