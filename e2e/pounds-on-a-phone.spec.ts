import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ clock: "2026-09-19T10:30:00Z", viewport: { width: 390, height: 844 }, hasTouch: true });

test("an empty farm goes from its first batch to the cost of a bird, in pounds on a phone", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await walk.begin({ units: "Pounds, °F, gallons", money: "USD" });

  await walk.follow("Add the first batch");
  await walk.fill({
    Name: "White 1",
    "Hatch date": "2026-07-25",
    "Chicks arrived alive": "5",
    "Cost of the chicks": "12",
  });
  await walk.choose("Fast-growing white");
  await walk.press("Add batch");
  await walk.writeDown("Birds lost", { "How many?": "1", Cause: "hawk" });
  await walk.writeDown("Feed bought", {
    "Number of bags": "2",
    "Weight of a bag": "50",
    "Price of a bag": "18.50",
  });
  await walk.writeDown("Feed left", { "Bags left": "1/2" });
  await walk.writeDown("Other cost", { "What for?": "bedding", Amount: "6.25" });
  await expect(walk.figure("Birds alive")).toContainText("4");
  // 56 days: 7.0 kg x exp(-exp(-0.0335 x (56 - 48.7))) = 3.199 kg = 7 lb 0.8 oz; x 0.72 = 2.303 kg = 5 lb 1.2 oz.
  await expect(walk.figure("Mean live weight")).toContainText("7 lb 0.8 oz");
  await expect(walk.figure("Mean dressed weight")).toContainText("5 lb 1.2 oz");

  await walk.follow("Schedule a day");
  await expect(page.getByRole("heading", { name: "New processing day" })).toBeVisible();
  await walk.fill({ Date: "2026-09-19", "First bird": "07:00" });
  // Short method: 07:00 less 8 h, less half an hour in hand.
  await expect(walk.figure("Pull the feed")).toContainText("Fri 10:30 PM");
  await expect(walk.figure("Time off feed at kill")).toContainText("8 h 30");
  // 76 l from 12 °C to 60 °C by 16 kW: at worst 4,259 s, so 05:49; likely 2,527 s, so 06:17.
  await expect(walk.figure("Turn the heat on")).toContainText("Sat 5:49 AM");
  await expect(walk.figure("Turn the heat on")).toContainText("likely 6:17 AM");
  await expect(walk.figure("Scald")).toContainText("140 °F");
  await expect(walk.figure("Scald")).toContainText("60 s");
  // 12.46 min of hands a bird over 3 people is 4.15 min apart: 14.46 + 4 x 4.15 = 31 min, slow starts and waits on top.
  await expect(walk.figure("Last bird in the chill tank")).toContainText(/Sat 7:[34]\d AM/);
  // (1.16 MJ birds + 0.34 MJ water + 0.3 MJ tanks) / 0.344 MJ a kg x 1.15 = about 6 kg: one bag of 20 lb.
  await expect(walk.figure("Ice")).toContainText("1");
  await walk.press("Schedule this day");

  await walk.leaf("run");
  await walk.press("Start the day");
  for (let bird = 1; bird <= 5; bird += 1) {
    await walk.press("Bird in the chill tank");
    await expect(
      page.getByRole("img", { name: `${bird} of ${Math.max(4, bird)} in the chill tank` }),
    ).toBeVisible();
  }
  await walk.press("Undo Bird in the chill tank");
  await expect(page.getByRole("heading", { name: "4 in the chill tank, 0 to go" })).toBeVisible();
  await walk.press("Pause");
  await walk.press("Resume");
  await page.getByLabel("Note").fill("skin tore on two");
  await walk.press("Add note");
  await expect(page.getByText("skin tore on two").first()).toBeVisible();
  await walk.press("Finish the day");
  await walk.follow("See how long they need to rest");
  await expect(page.getByText(/cooked within the hour/)).toBeVisible();

  await walk.leaf("pack");
  await walk.weigh(1, "4 9.2", "For sale");
  await walk.weigh(2, "4lb9.2oz", "For sale");
  await walk.weigh(3, "4-9 1/4", "Home use");
  // A use stays for the next bird, and says so.
  await expect(page.getByText("Still “Home use”, like bird 3.")).toBeVisible();
  await walk.weigh(4, "4.58", "Cut up");
  // 73.2 + 73.2 + 73.25 + 73.28 oz = 292.93 oz; / 4 = 73.2 oz.
  await expect(
    page.getByRole("img", { name: /^4 birds about 4 lb 9.2 oz, from 4 lb 9.2 oz to 4 lb 9.3 oz/ }),
  ).toBeVisible();

  await page.goto(`${farm.url}/farm/equipment`);
  await walk.fill({ Item: "Plucker", Price: "400", Life: "800" });
  await walk.choose("Birds");
  await walk.save("Add");
  await page.goto(`${farm.url}/days/1/settle`);
  await walk.follow("Add a cost");
  await walk.fill({ "What for?": "ice", Amount: "5" });
  await walk.press("Save");
  await walk.fill({
    "Hours worked on the day, all people": "6",
    "Hours on the days after, all people": "",
    "Mean live weight that morning, if weighed": "7 0",
  });
  await walk.settle();

  await expect(page.getByRole("heading", { name: "Settled" })).toBeVisible();
  const method = (name: string) => page.getByRole("region", { name });
  // 12.00 chicks + 1.5 x 18.50 feed + 6.25 bedding + 5.00 ice = 51.00 over 4 birds of 18.308 lb.
  await expect(method("cash")).toContainText("$12.75");
  await expect(method("cash")).toContainText("$2.79 / lb");
  // 400 / 800 x 4 = 2.00 of kit; then 6 h at 15.00.
  await expect(method("with equipment")).toContainText("$13.25");
  await expect(method("with labor")).toContainText("$35.75");
  await expect(method("with labor")).toContainText("$7.81 / lb");
  // 75 lb of feed / 18.308 lb; 73.2325 oz / 112 oz.
  await expect(walk.figure("Feed per pound dressed")).toContainText("4.10");
  await expect(walk.figure("Dressing percentage")).toContainText("65.4 %");
});
