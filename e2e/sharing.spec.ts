import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

test.use({
  isDemo: true,
  clock: "2026-09-17T10:12:00Z",
  viewport: { width: 390, height: 844 },
  hasTouch: true,
});

const centsIn = (text: string | null) => Math.round(Number((text ?? "").replace(/[^\d.]/g, "")) * 100);

test("ten birds are shared by two households, two are swapped, and one household takes and pays its part", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/1/settle`);
  await walk.follow("Share the birds among households");
  await expect(page.getByText(/10 birds in stock/)).toBeVisible();
  await walk.fill({ "Ines's household": "3", "Maren and Tobias": "6" });
  await walk.press("Find the fairest split");
  await expect(page.getByText("There are 10 birds; these are 9. Add 1.")).toBeVisible();
  await expect(page.getByLabel("Ines's household")).toHaveValue("3");
  await walk.fill({ "Ines's household": "4" });
  await walk.press("Find the fairest split");
  await expect(page.getByText(/Nobody is off by more than \d+(\.\d+)? oz\./)).toBeVisible();
  const ines = page.getByRole("region", { name: "Ines's household" });
  const own = page.getByRole("region", { name: "Maren and Tobias" });
  await expect(ines).toContainText("4 birds");
  await expect(own).toContainText("6 birds");
  // What the two owe is what ten of the day's 31 birds cost: each part to the cent, and together in the ratio of 4 to 6.
  const owes = async (who: typeof ines) => centsIn(await who.locator("dd").last().textContent());
  const [theirs, ours] = [await owes(ines), await owes(own)];
  expect(Math.abs(theirs / (theirs + ours) - 0.4)).toBeLessThan(0.001);
  await walk.press("Save this split");
  await expect(page.getByRole("button", { name: "Swap" })).toBeVisible();
  const before = await page.getByText(/Nobody is off by/).textContent();
  await walk.press("Swap");
  await expect(page.getByText(/Nobody is off by/)).not.toHaveText(before!);
  await page.getByRole("button", { name: "Undo: the last split" }).tap();
  await expect(page.getByText(/Nobody is off by/)).toHaveText(before!);

  await ines.getByRole("link", { name: "Hand over" }).tap();
  await expect(page.getByLabel("Total")).toHaveValue((theirs / 100).toFixed(2));
  await expect(page.getByLabel("Who takes them")).toHaveValue(/\d+/);
  await walk.press("Save sale");
  await expect(page.getByRole("heading", { name: "Ines's household" })).toBeVisible();
  await page.goto(`${farm.url}/orders/share/1/1`);
  await expect(page.getByRole("region", { name: "Ines's household" })).toContainText("Handed over.");

  // A third and two thirds of what is left, by weight.
  await page.getByRole("link", { name: "Split again" }).tap();
  await walk.choose("Each so large a part of the weight: 1 and 2 are a third and two thirds");
  await walk.fill({ "Ines's household": "1", "Maren and Tobias": "2" });
  await walk.press("Find the fairest split");
  await expect(ines).toContainText("2 birds");
  await expect(own).toContainText("4 birds");
  expect(await screenFaults(page, farm.url, ["/orders/share/1/1", "/orders/share/1/1?again=1"])).toEqual([]);
});

test("a household sees how long its birds last, and a day what each product cost", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/freezers`);
  await walk.follow("Through the year");
  await walk.fill({ "Birds a week": "lots" });
  await walk.press("Show");
  await expect(page.getByText("Enter a number from 0 to 50, such as 1.5")).toBeVisible();
  await walk.fill({ "Birds a week": "1" });
  await page.getByLabel("Count packs for sale too").check();
  await walk.press("Show");
  // At one bird a week they last as many weeks as there are birds, and a year takes 52.
  await expect(walk.figure("They last")).toBeVisible();
  const weeks = Number.parseFloat(
    (await walk.figure("They last").locator(".font-display").first().textContent())!,
  );
  expect(weeks).toBeGreaterThan(10);
  await expect(
    page.getByText(new RegExp(`^${Math.ceil(52 - weeks)} birds more for a full year`)),
  ).toBeVisible();

  await page.goto(`${farm.url}/days/1/settle/products`);
  const sums = page.getByRole("table", { name: "How it adds up" });
  const row = async (name: RegExp | string) =>
    centsIn(await sums.getByRole("row", { name }).getByRole("cell").first().textContent());
  const parts = await Promise.all(
    ["whole chicken", "breasts", "leg quarters", "wings", "backs"].map((name) =>
      row(new RegExp(`^of that, ${name}`)),
    ),
  );
  const left = await row("Left for the meat to bear");
  expect(parts.reduce((sum, part) => sum + part, 0)).toBe(left);
  expect((await row("All costs of the birds")) - (await row(/^Less livers/))).toBe(left);
  const byValue = parts[0];
  await page.getByRole("link", { name: "Shared by weight" }).tap();
  await expect.poll(() => row(/^of that, whole chicken/)).not.toBe(byValue);
});
