import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };
const SCREEN = PHONE.viewport.height;

test.describe("a new farm on a phone", () => {
  test.use({ ...PHONE, clock: "2026-09-17T10:12:00Z" });

  test("stands after three questions and a handful of taps", async ({ page, farm }) => {
    await page.goto(farm.url);
    await expect(page.getByRole("heading", { name: "Good morning" })).toBeVisible();
    let taps = 0;
    const tap = async (target: ReturnType<typeof page.getByLabel>) => {
      taps += 1;
      await target.tap();
    };
    await tap(page.getByLabel("Name of the farm"));
    await page.keyboard.type("Low Gate");
    await tap(page.getByLabel("Nearest town"));
    await page.keyboard.type("concord, new h");
    await tap(page.getByRole("button", { name: "Concord, New Hampshire" }));
    await expect(
      page.getByText(/Today there: sunrise 6:\d\d AM, sunset [67]:\d\d PM\./).last(),
    ).toBeVisible();
    await tap(page.getByLabel("How many?"));
    await page.keyboard.type("25");
    await tap(page.getByRole("button", { name: "Start", exact: true }));
    await expect(page.getByRole("heading", { name: "White 26-A" })).toBeVisible();
    expect(taps).toBeLessThanOrEqual(10);
  });

  test("is asked about a longitude whose minus is missing", async ({ page, farm }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(farm.url);
    await walk.fill({ "Name of the farm": "Low Gate", Latitude: "43.9", Longitude: "71.6" });
    await walk.press("Start");
    await expect(
      page.getByText(/It would be dark at noon there .* Did you mean -71\.6\?/).first(),
    ).toBeVisible();
    await expect(page.getByLabel("Name of the farm")).toHaveValue("Low Gate");
  });
});

