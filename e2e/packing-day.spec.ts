import { sayTo } from "#devices/attached/tcp-lines.ts";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import {
  cutTwelve,
  DAY,
  everythingIsAccountedFor,
  freezeInTwoNights,
  type InUnits,
  packTheRest,
  REFRIGERATOR,
  sender,
  thirtyBirdsAtRest,
} from "./packing-steps.ts";
import { attach, startDevice } from "./stand-ins.ts";
import { numbers } from "./thirty-birds.ts";

test.use({ isDemo: true, clock: "2026-09-21T14:00:00Z" });

test.describe("in pounds on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test("thirty birds rest in two ways, 18 are packed whole with labels, 12 are cut, and every pound is accounted for", async ({
    page,
    farm,
  }) => {
    test.setTimeout(300_000);
    const walk = new FarmWalk(page, farm.url);
    const scale = await startDevice("bench-scale");
    const printer = await startDevice("label-printer");
    await attach(page, farm.url, "Bench scale", scale);
    await attach(page, farm.url, "Label printer", printer);
    const put = (grams: number) =>
      sayTo({ host: "127.0.0.1", port: scale.port }, grams ? `put ${grams}` : "empty");
    await thirtyBirdsAtRest(page, farm);

    // The scale fills the box by itself once it lies still; 1815 g are 4 lb 0.02 oz.
    await page.goto(`${farm.url}${DAY}/pack`);
    await page.getByRole("combobox", { name: "Storage" }).selectOption(REFRIGERATOR);
    await page.getByLabel("Print its label when it is saved").check();
    await put(1815);
    await expect(page.getByLabel("Weight", { exact: true })).toHaveValue("1815g");
    await page.keyboard.press("Enter");
    await expect(page.getByRole("heading", { name: "Bird 2" })).toBeVisible();
    await expect(page.getByLabel("Print its label when it is saved")).toBeChecked();
    // The bird that was just saved still lies there: it is not weighed twice.
    await expect(page.getByLabel("Weight", { exact: true })).toHaveValue("");

    // Out of paper: the bird is saved, and its label waits.
    await sayTo({ host: "127.0.0.1", port: printer.port }, "take-paper");
    await put(0);
    await expect(page.getByRole("button", { name: "The scale is empty" })).toBeVisible();
    await put(1815);
    await expect(page.getByLabel("Weight", { exact: true })).toHaveValue("1815g");
    await page.keyboard.press("Enter");
    await expect(page.getByText(/is saved, its label was not printed/)).toBeVisible();
    await sayTo({ host: "127.0.0.1", port: printer.port }, "paper 60");
    await page.getByRole("link", { name: /^Pack [2-9A-Z]{5}$/ }).click();
    await walk.press("Send this label to the label printer");
    await page.goBack();

    // The scale is unplugged in the middle of a bird: what is typed is saved all the same.
    await page.goto(`${farm.url}${DAY}/pack`);
    scale.child.kill("SIGKILL");
    await expect(page.getByText(/^Scale (not reached|silent)/)).toBeVisible();
    await walk.fill({ Weight: "4 0" });
    await walk.press("Save weight");
    await expect(page.getByRole("heading", { name: "Bird 4" })).toBeVisible();
    const send = sender(page, farm);
    for (const number of numbers(4, 18))
      await send(`${DAY}/pack`, {
        entryId: `whole-bird-${number}`,
        birdNumber: String(number),
        weight: "4 0",
        purpose: "sale",
        lotId: "",
        placeId: REFRIGERATOR,
        printsLabel: "on",
      });
    await page.goto(`${farm.url}/farm/devices`);
    // One before the roll ended, and 60 less the label printed again, bird 3 and birds 4 to 18.
    await expect(page.getByRole("region", { name: "Label printer" })).toContainText("43 labels left");

    const pounds: InUnits = {
      cutBird: "4 8",
      ofTwo: "1 8",
      tenWings: "2 8",
      fourWings: "1 0",
      livers: ["1 0", "8 oz"],
      feet: "1 0",
      pot: { full: "9 lb", bowl: "1 lb", picked: "2 8", broth: "3 qt" },
      compost: "11 lb",
      account: [
        // 16 birds of 4 lb and two of 1815 g.
        [/Whole chicken, 18 packs/, "72 lb"],
        [/Breasts.*, 12 packs/, "18 lb"],
        [/Leg quarters, 12 packs/, "18 lb"],
        [/Wings, 3 packs/, "6 lb"],
        [/Livers, 4 packs/, "3.5 lb"],
        [/Feet, 5 packs/, "5 lb"],
        [/Frames, backs, and necks/, "8 lb"],
        // 12 birds of 4.5 lb are 54 lb; 18 + 18 + 6 + 8 of them are somewhere.
        [/Cut birds, not in a pack/, "4 lb"],
        [/Feathers/, "11 lb"],
        [/Heads and guts/, "11 lb"],
      ],
    };
    await cutTwelve(page, farm, pounds);
    await packTheRest(page, farm, pounds);
    await everythingIsAccountedFor(page, pounds);

    const loads = await freezeInTwoNights(page, farm);
    // Breasts and leg quarters, slabs of 6 cm, are the last in still air of -18 °C, later than whole birds as balls of 13 cm:
    // (0.03 / 6) x (21.02e6 / 18.14 + 251.29e6 / 15.28) x (1 + 6 x 0.03 / 1.4 / 2) = 93,670 s = 26 h 01.
    await expect(loads.nth(1)).toContainText("Tue 8:01 PM");
    await expect(loads.nth(2)).toContainText("Tue 8:01 PM");
    await expect(walk.figure("Barn chest, night 1")).toContainText("26 h 01");
    printer.child.kill("SIGKILL");
  });
});

