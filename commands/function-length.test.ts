import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { expect, test } from "vitest";

/** A function fits on a screen, or docs/decisions/0010-the-house.md says why it does not. */
const MOST_LINES = 60;
/** A folder that passes this is two folders. */
const MOST_FILES = 20;
const FOLDERS = ["app", "core", "db", "workers", "devices", "commands", "demo"];

const files = FOLDERS.flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" }).map((file) => join(folder, file)),
).filter((file) => /\.tsx?$/.test(file) && !file.includes("node_modules"));

/** Names and files of the functions that are longer; one inside of another counts as that one's. */
function longFunctions(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const lineOf = (position: number) => source.getLineAndCharacterOfPosition(position).line;
  const found: string[] = [];
  function visit(node: ts.Node): void {
    const isFunction = ts.isFunctionLike(node) && "body" in node && node.body !== undefined;
    if (isFunction && lineOf(node.end) - lineOf(node.getStart()) >= MOST_LINES) {
      const named = node.name ?? (ts.isVariableDeclaration(node.parent) ? node.parent.name : undefined);
      found.push(`${named?.getText() ?? "a function without a name"} in ${file}`);
      return;
    }
    ts.forEachChild(node, visit);
  }
  visit(source);
  return found;
}

test("every function is short, or its length is a decision", () => {
  const decided = [
    ...readFileSync("docs/decisions/0010-the-house.md", "utf8").matchAll(/^\| (\w+) \| (\S+\.tsx?) \|$/gm),
  ].map(([, name, file]) => `${name} in ${file}`);
  const long = files.filter((file) => !file.includes(".test.")).flatMap(longFunctions);
  expect(long.toSorted()).toEqual(decided.toSorted());
});

test("no folder of code holds more than twenty files", () => {
  const counts = new Map<string, number>();
  for (const file of files) {
    const folder = file.slice(0, file.lastIndexOf("/"));
    counts.set(folder, (counts.get(folder) ?? 0) + 1);
  }
  expect([...counts].filter(([, count]) => count > MOST_FILES)).toEqual([]);
});
