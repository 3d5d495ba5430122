import { expect, test } from "./farm-server.ts";
import { faultsNow, screenFaults } from "./screen-faults.ts";

const SCREENS = {
  batches: [
    "/batches",
    "/batches/new",
    "/batches/3",
    "/batches/3/loss",
    "/batches/3/feed",
    "/batches/3/feed-left",
    "/batches/3/cost",
    "/batches/3/weigh-in",
    "/batches/1",
    "/batches/2",
    "/batches/4?biggest=2",
  ],
  season: [
    "/season",
    "/season/people",
    "/season/people/3",
    "/season/people/3/change",
    "/season/people/3/read",
    "/season/dates",
    "/season/dates/mark",
    "/season/dates/booking",
    "/season/dates/weather",
    "/season/rules",
    "/season/rules/size",
    "/season/chicks?weekly=1&gate=60&most=5.5",
  ],
  plans: [
    "/days/new",
    "/days/new?batch=2",
    "/days/new/from-file?batch=2",
    "/days/3/plan",
    "/days/3/needs",
    "/days/3/tasks",
    "/days/3/compare?birdCount=99",
    "/days/3/print",
    "/days/3/sheet",
    "/days/3/stations",
    "/days/3/lots/new",
    "/days/3/lots/brought",
  ],
  days: [
    "/days",
    "/days/1/run",
    "/days/3/run",
    "/days/1/run/log",
    "/days/3/run/log",
    "/days/1/rest",
    "/days/3/rest",
    "/days/3/rest/program",
    "/days/1/cut",
    "/days/3/cut",
    "/days/1/cut/by-products",
    "/days/1/cut/choose",
    "/days/3/cut/choose",
    "/days/3/cut/canning",
    "/days/1/cut/went",
    "/days/3/cut/went",
    "/days/3/pack/parts/11",
    "/days/1/pack/parts/3",
    "/days/1/pack/1",
    "/days/3/pack",
    "/days/1/pack",
    "/days/1/settle",
    "/days/3/settle",
    "/days/1/settle/products",
    "/days/3/settle/products",
    "/days/3/settle/cost",
  ],
  orders: [
    "/orders",
    "/orders/new",
    "/orders/1",
    "/orders/1/line",
    "/orders/pay?customer=1",
    "/orders/sell",
    "/orders/sell?order=1&on=2026-09-25",
    "/orders/sell?order=1&on=2026-09-25&step=pay",
    "/orders/sales/1",
    "/orders/sales/1/return/1",
    "/orders/picking?by=2026-10-30",
    "/orders/prices",
    "/orders/prices/shop",
    "/orders/takings",
    "/orders/customers",
    "/orders/customers/1",
    "/orders/customers/1/change",
    "/orders/customers/1/forget",
    "/orders/share/1/1",
    "/orders/share/1/1?basis=weight&birds-9=1&birds-10=2",
    "/freezers/year",
    "/freezers/year?rate=1&with=sale",
  ],
  "freezers, books and farm": [
    "/freezers",
    "/freezers/place",
    "/freezers/place/2",
    "/freezers/place/2/edit",
    "/freezers/find?q=backs",
    "/freezers/freezing",
    "/freezers/products",
    "/freezers/products/3",
    "/freezers/products/new",
    "/freezers/containers",
    "/freezers/labels",
    "/freezers/labels?product=3",
    "/freezers/canning",
    "/freezers/cuts",
    "/freezers/supplies",
    "/freezers/supplies/new",
    "/freezers/supplies/1",
    "/books",
    "/books/past",
    "/farm",
    "/farm/equipment",
    "/farm/owners",
    "/nowhere",
  ],
};

test.describe("with the demo farm", () => {
  test.use({ isDemo: true });
  for (const [section, screens] of Object.entries(SCREENS)) {
    test(`no screen of ${section} has an accessibility fault, goes past its edge, or asks anyone outside, narrow or wide`, async ({
      page,
      farm,
    }) => {
      test.setTimeout(300_000);
      const elsewhere: string[] = [];
      const faults: string[] = [];
      page.on("console", (line) => {
        if (/content security policy/i.test(line.text())) faults.push(line.text());
      });
      page.on("request", (request) => {
        if (!request.url().startsWith(farm.url)) elsewhere.push(request.url());
      });
      page.on("pageerror", (error) => faults.push(String(error)));
      if (section === "season") {
        await page.goto(`${farm.url}/season`);
        await page.getByRole("button", { name: "Plan the season" }).click();
        await expect(page.getByRole("button", { name: "Plan the season again" })).toBeVisible({
          timeout: 40_000,
        });
      }
      faults.push(...(await screenFaults(page, farm.url, screens, [360, 1280])));
      expect(faults).toEqual([]);
      expect(elsewhere).toEqual([]);
    });
  }
});

test("an empty farm's screens lead by the hand, without a fault", async ({ page, farm }) => {
  await page.goto(`${farm.url}/days`);
  await expect(page).toHaveURL(`${farm.url}/start`);
  expect(await faultsNow(page, "the first screen")).toEqual([]);
});
