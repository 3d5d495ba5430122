import ICAL from "ical.js";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test("a newcomer adds a batch, weighs ten birds, lets the season be set, pins a day, moves one and takes the calendar along", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await walk.begin({ units: "Pounds, °F, gallons", money: "USD" });
  await walk.follow("Add the first batch");
  await walk.fill({
    Name: "White 1",
    "Hatch date": "2026-08-08",
    "Chicks arrived alive": "42",
    "Chicks ordered": "40",
    "Cost of the chicks": "100",
  });
  await walk.choose("Fast-growing white");
  await walk.press("Add batch");

  // A line as it is said, then ten birds one after another.
  await walk.fill({ "What happened?": "lost 2 hawk" });
  await walk.press("Save");
  await expect(page.getByText("2 birds lost")).toBeVisible();
  await walk.follow("Live weights");
  await page
    .getByLabel("Weights", { exact: true })
    .fill(["2 14", "3 1", "3 4", "2 9", "3 8", "2 12", "3 0", "3 3", "2 15", "3 6"].join("\n"));
  await expect(page.getByText("Mean of 10 birds")).toBeVisible();
  await expect(page.getByText(/^\d+ birds? more$|^enough$/)).toBeVisible();
  await walk.press("Save weights");
  await expect(page.getByText("10 birds weighed, mean 3 lb 0.8 oz")).toBeVisible();
  await expect(page.getByText("no people on the list").first()).toBeVisible();

  // Hands, and then a day can be recommended.
  await page.goto(`${farm.url}/season/people`);
  await walk.fill({ Name: "Wren", "Speed, where a practiced adult is 100": "100" });
  await walk.press("Add");
  await expect(page.getByRole("link", { name: "Wren" })).toBeVisible();
  await walk.fill({ Name: "Ash", "Speed, where a practiced adult is 100": "100" });
  await walk.press("Add");
  await expect(page.getByRole("link", { name: "Ash" })).toBeVisible();
  await page.goto(`${farm.url}/batches/1`);
  const recommended = page.getByRole("region", { name: "When to process" });
  await expect(recommended).toContainText("Saturday");
  await expect(recommended).toContainText("They dress at");
  await page.goto(`${farm.url}/freezers/place`);
  await walk.fill({ Name: "Chest", Capacity: "60" });
  await walk.save("Add");
  await page.goto(`${farm.url}/freezers/place`);
  await walk.fill({ Name: "Refrigerator", Capacity: "40" });
  await page.getByText("Refrigerator", { exact: true }).click();
  await walk.press("Add");

  await page.goto(`${farm.url}/season`);
  await walk.press("Plan the season");
  const why = page.getByRole("region", { name: "Why these days" });
  await expect(why).toContainText("White 1", { timeout: 40_000 });
  const proposed = why.getByRole("heading", { level: 3 }).first();
  const before = await proposed.textContent();
  await why.getByRole("button", { name: /^Pin / }).first().click();
  await expect(why.getByText("Pinned").first()).toBeVisible();

  // Moved by a button, and by a key.
  await why.getByRole("button", { name: "Later day" }).first().click();
  await expect(why.getByText(/better|less|equal/).first()).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await why
    .getByRole("button", { name: /^Move to / })
    .first()
    .click();
  await expect(proposed).not.toHaveText(before!);
  await expect(why.getByText("Pinned").first()).toBeVisible();

  // Set again, the pin is kept.
  const pinned = await proposed.textContent();
  await walk.press("Plan the season again");
  await expect(page.getByRole("button", { name: "Plan the season again" })).toBeVisible({ timeout: 40_000 });
  await expect(why.getByRole("heading", { name: pinned!.split(",")[0]! })).toBeVisible();

  await why
    .getByRole("link", { name: /^Schedule / })
    .first()
    .click();
  await walk.press("Schedule this day");
  await expect(page).toHaveURL(/\/days\/1\/plan/);
  const answer = await page.request.get(`${farm.url}/season/calendar.ics`);
  expect(answer.headers()["content-type"]).toContain("text/calendar");
  const events = new ICAL.Component(ICAL.parse(await answer.text()) as unknown as string)
    .getAllSubcomponents("vevent")
    .map((event) => new ICAL.Event(event));
  expect(events.map(({ summary }) => summary)).toContain("Pull the feed");
  expect(events.some(({ summary }) => summary.startsWith("Processing day: "))).toBe(true);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
});

