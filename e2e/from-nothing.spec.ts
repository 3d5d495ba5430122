import { writeFile } from "node:fs/promises";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

test("the next day is planned from nothing: birds, people, a suggestion taken, its tasks and its paper", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days`);
  await walk.follow("Schedule a day");
  await walk.follow("Cockerels 26-C, 23 birds");
  await walk.fill({ Date: "2026-10-17", "First bird": "06:00", "Birds to cut up": "5", "Brine to": "1.2" });
  await expect(walk.figure("Last bird in the chill tank")).toContainText("Sat");
  await expect((await walk.open("Chill")).getByText(/of salt by weight in/)).toBeVisible();
  await walk.press("Schedule this day");
  // The address changes before the new page is drawn; the form's page has no such link.
  await expect(page.getByRole("link", { name: "Supplies" })).toBeVisible();
  const day = page.url().replace(/\/plan.*/, "");

  // Those of the farm's people who can come that day are on the line already; a helper joins them.
  const line = page.getByRole("region", { name: "The line" });
  for (const name of ["Tobias", "Maren"])
    await expect(line.getByRole("button", { name: new RegExp(`^${name}`) }).first()).toBeVisible();
  await line.getByRole("button", { name: "Add a helper" }).click();
  await expect(page.getByText("1 change not saved").first()).toBeVisible();
  await walk.press("Save plan");
  await expect(page.getByText("Plan saved.")).toBeVisible();
  const best = await walk.open("Best crew");
  await walk.press("Find a better crew");
  const done = walk.figure("Last bird in the chill tank");
  const before = await done.textContent();
  await best.getByRole("button", { name: /^One move/ }).click({ timeout: 20_000 });
  await expect(done).not.toHaveText(before!);
  await walk.press("Save plan");
  await expect(page).toHaveURL(/saved=3/);

  await walk.follow("Supplies");
  await expect(page.getByRole("listitem").filter({ hasText: "Salt" }).first()).toContainText("not in stock");
  await walk.follow("To do");
  await expect(page.getByRole("button", { name: /Pull the feed/ })).toContainText(/Fri|PM/);
  await walk.follow("Print");
  const pdf = await page.request.get(`${day}/run-sheet.pdf`);
  expect(pdf.headers()["content-type"]).toBe("application/pdf");
});

test("a plan that was taken along is what another day starts from, and what is wrong in it is said", async ({
  page,
  farm,
}, testInfo) => {
  const walk = new FarmWalk(page, farm.url);
  const plan = await (await page.request.get(`${farm.url}/days/3/plan.json`)).json();
  const path = testInfo.outputPath("plan.json");
  await page.goto(`${farm.url}/days/new?batch=2`);
  await walk.follow("Start from a plan file");
  await writeFile(path, JSON.stringify({ ...plan, kit: { ...plan.kit, cones: 0 }, birdz: 3 }));
  await page.getByLabel("Plan file").setInputFiles(path);
  await walk.press("Use this file");
  await expect(page.getByText("kit.cones: must be at least 1")).toBeVisible();
  await expect(page.getByText(/birdz/)).toBeVisible();
  await writeFile(path, JSON.stringify({ ...plan, birds: 20, start: "06:30" }));
  await page.getByLabel("Plan file").setInputFiles(path);
  await walk.press("Use this file");
  await expect(page.getByLabel(/^Birds to process, of/)).toHaveValue("20");
  await expect(page.getByLabel("First bird")).toHaveValue("06:30");
  const line = page.getByRole("region", { name: "The line" });
  await expect(line.getByRole("button", { name: /^Oskar/ }).first()).toBeVisible();
  await walk.press("Schedule this day");
  await expect(page).toHaveURL(/\/days\/\d+\/plan/);
});
