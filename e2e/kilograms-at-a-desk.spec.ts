import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ clock: "2026-09-19T10:30:00Z", viewport: { width: 1280, height: 800 }, locale: "en-GB" });

test("an empty farm goes from its first batch to the cost of a bird, in kilograms at a desk", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await walk.begin({ units: "Kilograms, °C, liters", money: "EUR" });
  await walk.follow("Add the first batch");
  await walk.fill({
    Name: "Rot 1",
    "Hatch date": "2026-06-27",
    "Chicks arrived alive": "4",
    "Cost of the chicks": "9,00",
  });
  await walk.choose("Slow-growing colored");
  await walk.press("Add batch");
  await walk.writeDown("Feed bought", {
    "Number of bags": "1",
    "Weight of a bag": "25",
    "Price of a bag": "20",
  });
  await walk.writeDown("Feed left", { "Bags left": "0,4" });
  // 84 days: 5.0 kg x exp(-exp(-0.0267 x (84 - 58.9))) = 2.998 kg; x 0.69 = 2.068 kg.
  await expect(walk.figure("Mean live weight")).toContainText("3.00 kg");
  await expect(walk.figure("Mean dressed weight")).toContainText("2.07 kg");
  await walk.writeDown("Live weights", { Weights: "2,90 kg\n3100g\n3.0" }, "Save weights");
  await expect(page.getByText("3 birds weighed, mean 3.00 kg")).toBeVisible();

  await walk.follow("Schedule a day");
  await expect(page.getByRole("heading", { name: "New processing day" })).toBeVisible();
  await walk.fill({ Date: "2026-09-19", "First bird": "08:00" });
  await walk.choose("Hot and short");
  // 80 s at 60 °C over 10^((64 - 60) / 19) = 1.624: 49 s.
  await expect(walk.figure("Scald")).toContainText("64 °C");
  await expect(walk.figure("Scald")).toContainText("49 s");
  await expect(walk.figure("Pull the feed")).toContainText("Fri 23:30");
  await walk.press("Schedule this day");
  await page.getByRole("heading", { name: "Saturday 19 September" }).waitFor();
  await walk.follow("Print");
  await walk.follow("Printable run sheet");
  await expect(page.getByRole("row", { name: /Fri 18 Sept, 23:30 Pull the feed/ })).toBeVisible();
  await walk.follow("Back to Print");

  await walk.leaf("pack");
  await walk.weigh(1, "2080g", "For sale");
  await walk.weigh(2, "2,08 kg", "For sale");
  await walk.fill({ Weight: "2.10" });
  await page.keyboard.press("Alt+t");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/^last: bird 3,/)).toBeVisible();
  await expect(page.getByRole("definition").filter({ hasText: "1 bird" })).toBeVisible();
  await walk.choose("Condemned");
  await walk.press("Save weight");
  await expect(page.getByText(/Enter why it is condemned/)).toBeVisible();
  await walk.fill({ "Reason, if condemned": "sores" });
  await walk.press("Save weight");
  await expect(page.getByText("last: bird 4, not weighed")).toBeVisible();
  await walk.press("Undo last bird");
  await expect(page.getByText(/^last: bird 3,/)).toBeVisible();
  await walk.choose("Condemned");
  await walk.fill({ "Reason, if condemned": "sores" });
  await walk.press("Save weight");
  await expect(page.getByText("last: bird 4, not weighed")).toBeVisible();

  await walk.leaf("settle");
  await walk.follow("Add a cost");
  await walk.fill({ "What for?": "ice", Amount: "3.30" });
  await walk.press("Save");
  await walk.settle();
  await expect(page.getByRole("heading", { name: "Settled" })).toBeVisible();
  // 9.00 chicks + 0.6 x 20.00 feed + 3.30 ice = 24.30 over 3 dressed birds of 6.26 kg; 15 kg of feed.
  await expect(page.getByRole("region", { name: "cash" })).toContainText("€8.10");
  await expect(page.getByRole("region", { name: "cash" })).toContainText("€3.88 / kg");
  await expect(walk.figure("Feed per kilogram dressed")).toContainText("2.40");

  const csv = await (await page.request.get(`${farm.url}/days/1/day.csv`)).text();
  expect(csv.split("\r\n")[1]).toContain("2026-09-19,Rot 1,1,sale,2080000,2080g");
  const json = await (await page.request.get(`${farm.url}/days/1/day.json`)).json();
  expect(json.carcasses.map((carcass: { asTyped: string }) => carcass.asTyped)).toEqual([
    "2080g",
    "2,08 kg",
    "2.10",
    "",
  ]);

  await page.goto(`${farm.url}/farm`);
  await walk.choose("Pounds, °F, gallons");
  await walk.press("Save farm");
  await expect(page.getByText("Saved.")).toBeVisible();
  const after = await (await page.request.get(`${farm.url}/days/1/day.csv`)).text();
  expect(after).toBe(csv);
  await page.goto(`${farm.url}/days/1/pack`);
  await page.getByText("Show all as a table").click();
  // 2,080 g = 73.37 oz.
  await expect(page.getByRole("cell", { name: "4 lb 9.37 oz" }).first()).toBeVisible();
});