test.describe("on the demo farm", () => {
  test.use({ isDemo: true });

  test("the season is torn between 3 and 17 October because of the fridge, and says so in one look", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${farm.url}/season`);
    await walk.press("Plan the season");
    const why = page.getByRole("region", { name: "Why these days" });
    await expect(why.getByRole("heading", { name: /^Sat, Oct 17, 23 Cockerels 26-C/ })).toBeVisible({
      timeout: 40_000,
    });
    await expect(why).toContainText("Nearly as good: Sat, Oct 3");
    await expect(why).toContainText("no freezer space");
    const calendar = page.getByRole("table", { name: "Weeks ahead" });
    await expect(calendar.getByRole("row").filter({ hasText: "58 Red 26-B" })).toContainText("Sep 17");
    await expect(calendar.getByRole("link", { name: "23 Cockerels 26-C" })).toBeVisible();
    await expect(calendar.getByText(/^or \$[\d.]+ less/).first()).toBeVisible();
    // Ten weeks without scrolling.
    const box = await calendar.boundingBox();
    expect(box!.y + box!.height).toBeLessThanOrEqual(800);
  });

  test("a person's calendar is read in any zone, replaced by the next, and what can't be read is said", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/season/people/3`);
    const read = async (content: string | Buffer) => {
      await page
        .getByLabel(/’s calendar/)
        .setInputFiles({ name: "c.ics", mimeType: "text/calendar", buffer: Buffer.from(content) });
      await walk.press("Import");
    };
    const file = (...lines: string[]) =>
      ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//test//EN", "BEGIN:VEVENT", "UID:1", ...lines]
        .concat("END:VEVENT", "END:VCALENDAR")
        .join("\r\n");
    await read(file("DTSTART;TZID=Europe/London:20261017T140000", "DURATION:PT2H", "SUMMARY:Choir"));
    await expect(page.getByRole("status")).toContainText("busy on 1 day");
    await expect(page.getByText("Sat, Oct 17: Choir")).toBeVisible();
    await read(file("DTSTART;VALUE=DATE:20261003", "RRULE:FREQ=WEEKLY;COUNT=2", "SUMMARY:Away"));
    await expect(page.getByText("Sat, Oct 3: Away")).toBeVisible();
    await expect(page.getByText("Choir")).toHaveCount(0);
    await read("this is no calendar");
    await expect(page.getByRole("alert")).toContainText("not a readable calendar");
    await read(Buffer.alloc(5 * 1024 * 1024, "x"));
    await expect(page.getByRole("alert")).toContainText("This file has 5.0 MB; at most 2 MB can be read");
    await page.goto(`${farm.url}/season/people/3`);
    await expect(page.getByText("Sat, Oct 3: Away")).toBeVisible();
  });

  test("what can't be is asked about, and nothing typed is lost", async ({ page, farm }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/season/dates/booking`);
    await walk.fill({ What: "drum plucker", From: "2026-10-02", To: "2026-10-04" });
    await walk.press("Add");
    await expect(page.getByText("is already booked for one of these days")).toBeVisible();
    await expect(page.getByLabel("From")).toHaveValue("2026-10-02");

    await page.goto(`${farm.url}/batches/3`);
    await walk.fill({ "What happened?": "lost 59 flood" });
    await walk.press("Save");
    await expect(page.getByText("Only 58 birds left alive")).toBeVisible();
    await expect(page.getByLabel("What happened?")).toHaveValue("lost 59 flood");
    await walk.fill({ "What happened?": "moved 30 to orchard" });
    await walk.press("Save");
    await expect(page.getByText("Name the pen they came from: 29 in east pen, 29 in west pen")).toBeVisible();

    // A line that is no weight is named, and the others are still counted.
    await page.goto(`${farm.url}/batches/3/weigh-in`);
    await page.getByLabel("Weights", { exact: true }).pressSequentially("6 4\n6 6\n6 x2\n6 8");
    await expect(page.getByText("Mean of 3 birds")).toBeVisible();
    await expect(page.locator("dl[aria-live]")).toContainText("6 lb 6 oz");
    await expect(page.getByText("Bird 3, “6 x2”: This is not a weight.")).toBeVisible();
    // Five pounds at two weeks is asked about, and may be kept.
    await page.getByLabel("Weights", { exact: true }).fill("5 0");
    await walk.fill({ "Date weighed": "2026-07-11" });
    await walk.press("Save weights");
    await expect(page.getByText("5 lb 0 oz at 14 days?")).toBeVisible();
    await expect(page.getByLabel("Weights", { exact: true })).toHaveValue("5 0");
    await page.getByLabel("These weights are correct").check();
    await walk.press("Save weights");
    await expect(page.getByText("1 bird weighed, mean 5 lb 0 oz")).toBeVisible();
  });

  test("chicks that come are counted against their order, and the biggest are told from those left", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/batches/4`);
    await expect(walk.figure("Chicks on order")).toContainText("80");
    await page.goto(`${farm.url}/batches/3?biggest=20`);
    const some = page.getByRole("region", { name: "Process some of them" });
    await expect(some).toContainText("Processed: 20 birds");
    await expect(some).toContainText("Remaining: 38 birds");
    await page.goto(`${farm.url}/season/chicks`);
    await walk.fill({ "Birds to sell": "60" });
    await page.getByLabel("Maximum size").fill("5 8");
    await walk.press("Calculate");
    await page.getByRole("link", { name: "Add this order" }).first().click();
    await walk.fill({ Name: "White 26-E", "Cost of the chicks": "90" });
    await walk.press("Add batch");
    await expect(page.getByText(/chicks on order, due on this date/)).toBeVisible();
  });
});
