import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true, viewport: { width: 390, height: 844 } });

test("a day that can't be is refused beside its field, and what was typed stays", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/new?batch=2`);
  await walk.fill({
    Date: "2026-04-02",
    "Birds to process, of 23 free": "24",
    "Birds to cut up": "1,5",
    "Evisceration table places": "0",
  });
  await walk.press("Schedule this day");
  await expect(page.getByText("They hatch on 2026-05-30; choose a later date")).toBeVisible();
  await expect(page.getByText("Enter a whole number, such as 31")).toBeVisible();
  await expect(page.getByText("Enter at least 1")).toBeVisible();
  await walk.fill({ Date: "2026-10-03", "Birds to cut up": "30", "Evisceration table places": "2" });
  await walk.press("Schedule this day");
  await expect(page.getByText("Only 23 left alive and not scheduled for another day")).toBeVisible();
  await expect(page.getByText("Only 24 birds to cut up")).toBeVisible();
  await expect(page.getByLabel("Birds to process, of 23 free")).toHaveValue("24");
  // The clocks go forward on 14 March 2027 at 02:00: 02:30 does not come.
  await walk.fill({
    Date: "2027-03-14",
    "First bird": "02:30",
    "Birds to process, of 23 free": "20",
    "Birds to cut up": "0",
  });
  await walk.press("Schedule this day");
  await expect(
    page.getByText("The clocks change that night, and 02:30 does not exist. Choose 03:00 or later"),
  ).toBeVisible();
  await page.goto(`${farm.url}/days`);
  await expect(page.getByRole("listitem").filter({ hasText: "Cockerels" })).toHaveCount(0);
});

test("a plan changed in two windows is not overwritten unseen", async ({ page, context, farm }) => {
  const other = new FarmWalk(await context.newPage(), farm.url);
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  await other.page.goto(`${farm.url}/days/3/plan`);
  await other.fill({ People: "6" });
  await other.press("Save plan");
  await expect(other.page.getByLabel("People")).toHaveValue("6");
  await walk.fill({ People: "4" });
  await walk.press("Save plan");
  await expect(page.getByText("This plan was changed in another window")).toBeVisible();
  await expect(page.getByLabel("People")).toHaveValue("4");
});

test("weights that can't be, and the same bird twice, are refused and nothing is kept", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/pack`);
  for (const [typed, said] of [
    ["46", "46 lb 0 oz is too heavy for a dressed chicken"],
    ["0", "A weight can't be 0"],
    ["4 17", "Ounces go from 0 to 15.9"],
    ["heavy", "This is not a weight"],
    ["-4", "A weight can't be below 0"],
  ] as const) {
    await walk.fill({ Weight: typed });
    await walk.press("Save weight");
    await expect(page.getByText(said)).toBeVisible();
    await expect(page.getByLabel("Weight", { exact: true })).toHaveValue(typed);
  }
  await walk.weigh(1, "4 9.2", "For sale");
  await walk.fill({ Weight: "4 10", Bird: "1" });
  await walk.press("Save weight");
  await expect(page.getByText("Bird 1 was already weighed")).toBeVisible();
  await page.goto(`${farm.url}/days/3/pack`);
  await expect(page.getByText("Red 26-B · 1 weighed, 57 to go")).toBeVisible();
});

test("a form sent twice is kept once, and one changed in between is asked about", async ({
  request,
  farm,
}) => {
  const lose = (birdCount: string) =>
    request.post(`${farm.url}/batches/3/loss`, {
      form: { entryId: "the-same-form", lostOn: "2026-09-16", birdCount, cause: "hawk" },
      headers: { Origin: farm.url },
      maxRedirects: 0,
    });
  expect((await lose("1")).status()).toBe(303);
  expect((await lose("1")).status()).toBe(303);
  const changed = await lose("2");
  expect(changed.status()).toBe(422);
  expect(await changed.text()).toContain("This form was already sent with different values");
  expect((await lose("99")).status()).toBe(422);
  // 58 were alive.
  const { batch } = await (await request.get(`${farm.url}/days/3/day.json`)).json();
  expect(batch.aliveCount).toBe(57);
});

test("what is not there and what is too large get a plain page", async ({ page, request, farm }) => {
  for (const path of ["/days/99/plan", "/batches/0", "/days/abc/run", "/nowhere"]) {
    const response = await page.goto(farm.url + path);
    expect(response?.status()).toBe(404);
    await expect(page.getByRole("heading", { name: "Page not found" })).toBeVisible();
  }
  const large = await request.post(`${farm.url}/batches/3/cost`, {
    form: { entryId: "large-form", what: "x".repeat(100_000), amount: "1", spentOn: "2026-09-16" },
    headers: { Origin: farm.url },
  });
  expect(large.status()).toBe(413);
  const text = await large.text();
  expect(text).toContain("What was sent is too large. Nothing was saved.");
  expect(text).not.toMatch(/at \w+ \(|node_modules/);
});
