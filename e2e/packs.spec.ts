import type { Page } from "@playwright/test";
import { expect, type FarmServer, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { numbers, tapThirtyBirds } from "./thirty-birds.ts";

test.use({ isDemo: true, clock: "2026-09-21T14:00:00Z" });

/** Birds that the scale weighed before, sent as their forms would be. */
async function weighBirds(
  page: Page,
  farm: FarmServer,
  purpose: string,
  numbers: readonly number[],
  weight: string,
) {
  for (const number of numbers) {
    const answer = await page.request.post(`${farm.url}/days/3/pack.data`, {
      form: {
        entryId: `bird-of-the-walk-${number}`,
        birdNumber: String(number),
        weight,
        purpose,
        lotId: "",
        placeId: "2",
      },
      headers: { Origin: farm.url },
      maxRedirects: 0,
    });
    expect(answer.status()).toBeLessThan(400);
  }
}

test("a pack is weighed in its bowl, a slip is asked about, a correction is undone, and no more leaves the pot than went in", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  // 18 whole birds of 4 lb are 72 lb; 12 of 4 lb for the knife are 48 lb.
  await weighBirds(page, farm, "sale", numbers(1, 18), "4 0");
  await weighBirds(page, farm, "cut", numbers(19, 30), "4 0");

  await page.goto(`${farm.url}/days/3/cut`);
  // 12 birds: 24 breasts are 12 packs of 2, 24 wings 2 packs of 12, 12 backs 3 packs of 4: 12 + 12 + 2 + 3 = 29 packs.
  await expect(page.getByText("about 29 packs")).toBeVisible();
  await expect(page.getByRole("row", { name: /Breasts, bone in/ })).toContainText("0 of 24");
  // What leg quarters weigh is known from the farm's own days, and says from how many birds.
  await page.getByText("What each cut should weigh").click();
  await walk.figure("Leg quarters").click();
  await expect(page.getByRole("row", { name: /^your own birds cut up before/ }).first()).toBeVisible();
  await walk.follow("Wings");

  // A pack of 12 wings at 2 lb 8 oz in a bowl of 8 oz holds 2 lb.
  await walk.follow("Add a container");
  await walk.fill({ Name: "Half-pound bowl", "Weight, empty": "8 oz" });
  await walk.press("Add container");
  await expect(page.getByText("Half-pound bowl, 8 oz")).toBeVisible();
  await page.goto(`${farm.url}/days/3/pack/parts/11`);
  await page.getByLabel("Container", { exact: true }).selectOption({ label: "Half-pound bowl, 8 oz" });
  await walk.fill({ "Weight, with its container": "2 8" });
  // Twelve wings at 4.99 a pound: 2.00 lb is 9.98.
  await expect(page.getByText("$9.98")).toBeVisible();
  await walk.press("Save pack");
  await expect(page.getByText("1 pack · 12 wings · 2 lb 0 oz")).toBeVisible();
  // The product, the count and the container stay.
  await expect(page.getByLabel("How many wings")).toHaveValue("12");
  await walk.fill({ "Weight, with its container": "2 8", "How many wings": "14" });
  await walk.press("Save pack");
  await expect(page.getByText("Only 12 wings of these birds are left. Check the count")).toBeVisible();
  await walk.fill({ "How many wings": "12" });
  await walk.press("Save pack");
  await expect(page.getByText("2 packs · 24 wings · 4 lb 0 oz").first()).toBeVisible();

  // Two breasts that weigh like six are asked about, and saved once it was said that it is right.
  await page.goto(`${farm.url}/days/3/pack/parts/3`);
  await walk.fill({ "Weight, with its container": "4 0" });
  await walk.press("Save pack");
  await expect(page.getByText(/That weighs like \d+ breasts, not 2\./)).toBeVisible();
  await walk.fill({ "Weight, with its container": "1 8" });
  await walk.press("Save pack");
  await expect(page.getByText("1 pack · 2 breasts · 1 lb 8 oz")).toBeVisible();

  // A pack is corrected, and the correction undone.
  const made = page.getByRole("table", { name: "Packs, newest first" }).getByRole("link").first();
  await walk.follow((await made.textContent()) ?? "");
  await walk.fill({ "Weight, with its container": "1 10" });
  await walk.press("Save correction");
  await expect(page.getByRole("region", { name: "History" })).toContainText("1 lb 10 oz");
  await walk.press("Undo the last correction");
  await expect(page.getByRole("region", { name: "History" })).not.toContainText("1 lb 10 oz");

  // Necks: 5 lb with a bowl of 1 lb into the pot, 13 oz with the same bowl come out: more than went in is refused.
  await page.goto(`${farm.url}/days/3/cut/by-products`);
  await walk.choose("Boil frames");
  await walk.fill({ "Weight going in": "5 lb", "Of that, the bowl": "1 lb" });
  await walk.press("Start");
  await walk.follow("Weigh what came out");
  await walk.fill({ "Weight, picked meat": "6 lb" });
  await walk.press("Save");
  await expect(page.getByText("More comes out than went in.")).toBeVisible();
  await walk.fill({ "Weight, picked meat": "1 12", "Of that, the bowl": "1 lb", Broth: "3 qt" });
  await walk.press("Save");
  await expect(page.getByText("4 lb → 0.8 lb picked meat, 3 qt of broth")).toBeVisible();
});

