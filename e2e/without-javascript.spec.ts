import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ clock: "2026-09-19T10:30:00Z", javaScriptEnabled: false, viewport: { width: 390, height: 844 } });

test("batch, day, run, weighing and settling work before JavaScript arrives", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await walk.begin({ units: "Pounds, °F, gallons", money: "USD" });
  await walk.follow("Add the first batch");
  await walk.fill({
    Name: "White 1",
    "Hatch date": "2026-07-25",
    "Chicks arrived alive": "four",
    "Cost of the chicks": "-3",
  });
  await walk.choose("Fast-growing white");
  await walk.press("Add batch");
  await expect(page.getByText("Enter a whole number, such as 31")).toBeVisible();
  await expect(page.getByText("A price can't be below 0. Remove the minus sign")).toBeVisible();
  await expect(page.getByLabel("Name")).toHaveValue("White 1");
  await expect(page.getByLabel("Chicks arrived alive")).toHaveValue("four");
  await walk.fill({ "Chicks arrived alive": "2", "Cost of the chicks": "5" });
  await walk.press("Add batch");
  await walk.writeDown("Feed bought", {
    "Number of bags": "1",
    "Weight of a bag": "50",
    "Price of a bag": "19",
  });
  await walk.writeDown("Live weights", { Weights: "6 4\n7 1" }, "Save weights");

  await walk.follow("Schedule a day");
  await expect(page.getByRole("heading", { name: "New processing day" })).toBeVisible();
  await walk.fill({ Date: "2026-09-19", "First bird": "07:00", Break: "0" });
  await walk.press("Schedule this day");
  await expect(page.getByRole("heading", { name: "Saturday, September 19" })).toBeVisible();
  await expect(walk.figure("Pull the feed")).toContainText("Fri 10:30 PM");
  // On a phone the results are behind the bar.
  await page.getByText("likely done", { exact: true }).click();
  await walk.figure("Scald").click();
  await expect(page.getByText("Seconds needed at 60 °C (140 °F)")).toBeVisible();

  await walk.leaf("run");
  await walk.press("Start the day");
  await walk.press("Bird in the chill tank");
  await walk.press("Bird in the chill tank");
  await walk.press("Undo Bird in the chill tank");
  await expect(page.getByRole("heading", { name: "1 in the chill tank, 1 to go" })).toBeVisible();
  await walk.press("Bird in the chill tank");
  await walk.press("Finish the day");

  await page.goto(`${farm.url}/days/1/pack`);
  await walk.weigh(1, "5 3", "For sale");
  await walk.fill({ Weight: "46" });
  await walk.press("Save weight");
  await expect(
    page.getByText("46 lb 0 oz is too heavy for a dressed chicken. Check the decimal point and the unit"),
  ).toBeVisible();
  await expect(page.getByLabel("Weight", { exact: true })).toHaveValue("46");
  await walk.weigh(2, "4.6", "For sale");

  await walk.follow("All weighed. Settle the day");
  await walk.fill({ "Hours worked on the day, all people": "3" });
  await walk.settle();
  // 5.00 chicks + 19.00 feed over 2 birds.
  await expect(page.getByRole("region", { name: "cash" })).toContainText("$12.00");
  await walk.press("Reopen this day");
  await expect(page.getByRole("heading", { name: "Settle the day" })).toBeVisible();
});
