import { spawnSync } from "node:child_process";
import { readdirSync, truncateSync, writeFileSync } from "node:fs";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

test.use({ isDemo: true });

test("a backup is made and put in place from the page, and what stood before can be put back", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/farm/data`);
  await walk.press("Back up now");
  await expect(page.getByText("Backed up.", { exact: true })).toBeVisible();
  const rows = page.getByRole("table", { name: "Backups, the newest first" }).getByRole("row");
  await expect(rows).toHaveCount(2);
  expect(await screenFaults(page, farm.url, ["/farm/data"])).toEqual([]);

  const exported = await page.request.get(`${farm.url}/farm/data/farm.json`);
  expect(await exported.json()).toMatchObject({ format: "pale-morning-farm" });

  await page.goto(`${farm.url}/freezers/containers`);
  await walk.fill({ Name: "Blue bowl", "Weight, empty": "8 oz" });
  await walk.press("Add container");
  await expect(page.getByText("Blue bowl, 8 oz")).toBeVisible();

  await page.goto(`${farm.url}/farm/data`);
  await rows.nth(1).getByRole("link", { name: "Restore" }).click();
  await expect(page.getByText(/^Go back to .*\?/)).toBeVisible();
  await walk.press("Restore this backup");
  await expect(page.getByText(/^Restored\. What stood before/)).toBeVisible();
  await page.goto(`${farm.url}/freezers/containers`);
  await expect(page.getByText("Steel bowl", { exact: false }).first()).toBeVisible();
  await expect(page.getByText("Blue bowl")).toHaveCount(0);

  await page.goto(`${farm.url}/farm/data`);
  await rows.filter({ hasText: "before a restore" }).getByRole("link", { name: "Restore" }).click();
  await walk.press("Restore this backup");
  await expect(page.getByText(/^Restored\./)).toBeVisible();
  await page.goto(`${farm.url}/freezers/containers`);
  await expect(page.getByText("Blue bowl, 8 oz")).toBeVisible();
  await page.goto(`${farm.url}/farm/data`);
  await walk.press("Check the whole file");
  await expect(page.getByText("The whole file was checked. No damage was found.")).toBeVisible();
});

test("a damaged file is not served: a page of its own says what to do, and the backup brings the farm back", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/farm/data`);
  await walk.press("Back up now");
  await expect(page.getByText("Backed up.", { exact: true })).toBeVisible();
  await farm.stop();
  // A disk that wrote something else over the start of the file.
  writeFileSync(farm.data, Buffer.alloc(4096, 7));
  truncateSync(farm.data, 4096);
  await farm.restart();
  const answer = await page.goto(`${farm.url}/freezers`);
  expect(answer?.status()).toBe(503);
  await expect(page.getByRole("heading", { name: "This file is not a farm of Pale Morning." })).toBeVisible();
  await expect(page.getByText(/^The last backup is of .*npm run restore -- pale-morning-/)).toBeVisible();
  const write = await page.request.post(`${farm.url}/freezers/containers`, {
    form: { entryId: "container-of-the-walk", name: "Lost", tareMilligrams: "8 oz" },
    headers: { Origin: farm.url },
  });
  expect(write.status()).toBe(503);
  await farm.stop();

  const [name] = readdirSync(`${farm.data}.backups`);
  const restore = ["build/programs/commands/file/restore.js", name!, "--data", farm.data, "--yes"];
  const restored = spawnSync(process.execPath, restore, { encoding: "utf8" });
  expect(restored.stdout).toMatch(/Restored\. What stood before is kept as .*set-aside/);
  await farm.restart();
  await page.goto(`${farm.url}/farm`);
  await expect(page.getByLabel("Name of the farm")).toHaveValue("Harrow & Lark");
});
