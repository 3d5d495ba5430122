import { cpSync, mkdtempSync, rmSync, symlinkSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { expect, test } from "./farm-server.ts";

test.use({
  isDemo: true,
  // What was built, the packages, and nothing else.
  root: async ({ browserName: _ }, use) => {
    const folder = mkdtempSync(join(tmpdir(), "pale-morning-built-"));
    for (const part of ["build", "package.json"]) cpSync(part, join(folder, part), { recursive: true });
    symlinkSync(resolve("node_modules"), join(folder, "node_modules"));
    await use(folder);
    rmSync(folder, { recursive: true });
  },
});

test("what was built serves pages, threads, and stand-ins without its sources", async ({ page, farm }) => {
  await page.goto(`${farm.url}/batches`);
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  const sheet = await page.request.get(`${farm.url}/days/3/run-sheet.pdf`);
  expect((await sheet.body()).subarray(0, 5).toString()).toBe("%PDF-");
  await page.goto(`${farm.url}/season`);
  await page.getByRole("button", { name: "Plan the season", exact: true }).click();
  await expect(page.getByRole("region", { name: "Why these days" }).getByRole("heading").nth(1)).toBeVisible({
    timeout: 40_000,
  });
});
