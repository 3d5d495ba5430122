import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, readdirSync } from "node:fs";
import { join } from "node:path";
import type { SoakServer } from "#commands/soak/soak-server.ts";
import { unpackBackup } from "#db/life/backup-archive.server.ts";

const BETWEEN_MILLISECONDS = 2000;
const KILLED_SHARE = 0.3;
const MOST_BEFORE_KILL_MILLISECONDS = 400;

/** Makes backups with the command for it until it is ended; some of the commands are killed. */
export function soakBackups({ folder, data }: SoakServer, draw: () => number) {
  const into = join(folder, "stick");
  let isOver = false;
  let made = 0;
  const going = (async () => {
    while (!isOver) {
      const child = spawn(
        process.execPath,
        ["build/programs/commands/file/backup.js", "--data", data, "--folder", into],
        { stdio: ["ignore", "ignore", "inherit"] },
      );
      if (draw() < KILLED_SHARE)
        setTimeout(() => child.kill("SIGKILL"), MOST_BEFORE_KILL_MILLISECONDS * draw());
      if ((await ended(child)) === 0) made += 1;
      await new Promise((resolve) => setTimeout(resolve, BETWEEN_MILLISECONDS * draw()));
    }
  })();
  return {
    made: () => made,
    /** @returns the archives that can't be restored, each with why, and that there are none if so */
    async end(): Promise<string[]> {
      isOver = true;
      await going;
      const archives = (existsSync(into) ? readdirSync(into) : []).filter((name) => name.endsWith(".zip"));
      const bad: string[] = archives.length === 0 ? ["no backup was made"] : [];
      for (const name of archives)
        await unpackBackup(join(into, name), join(folder, "unpacked.sqlite")).catch((error: unknown) =>
          bad.push(`${name}: ${error instanceof Error ? error.message : error}`),
        );
      return bad;
    },
  };
}

const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) => child.once("exit", (code) => resolve(code)));
