import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

test("Sunday is held beside Saturday, what can't be is asked about, and another hand is kept", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/compare`);
  await expect(page.getByText("no differences yet")).toBeVisible();
  const row = (name: string) => page.getByRole("row").filter({ has: page.getByRole("rowheader", { name }) });
  await walk.fill({ Cones: "5" });
  await walk.press("The day after");
  // What was typed goes along.
  await expect(page.getByLabel("Cones", { exact: true })).toHaveValue("5");
  await expect(row("Date")).toContainText("Sunday, September 20");
  await expect(row("Conflicts")).toContainText("Ines can't come");
  await expect(row("Conflicts")).toContainText("drum plucker not booked");
  await expect(row("Ice needed")).toContainText("same");

  await walk.fill({ Birds: "99", "Unnamed helpers": "some" });
  await walk.press("Compare");
  await expect(page.getByText("Only 58 left alive and not scheduled for another day")).toBeVisible();
  await expect(page.getByText("Enter a whole number up to 24; 0 for none")).toBeVisible();
  await expect(page.getByLabel("Birds", { exact: true })).toHaveValue("99");
  await expect(page.getByLabel("Unnamed helpers")).toHaveValue("some");
  await expect(page.getByRole("button", { name: "Save alternative as the plan" })).toBeHidden();

  await walk.fill({ Birds: "58", Date: "2026-09-19", "Unnamed helpers": "1" });
  await walk.press("Compare");
  await expect(row("Crew")).toContainText("Helper 6");
  await expect(row("Date")).toContainText("same");
  await walk.press("Save alternative as the plan");
  await expect(page).toHaveURL(/\/days\/3\/plan\?saved=/);
  await expect(page.getByText("6 people. Add:")).toBeVisible();
});
