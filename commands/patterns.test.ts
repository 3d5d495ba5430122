import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { analyse } from "scslre";
import ts from "typescript";
import { expect, test } from "vitest";

const FOLDERS = ["app", "core", "db", "workers", "devices"];

const files = FOLDERS.flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" }).map((file) => join(folder, file)),
).filter((file) => /\.tsx?$/.test(file) && !/\.test\.|of-tests/.test(file));

/** The regular expressions that a file writes out. */
function patternsIn(file: string): RegExp[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const found: RegExp[] = [];
  function visit(node: ts.Node): void {
    if (ts.isRegularExpressionLiteral(node)) {
      const end = node.text.lastIndexOf("/");
      found.push(new RegExp(node.text.slice(1, end), node.text.slice(end + 1)));
    }
    ts.forEachChild(node, visit);
  }
  visit(source);
  return found;
}

/** Whether the time that a pattern takes may grow faster than the text it is tried on. */
const isSlow = (pattern: RegExp): boolean =>
  analyse({ source: pattern.source, flags: pattern.flags }).reports.length > 0;

test("no pattern takes longer than its text grows", () => {
  for (const slow of [/^(a+)+$/, /\s+$/, /^\d*\d*x/]) expect(isSlow(slow)).toBe(true);
  const patterns = files.flatMap((file) => patternsIn(file).map((pattern) => ({ file, pattern })));
  expect(patterns.length).toBeGreaterThan(100);
  expect(patterns.filter(({ pattern }) => isSlow(pattern)).map((at) => `${at.file}: ${at.pattern}`)).toEqual(
    [],
  );
});
