import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

test.describe("before JavaScript arrives", () => {
  test.use({ javaScriptEnabled: false });

  test("a season is set, a day pinned and moved, and a line of the story written down", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/season`);
    await walk.press("Plan the season");
    // The page asks again by itself until the season is there.
    await expect(page.getByRole("button", { name: "Plan the season again" })).toBeVisible({
      timeout: 30_000,
    });
    const why = page.getByRole("region", { name: "Why these days" });
    await expect(why.getByRole("heading", { name: /^Sat, Oct 17, 23 Cockerels/ })).toBeVisible();
    await why.getByText("All other days").first().click();
    await why.getByRole("button", { name: "Move to Sat, Oct 3" }).first().click();
    await expect(why.getByRole("heading", { name: /^Sat, Oct 3, 23 Cockerels/ })).toBeVisible();
    await expect(why.getByText("Pinned")).toBeVisible();
    await expect(page.getByText("Includes your own moves.")).toBeVisible();

    await page.goto(`${farm.url}/batches/2`);
    await walk.fill({ "What happened?": "lost 1 owl" });
    await walk.press("Save");
    await expect(page.getByText("1 bird lost").first()).toBeVisible();
    await page.goto(`${farm.url}/season`);
    await expect(page.getByText("Something changed since")).toBeVisible();
  });
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test("the season is a list, days are moved by taps, and a scheduled day takes its people and birds along", async ({
    page,
    farm,
  }) => {
    await page.goto(`${farm.url}/season`);
    await page.getByRole("button", { name: "Plan the season" }).tap();
    const why = page.getByRole("region", { name: "Why these days" });
    await expect(why.getByRole("heading", { name: /^Sat, Oct 17/ })).toBeVisible({ timeout: 40_000 });
    await expect(page.getByRole("table", { name: "Weeks ahead" })).toBeHidden();
    await expect(page.getByRole("link", { name: "23 birds of Cockerels 26-C, proposed" })).toBeVisible();
    await why.getByRole("button", { name: "Earlier day" }).first().tap();
    await expect(why.getByText("$2.08 less").first()).toBeVisible();
    await why.getByRole("button", { name: "Later day" }).first().tap();
    await why.getByRole("link", { name: "Schedule Sat, Oct 17 for Cockerels 26-C" }).tap();
    await expect(page.getByLabel("Date", { exact: true })).toHaveValue("2026-10-17");
    await expect(page.getByLabel(/^Birds to process, of/)).toHaveValue("23");
    await expect(page.getByLabel("People", { exact: true })).toHaveValue("6");
    await page.getByRole("button", { name: "Schedule this day", exact: true }).tap();
    await expect(page).toHaveURL(/\/days\/\d+\/plan/);
    await page.goto(`${farm.url}/season`);
    await expect(page.getByRole("link", { name: "23 birds of Cockerels 26-C, scheduled" })).toBeVisible();
  });
});

test("what is taken as the biggest leaves a lighter flock, on the plan and on the batch", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/new?batch=2&on=2026-10-03&birds=10`);
  await walk.choose("Largest first");
  await walk.press("Schedule this day");
  await expect(page).toHaveURL(/\/days\/\d+\/plan/);
  const mean = async () => {
    await page.goto(`${farm.url}/batches/2?on=2026-10-10`);
    return (await walk.figure("Mean dressed weight").textContent())!.match(/(\d+) lb ([\d.]+) oz/)!;
  };
  const [, pounds, ounces] = await mean();
  // Without a taking they would dress about 4 lb 9 oz by then.
  expect(Number(pounds) * 16 + Number(ounces)).toBeLessThan(70);
  await expect(page.getByText("10 birds scheduled for processing")).toBeVisible();
  await expect(page.getByText("largest birds", { exact: true })).toBeVisible();
});
