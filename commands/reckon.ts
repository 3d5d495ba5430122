import { readFileSync } from "node:fs";
import { runCase } from "#commands/reckon/run-case.ts";

/** Runs a file of worked cases through the core: npm run -s reckon -- FILE.json */
const [file] = process.argv.slice(2);
const cases = file ? readCases(file) : "name a file of cases: npm run -s reckon -- FILE.json";
if (typeof cases === "string") {
  console.error(`reckon: ${cases}`);
  process.exitCode = 2;
} else {
  const outcomes = cases.map((candidate, index) => runCase(candidate, index + 1));
  for (const { line } of outcomes) console.log(line);
  const passed = outcomes.filter((outcome) => outcome.passed).length;
  console.log(`${passed} passed, ${outcomes.length - passed} failed`);
  process.exitCode = passed === outcomes.length ? 0 : 1;
}

/** The cases in a file, or a sentence about why there are none. */
function readCases(path: string): unknown[] | string {
  try {
    const content: unknown = JSON.parse(readFileSync(path, "utf8"));
    return Array.isArray(content) ? content : `${path} must hold an array of cases`;
  } catch (error) {
    return error instanceof SyntaxError ? `${path} is not JSON: ${error.message}` : `can't read ${path}`;
  }
}
