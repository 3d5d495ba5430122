import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

test("Sunday is held beside Saturday, what can't be is asked about, and another hand is kept", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/beside`);
  await expect(page.getByText("nothing differs yet")).toBeVisible();
  const row = (name: string) => page.getByRole("row").filter({ has: page.getByRole("rowheader", { name }) });
  await walk.fill({ Cones: "5" });
  await walk.press("The day after");
  // What was typed goes along.
  await expect(page.getByLabel("Cones", { exact: true })).toHaveValue("5");
  await expect(row("Day")).toContainText("Sunday 20 September");
  await expect(row("Against it")).toContainText("Ines can't come");
  await expect(row("Against it")).toContainText("drum plucker not booked");
  await expect(row("Ice to have")).toContainText("the same");

  await walk.fill({ Birds: "99", "Helpers without a name": "some" });
  await walk.press("Hold it beside");
  await expect(page.getByText("Only 58 are alive and not set for another day")).toBeVisible();
  await expect(page.getByText("Say how many, a whole number up to 24; 0 for none")).toBeVisible();
  await expect(page.getByLabel("Birds", { exact: true })).toHaveValue("99");
  await expect(page.getByLabel("Helpers without a name")).toHaveValue("some");
  await expect(page.getByRole("button", { name: "Keep the other as the plan" })).toBeHidden();

  await walk.fill({ Birds: "58", Day: "2026-09-19", "Helpers without a name": "1" });
  await walk.press("Hold it beside");
  await expect(row("Who")).toContainText("Helper 6");
  await expect(row("Day")).toContainText("the same");
  await walk.press("Keep the other as the plan");
  await expect(page).toHaveURL(/\/days\/3\/plan\?saved=/);
  await expect(page.getByText("6 people. Add:")).toBeVisible();
});
