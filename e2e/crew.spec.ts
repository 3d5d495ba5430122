import { devices } from "@playwright/test";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true });

const refined = "from 2,000 simulated days";

test("people are moved by keys alone, the answer moves with them, and what was moved is kept", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  await expect(page.getByText(refined)).toBeVisible();
  await expect(
    page.getByText(/limits the line: 10 % faster there would finish the day .+ sooner/),
  ).toBeVisible();
  const before = await walk.figure("Last bird in the chill tank").textContent();
  await page.getByRole("button", { name: "Juno at Feet and heads" }).focus();
  await page.keyboard.press("ArrowLeft");
  const moved = page.getByRole("button", { name: "Juno at Pluck" });
  await expect(moved).toBeVisible();
  await expect(walk.figure("Last bird in the chill tank")).not.toHaveText(before!);

  // Oskar uses no knives, does not scald and is too young for the plucker: the arrow takes him past all of them.
  await page.getByRole("button", { name: "Oskar at Pinfeathers" }).focus();
  await page.keyboard.press("ArrowLeft");
  await expect(page.getByRole("button", { name: "Oskar at Pinfeathers" })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(
    page.getByRole("listitem").filter({ hasText: "Evisceration" }).getByText("too young"),
  ).toBeVisible();
  await page.getByRole("checkbox", { name: "Rinse, inspect" }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByText("Oskar is at pinfeathers.")).toBeVisible();

  await page.getByRole("button", { name: "Save plan", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("Plan saved.")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("button", { name: "Juno at Pluck" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Oskar helps at Rinse, inspect" })).toHaveCount(0);
});

test("nobody at a station is said where it is, with the way out, and the rest still answers", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  await expect(page.getByText(refined)).toBeVisible();
  await page.getByRole("button", { name: "Tobias at Cones" }).click();
  await page.getByRole("button", { name: "Tobias is not coming" }).click();
  for (const station of ["cones", "scald", "pluck"])
    await expect(page.getByText(`No one is at ${station}.`)).toBeVisible();
  await expect(walk.figure("Last bird in the chill tank")).toContainText("Sat");
  await expect(page.getByLabel("People")).toHaveValue("4");
  await page.getByRole("button", { name: "Tobias", exact: true }).click();
  await expect(page.getByText("No one is at evisceration.")).toHaveCount(0);
  await expect(page.getByText("No one is at scald.")).toHaveCount(0);
});

test("a better crew is found within everybody's rules, and taken", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/days/3/plan`);
  await expect(page.getByText(refined)).toBeVisible();
  const before = await walk.figure("Last bird in the chill tank").textContent();
  await walk.open("Best crew");
  await walk.press("Find a better crew");
  await expect(page.getByText(/^Done .+ sooner/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole("row", { name: /Oskar/ }).getByText(/gut|scald|cones/)).toHaveCount(0);
  await walk.press("Use the whole crew");
  await expect(page.getByText(refined)).toBeVisible();
  await expect(walk.figure("Last bird in the chill tank")).not.toHaveText(before!);
  await walk.press("Save plan");
  await expect(page.getByText("Plan saved.")).toBeVisible();
});

test.describe("by touch", () => {
  const { defaultBrowserType: _, ...phone } = devices["Pixel 7"];
  test.use(phone);

  test("a name is tapped, then a station, on a phone", async ({ page, farm }) => {
    await page.goto(`${farm.url}/days/3/plan`);
    await page.getByRole("heading", { name: "The line" }).tap();
    await page.getByRole("button", { name: "Ines at Evisceration" }).tap();
    const pins = page
      .getByRole("listitem")
      .filter({ has: page.getByRole("heading", { name: "Pinfeathers" }) });
    await pins.getByRole("button", { name: "Ines to here" }).tap();
    await expect(page.getByText("Ines is at pinfeathers now.")).toBeVisible();
    await expect(page.getByRole("button", { name: "Ines at Pinfeathers" })).toBeVisible();
    await page.getByRole("button", { name: "Done with Ines" }).tap();
    await page.getByRole("button", { name: "Pell", exact: true }).tap();
    await expect(page.getByText(/Pell arrives after the last bird/)).toBeVisible();
    await page.getByRole("button", { name: "Save plan", exact: true }).tap();
    await expect(page.getByText("Plan saved.")).toBeVisible();
    await page.reload();
    await page.getByRole("heading", { name: "The line" }).tap();
    await expect(page.getByRole("button", { name: "Ines at Pinfeathers" })).toBeVisible();
  });
});

test("a name is dragged to another station with the mouse", async ({ page, farm }) => {
  await page.goto(`${farm.url}/days/3/plan`);
  await expect(page.getByText(refined)).toBeVisible();
  await page.getByRole("region", { name: "The line" }).scrollIntoViewIfNeeded();
  await page.getByText("Share of time spent working").scrollIntoViewIfNeeded();
  const name = (await page.getByRole("button", { name: "Juno at Feet and heads" }).boundingBox())!;
  const to = (await page.getByRole("button", { name: "Maren at Evisceration" }).boundingBox())!;
  await page.mouse.move(name.x + 10, name.y + 10);
  await page.mouse.down();
  await page.mouse.move(name.x + 40, name.y + 14, { steps: 4 });
  await page.mouse.move(to.x + 20, to.y + 10, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByRole("button", { name: "Juno at Evisceration" })).toBeVisible();
});
