import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

test.use({ isDemo: true });

test("what was removed by mistake is put back, and a change says what was there before", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/farm/history?list=removed`);
  await expect(page.getByText(/^Nothing has been removed/)).toBeVisible();

  await page.goto(`${farm.url}/batches/1`);
  const answered = page.waitForResponse((response) => response.request().method() === "POST");
  await page.getByRole("button", { name: "Remove" }).first().click();
  await answered;
  await page.goto(`${farm.url}/farm/history?list=removed`);
  const row = page.getByRole("table", { name: "Removed, the newest first" }).getByRole("row").nth(1);
  await expect(row).toContainText("this computer");
  await walk.press("Put back");
  await expect(page.getByText("Put back. It counts again.")).toBeVisible();
  await expect(page.getByText(/^Nothing has been removed/)).toBeVisible();

  await page.goto(`${farm.url}/farm`);
  await walk.fill({ "Name of the farm": "Harrow and Lark" });
  await walk.press("Save farm");
  await expect(page.getByText("Saved.", { exact: true })).toBeVisible();
  await page.goto(`${farm.url}/farm/history?list=changed`);
  await expect(page.getByText("Name: Harrow & Lark → Harrow and Lark")).toBeVisible();
  expect(
    await screenFaults(page, farm.url, ["/farm/history", "/farm/history?list=changed", "/phone"]),
  ).toEqual([]);
});

test("a farm is taken along as JSON and put in the place of another from its page", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  const exported = await (await page.request.get(`${farm.url}/farm/data/farm.json`)).body();
  const other = Buffer.from(exported.toString("utf8").replaceAll("Harrow & Lark", "Barrow & Wren"));
  await page.goto(`${farm.url}/farm/data/import`);
  const give = (buffer: Buffer) =>
    page.getByLabel(/^Farm file/).setInputFiles({ name: "farm.json", mimeType: "application/json", buffer });
  await give(Buffer.from('{"format":"pale-morning-farm","version":1,"tables":{"hats":[]}}'));
  await page.getByRole("checkbox").check();
  await walk.press("Import this farm");
  await expect(page.getByRole("alert")).toHaveText("There is no table hats. Nothing was imported.");
  await give(other);
  await page.getByRole("checkbox").setChecked(false);
  await walk.press("Import this farm");
  await expect(page.getByRole("alert")).toHaveText("Check that this farm's data may be replaced.");
  expect(await screenFaults(page, farm.url, ["/farm/data/import"])).toEqual([]);
  await page.goto(`${farm.url}/farm/data/import`);
  await give(other);
  await page.getByRole("checkbox").check();
  await walk.press("Import this farm");
  await expect(page.getByText(/^Imported\. What stood before/)).toBeVisible();
  await page.goto(`${farm.url}/farm`);
  await expect(page.getByLabel("Name of the farm")).toHaveValue("Barrow & Wren");
  const csv = await page.request.get(`${farm.url}/farm/data/csv.zip`);
  expect(csv.headers()["content-type"]).toBe("application/zip");
});

test("whoever asks to be forgotten is, in history too, and what they did still counts", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/season/people`);
  await page.getByRole("link", { name: "Juno" }).click();
  await page.getByRole("link", { name: "Forget" }).click();
  await walk.press("Forget Juno");
  await expect(page.getByRole("alert")).toHaveText("Check that Juno is to be forgotten.");
  await page.getByRole("checkbox").check();
  expect(await screenFaults(page, farm.url, [new URL(page.url()).pathname])).toEqual([]);
  await page.goto(`${farm.url}/season/people/4/forget`);
  await page.getByRole("checkbox").check();
  await walk.press("Forget Juno");
  await expect(page.getByRole("heading", { name: "People" })).toBeVisible();
  const exported = await (await page.request.get(`${farm.url}/farm/data/farm.json`)).text();
  expect(exported).not.toContain("Juno");
  expect(exported).toContain("Person 4");
});
