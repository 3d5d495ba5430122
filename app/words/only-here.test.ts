import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";

/** What only one module may say, and that module. Tests and the farm's own text are left out. */
const ONLY_IN: readonly { what: string; pattern: RegExp; files: readonly string[] }[] = [
  {
    what: "a locale",
    pattern: /["'`][a-z]{2}-[A-Z]{2}["'`]/,
    files: ["app/words/locale.ts", "demo/make-demo-farm.ts"],
  },
  {
    what: "a format of Intl",
    pattern: /Intl\.(DateTimeFormat|NumberFormat)|toLocale(Date|Time)?String/,
    files: ["app/words/locale.ts", "core/calendar/farm-time.ts"],
  },
  {
    what: "a clock of its own",
    pattern: /hour12|hourCycle|getHours\(|getMinutes\(/,
    files: ["app/words/locale.ts"],
  },
  {
    what: "a unit put behind a number",
    pattern: /\}\s?(lb|oz|kg|gal|ml|°F|°C)\b/,
    files: ["app/words/show.ts", "app/ui/read/as-typed.ts", "app/farm/farm-settings.ts", "core/"],
  },
];

const sources = ["app", "core", "db", "demo", "workers", "devices"].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.|-of-tests/.test(name))
    .map((name) => join(folder, name)),
);

test.each(ONLY_IN)("$what is written in its own module only", ({ pattern, files }) => {
  const others = sources
    .filter((path) => !files.some((file) => path.startsWith(file)))
    .flatMap((path) =>
      readFileSync(path, "utf8")
        .split("\n")
        .map((line, index) => `${path}:${index + 1} ${line.trim()}`)
        .filter((line) => pattern.test(line)),
    );
  expect(others).toEqual([]);
});
