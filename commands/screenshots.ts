import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { withDemoFarm } from "#commands/with-demo-farm.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";

/**
 * Takes the pictures in docs/screenshots from the demo farm: npm run screenshots, after npm run build.
 * The clock stands where each screen has something to say.
 */
const FOLDER = join("docs", "screenshots");
const BASE = "http://127.0.0.1:5290";
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const THURSDAY_MORNING = "2026-09-17T10:12:00Z";
const SATURDAY_MORNING = "2026-09-19T13:00:00Z";

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu"],
});
mkdirSync(FOLDER, { recursive: true });

await withDemoFarm(BASE, THURSDAY_MORNING, async () => {
  await picture("batches", "/batches", DESK);
  await picture("batch", "/batches/3", DESK);
  await picture("batch-when", "/batches/2", DESK);
  await picture("season", "/season", DESK, setTheSeason);
  await picture("days", "/days", DESK);
  await picture("plan", "/days/3/plan", DESK, untilWorkedOut);
  await picture("needs", "/days/3/needs", DESK);
  await picture("tasks-phone", "/days/3/tasks", PHONE);
  await picture("compare", "/days/3/compare", DESK, async (page) => {
    await page.getByRole("button", { name: "The day after" }).click();
    await page.getByRole("cell", { name: "Sunday, September 20" }).waitFor();
  });
  await picture("run-sheet", "/days/3/sheet", DESK);
  await picture("settle", "/days/1/settle", DESK, async (page) => {
    await page.locator("details.figure").first().locator("summary").click();
  });
  await picture("freezers", "/freezers", DESK);
  await picture("books", "/books", DESK);
  await picture("farm", "/farm", DESK);
  await picture("lots-phone", "/days/3/plan", PHONE, bringNeighborsBirds);
});

await withDemoFarm(BASE, SATURDAY_MORNING, async () => {
  await picture("run-phone", "/days/3/run", PHONE, tapSome);
  await picture("rest", "/days/3/rest", DESK);
  await picture("pack", "/days/3/pack", DESK, weighSome);
  await picture("pack-phone", "/days/3/pack", PHONE);
});

await browser.close();

/** Two roosters of a neighbor's beside the farm's own birds, as a second lot. */
async function bringNeighborsBirds(page: Page): Promise<void> {
  await page.goto(`${BASE}/days/3/lots/brought`, { waitUntil: "networkidle" });
  const typed = { "Whose birds?": "Ines", Birds: "2", Age: "20", "Males per 100": "100" };
  for (const [label, value] of Object.entries(typed))
    await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByText("Dual-purpose or old").click();
  await page.getByRole("button", { name: "Add their birds" }).click();
  await untilWorkedOut(page);
}

async function untilWorkedOut(page: Page): Promise<void> {
  await page.getByText("No difference:").waitFor({ timeout: 30_000 });
}

async function setTheSeason(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Plan the season" }).click();
  await page.getByRole("button", { name: "Plan the season again" }).waitFor({ timeout: 60_000 });
}

/** Twenty-three birds since seven o'clock, one every five minutes or so, as a phone would send them. */
async function tapSome(page: Page): Promise<void> {
  const start = Date.parse(SATURDAY_MORNING) - 2 * HOUR;
  const tap = (kind: string, minute: number) =>
    page.request.post(`${BASE}/days/3/run/tap`, {
      form: {
        entryId: `picture-${kind}-${Math.round(minute * 100)}`,
        kind,
        at: String(start + Math.round(minute * MINUTE)),
        answer: "json",
      },
      headers: { Origin: BASE },
    });
  await tap("start", 0);
  for (let bird = 0; bird < 23; bird += 1) await tap("bird", 14 + bird * 4.75);
  await page.reload({ waitUntil: "networkidle" });
}

async function weighSome(page: Page): Promise<void> {
  const weights = [
    "4 9.2",
    "4 12",
    "3 15.6",
    "5 1",
    "4-7 1/2",
    "4.61",
    "4 2.4",
    "5 6",
    "4lb11oz",
    "4 8.8",
    "4 3",
    "4 13.1",
    "4 10",
  ];
  for (const weight of weights) {
    await page.getByLabel("Weight", { exact: true }).fill(weight);
    await page.getByRole("button", { name: "Save weight" }).click();
    await page.waitForTimeout(150);
  }
  await page.getByLabel("Weight", { exact: true }).fill("4 9.2");
}

async function picture(
  name: string,
  path: string,
  viewport: typeof DESK,
  before?: (page: Page) => Promise<void>,
): Promise<void> {
  const page = await browser.newPage({ viewport });
  await page.goto(BASE + path, { waitUntil: "networkidle" });
  await before?.(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  await page.close();
}
