import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true, viewport: { width: 1280, height: 800 } });

test("the front door leads to the day that is open, and every section says its live word", async ({
  page,
  farm,
}) => {
  await page.goto(farm.url);
  await expect(page).toHaveURL(/\/days\/3\/plan$/);
  const sections = page.getByRole("navigation", { name: "Sections" });
  await expect(sections.getByRole("link", { name: /Batches/ })).toContainText("2");
  await expect(sections.getByRole("link", { name: /Season/ })).toContainText("1 planned");
  await expect(sections.getByRole("link", { name: /Days/ })).toContainText("Sat");
  await expect(sections.getByRole("link", { name: /Books/ })).toContainText("2 settled");
});

test("a batch says what it should weigh on another date, and asks about one before its hatch", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/batches/3`);
  await page.getByLabel("On another date").fill("2026-10-03");
  await walk.press("Show");
  await expect(page.getByRole("heading", { name: "Expected Sat, Oct 3" })).toBeVisible();
  await expect(page.getByText("98 days old")).toBeVisible();
  await page.goto(`${farm.url}/batches/3?on=2026-01-01`);
  await expect(page.getByRole("alert")).toContainText("Choose a date from Jun 27, 2026 on");
  await page.goto(`${farm.url}/batches/3?on=never`);
  await expect(page.getByRole("heading", { name: "Expected today" })).toBeVisible();
});

test("what was written down by mistake is taken back, and the sums follow", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/batches/3`);
  await expect(walk.figure("Birds alive")).toContainText("58");
  await walk.writeDown("Birds lost", { "How many?": "3", Cause: "counted twice" });
  await expect(walk.figure("Birds alive")).toContainText("55");
  await page.getByRole("button", { name: "Remove: 3 birds lost" }).click();
  await expect(walk.figure("Birds alive")).toContainText("58");
  await expect(page.getByText("counted twice")).toHaveCount(0);
  // And was the removal the mistake, it is undone where it was made.
  await expect(page.getByText("Removed: 3 birds lost.")).toBeVisible();
  await walk.press("Undo");
  await expect(walk.figure("Birds alive")).toContainText("55");
  await expect(page.getByText("Removed: 3 birds lost.")).toHaveCount(0);
});

test("a plan answers while it is typed, says what is wrong with it, and keeps nothing until it is saved", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  await expect(page.getByText("from 2,000 simulated days")).toBeVisible();
  const withFive = await walk.figure("Last bird in the chill tank").textContent();
  await walk.fill({ People: "2" });
  await expect(walk.figure("Last bird in the chill tank")).not.toHaveText(withFive!);
  await expect(page.getByText(/outside the withdrawal window/)).toBeVisible();
  await walk.fill({ People: "two" });
  await expect(
    page.getByText("The results are for the last valid choices. Fix the fields marked above."),
  ).toBeVisible();
  await walk.fill({ People: "1", "First bird": "14:00" });
  await expect(page.getByText("It gets dark.")).toBeVisible();
  await page.reload();
  await expect(page.getByLabel("People")).toHaveValue("5");
});

test("a figure opens to its sum by a key, with where each number came from", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  await walk.figure("Ice").focus();
  await page.keyboard.press("Enter");
  const opened = page.locator("details.figure[open]");
  await expect(opened).toContainText("Heat from the birds, water, and tanks");
  await expect(opened.getByRole("row", { name: /water temperature your setting/ })).toContainText("51 °F");
  await expect(opened.getByRole("row", { name: /air temperature our estimate/ })).toContainText("64.4 °F");
  await expect(opened).toContainText("Source:");
});

test("a bird leaves the freezer and comes back when that was a mistake", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/freezers`);
  const chest = page.getByRole("region", { name: "Barn chest" });
  const before = (await chest.getByText(/spaces filled, room for \d+ more/).textContent()) ?? "";
  await walk.follow("Open Barn chest");
  await page.getByRole("checkbox").first().check();
  await walk.save("eaten");
  await page.goto(`${farm.url}/freezers`);
  await expect(chest.getByText(before, { exact: true })).toHaveCount(0);
  const lately = page.getByRole("region", { name: "Recently taken out" });
  await expect(lately).toContainText("eaten Thu, Sep 17");
  await lately.getByRole("listitem").filter({ hasText: "eaten Thu, Sep 17" }).getByRole("button").click();
  await expect(chest.getByText(before, { exact: true })).toBeVisible();
  await walk.follow("Add a refrigerator or freezer");
  await walk.fill({ Name: "Barn chest", Capacity: "10" });
  await walk.press("Add");
  await expect(page.getByText("That name is already used. Choose another")).toBeVisible();
});

test("an earlier batch stands in the books beside the settled ones", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/books/past`);
  await walk.choose("Fast-growing white");
  await walk.fill({
    Name: "White 24-A",
    "Last processing date": "2024-07-13",
    "Birds processed": "40",
    "Total dressed weight": "200",
    "Total cash cost": "450",
  });
  await walk.fill({ "Total live weight": "190" });
  await walk.press("Add past batch");
  await expect(page.getByText("Live weight must be more than dressed weight")).toBeVisible();
  await walk.fill({ "Total live weight": "" });
  await walk.press("Add past batch");
  // 450.00 / 40 birds; 450.00 / 200 lb.
  await expect(page.getByRole("row", { name: /Cost per bird, cash/ })).toContainText("$11.25");
  await expect(page.getByRole("row", { name: /Cost per pound, cash/ })).toContainText("$2.25 / lb");
});

test("the run sheet prints on one page, without the spine", async ({ page, farm }) => {
  await page.goto(`${farm.url}/days/3/sheet`);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("navigation", { name: "Sections" })).toBeHidden();
  await expect(page.getByText("Back to the plan")).toBeHidden();
  await expect(page.getByRole("table", { name: "Schedule" })).toBeVisible();
  const pdf = (await page.pdf({ format: "Letter" })).toString("latin1");
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test("keys lead to the sections and are listed by ?", async ({ page, farm }) => {
  await page.goto(`${farm.url}/batches`, { waitUntil: "networkidle" });
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("g");
  await page.keyboard.press("k");
  await expect(page.getByRole("heading", { name: "Books" })).toBeVisible();
});
