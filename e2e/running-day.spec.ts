import type { Browser, Page } from "@playwright/test";
import { expect, test } from "./farm-server.ts";
import { screenFaults } from "./screen-faults.ts";

test.use({ isDemo: true, clock: "2026-09-19T11:00:00Z" });

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };
const TABLET = { viewport: { width: 1280, height: 800 } };
const BIRDS = 20;
const POSTS = ["cones", "scald", "table", "look", "chill", "alone"];

/** A phone of its own: another browser's storage, at one of the day's posts. */
async function phoneAt(browser: Browser, url: string, post: string, device: object = PHONE): Promise<Page> {
  const context = await browser.newContext(device);
  const page = await context.newPage();
  await page.goto(`${url}/days/3/run/${post}`);
  await expect(page.locator("[data-ready=true]")).toBeVisible();
  return page;
}

/** Waits until a phone has what it needs to open its posts without a signal. */
const keptForOffline = (phone: Page) =>
  expect
    .poll(() => phone.evaluate(async () => (await (await caches.open("yard-screens")).keys()).length), {
      timeout: 60_000,
    })
    .toBe(POSTS.length + 2);

interface Fact {
  readonly kind: string;
  readonly entryId: string;
  readonly device: string;
}

test("a day is run on four phones by taps and keys alone, one of them without a signal for a while", async ({
  browser,
  page,
  farm,
}) => {
  test.setTimeout(240_000);
  const [cones, scald, chill, board] = await Promise.all([
    phoneAt(browser, farm.url, "cones"),
    phoneAt(browser, farm.url, "scald"),
    phoneAt(browser, farm.url, "chill"),
    phoneAt(browser, farm.url, "board", TABLET),
  ]);
  const facts = async (): Promise<Fact[]> =>
    (await (await page.request.get(`${farm.url}/days/3/day.json`, { maxRetries: 2 })).json()).events;
  const countOf = async (kind: string) => (await facts()).filter((fact) => fact.kind === kind).length;

  for (let bird = 0; bird < BIRDS; bird += 1) {
    if (bird === 3) await expect(board.getByRole("heading", { level: 1 })).toHaveText(/^3 of/);
    if (bird === 6) {
      await keptForOffline(chill);
      await chill.context().setOffline(true);
    }
    if (bird === 14) await chill.context().setOffline(false);
    if (bird < 4) await cones.keyboard.press(String(bird + 1));
    await scald.keyboard.press("1");
    await expect(scald.getByText("1 bird in the water")).toBeVisible();
    await scald.keyboard.press(bird === 2 ? "h" : "s");
    await expect(scald.getByRole("button", { name: "Dip 1 bird" })).toBeVisible();
    if (bird % 2 === 0) await chill.keyboard.press("Space");
    else await chill.getByRole("button", { name: /Bird into tank 1/ }).click();
    if (bird === 3) {
      // Another phone's tap is on the board within a second.
      await expect(board.getByRole("heading", { level: 1 })).toHaveText(/^4 of/, { timeout: 1000 });
    }
    if (bird === 10) {
      await expect(chill.getByText(/No signal\. \d+ taps wait on this phone/)).toBeVisible();
      expect(await countOf("bird")).toBe(6);
      // Reloaded without a signal, the page is there, and so are its taps.
      await chill.reload();
      await expect(chill.locator("[data-ready=true]")).toBeVisible();
      await expect(chill.getByText(/No signal\. \d+ taps wait on this phone/)).toBeVisible();
    }
  }
  await expect.poll(() => countOf("bird"), { timeout: 20_000 }).toBe(BIRDS);
  await expect(chill.getByText(/No signal/)).toHaveCount(0);
  // A slow machine may still be taking in the last taps of the other phones.
  await expect.poll(() => countOf("dip-in"), { timeout: 20_000 }).toBe(BIRDS);
  await expect.poll(() => countOf("dip-out"), { timeout: 20_000 }).toBe(BIRDS);
  await expect.poll(() => countOf("kill"), { timeout: 20_000 }).toBe(4);
  const all = await facts();
  expect(new Set(all.map(({ entryId }) => entryId)).size).toBe(all.length);
  expect(new Set(all.map(({ device }) => device)).size).toBe(3);

  // Undo takes back what this phone tapped, and nothing of another's.
  await scald.keyboard.press("u");
  await expect.poll(() => countOf("dip-out")).toBe(BIRDS - 1);
  await board.keyboard.press("u");
  await expect(cones.getByRole("button", { name: /^Undo/ })).toContainText("Bird in cone 4");
  expect(await countOf("bird")).toBe(BIRDS);

  // All four show the same.
  for (const phone of [cones, scald, chill])
    await expect(phone.locator(".yard-post header")).toContainText(`${BIRDS} of`);
  await expect(board.getByRole("heading", { level: 1 })).toHaveText(new RegExp(`^${BIRDS} of`));
  await expect(board.getByText("9 in 10 by")).toBeVisible();
});