test.describe("in kilograms at a desk", () => {
  test.use({ viewport: { width: 1280, height: 800 } });

  test("the same day is packed by keys alone, and every kilogram is accounted for", async ({
    page,
    farm,
  }) => {
    test.setTimeout(300_000);
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/farm`);
    await walk.choose("Kilograms, °C, liters");
    await walk.press("Save farm");
    await expect(page.getByText("kg · °C · USD")).toBeVisible();
    const scale = await startDevice("bench-scale");
    await attach(page, farm.url, "Bench scale", scale);
    const put = (grams: number) =>
      sayTo({ host: "127.0.0.1", port: scale.port }, grams ? `put ${grams}` : "empty");
    await thirtyBirdsAtRest(page, farm);
    const send = sender(page, farm);
    for (const number of numbers(1, 18))
      await send(`${DAY}/pack`, {
        birdNumber: String(number),
        weight: "2,00",
        purpose: "sale",
        lotId: "",
        placeId: REFRIGERATOR,
      });
    const kilograms: InUnits = {
      cutBird: "2,2",
      ofTwo: "0,75",
      tenWings: "1,1",
      fourWings: "0,4",
      livers: ["0,4", "0,3"],
      feet: "0,5",
      pot: { full: "5,05", bowl: "1,05", picked: "1,85", broth: "3 l" },
      compost: "5",
      account: [
        [/Whole chicken, 18 packs/, "36 kg"],
        [/Breasts.*, 12 packs/, "9 kg"],
        [/Leg quarters, 12 packs/, "9 kg"],
        [/Wings, 3 packs/, "2.6 kg"],
        [/Livers, 4 packs/, "1.5 kg"],
        [/Feet, 5 packs/, "2.5 kg"],
        [/Frames, backs, and necks/, "4 kg"],
        // 12 birds of 2.2 kg are 26.4 kg; 9 + 9 + 2.6 + 4 of them are somewhere.
        [/Cut birds, not in a pack/, "1.8 kg"],
      ],
    };
    await cutTwelve(page, farm, kilograms);
    await packTheRest(page, farm, kilograms);
    await everythingIsAccountedFor(page, kilograms);
    const loads = await freezeInTwoNights(page, farm);
    await expect(loads.nth(1)).toContainText("Tue 8:01 PM");

    // Necks by keys alone: Alt and a number takes the product, the scale fills the box, Enter saves.
    await page.goto(`${farm.url}${DAY}/pack/parts/15`);
    await expect(page.getByRole("button", { name: "The scale is empty" })).toBeVisible();
    await put(640);
    await expect(page.getByLabel("Weight, with its container")).toHaveValue("640g");
    await page.keyboard.press("Enter");
    await expect(page.getByText("1 pack · 8 necks · 0.64 kg")).toBeVisible();
    await page.keyboard.press("Alt+1");
    await expect(page.getByRole("heading", { name: "Bird 31" })).toBeVisible();
    await page.keyboard.press("Alt+4");
    await expect(page.getByRole("heading", { name: "Next pack: Wings" })).toBeVisible();
    scale.child.kill("SIGKILL");
  });
});
