import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { bin, ensureBuilt, ensureInstalled, root, run } from "./prepare.mjs";

/** Everything that must hold: types, lint, layers, unit tests, build, a short soak, browser tests. Ends with `N passed, N failed`. */
ensureInstalled();
ensureBrowser();
mkdirSync(join(root, "test-results"), { recursive: true });
run(bin("react-router"), ["typegen"]);
run(bin("tsc"), ["-p", "core"]);
run(bin("tsc"), []);
run(bin("biome"), ["check", "."]);
run(bin("depcruise"), [
  "--config",
  ".dependency-cruiser.mjs",
  "app",
  "core",
  "db",
  "workers",
  "devices",
  "commands",
  "demo",
  "e2e",
]);

const unitReport = join(root, "test-results", "unit.json");
const unit = counted(
  bin("vitest"),
  ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${unitReport}`],
  () => {
    const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(unitReport, "utf8"));
    return { passed: numPassedTests, failed: numFailedTests };
  },
);
ensureBuilt();
const { status: soakStatus } = spawnSync(bin("tsx"), ["commands/soak.ts", "--short"], {
  cwd: root,
  stdio: "inherit",
});
const soak = { status: soakStatus ?? 1, passed: soakStatus === 0 ? 1 : 0, failed: soakStatus === 0 ? 0 : 1 };
const browser = counted(bin("playwright"), ["test"], () => {
  const { stats } = JSON.parse(readFileSync(join(root, "test-results", "browser.json"), "utf8"));
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky };
});
const all = [unit, soak, browser];
const total = (name) => all.reduce((sum, part) => sum + part[name], 0);
console.log(`${total("passed")} passed, ${total("failed")} failed`);
process.exitCode = all.find(({ status }) => status !== 0)?.status ?? 0;

/** Runs tests and counts them; a run that could not be counted has failed. */
function counted(program, args, count) {
  const { status } = spawnSync(program, args, { cwd: root, stdio: "inherit" });
  try {
    return { status: status ?? 1, ...count() };
  } catch {
    return { status: status || 1, passed: 0, failed: 1 };
  }
}

/** Debian's Chromium, which the browser tests drive. */
function ensureBrowser() {
  const path = process.env.CHROMIUM ?? "/usr/bin/chromium";
  if (existsSync(path)) return;
  console.log("Installing Chromium for the browser tests.");
  const isRoot = process.getuid?.() === 0;
  const apt = (args) =>
    run(isRoot ? "apt-get" : "sudo", isRoot ? args : ["apt-get", ...args], {
      DEBIAN_FRONTEND: "noninteractive",
    });
  apt(["update", "-q"]);
  apt(["install", "-y", "-q", "--no-install-recommends", "chromium"]);
}
