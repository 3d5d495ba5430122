import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

test("what is short for the day is bought, and is enough then", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/needs`);
  const ice = page.getByRole("listitem").filter({ hasText: "Ice, 20 lb bags" }).first();
  await expect(ice).toContainText("5 short; you have 2");
  await page.getByRole("link", { name: /^Update stock.*Ice/ }).click();
  await walk.fill({ Quantity: "-5" });
  await walk.press("Save");
  await expect(page.getByText("This can't be below 0")).toBeVisible();
  await walk.fill({ Quantity: "5" });
  await walk.press("Save");
  await expect(page.getByText("7 bags in stock")).toBeVisible();
  // What was there at first belongs to the supply; what was bought can be removed alone.
  await expect(page.getByRole("button", { name: "Remove: counted 2" })).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Remove: bought 5" })).toBeVisible();
  await page.goto(`${farm.url}/days/3/needs`);
  await expect(ice).toContainText("enough; you have 7");
  // What the farm kept no count of is taken into stock from here.
  await page.goto(`${farm.url}/freezers/supplies/new?kind=salt`);
  await walk.fill({ "Quantity per pack": "1360", "Price per pack": "2.10" });
  await walk.press("Add");
  await expect(page.getByRole("row").filter({ hasText: "Salt" })).toContainText("not counted");
});

test("what a day used is taken from stock when it settles, and put back when it is opened again", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  const ties = async () => {
    await page.goto(`${farm.url}/freezers/supplies`);
    return page.getByRole("row").filter({ hasText: "Clip ties" });
  };
  await expect(await ties()).toContainText("140");
  await page.goto(`${farm.url}/days/3/pack`);
  await walk.weigh(1, "4 9.2", "For sale");
  await walk.leaf("Settle");
  await expect(page.getByLabel("Clip ties")).toHaveValue("1");
  await walk.fill({ "Clip ties": "a few" });
  await walk.settle();
  await expect(page.getByText("Enter a whole number, such as 31")).toBeVisible();
  await walk.fill({ "Clip ties": "3", "Hours worked on the day, all people": "7.25" });
  await walk.fill({ "Mean live weight that morning, if weighed": "6 4" });
  await walk.settle();
  await expect(page.getByRole("listitem").filter({ hasText: "Clip ties" })).toContainText(
    "3 pieces from stock",
  );
  await expect(await ties()).toContainText("137");
  await page.goto(`${farm.url}/days/3/settle`);
  await walk.press("Reopen this day");
  await expect(page.getByRole("button", { name: "Settle this day" })).toBeVisible();
  // What was typed is not asked for again.
  await expect(page.getByLabel("Clip ties")).toHaveValue("3");
  await expect(page.getByLabel("Hours worked on the day, all people")).toHaveValue("7.25");
  await expect(page.getByLabel("Mean live weight that morning, if weighed")).toHaveValue("6 lb 4 oz");
  await expect(await ties()).toContainText("140");
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test("tasks are ticked with a thumb, stay ticked, and are unticked", async ({ page, farm }) => {
    await page.goto(`${farm.url}/days/3/tasks`);
    await expect(page.getByText("21 things to do.")).toBeVisible();
    const ice = page.getByRole("button", { name: /Have 7 bags of ice ready/ });
    await expect(ice).toContainText("4:30 PM");
    await expect(ice).toHaveAttribute("aria-pressed", "false");
    await ice.tap();
    await expect(ice).toHaveAttribute("aria-pressed", "true");
    await expect(page.getByText("20 things to do.")).toBeVisible();
    await page.reload();
    await expect(ice).toContainText("done Thu 6:1");
    await ice.tap();
    await expect(ice).toHaveAttribute("aria-pressed", "false");
    await expect(page.getByText("21 things to do.")).toBeVisible();
  });
});
