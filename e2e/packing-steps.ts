import type { APIResponse, Page } from "@playwright/test";
import { expect, type FarmServer } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { numbers, tapThirtyBirds } from "./thirty-birds.ts";

export const DAY = "/days/3";
export const REFRIGERATOR = "1";
/** Products by their number in every farm's file. */
const PRODUCT = { breasts: 3, quarters: 8, wings: 11, livers: 16, feet: 19 } as const;

/** Sends forms as their pages would, each once. */
export function sender(page: Page, farm: FarmServer) {
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
export async function thirtyBirdsAtRest(page: Page, farm: FarmServer) {
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
export interface InUnits {
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
export async function cutTwelve(page: Page, farm: FarmServer, of: InUnits) {
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
export async function packTheRest(page: Page, farm: FarmServer, of: InUnits) {
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
export async function everythingIsAccountedFor(page: Page, of: InUnits) {
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
export async function freezeInTwoNights(page: Page, farm: FarmServer) {
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
