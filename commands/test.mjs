import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { bin, ensureBuilt, ensureInstalled, root, run } from "./prepare.mjs";

/** Of each failure, repeated at the end: characters. */
const MOST_SAID_OF_A_FAILURE = 3000;

/** Everything that must hold: types, lint, layers, unit tests, build, a short soak, browser tests. Says at the end what failed, then `N passed, N failed`. */
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
    const { numPassedTests, testResults } = JSON.parse(readFileSync(unitReport, "utf8"));
    const broken = testResults
      .filter(({ message }) => message)
      .map(({ name, message }) => `${name}: ${message}`);
    const failed = testResults
      .flatMap(({ assertionResults }) => assertionResults)
      .filter(({ status }) => status === "failed")
      .map(({ fullName, failureMessages }) => `${fullName}: ${failureMessages.join("\n")}`);
    return { passed: numPassedTests, failures: [...broken, ...failed] };
  },
);
ensureBuilt();
const soak = soaked();
const browser = counted(bin("playwright"), ["test"], () => {
  const { stats, suites } = JSON.parse(readFileSync(join(root, "test-results", "browser.json"), "utf8"));
  return { passed: stats.expected, failures: failedWalks(suites) };
});
const all = [unit, soak, browser];
const failures = all.flatMap((part) => part.failures);
for (const failure of failures) console.log(`FAILED ${failure.slice(0, MOST_SAID_OF_A_FAILURE)}`);
console.log(`${all.reduce((sum, { passed }) => sum + passed, 0)} passed, ${failures.length} failed`);
process.exitCode = all.find(({ status }) => status !== 0)?.status ?? 0;

/** Runs tests and counts them; a run that could not be counted, or that failed without a failure, has failed. */
function counted(program, args, count) {
  const { status } = spawnSync(program, args, { cwd: root, stdio: "inherit" });
  const failed = `${args.join(" ")} ended with ${status}`;
  try {
    const { passed, failures } = count();
    return {
      status: status ?? 1,
      passed,
      failures: status !== 0 && failures.length === 0 ? [failed] : failures,
    };
  } catch {
    return { status: status || 1, passed: 0, failures: [failed] };
  }
}

/** The short soak, as one test: what it says is shown, and said again at the end if it found a fault. */
function soaked() {
  const { status, stdout } = spawnSync(bin("tsx"), ["commands/soak.ts", "--short"], {
    cwd: root,
    stdio: ["inherit", "pipe", "inherit"],
    encoding: "utf8",
  });
  console.log(stdout);
  if (status === 0) return { status, passed: 1, failures: [] };
  return { status: status ?? 1, passed: 0, failures: [`the soak:\n${stdout}`] };
}

/** The titles and errors of walks that did not pass at once. */
function failedWalks(suites = []) {
  return suites.flatMap(({ specs = [], suites: inner }) => [
    ...specs
      .flatMap(({ title, tests }) => tests.map((test) => ({ title, test })))
      .filter(({ test }) => ["unexpected", "flaky"].includes(test.status))
      .map(({ title, test }) => {
        const errors = test.results.flatMap((result) => result.errors.map(({ message }) => message));
        return `${title}: ${errors.join("\n")}`;
      }),
    ...failedWalks(inner),
  ]);
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