test("a bird stays in its cone until the floor, and every post can be used at a glance", async ({
  browser,
  farm,
}) => {
  // Seven screens are opened twice, and looked through.
  test.setTimeout(240_000);
  const cones = await phoneAt(browser, farm.url, "cones");
  await cones.getByRole("button", { name: /cone 1 is free/ }).click();
  await cones.getByRole("button", { name: /Bleeding/ }).click();
  await expect(cones.getByText(/^Wait 1:2/)).toBeVisible();
  await cones.getByRole("button", { name: "Not this bird" }).click();
  await expect(cones.getByText("call a vet")).toBeVisible();
  await cones.getByRole("button", { name: "Sick, set aside" }).click();
  await expect(cones.getByRole("button", { name: /^Undo/ })).toContainText("set aside, not killed");

  const scald = await phoneAt(browser, farm.url, "scald");
  await scald.getByLabel("Water, °F").fill("400");
  await scald.getByRole("button", { name: "Save" }).click();
  await expect(scald.getByText("Water can't be that hot or cold.")).toBeVisible();
  await expect(scald.getByLabel("Water, °F")).toHaveValue("400");
  await scald.getByLabel("Water, °F").fill("138.6");
  await scald.getByRole("button", { name: "Save" }).click();
  await expect(scald.getByText("138.6 °F")).toBeVisible();
  await scald.getByLabel("Water, °F").fill("139");
  await scald.getByRole("button", { name: "Save" }).click();
  await scald.getByRole("button", { name: "Dip 1 bird" }).click();

  const look = await phoneAt(browser, farm.url, "look");
  await look.keyboard.press("3");
  await look.getByRole("button", { name: "blue" }).click();
  await look.getByRole("button", { name: "Bruise" }).click();
  await expect(look.getByRole("button", { name: /^Undo/ })).toContainText("Cut up: bruise");

  for (const post of POSTS) {
    const page = await phoneAt(browser, farm.url, post);
    const { hidden, small } = await page.evaluate(() => {
      const screen = document.querySelector(".yard-post")!;
      const small = [...screen.querySelectorAll("button, a, input, select")].filter((target) => {
        const { width, height } = target.getBoundingClientRect();
        return width < 64 || height < 64;
      });
      const cut = [...screen.querySelectorAll("section, button")].filter(
        ({ scrollHeight, clientHeight }) => scrollHeight > clientHeight + 1,
      );
      return {
        hidden: screen.scrollHeight - screen.clientHeight + cut.length,
        small: small.map(({ textContent }) => textContent),
      };
    });
    expect({ post, hidden, small }).toEqual({ post, hidden: 0, small: [] });
  }
  const page = await (await browser.newContext(PHONE)).newPage();
  expect(
    await screenFaults(
      page,
      farm.url,
      [...POSTS, "board"].map((post) => `/days/3/run/${post}`),
    ),
  ).toEqual([]);
});

test("taps for a day that was settled meanwhile are kept on the phone until someone decides", async ({
  browser,
  farm,
}) => {
  const table = await phoneAt(browser, farm.url, "table");
  const settled = await (await browser.newContext(PHONE)).newPage();
  await settled.goto(`${farm.url}/days/1/run/table`);
  await expect(settled.locator("[data-ready=true]")).toBeVisible();
  await settled.keyboard.press("Space");
  await expect(settled.getByText("1 tap not taken.")).toBeVisible();
  await settled.reload();
  await expect(settled.getByText("1 tap not taken.")).toBeVisible();
  await settled.getByRole("button", { name: "Discard" }).click();
  await expect(settled.getByText("not taken")).toHaveCount(0);

  await table.keyboard.press("Space");
  await table.keyboard.press("3");
  await expect(table.getByRole("button", { name: /^Full crop/ })).toContainText("1");
});
