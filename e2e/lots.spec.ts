import type { Page } from "@playwright/test";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

/** A batch of birds of one hatch, all of them there. */
async function addBatch(
  walk: FarmWalk,
  name: string,
  kind: string,
  fields: Readonly<Record<string, string>>,
) {
  await walk.page.goto(`${walk.url}/batches/new`);
  await walk.fill({ Name: name, "Cost of the chicks": "0", ...fields });
  await walk.choose(kind);
  await walk.press("Add batch");
  await expect(walk.page.getByRole("heading", { name })).toBeVisible();
}

/** Weighs birds as the page's own form would, without the page. */
async function weighMany(page: Page, day: string, from: number, to: number, weight: string) {
  for (let birdNumber = from; birdNumber <= to; birdNumber += 1) {
    const answer = await page.request.post(`${day}/pack`, {
      form: { entryId: `bird-of-the-walk-${birdNumber}`, birdNumber, weight, purpose: "sale" },
      headers: { origin: new URL(day).origin },
      maxRedirects: 0,
    });
    expect(answer.status()).toBe(303);
  }
}

test.describe("a day of two lots", () => {
  test.use({ clock: "2026-09-19T10:30:00Z" });

  test("goes from its plan to the cost of a bird of each: 30 white ones, then 12 cockerels", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await walk.begin({ units: "Pounds, °F, gallons", money: "USD" });
    const feed = (bags: string) => ({
      "Number of bags": bags,
      "Weight of a bag": "50",
      "Price of a bag": "18",
    });
    await addBatch(walk, "White 1", "Fast-growing white", {
      "Hatch date": "2026-07-25",
      "Chicks arrived alive": "30",
      "Cost of the chicks": "60",
    });
    await walk.writeDown("Feed bought", feed("10"));
    await addBatch(walk, "Cockerels 1", "Dual-purpose or old", {
      "Hatch date": "2026-06-13",
      "Chicks arrived alive": "12",
      "Males per 100": "100",
    });
    await walk.writeDown("Feed bought", feed("4"));

    await page.goto(`${farm.url}/days/new`);
    await walk.follow("White 1, 30 birds");
    await walk.fill({ Date: "2026-09-19", "First bird": "07:00", Break: "0" });
    await walk.press("Schedule this day and add another lot");
    await expect(page.getByRole("heading", { name: "Add a lot" })).toBeVisible();
    const day = page.url().replace("/lots/new", "");
    await walk.fill({ Birds: "13" });
    await walk.press("Add lot");
    await expect(page.getByText("Only 12 left alive and not scheduled for another day")).toBeVisible();
    await walk.fill({ Birds: "12" });
    await walk.press("Add lot");
    await expect(page.getByText("30 birds of White 1 and 12 of Cockerels 1")).toBeVisible();

    // White birds: 60 s in 140 °F. Cockerels: a dose of 100 s at 60 °C; hot, at 64 °C, 105/10^(4/19) = 65 s.
    await expect(walk.figure("Scald: White 1")).toContainText("60 s");
    await expect(walk.figure("Scald: Cockerels 1")).toContainText("1 min 40 s");
    await page.getByRole("link", { name: "medium" }).nth(1).click();
    await page.getByRole("group", { name: "Scald of Cockerels 1" }).getByText("Hot and short").click();
    await expect(walk.figure("Scald: Cockerels 1")).toContainText("65 s");
    await walk.open("Scald");
    // 76 kg of water and 7,600 J/K of tank, from 60 °C to 64 °C by 6.4 kW in the water: 0.33 MJ/K x 4 / 6.4 kW = 3.4 min.
    await expect(
      page.getByText(/Heat the bath to 147\.2 °F for this lot\. The scald stops for about [34] min/),
    ).toBeVisible();
    await walk.press("Save plan");
    await expect(page.getByText("Plan saved.")).toBeVisible();
    // Each lot's feed is pulled for its own kills: the later lot's later.
    const feedOff = async (lot: string) => (await walk.figure(`Pull the feed: ${lot}`).textContent())!;
    expect(await feedOff("White 1")).toContain("Fri 10:30 PM");
    expect(await feedOff("Cockerels 1")).not.toContain("Fri 10:30 PM");

    const file = await (await page.request.get(`${day}/plan.json`)).json();
    expect(file.lots.map(({ birds, kind, scald }: Record<string, unknown>) => [birds, kind, scald])).toEqual([
      [30, "fast", "middle"],
      [12, "mature", "hot"],
    ]);

    await walk.leaf("pack");
    await expect(page.getByRole("heading", { name: "Bird 1, White 1" })).toBeVisible();
    await weighMany(page, day, 1, 30, "5");
    await page.reload();
    await expect(page.getByRole("heading", { name: "Bird 31, Cockerels 1" })).toBeVisible();
    await weighMany(page, day, 31, 42, "4");
    await page.reload();
    const byLot = page.getByRole("table", { name: "Weighed by lot" });
    await expect(byLot.getByRole("row", { name: /White 1/ })).toContainText("30 of 30");
    await expect(byLot.getByRole("row", { name: /Cockerels 1/ })).toContainText("4 lb 0 oz");

    await walk.leaf("settle");
    await walk.follow("Add a cost");
    await walk.fill({ "What for?": "ice", Amount: "21" });
    await walk.press("Save");
    // Chicks 60 + feed 180 + 30 of 42 birds' ice, 15, over 30 birds; feed 72 + 12 of 42, 6, over 12.
    const lots = page.getByRole("table", { name: "Cost of each lot" });
    await expect(lots.getByRole("row", { name: /White 1/ })).toContainText("$8.50");
    await expect(lots.getByRole("row", { name: /White 1/ })).toContainText("$255.00");
    await expect(lots.getByRole("row", { name: /Cockerels 1/ })).toContainText("$6.50");
    await expect(lots.getByRole("row", { name: /Cockerels 1/ })).toContainText("$78.00");
    await expect(page.getByText("The day together: $333.00 cash")).toBeVisible();
    await walk.fill({ "Hours worked on the day, all people": "21" });
    await walk.settle();
    await expect(page.getByText("This day is settled and locked")).toBeVisible();
    const csv = await (await page.request.get(`${day}/day.csv`)).text();
    expect(csv.match(/,White 1,/g)).toHaveLength(30);
    expect(csv.match(/,Cockerels 1,/g)).toHaveLength(12);
    await page.goto(`${farm.url}/books`);
    await expect(page.getByRole("row", { name: /Birds processed/ })).toContainText("30");
    await expect(page.getByRole("row", { name: /Birds processed/ })).toContainText("12");
  });
});

