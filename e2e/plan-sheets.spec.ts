import { readFile } from "node:fs/promises";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

test("another feed-off school is chosen, and the hours of every bird follow", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  const sheet = await walk.open("Off feed");
  await expect(sheet.getByText("Short: 8 to 12 h")).toBeVisible();
  await expect(sheet.getByRole("row", { name: /Overnight/ })).toContainText(/Fri 6:.. PM/);
  await walk.choose("Overnight");
  await expect(sheet.getByText("Overnight: 12 to 16 h")).toBeVisible();
  await expect(walk.figure("Pull the feed")).toContainText(/Fri 6:.. PM/);
  await walk.press("Save plan");
  await expect(page.getByText("Plan saved.")).toBeVisible();
  await page.reload();
  await expect(sheet.getByText("Overnight: 12 to 16 h")).toBeVisible();
});

test("a bath that can't keep up says at which bird, and is mended with more power", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  const power = async (watts: string) => {
    await page.goto(`${farm.url}/farm`);
    await walk.fill({ "Heating power, watts": watts });
    await walk.press("Save farm");
    await expect(page.getByText("Saved.")).toBeVisible();
    await page.goto(`${farm.url}/days/3/plan`);
  };
  await power("600");
  const failing = page.getByText(/The bath can't keep up: from bird \d+ on, the water is too cool/);
  await expect(failing).toBeVisible();
  await expect(page.getByText(/Put the lid on between birds: heats/)).toBeVisible();
  await power("3000");
  await expect(page.getByRole("region", { name: "Scald" })).toBeVisible();
  await expect(failing).toHaveCount(0);
});

test("each station has a page of its own to print, and the plan is taken along as a file", async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/days/3/plan`);
  await page.getByRole("link", { name: "Print" }).click();
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Everything as PDF" }).click();
  const sheet = await readFile(await (await download).path());
  // The order of the days on two pages, what to have ready, eight stations and the chill.
  expect(sheet.toString("latin1").match(/\/Type\s*\/Page[^s]/g)).toHaveLength(12);
  await page.getByRole("link", { name: "Station sheets" }).click();
  const headings = page.getByRole("heading", { level: 1 });
  await expect(headings).toHaveText([
    "Cones",
    "Scald",
    "Pluck",
    "Feet and heads",
    "Pinfeathers",
    "Evisceration",
    "Rinse, inspect",
    "Giblets",
    "Chill",
  ]);
  const scald = page.getByRole("article").filter({ has: page.getByRole("heading", { name: "Scald" }) });
  await expect(scald).toContainText("140 °F for 75 s");
  await expect(scald).toContainText("Tobias");
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("navigation")).toHaveCount(0);
  const pdf = await page.pdf({ format: "Letter" });
  expect(pdf.toString("latin1").match(/\/Type\s*\/Page[^s]/g)).toHaveLength(9);

  const file = await (await page.request.get(`${farm.url}/days/3/plan.json`)).json();
  expect(file).toMatchObject({ birds: 58, kind: "slow", start: "07:00", kit: { cones: 4 } });
  expect(file.people.map(({ name }: { name: string }) => name)).toEqual([
    "Tobias",
    "Maren",
    "Ines",
    "Juno",
    "Oskar",
  ]);
});

test("an ordinary morning is watched: it stands still until it is played, and its time is moved by keys", async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/days/3/plan`);
  const sheet = await new FarmWalk(page, farm.url).open("Simulation");
  await expect(sheet.getByText(/most birds are waiting: crates \d+, cones \d+/)).toBeVisible();
  const slider = sheet.getByRole("slider", { name: "Time of day" });
  await slider.focus();
  await page.keyboard.press("Home");
  await expect(sheet.getByText("At 7:00 AM: crates 57, cones 1,")).toBeVisible();
  await sheet.getByRole("button", { name: "600×" }).click();
  await sheet.getByRole("button", { name: "Play" }).click();
  await expect(sheet.getByRole("button", { name: "Stop" })).toBeVisible();
  await expect(sheet.getByText(/crates 0, .*chill 58\./)).toBeVisible({ timeout: 40_000 });
  await expect(sheet.getByRole("button", { name: "Play" })).toBeVisible();
});
