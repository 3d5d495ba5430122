import type { APIResponse, Page } from "@playwright/test";
import { sayTo } from "#devices/attached/tcp-lines.ts";
import { expect, type FarmServer, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { attach, startDevice } from "./stand-ins.ts";
import { numbers, tapThirtyBirds } from "./thirty-birds.ts";

test.use({ isDemo: true, clock: "2026-09-21T14:00:00Z" });

const DAY = "/days/3";
const REFRIGERATOR = "1";
/** Products by their number in every farm's file. */
const PRODUCT = { breasts: 3, quarters: 8, wings: 11, livers: 16, feet: 19 } as const;

/** Sends forms as their pages would, each once. */
function sender(page: Page, farm: FarmServer) {
  let sent = 0;
  return async (path: string, form: Record<string, string>): Promise<APIResponse> => {
    sent += 1;
    const answer = await page.request.post(`${farm.url}${path}`, {
      form: { entryId: `form-of-the-day-${sent}`, ...form },
      headers: { Origin: farm.url },
      maxRedirects: 0,
    });
    expect(answer.status(), `${path} ${JSON.stringify(form)}`).toBeLessThan(400);
    return answer;
  };
}

/** Thirty birds were killed on the 19th from 7:02 AM on, two minutes apart; 18 rest a day and 12 two days. */
async function thirtyBirdsAtRest(page: Page, farm: FarmServer) {
  await tapThirtyBirds(page, farm, "2026-09-19T11:00:00Z");
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}${DAY}/rest/program`);
  const part = (number: string) => page.getByRole("region", { name: `Part ${number}` });
  await part("1").getByLabel("Birds", { exact: true }).fill("18");
  await part("1").getByText("24 hours", { exact: true }).click();
  await part("2").getByLabel("Birds", { exact: true }).fill("12");
  await part("2").getByText("48 hours", { exact: true }).click();
  await walk.press("Save the rest");
  const resting = page.getByRole("region", { name: "Resting now" });
  await expect(resting).toContainText("18 birds, 24 hours");
  await expect(resting).toContainText("12 birds, 48 hours");
}

/** What is typed, and what the account says in the end, in the farm's own units. */
interface InUnits {
  readonly cutBird: string;
  readonly ofTwo: string;
  readonly tenWings: string;
  readonly fourWings: string;
  readonly livers: readonly [string, string];
  readonly feet: string;
  readonly pot: {
    readonly full: string;
    readonly bowl: string;
    readonly picked: string;
    readonly broth: string;
  };
  readonly compost: string;
  readonly account: readonly (readonly [RegExp, string])[];
}

/** Own cuts by fixed counts; twelve of the biggest cut up; wings with four left over for an odd pack. */
async function cutTwelve(page: Page, farm: FarmServer, of: InUnits) {
  const walk = new FarmWalk(page, farm.url);
  const send = sender(page, farm);
  for (const number of numbers(19, 30))
    await send(`${DAY}/pack`, {
      entryId: `bird-to-cut-${number}`,
      birdNumber: String(number),
      weight: of.cutBird,
      purpose: "sale",
      lotId: "",
      placeId: REFRIGERATOR,
    });
  await page.goto(`${farm.url}/freezers/cuts`);
  await walk.fill({
    Name: "By fives",
    "Breasts, bone in, skin on": "2",
    "Leg quarters": "2",
    Wings: "10",
    Backs: "5",
  });
  await walk.press("Add cuts");
  await expect(page.getByText(/wings by 10; backs by 5/)).toBeVisible();

  await page.goto(`${farm.url}${DAY}/cut/choose`);
  await walk.fill({ "How many": "99" });
  await walk.press("Cut these up");
  await expect(page.getByText(/^There are fewer whole birds than that/)).toBeVisible();
  await walk.fill({ "How many": "12" });
  await walk.press("Cut these up");
  await expect(page.getByText("12 birds to cut up, the biggest first")).toBeVisible();
  await page.getByLabel("Into which cuts").selectOption({ label: "By fives" });
  await page.getByRole("region", { name: "How they are cut" }).getByRole("button", { name: "Save" }).click();
  // 24 breasts are 12 packs, 24 quarters 12, 24 wings 2 and 4 left, 12 backs 2 and 2 left: 28 packs and 2 odd ones.
  await expect(page.getByText("about 30 packs")).toBeVisible();
  const row = (name: RegExp) =>
    page.getByRole("table", { name: "What they make" }).getByRole("row", { name });
  await expect(row(/^Wings/)).toContainText(/24\s*10\s*2\s*4/);
  await expect(row(/^Backs/)).toContainText(/12\s*5\s*2\s*2/);
  // Twelve birds at 2.5 min; 30 cycles of a minute are longer than the hands' 30 x 40 s.
  await expect(walk.figure("To cut")).toContainText("30 min");
  await expect(walk.figure("To bag and seal")).toContainText("30 min");
}

/** Breasts, quarters, wings, livers and feet by their counts; the backs boiled and picked; feathers and guts composted. */
async function packTheRest(page: Page, farm: FarmServer, of: InUnits) {
  const walk = new FarmWalk(page, farm.url);
  const send = sender(page, farm);
  const pack = (product: number, amount: string, pieces: number, entryId: string) =>
    send(`${DAY}/pack/parts/${product}`, {
      entryId,
      amount,
      pieces: String(pieces),
      purpose: "sale",
      placeId: REFRIGERATOR,
    });
  for (const turn of numbers(1, 12)) await pack(PRODUCT.breasts, of.ofTwo, 2, `breasts-of-the-day-${turn}`);
  for (const turn of numbers(1, 12)) await pack(PRODUCT.quarters, of.ofTwo, 2, `quarters-of-the-day-${turn}`);
  for (const turn of numbers(1, 2)) await pack(PRODUCT.wings, of.tenWings, 10, `wings-of-the-day-${turn}`);
  for (const turn of numbers(1, 3)) await pack(PRODUCT.livers, of.livers[0], 8, `livers-of-the-day-${turn}`);
  await pack(PRODUCT.livers, of.livers[1], 6, "livers-of-the-day-odd");
  for (const turn of numbers(1, 5)) await pack(PRODUCT.feet, of.feet, 12, `feet-of-the-day-${turn}`);

  // Two tablets hold the last four wings; the second is told that there are none left, and keeps what was typed.
  const tablet = await page.context().newPage();
  for (const one of [page, tablet]) {
    await one.goto(`${farm.url}${DAY}/pack/parts/${PRODUCT.wings}`);
    await expect(one.getByLabel("How many wings")).toHaveValue("4");
    await one.getByLabel("Weight, with its container").fill(of.fourWings);
  }
  await walk.press("Save pack");
  await expect(page.getByText(/^3 packs · 24 wings/).first()).toBeVisible();
  await tablet.getByRole("button", { name: "Save pack", exact: true }).click();
  await expect(tablet.getByText(/^All wings of these birds are packed already/)).toBeVisible();
  await expect(tablet.getByLabel("Weight, with its container")).toHaveValue(of.fourWings);
  await tablet.close();

  const load = async (kind: string, amount: string) => {
    await page.goto(`${farm.url}${DAY}/cut/by-products`);
    await walk.choose(kind);
    await walk.fill({ "Weight going in": amount });
  };
  await load("Boil frames", of.pot.full);
  await walk.fill({ "Of that, the bowl": of.pot.bowl });
  await walk.press("Start");
  await walk.follow("Weigh what came out");
  await walk.fill({
    "Weight, picked meat": of.pot.picked,
    "Of that, the bowl": of.pot.bowl,
    Broth: of.pot.broth,
  });
  await walk.press("Save");
  for (const kind of ["Feathers to compost", "Heads and guts to compost"]) {
    await load(kind, of.compost);
    await walk.press("Start");
    await expect(page.getByRole("region", { name: "Loads" })).toContainText(kind);
  }
}

/** Every row of the account as it was worked out by hand; the shares add up to all of the live birds. */
async function everythingIsAccountedFor(page: Page, of: InUnits) {
  await new FarmWalk(page, "").follow("Where it went");
  const table = page.getByRole("table", { name: "Where the weight of the live birds went" });
  for (const [name, weight] of of.account)
    await expect(table.getByRole("row", { name })).toContainText(weight);
  const shares = await table
    .getByRole("row")
    .evaluateAll((rows) => rows.slice(1, -1).map((row) => Number(row.lastElementChild?.textContent ?? "0")));
  expect(Math.abs(shares.reduce((sum, share) => sum + share, 0) - 100)).toBeLessThan(0.6);
  await expect(
    page.getByRole("img", { name: /of every 100 .* alive went into packs of meat/ }),
  ).toBeVisible();
}

/** What lies in the chest is taken out, many packs at once, and the day's packs go in over two nights. */
async function freezeInTwoNights(page: Page, farm: FarmServer) {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/freezers/place/2`);
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await walk.press("given");
  await expect(page.getByRole("heading", { name: "Nothing in here" })).toBeVisible();
  await page.goto(`${farm.url}/freezers/freezing?nights=2`);
  await expect(page.getByText(/in 2 nights: all hard by/)).toBeVisible();
  const loads = page.getByRole("table", { name: "Loads of each night" }).getByRole("row");
  await expect(loads).toHaveCount(5);
  return loads;
}

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