test.describe("other people's birds and other days", () => {
  test.use({ isDemo: true });

  test("a neighbor's two roosters come to the day, the farm's rule first, and can be taken off and put back", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/days/3/lots/new`);
    await walk.follow("Add someone else's birds");
    await expect(page.getByText("own birds only.”")).toBeVisible();
    await walk.press("Add their birds");
    await expect(page.getByText("Enter whose birds they are")).toBeVisible();
    await walk.fill({ "Whose birds?": "Ines", Birds: "2", Age: "60", "Males per 100": "100" });
    await walk.choose("Dual-purpose or old");
    await walk.press("Add their birds");
    await expect(page.getByText("58 birds of Red 26-B and 2 of Ines's birds")).toBeVisible();
    await expect(page.getByText("This day has birds of Ines.")).toBeVisible();
    await walk.press("Save and remove lot 2");
    await expect(page.getByText(/2 birds of Ines's birds were taken off this day/)).toBeVisible();
    await expect(page.getByText("This day has birds of Ines.")).toBeHidden();
    await walk.press("Undo: put them back");
    await expect(page.getByText("This day has birds of Ines.")).toBeVisible();
    await walk.press("Save and kill lot 2 earlier");
    await expect(page.getByText(/^2 birds of Ines's birds and 58 of Red 26-B/)).toBeVisible();
    await page.goto(`${farm.url}/farm/owners`);
    await expect(page.getByRole("row", { name: /^Ines a neighbor/ })).toBeVisible();
  });

  for (const width of [360, 1280])
    test(`a day with a neighbor's birds has no fault on any of its screens at ${width} px`, async ({
      page,
      farm,
    }) => {
      test.setTimeout(300_000);
      const brought = await page.request.post(`${farm.url}/days/3/lots/brought`, {
        form: {
          entryId: "birds-of-the-walk",
          ownerName: "Ines",
          ownerKind: "neighbor",
          kind: "mature",
          birdCount: 2,
          weeks: 20,
          malePercent: 100,
        },
        headers: { origin: farm.url },
        maxRedirects: 0,
      });
      expect(brought.status()).toBe(303);
      await page.setViewportSize({ width, height: 800 });
      const screens = [
        "plan",
        "needs",
        "tasks",
        "compare?birdCount=40",
        "print",
        "sheet",
        "run",
        "rest",
        "pack",
        "settle",
      ];
      expect(
        await screenFaults(
          page,
          farm.url,
          screens.map((screen) => `/days/3/${screen}`),
        ),
      ).toEqual([]);
      expect(await screenFaults(page, farm.url, ["/farm/owners", "/batches", "/season", "/days"])).toEqual(
        [],
      );
    });

  test("two days on one date are asked about, made one with all that was typed, and made two again", async ({
    page,
    farm,
  }) => {
    const walk = new FarmWalk(page, farm.url);
    await page.goto(`${farm.url}/days/new`);
    await walk.follow("Cockerels 26-C, 23 birds");
    await walk.fill({ Date: "2026-09-19", "First bird": "10:00", "Birds to process, of 23 free": "7" });
    await walk.press("Schedule this day");
    await expect(page.getByText("There is another day on this date:")).toBeVisible();
    await page.goto(`${farm.url}/days/4/settle/cost`);
    await walk.fill({ "What for?": "extra ice", Amount: "9" });
    await walk.press("Save");

    await page.goto(`${farm.url}/days/3/plan`);
    await expect(page.getByText("7 birds of Cockerels 26-C, from 10:00 AM.")).toBeVisible();
    await walk.press("Make them one day");
    await expect(page.getByText("58 birds of Red 26-B and 7 of Cockerels 26-C")).toBeVisible();
    const costs = await (await page.request.get(`${farm.url}/days/3/day.json`)).json();
    expect(costs.costs).toMatchObject([{ what: "extra ice", amountCents: 900 }]);
    expect((await page.request.get(`${farm.url}/days/4/plan`)).status()).toBe(404);
    await walk.press("Undo: make them two days again");
    await expect(page.getByText("There is another day on this date:")).toBeVisible();
    expect((await page.request.get(`${farm.url}/days/4/plan`)).status()).toBe(200);
  });
});
