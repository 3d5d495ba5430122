import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";

const filesBelow = (folder: string) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|-of-tests\./.test(file))
    .map((file) => readFileSync(join(folder, file), "utf8"));

/** Functions that a file takes from core. */
const fromCore = (text: string): string[] =>
  [...text.matchAll(/import \{([^}]*)\} from "#core\//g)]
    .flatMap(([, names]) => names!.split(","))
    .map((name) => name.trim())
    .filter((name) => /^[a-z]\w*$/.test(name));

test("what the worked cases check is what the screens call", () => {
  const called = filesBelow("app").concat(filesBelow("core"), filesBelow("workers"));
  const callersOf = (name: string) => called.filter((text) => new RegExp(`\\b${name}\\(`).test(text));
  const isDefinition = (text: string, name: string) =>
    new RegExp(`export (function|const) ${name}\\b`).test(text);
  const names = [...new Set(filesBelow("commands/reckon").flatMap(fromCore))];
  expect(names.length).toBeGreaterThan(30);
  const unused = names.filter((name) =>
    callersOf(name).every(
      (text) => isDefinition(text, name) && text.split(new RegExp(`\\b${name}\\(`)).length < 3,
    ),
  );
  expect(unused).toEqual([]);
});
