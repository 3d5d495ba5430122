import type { Page } from "@playwright/test";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

/** On the day itself, at 9 in the morning. Whoever has been passed on comes from elsewhere. */
test.use({ isDemo: true, clock: "2026-09-19T13:00:00Z" });

const PASSPHRASE = "pond gravel seven umbrellas";
const MONEY = /\$\s?\d/;

/** A page as somebody on the farm's network has it. */
async function elsewhere(page: Page): Promise<Page> {
  const context = await page
    .context()
    .browser()!
    .newContext({
      viewport: { width: 390, height: 844 },
      extraHTTPHeaders: { "X-Forwarded-For": "192.168.4.31" },
    });
  return context.newPage();
}

async function setPassphrase(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/farm/access`);
  await page.getByLabel("Passphrase", { exact: true }).fill(PASSPHRASE);
  await page.getByRole("button", { name: "Set passphrase" }).click();
  await expect(page.getByText("Read this and check the box")).toBeVisible();
  await page.getByLabel(/^I understand that anyone/).check();
  await page.getByRole("button", { name: "Set passphrase" }).click();
  await expect(page.getByRole("heading", { name: "Change the passphrase" })).toBeVisible();
  await expect(page.getByLabel("New passphrase")).toHaveValue("");
}

test("a helper joins by the code, works the day, sees no money anywhere, and is blocked", async ({
  page,
  farm,
}) => {
  test.slow();
  await setPassphrase(page, farm.url);
  await page.getByRole("button", { name: "Show a code" }).click();
  await expect(page.getByRole("img", { name: "Code to join" }).first()).toBeVisible();
  const address = await page.locator("figcaption").first().textContent();
  expect(await screenFaults(page, farm.url, ["/farm/access"])).toEqual([]);

  const phone = await elsewhere(page);
  await phone.goto(`${farm.url}/days/3/run`);
  await expect(phone.getByRole("heading", { name: "Here to help?" })).toBeVisible();
  await phone.goto(farm.url + new URL(address!).pathname);
  await phone.getByRole("button", { name: "Join" }).click();
  await expect(phone.getByText("Enter a name")).toBeVisible();
  await phone.getByLabel("Your name").fill("Juniper");
  await phone.getByRole("button", { name: "Join" }).click();
  await expect(phone.getByRole("heading", { name: "Today" })).toBeVisible();

  const seen = ["/today", "/freezers", "/freezers/find?q=breast", "/freezers/place/1"];
  for (const part of [
    "run",
    "run/cones",
    "run/log",
    "tasks",
    "rest",
    "cut",
    "cut/went",
    "pack",
    "pack/parts/11",
  ])
    seen.push(`/days/3/${part}`);
  for (const path of seen) {
    await phone.goto(farm.url + path);
    await expect(phone.locator("h1").first()).toBeVisible();
    expect([path, MONEY.test(await phone.content())]).toEqual([path, false]);
  }
  for (const path of [
    "/books",
    "/days/3/plan",
    "/days/3/settle",
    "/batches",
    "/farm/access",
    "/days/1/run",
  ]) {
    await phone.goto(farm.url + path);
    await expect(phone.getByRole("heading", { name: "No access" })).toBeVisible();
  }
  await phone.goto(`${farm.url}/days/3/pack`);
  await new FarmWalk(phone, farm.url).fill({ Weight: "4 2" });
  await phone.getByRole("button", { name: "Save weight" }).click();
  await expect(phone.getByText(/^last: bird/)).toBeVisible();

  await page.goto(`${farm.url}/farm/access`);
  await page.getByRole("button", { name: "Block: Juniper" }).click();
  await expect(page.getByText(/blocked Sat, Sep 19/)).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole("heading", { name: "Here to help?" })).toBeVisible();
  await page.getByRole("button", { name: "Unblock: Juniper" }).click();
  await expect(page.getByRole("button", { name: "Block: Juniper" })).toBeVisible();
  await phone.goto(`${farm.url}/today`);
  await expect(phone.getByRole("heading", { name: "Today" })).toBeVisible();
});

test("ten wrong passphrases are slowed down, and the right one then waits its turn", async ({
  page,
  farm,
}) => {
  await setPassphrase(page, farm.url);
  const phone = await elsewhere(page);
  await phone.goto(farm.url);
  const tryOne = async (passphrase: string) => {
    await phone.getByLabel("The farm's passphrase", { exact: true }).fill(passphrase);
    await phone.getByLabel("Whose phone or computer is this?").fill("Tobias's phone");
    await phone.getByRole("button", { name: "Sign in" }).click();
  };
  await tryOne(PASSPHRASE);
  await expect(phone.getByRole("navigation", { name: "Sections", exact: true })).toBeVisible();
  const stranger = await elsewhere(page);
  await stranger.goto(`${farm.url}/sign-in`);
  const wrong = (passphrase: string) =>
    stranger.evaluate(async (typed) => {
      const form = document.querySelector("form")!;
      const body = new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)]));
      body.set("passphrase", typed);
      body.set("name", "Somebody");
      return (await fetch("/sign-in", { method: "POST", body })).status;
    }, passphrase);
  for (let tries = 0; tries < 10; tries += 1) expect(await wrong(`guess ${tries}`)).toBe(422);
  expect(await wrong("guess again")).toBe(429);
  expect(await wrong(PASSPHRASE)).toBe(429);
  await stranger.getByLabel("The farm's passphrase", { exact: true }).fill(PASSPHRASE);
  await stranger.getByRole("button", { name: "Sign in" }).click();
  await expect(stranger.getByText(/Too many wrong tries|Too many tries/).first()).toBeVisible();
});
