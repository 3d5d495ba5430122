import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { withDemoFarm } from "#commands/with-demo-farm.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { DEMO_MOMENTS } from "#demo/demo-moments.ts";

/**
 * Takes the pictures in docs/screenshots from the demo farm: npm run screenshots, after npm run build.
 * The clock stands where each screen has something to say.
 */
const FOLDER = join("docs", "screenshots");
const BASE = "http://127.0.0.1:5290";
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** Between phones that are shown side by side. */
const GAP = 16;

const THURSDAY_MORNING = "2026-09-17T10:12:00Z";
const SATURDAY_MORNING = "2026-09-19T13:00:00Z";

/** Shots of phones, to be shown side by side in one picture. */
const shots: Buffer[] = [];

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
  await picture("plan", "/days/3/plan", DESK, untilWorkedOut);
  await picture("needs", "/days/3/needs", DESK);
  await picture("compare", "/days/3/compare", DESK, async (page) => {
    await page.getByRole("button", { name: "The day after" }).click();
    await page.getByRole("cell", { name: "Sunday, September 20" }).waitFor();
  });
  await picture("settle", "/days/1/settle", DESK, async (page) => {
    await page.locator("details.figure").first().locator("summary").click();
  });
  await picture("books", "/books", DESK);
  await phone("/farm/access", letPhonesIn);
  await phone("/phone");
  await phone("/farm/data/import");
  await phone("/farm/history");
  await phone("/season/people/4/forget");
  await sideBySide("farm");
  await phone("/orders");
  await phone("/orders/1?on=2026-09-25");
  await phone("/orders/sell?order=1&on=2026-09-25");
  await phone("/orders/share/1/1?basis=birds&birds-9=4&birds-10=6");
  await phone("/days/1/settle/products");
  await sideBySide("orders");
  await phone("/days/3/plan", bringNeighborsBirds);
  await phone("/days/3/tasks");
});

await withDemoFarm(BASE, SATURDAY_MORNING, async () => {
  await phone("/days/3/run", tapSome);
  await picture("pack", "/days/3/pack", DESK, weighSome);
  await phone("/days/3/pack");
  await sideBySide("phones");
});

await withDemoFarm(
  BASE,
  DEMO_MOMENTS.running.clock,
  async () => {
    await picture("board", "/days/3/run/board", DESK, (page) =>
      page.getByText("9 in 10 by").waitFor({ timeout: 30_000 }),
    );
    await phone("/days/3/run/cones", async (page) => {
      await page.getByText("cone 4 is free").click();
    });
    await phone("/days/3/run/scald", async (page) => {
      await page.getByRole("button", { name: "Dip 1 bird" }).click();
      await page.waitForTimeout(3000);
    });
    await phone("/days/3/run/table");
    await phone("/days/3/run/chill");
    await phone("/days/3/run/change?pluckBy=drum&later=0&birds=58&missing=1");
    await sideBySide("posts");
    await picture("log", "/days/3/run/log", DESK);
  },
  "running",
);

await withDemoFarm(
  BASE,
  DEMO_MOMENTS.resting.clock,
  async () => {
    await picture("rest", "/days/3/rest", DESK);
  },
  "resting",
);

await withDemoFarm(
  BASE,
  DEMO_MOMENTS.packing.clock,
  async () => {
    await picture("cut", "/days/3/cut/went", DESK);
    await picture("freezers", "/freezers", DESK);
  },
  "packing",
);

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

/** A passphrase, and a helper's code. */
async function letPhonesIn(page: Page): Promise<void> {
  await page.getByLabel("Passphrase", { exact: true }).fill("pond gravel seven umbrellas");
  await page.getByLabel(/^I understand that anyone/).check();
  await page.getByRole("button", { name: "Set passphrase" }).click();
  await page.getByRole("button", { name: "Show a code" }).click();
  await page.getByRole("img", { name: "Code to join" }).first().waitFor();
}

async function untilWorkedOut(page: Page): Promise<void> {
  await page.getByText("No difference:").waitFor({ state: "attached", timeout: 30_000 });
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
  await page.reload();
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
  for (const [index, weight] of weights.entries()) {
    await page.getByLabel("Weight", { exact: true }).fill(weight);
    await page.getByRole("button", { name: "Save weight" }).click();
    await page.getByText(new RegExp(`^last: bird ${index + 1},`)).waitFor();
  }
  await page.getByLabel("Weight", { exact: true }).fill("4 9.2");
}

/** Takes a phone's screen, for the next picture of several. */
async function phone(path: string, before?: (page: Page) => Promise<void>): Promise<void> {
  shots.push(await shot(path, PHONE, before));
}

/** Puts the phones that were taken since the last such picture beside one another. */
async function sideBySide(name: string): Promise<void> {
  const images = shots
    .splice(0)
    .map((bytes) => `<img width="${PHONE.width}" src="data:image/png;base64,${bytes.toString("base64")}">`);
  const width = images.length * PHONE.width + (images.length - 1) * GAP;
  const page = await browser.newPage({ viewport: { width, height: PHONE.height } });
  await page.setContent(`<body style="margin:0;display:flex;gap:${GAP}px">${images.join("")}</body>`);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  await page.close();
}

async function picture(
  name: string,
  path: string,
  viewport: typeof DESK,
  before?: (page: Page) => Promise<void>,
): Promise<void> {
  writeFileSync(join(FOLDER, `${name}.png`), await shot(path, viewport, before));
}

async function shot(
  path: string,
  viewport: typeof DESK,
  before?: (page: Page) => Promise<void>,
): Promise<Buffer> {
  const page = await browser.newPage({ viewport });
  await page.goto(BASE + path);
  // The live link of a running day is never idle.
  await page.waitForTimeout(1500);
  await before?.(page);
  await page.waitForTimeout(300);
  const bytes = await page.screenshot();
  await page.close();
  return bytes;
}