test("packs are moved and taken out many at once, found by code and words, and a full freezer is not removed", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/freezers/place/2`);
  const contents = page.getByRole("region", { name: "Contents" });
  const count = await contents.getByRole("checkbox").count();
  await contents.getByRole("checkbox").nth(0).check();
  await contents.getByRole("checkbox").nth(1).check();
  await page.getByLabel("Move the ticked packs to").selectOption({ label: "House upright" });
  await walk.press("Move");
  await expect(contents.getByRole("checkbox")).toHaveCount(count - 2);
  await contents.getByRole("checkbox").nth(0).check();
  const code = (await contents.getByRole("link").first().textContent()) ?? "";
  await walk.press("given");
  await expect(contents.getByRole("checkbox")).toHaveCount(count - 3);

  await page.goto(`${farm.url}/freezers`);
  await expect(page.getByRole("region", { name: "Recently taken out" })).toContainText(code);
  await page.getByRole("searchbox", { name: "Find a pack" }).fill(code.toLowerCase());
  await walk.press("Find");
  await expect(page.getByRole("heading", { name: `Pack ${code}` })).toBeVisible();
  await page.goto(`${farm.url}/freezers/find?q=backs+barn`);
  await expect(page.getByRole("row", { name: /Backs/ }).first()).toContainText("Barn chest");
  await page.goto(`${farm.url}/freezers/find?q=ostrich`);
  await expect(page.getByText("Nothing stored has all of those words.")).toBeVisible();

  await page.goto(`${farm.url}/freezers/place/2`);
  await walk.press("Remove Barn chest");
  await expect(page.getByText("There are packs in it.")).toBeVisible();
});

test("birds rest in two ways, each with its own hour, and packs are frozen in two nights", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await tapThirtyBirds(page, farm, "2026-09-21T11:00:00Z");
  await page.goto(`${farm.url}/days/3/rest/program`);
  const part = (number: string) => page.getByRole("region", { name: `Part ${number}` });
  await part("1").getByLabel("Birds", { exact: true }).fill("18");
  await part("1").getByText("24 hours", { exact: true }).click();
  await part("2").getByLabel("Birds", { exact: true }).fill("50");
  await part("2").getByText("48 hours", { exact: true }).click();
  await walk.press("Save the rest");
  await expect(page.getByText("That makes 68; Red 26-B has 58 birds on this day")).toBeVisible();
  await part("2").getByLabel("Birds", { exact: true }).fill("12");
  await walk.press("Save the rest");
  // Birds 1 to 18 were killed from 7:02 to 7:36 AM, birds 19 to 30 from 7:38 to 8:00 AM.
  const resting = page.getByRole("region", { name: "Resting now" });
  await expect(resting).toContainText("18 birds, 24 hours");
  await expect(resting).toContainText("ready Tue 7:36 AM");
  await expect(resting).toContainText("12 birds, 48 hours");
  await expect(resting).toContainText("ready Wed 8:00 AM");
  await expect(resting).toContainText("One for tonight: not until Tue 7:02 AM");

  await walk.press("Of the refrigerator");
  await expect(page.getByText("Enter the temperature first, then tap what it is of")).toBeVisible();
  await page.getByLabel("Temperature, °F").fill("45");
  await walk.press("Of the refrigerator");
  await expect(page.getByText(/45 °F at .* is above 40 °F/)).toBeVisible();

  await weighBirds(page, farm, "sale", numbers(1, 8), "4 0");
  await page.goto(`${farm.url}/freezers/place/2`);
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByLabel("Move the ticked packs to").selectOption({ label: "Wash house refrigerator" });
  await walk.press("Move");
  await expect(page.getByRole("heading", { name: "Nothing in here" })).toBeVisible();
  await page.goto(`${farm.url}/freezers/freezing?nights=2&freezer=2`);
  await expect(page.getByText(/in 2 nights: all hard by/)).toBeVisible();
  await expect(page.getByRole("table", { name: "Loads of each night" }).getByRole("row")).toHaveCount(3);
});

test("a label says what the local rule asks for, true to size, and an old one stands when its product is renamed", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/freezers/labels`);
  await expect(page.getByRole("img", { name: /^Label: .*Harrow & Lark, Ottauk Valley/ })).toBeVisible();
  await walk.fill({ "Farm name and address": "", Letters: "5" });
  await walk.press("Save label");
  await expect(page.getByText("No one can read letters below 6 points. Use 6 or more")).toBeVisible();
  await walk.fill({ Letters: "7" });
  await walk.press("Save label");
  await expect(
    page.getByText("Missing for your rule: the farm's name and address: under Labels."),
  ).toBeVisible();
  await walk.fill({ "Farm name and address": "Harrow & Lark, Hill Road" });
  await walk.press("Save label");
  await expect(page.getByText("Missing for your rule")).toHaveCount(0);

  await page.goto(`${farm.url}/freezers/place/2`);
  const breasts = page.getByRole("listitem").filter({ hasText: "Breasts, bone in, skin on" }).first();
  const ofPack = (await breasts.getByRole("link").getAttribute("href")) ?? "";
  const packId = /\d+$/.exec(ofPack)?.[0] ?? "";
  const sheet = await page.request.post(`${farm.url}/freezers/labels/print`, {
    form: { entryId: "labels-of-the-walk", packId },
    headers: { Origin: farm.url },
  });
  expect(sheet.headers()["content-type"]).toBe("application/pdf");
  expect((await sheet.body()).subarray(0, 5).toString()).toBe("%PDF-");

  // A product that is renamed changes the next label, and none that was printed.
  await page.goto(`${farm.url}/freezers/products/3`);
  await walk.fill({ Name: "Breasts of our Reds" });
  await walk.press("Save product");
  await expect(page.getByRole("link", { name: "Breasts of our Reds" })).toBeVisible();
  await page.goto(`${farm.url}${ofPack}`);
  await expect(page.getByRole("img", { name: /^Label: Breasts of our Reds/ })).toBeVisible();
  const label = page.getByRole("region", { name: "Label" });
  await expect(label).toContainText(/Printed .*: Breasts, bone in, skin on, Net wt [\d.]+ lb/);
  await label.getByRole("button", { name: /Remove: this printed label/ }).click();
  await expect(label.getByText("void", { exact: true })).toBeVisible();
});

