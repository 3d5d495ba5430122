import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

test.use({
  isDemo: true,
  clock: "2026-09-19T10:30:00Z",
  viewport: { width: 390, height: 844 },
  hasTouch: true,
});

test("on a morning without plucker and Maren, the new finish is shown before anything is changed, and can be undone", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/run`);
  await page.getByRole("link", { name: /^Something changed/ }).click();
  await expect(page.getByRole("heading", { name: "Something changed" })).toBeVisible();
  const result = page.getByRole("region", { name: "How the day would go" });
  await expect(result.getByText(/, as planned\./)).toBeVisible();
  await page.getByLabel("Maren", { exact: true }).check();
  await expect(result.getByText(/later than planned/)).toBeVisible();
  await page.getByLabel("Pluck by hand").check();
  await expect(page).toHaveURL(/pluckBy=hand/);
  const hands = await result.getByText(/later than planned/).textContent();

  await page.getByLabel("Birds to process, of 58").fill("60");
  await walk.press("Recalculate");
  await expect(page.getByText("That is too much: at most 58")).toBeVisible();
  await expect(page.getByLabel("Birds to process, of 58")).toHaveValue("60");
  await expect(page.getByLabel("Maren", { exact: true })).toBeChecked();
  await page.getByLabel("Birds to process, of 58").fill("30");
  await page.getByLabel("Bags of ice on hand").fill("2");
  await walk.press("Recalculate");
  await expect(result.getByText(/later than planned/)).not.toHaveText(hands!);
  await expect(result.getByText(/There is enough ice for/)).toBeVisible();
  expect(await birdsPlanned()).toBe(58);

  // Another phone has the same sheet open, and is too late.
  const late = await page.context().newPage();
  await late.goto(`${farm.url}/days/3/run/change?pluckBy=drum&later=30&birds=50&missing=1`);
  await expect(late.getByRole("button", { name: "Use this plan: 50 birds today" })).toBeVisible();
  await walk.press("Split the day");
  await expect(page).toHaveURL(/\/days\/3\/run$/);
  await expect(
    page.getByText("Without Maren. Plucked by hand. 30 birds of 58.", { exact: false }),
  ).toBeVisible();
  expect(await birdsPlanned()).toBe(30);
  await late.getByRole("button", { name: "Use this plan: 50 birds today" }).click();
  await expect(late.getByRole("alert").first()).toHaveText(/changed in another window/);
  await expect(late.getByLabel("Maren", { exact: true })).toBeChecked();
  await expect(late.getByLabel("Start later by")).toHaveValue("30");
  await late.close();

  const table = await page.context().newPage();
  await table.goto(`${farm.url}/days`);
  await table
    .getByRole("link", { name: /September 20/ })
    .first()
    .click();
  await expect(table).toHaveURL(/\/days\/\d+/);
  const other = Number(/\/days\/(\d+)/.exec(table.url())![1]);
  await table.goto(`${farm.url}/days/${other}/run/table`);
  await expect(table.locator("[data-ready=true]")).toBeVisible();
  await page.getByRole("link", { name: /^Something changed/ }).click();
  await walk.press("Undo this change");
  await expect(page.getByRole("button", { name: "Undo this change" })).toHaveCount(0);
  expect(await birdsPlanned()).toBe(58);
  // The day that went away under another phone leaves its taps there.
  await table.keyboard.press("Space");
  await expect(table.getByText(/1 tap not taken.*This day was removed/)).toBeVisible();
  expect(await screenFaults(page, farm.url, ["/days/3/run/change"])).toEqual([]);

  async function birdsPlanned(): Promise<number> {
    const plan = await (await page.request.get(`${farm.url}/days/3/plan.json`, { maxRetries: 2 })).json();
    return plan.birds;
  }
});