test.describe("on a phone", () => {
  test.use({ ...PHONE, isDemo: true });

  test("a plan is changed within its first two screens, the answer in view, and leaving asks", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/days/3/plan`);
    await expect(page.getByText("from 2,000 simulated days")).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(4 * SCREEN);
    const bar = page.locator("label.plan-bar");
    for (const [part, fields] of [
      ["58 birds", { "Birds to process, of 58 free": "40" }],
      ["Tobias, Maren, Ines, Juno, and Oskar", { People: "4" }],
      ["4 cones", { Cones: "6" }],
      ["7:00 AM", { "First bird": "07:30" }],
    ] as const) {
      const before = await bar.textContent();
      const box = (await page.getByRole("link", { name: part, exact: true }).boundingBox())!;
      const scrolled = await page.evaluate(() => scrollY);
      expect(box.y + scrolled).toBeLessThan(2 * SCREEN);
      await walk.fill(fields);
      await expect(bar).not.toHaveText(before!);
      await expect(bar).toBeInViewport();
    }
    await expect(bar).toContainText("4 changes not saved");
    await page.getByRole("link", { name: "Batches" }).first().tap();
    const asks = page.getByRole("alertdialog", { name: "Leave without saving?" });
    await expect(asks).toContainText("4 changes you haven't saved will be lost.");
    await asks.getByRole("button", { name: "Stay here" }).tap();
    await walk.press("Save plan");
    await expect(page.getByText("Plan saved.")).toBeVisible();
    await expect(bar).not.toContainText("not saved");
  });

  test("fewer birds are taken where they do not all fit, and the others get a day of their own", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/days/3/plan`);
    await expect(page.getByText("Room to rest 34 of 58.")).toBeVisible();
    await walk.press("Take 34");
    await expect(page.getByText("Room to rest")).toHaveCount(0);
    await expect(page.getByLabel("Birds to process, of 58 free")).toHaveValue("34");
    await page.goto(`${farm.url}/days/3/plan`);
    await walk.press("Save 34 and plan 24 birds for another day");
    await expect(page.getByRole("heading", { name: "New processing day" })).toBeVisible();
    await expect(page.getByLabel("Birds to process, of 24 free")).toHaveValue("24");
  });

  test("a day is called off and put back", async ({ page, farm }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/days/3/plan`);
    await walk.follow("Call off or delete this day");
    await walk.press("Call off this day");
    await expect(page.getByText(/Enter why, such as heavy rain/)).toBeVisible();
    await walk.fill({ Reason: "Heavy rain" });
    await walk.press("Call off this day");
    await expect(page.getByText(/Saturday, September 19 is called off/)).toBeVisible();
    await expect(page.getByRole("region", { name: "Called off" })).toContainText("Heavy rain");
    await walk.press("Undo: put the day back");
    await expect(page.getByRole("heading", { name: "Saturday, September 19" })).toBeVisible();
  });

  test("a weighed bird is corrected among all the others, and a day with two birds unweighed asks before it settles", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/days/2/settle`);
    await walk.press("Reopen this day");
    await expect(page.getByRole("button", { name: "Settle this day" })).toBeVisible();
    await page.goto(`${farm.url}/days/2/pack`);
    await page.getByText("Show all as a table").tap();
    await page.getByRole("link", { name: "5", exact: true }).tap();
    await expect(page.getByRole("button", { name: "Save correction" })).toBeVisible();
    await expect(page.getByLabel("Weight", { exact: true })).toHaveAttribute("inputmode", "decimal");
    await walk.fill({ Weight: "4.9.2" });
    await page.getByText("Home use", { exact: true }).tap();
    await walk.press("Save correction");
    await expect(page.getByRole("button", { name: "Undo the last correction" })).toBeVisible();
    await page.goto(`${farm.url}/days/2/pack`);
    await page.getByText("Show all as a table").tap();
    await expect(page.getByRole("row", { name: /^5 / })).toContainText("4 lb 9.2 oz");
    await expect(page.getByRole("row", { name: /^4 / })).not.toContainText("4 lb 9.2 oz");
    for (const bird of ["30", "31"]) {
      await page.goto(`${farm.url}/days/2/pack`);
      await page.getByText("Show all as a table").tap();
      await page.getByRole("link", { name: bird, exact: true }).tap();
      await walk.save("Remove this pack");
    }
    await page.goto(`${farm.url}/days/2/settle`);
    await expect(page.getByText("Birds 30 and 31 are not weighed.")).toBeVisible();
    await walk.press("Settle this day");
    await expect(page.getByText(/Do what is asked above first, or tick this/)).toBeVisible();
    await expect(page.getByRole("heading", { name: "Settled" })).toHaveCount(0);
    await walk.settle();
    await expect(page.getByRole("heading", { name: "Settled" })).toBeVisible();
  });

  test("a batch and a person are renamed, and every page knows them by the new name", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/batches/1`);
    await walk.follow("Change batch");
    await walk.fill({ Name: "Cockerels 26-C" });
    await walk.press("Save batch");
    await expect(page.getByText("There is already a batch called Cockerels 26-C")).toBeVisible();
    await walk.fill({ Name: "White 26-Z" });
    await walk.press("Save batch");
    await expect(page.getByRole("heading", { name: "White 26-Z" })).toBeVisible();
    await page.goto(`${farm.url}/season/people`);
    await walk.follow("Juno");
    await page.goto(`${page.url()}/change`);
    await walk.fill({ Name: "Juniper" });
    await walk.press("Save");
    await expect(page.getByRole("heading", { name: "Juniper" })).toBeVisible();
    await page.goto(`${farm.url}/days/3/plan`);
    await expect(page.getByRole("link", { name: /Juniper/ }).first()).toBeVisible();
  });
});

test.describe("at a desk", () => {
  test.use({ isDemo: true });

  test("a name is moved three stations by keys alone: its focus goes with it, and Escape lets go", async ({
    page,
    farm,
  }) => {
    await page.goto(`${farm.url}/days/3/plan`);
    await expect(page.getByText("from 2,000 simulated days")).toBeVisible();
    await page.getByRole("button", { name: "Maren at Evisceration" }).focus();
    for (const station of ["Pinfeathers", "Feet and heads", "Pluck"]) {
      await page.keyboard.press("ArrowLeft");
      await expect(page.getByRole("button", { name: `Maren at ${station}` })).toBeFocused();
      await expect(page.getByText(`Maren is at ${station.toLowerCase()} now.`)).toBeVisible();
    }
    const name = page.getByRole("button", { name: "Maren at Pluck" });
    await expect(name).toHaveAttribute("aria-pressed", "true");
    await page.keyboard.press("Escape");
    await expect(name).toHaveAttribute("aria-pressed", "false");
    await expect(name).toBeFocused();
  });

  test("a link leads the focus to the heading of its page, and keys of a single letter can be turned off", async ({
    page,
    farm,
  }) => {
    await page.goto(`${farm.url}/days`, { waitUntil: "networkidle" });
    await page.getByRole("link", { name: /^Books/ }).focus();
    await page.keyboard.press("Enter");
    await expect(page.getByRole("heading", { name: "Books", exact: true })).toBeFocused();
    await page.getByRole("link", { name: "Add a past batch" }).press("Enter");
    await expect(page.getByRole("heading", { level: 1 })).toBeFocused();
    await page.getByRole("button", { name: "Keys" }).press("Enter");
    await page.getByLabel("Keys of a single letter or number work on this device").uncheck();
    await page.keyboard.press("Escape");
    const before = page.url();
    for (const key of ["?", "g", "b"]) await page.keyboard.press(key);
    await expect(page.getByRole("dialog")).toHaveCount(0);
    expect(page.url()).toBe(before);
    await page.getByRole("button", { name: "Keys" }).press("Enter");
    await page.getByLabel("Keys of a single letter or number work on this device").check();
    await page.keyboard.press("Escape");
    for (const key of ["g", "b"]) await page.keyboard.press(key);
    await expect(page.getByRole("heading", { name: "Batches", exact: true })).toBeVisible();
  });

  test("days, batches and books are looked for by a name, in every year", async ({ page, farm }) => {
    const walk = new FarmWalk(page, farm.url);
    for (const [path, heading, label] of [
      ["/days", "Days", "Find a day"],
      ["/batches", "Batches", "Find a batch"],
      ["/books", "Books", "Find a batch"],
    ] as const) {
      await page.goto(`${farm.url}${path}`);
      await walk.fill({ [label]: "white 26-a" });
      await walk.press("Show");
      await expect(page).toHaveURL(/find=white/);
      await expect(page.getByRole("heading", { name: heading, exact: true })).toBeVisible();
      await expect(page.getByText("White 26-A").first()).toBeVisible();
      await walk.fill({ [label]: "nowhere" });
      await walk.press("Show");
      await expect(page.getByText(/^No (day|batch) matches\./)).toBeVisible();
      await page.getByRole("link", { name: "Show all" }).click();
    }
  });
});
