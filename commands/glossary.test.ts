import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { expect, test } from "vitest";

/** The rows of a table of docs/glossary.md, by the words of its first two columns. */
function rowsUnder(heading: string): [string, string][] {
  const text = readFileSync("docs/glossary.md", "utf8").split(heading)[1]!;
  return [...text.matchAll(/^\| ([^|]+?) \| ([^|]+?) \|/gm)]
    .map(([, first, second]): [string, string] => [first!, second!])
    .filter(([first]) => first !== "not" && !first.startsWith("---"));
}

const BANNED = new Map(rowsUnder("## Words we don't use in names"));

/** Exported names of a file, and the properties of its exported interfaces. */
function exportedNames(path: string): string[] {
  const source = ts.createSourceFile(path, readFileSync(path, "utf8"), ts.ScriptTarget.Latest, true);
  return source.statements.flatMap((statement) => {
    const isExported = ts.canHaveModifiers(statement)
      ? ts.getModifiers(statement)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)
      : false;
    if (!isExported) return [];
    if (ts.isVariableStatement(statement))
      return statement.declarationList.declarations.map(({ name }) => name.getText());
    if (ts.isInterfaceDeclaration(statement))
      return [
        statement.name.text,
        ...statement.members.flatMap(({ name }) => (name ? [name.getText()] : [])),
      ];
    return "name" in statement && statement.name ? [(statement.name as ts.Identifier).text] : [];
  });
}

/** `likelyAt` is `likely`, `at`. */
const wordsOf = (name: string) =>
  name
    .replace(/([a-z0-9])([A-Z])/g, "$1 $2")
    .split(/[^A-Za-z]+/)
    .map((word) => word.toLowerCase());

const files = ["core", "db", "app", "workers", "devices", "demo", "commands"].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name) && !name.includes("packages"))
    .map((name) => join(folder, name)),
);

test("no exported name, and no file, has a word that the glossary replaces", () => {
  expect(BANNED.size).toBeGreaterThan(10);
  const faults = files.flatMap((path) =>
    [path.split("/").at(-1)!.replace(/\..*/, ""), ...exportedNames(path)].flatMap((name) =>
      wordsOf(name)
        .filter((word) => BANNED.has(word) || BANNED.has(word.replace(/s$/, "")))
        .map(
          (word) =>
            `${path}: ${name} (${word}: say ${BANNED.get(word) ?? BANNED.get(word.replace(/s$/, ""))})`,
        ),
    ),
  );
  expect(faults).toEqual([]);
});
