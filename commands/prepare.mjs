import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

/** What has to be there before anything else runs. Plain Node: nothing may be installed yet. */
export const root = join(dirname(fileURLToPath(import.meta.url)), "..");

/** Runs a program in the repository and ends this process if it fails. */
export function run(program, args, environment = {}, folder = root) {
  const { status, error } = spawnSync(program, args, {
    cwd: folder,
    stdio: "inherit",
    env: { ...process.env, ...environment },
  });
  if (error || status !== 0) {
    console.error(`${program} ${args.join(" ")} did not work${error ? `: ${error.message}` : ""}`);
    process.exit(status || 1);
  }
}

/** A program of ours as it was built, by the path of its source. */
export const built = (source) => join(root, "build", "programs", source.replace(/\.ts$/, ".js"));

/** A program that the packages bring. */
export const bin = (name) => join(root, "node_modules", ".bin", name);

/** Installs the packages of a folder's lock file if they are not there yet. */
export function ensureInstalled(folder = "") {
  const at = join(root, folder);
  const stamp = join(at, "node_modules", ".installed-lock");
  const lock = createHash("sha256")
    .update(readFileSync(join(at, "package-lock.json")))
    .digest("hex");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === lock) return;
  console.log(
    folder
      ? `Installing the packages of ${folder}.`
      : "Installing packages. SQLite is compiled on the way, so this takes two to three minutes.",
  );
  // Not `npm ci`: it refuses a lock file that lacks other machines' optional binaries. Versions are pinned all the same.
  run("npm", ["install", "--no-save", "--no-audit", "--no-fund"], {}, at);
  writeFileSync(stamp, lock);
}

/** Builds the application if its sources are newer than the last build. */
export function ensureBuilt() {
  const last = built("commands/serve.ts");
  const sources = [
    "app",
    "commands",
    "core",
    "db",
    "devices",
    "workers",
    "public",
    "package.json",
    "vite.config.ts",
    "react-router.config.ts",
  ];
  if (
    existsSync(last) &&
    statSync(last).mtimeMs > Math.max(...sources.map((source) => newest(join(root, source))))
  )
    return;
  console.log("Building the application.");
  run(process.execPath, ["commands/build.mjs"]);
}

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}