test("jars are packed only by a tested process that covers the farm's altitude", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  const fillJar = async () => {
    await page.goto(`${farm.url}/days/3/pack/parts/26`);
    await walk.fill({ Volume: "1 qt" });
    await walk.press("Save pack");
  };
  await fillJar();
  await expect(page.getByText(/^No sealed jar is left that was canned by a tested process/)).toBeVisible();
  const add = async (name: string, upTo: string, pressure: string) => {
    await page.goto(`${farm.url}/freezers/canning`);
    await walk.fill({ "What is canned": name, "Tested and published by": "An extension office" });
    await walk.fill({ Year: "2024", Jars: "1 qt", Minutes: "25" });
    await page.getByLabel("Up to, ft").first().fill(upTo);
    await page.getByLabel("Pressure").first().fill(pressure);
    await walk.press("Add process");
  };
  await add("Broth, low", "1,000", "");
  await expect(page.getByText("Enter both the altitude and the pressure, or neither")).toBeVisible();
  await add("Broth, low", "1,000", "10");
  // The farm lies at 310 m, which are 1,017 ft.
  await expect(page.getByText("It doesn't cover your 1,017 ft: refrigerate or freeze.")).toBeVisible();
  await page.goto(`${farm.url}/days/3/cut/canning`);
  await expect(page.getByText("None of your processes covers 1,017 ft.")).toBeVisible();
  await add("Broth, high", "2,000", "11");
  await expect(page.getByRole("region", { name: "Your processes" })).toContainText("Broth, high");
  await page.goto(`${farm.url}/days/3/cut/canning`);
  await walk.fill({ Jars: "7", "Lids that sealed": "1" });
  await walk.press("Save load");
  await expect(page.getByText(/^Jars that were not processed this way/)).toBeVisible();
  await page.getByLabel("Vented, and held at that pressure for all of those minutes").check();
  await walk.press("Save load");
  await expect(page.getByText(/1 of 7 jars sealed; 11 lb for 25 min at 1,017 ft/)).toBeVisible();
  await fillJar();
  await expect(page.getByText("1 pack", { exact: true }).first()).toBeVisible();
  await fillJar();
  await expect(page.getByText(/^No sealed jar is left/)).toBeVisible();
});

test("whatever is tapped to weigh and save a pack is large enough for a wet glove", async ({
  page,
  farm,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of ["/days/3/pack", "/days/3/pack/parts/11"]) {
    await page.goto(farm.url + path);
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    const heights = await page
      .locator(".for-gloves")
      .locator(".choice, .field-box, button, label:has(> input[type=checkbox])")
      .evaluateAll((all) => all.map((one) => Math.round(one.getBoundingClientRect().height)).filter(Boolean));
    expect(heights.length).toBeGreaterThan(5);
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(64);
  }
});
