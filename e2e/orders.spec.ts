import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";

test.use({
  isDemo: true,
  clock: "2026-09-17T10:12:00Z",
  viewport: { width: 390, height: 844 },
  hasTouch: true,
});

test("orders are filled from the freezers and from Saturday's birds, and one that can't be says why", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/orders`);
  const row = (name: string) => page.getByRole("listitem").filter({ hasText: name }).first();
  await expect(row("The inn at the ford")).toContainText("12 × Whole chicken, 4 lb to 5 lb");
  await expect(row("The inn at the ford")).toContainText(
    /\d packs? in the freezers\. \d+ likely from the birds ready Mon, Sep 21\./,
  );
  await expect(row("The Tarry family")).toContainText("4 × Whole chicken, 7 lb or more");
  await expect(row("The Tarry family")).toContainText("4 short: there are enough, but in other sizes.");

  // The farm's rule is 1,000 birds a year: 300 a month from September on are 1,200.
  await walk.follow("Add an order");
  await page.getByLabel("For", { exact: true }).selectOption("Wendell Pryor");
  await walk.fill({ "How many packs": "300", "Wanted on": "2026-09-30", "Largest that will do": "4 lb" });
  await walk.choose("Every month");
  await walk.press("Save order");
  await expect(
    page.getByText(/That would promise 1\d\d\d birds for 2026; your limit is 1000 a year/),
  ).toBeVisible();
  await expect(page.getByLabel("How many packs")).toHaveValue("300");
  await walk.fill({ "How many packs": "3", "Smallest that will do": "5 lb" });
  await walk.press("Save order");
  await expect(page.getByText("The largest is smaller than the smallest. Swap them")).toBeVisible();
  await walk.fill({ "Smallest that will do": "" });
  await walk.press("Save order");
  await expect(page.getByRole("heading", { name: "Wendell Pryor" })).toBeVisible();
  await expect(page.getByText("3 × Whole chicken, 4 lb or less").first()).toBeVisible();
  // One time is skipped, and that is undone.
  await walk.press("Skip this time");
  await expect(page.getByRole("listitem").filter({ hasText: "Wendell Pryor" })).toContainText([
    "Fri, Oct 30",
  ]);
  await page.getByRole("button", { name: "Undo: skipping Wendell Pryor, Wed, Sep 30" }).click();
  await expect(row("Wendell Pryor")).toContainText("Wed, Sep 30");
});

test("two packs are sold from a phone at the market, one comes back, and the sale is undone", async ({
  page,
  context,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/orders/sell`);
  await expect(page.getByText("26 packs, the oldest first")).toBeVisible();
  // 2 lb 3.5 oz is printed as 2.21 lb, times 7.89 is 17.44; 1 lb 12.9 oz as 1.80 lb, which is 14.20.
  await page.getByRole("searchbox").fill("4RFH6");
  await walk.press("Find");
  await expect(page.getByText("1 pack, $17.44")).toBeVisible();
  await page.getByRole("link", { name: "Add Breasts, bone in, skin on 4VDC2" }).tap();
  await expect(page.getByText("2 packs, $31.64").first()).toBeVisible();
  const samePacks = page.url();
  await page.getByRole("link", { name: "Next: who pays, and how" }).tap();
  await expect(page.getByLabel("Total")).toHaveValue("31.64");
  await walk.fill({ Total: "31.645" });
  await walk.press("Save sale");
  await expect(page.getByText("Use at most two decimal places")).toBeVisible();
  await walk.fill({ Total: "30" });
  await walk.choose("Not yet paid");
  await walk.press("Save sale");
  await expect(page.getByText("Choose who owes it, or how it is paid now")).toBeVisible();

  // Another phone sells one of them first.
  const other = await context.newPage();
  await other.goto(samePacks);
  await other.getByRole("link", { name: "Remove Breasts, bone in, skin on 4VDC2" }).click();
  await expect(other.getByText("1 pack, $17.44")).toBeVisible();
  await other.getByRole("link", { name: "Next: who pays, and how" }).click();
  await other.getByRole("button", { name: "Save sale" }).click();
  await expect(other.getByRole("heading", { name: "At the stand" })).toBeVisible();
  await walk.choose("Cash");
  await walk.press("Save sale");
  await expect(page.getByText(/One of these packs was sold or taken out on another phone/)).toBeVisible();
  await expect(page.getByLabel("Total")).toHaveValue("30");
  await other.getByRole("button", { name: /Undo this sale/ }).click();
  await expect(other.getByText(/sale of 1 pack/)).toBeVisible();
  await other.close();

  await page.getByLabel("Who takes them").selectOption("Odile Marsh");
  await walk.press("Save sale");
  await expect(page.getByRole("heading", { name: "Odile Marsh" })).toBeVisible();
  const money = page.getByRole("region", { name: "Money" });
  await expect(money).toContainText(/Total\$30\.00/);
  await expect(money).toContainText(/Still owed\$0\.00/);
  const receipt = await page.request.get(`${page.url()}/receipt.pdf`);
  expect(receipt.headers()["content-type"]).toBe("application/pdf");
  expect((await receipt.body()).subarray(0, 5).toString()).toBe("%PDF-");

  // A pack that left by a sale is put back with the sale, not by itself.
  const soldAt = page.url();
  await page.goto(`${farm.url}/freezers`);
  const left = page.getByRole("region", { name: "Recently taken out" }).getByRole("listitem");
  await expect(left.filter({ hasText: "4VDC2" }).getByRole("button")).toHaveCount(0);
  await left.filter({ hasText: "4VDC2" }).getByRole("link", { name: "see the sale" }).tap();
  await expect(page).toHaveURL(soldAt);
  // 30.00 over 17.44 and 14.20 is 16.54 and 13.46.
  await page.getByRole("link", { name: "4VDC2 came back" }).tap();
  await expect(page.getByLabel("Taken off what they owe")).toHaveValue("13.46");
  await walk.fill({ "Why it came back": "leaking bag", "Taken off what they owe": "20" });
  await walk.press("Save return");
  await expect(page.getByText("That is more than was asked for it")).toBeVisible();
  await walk.fill({ "Taken off what they owe": "13.46" });
  await walk.press("Save return");
  await expect(page.getByRole("region", { name: "Money" })).toContainText(/Overpaid\$13\.46/);
  await expect(page.getByText("leaking bag, and was thrown away")).toBeVisible();

  const sale = page.url();
  // What is ticked in a freezer and sold goes the same way.
  await page.goto(`${farm.url}/freezers/place/2`);
  await page.getByRole("checkbox", { name: /664MM/ }).check();
  await walk.press("sold");
  await expect(page.getByText("1 pack, $16.33")).toBeVisible();
  await page.goto(`${farm.url}/orders/takings`);
  await expect(page.getByRole("row", { name: /^Sep 17/ })).toContainText("$16.54");
  await page.goto(sale);
  await page.getByRole("button", { name: /Undo this sale/ }).tap();
  await expect(page.getByRole("heading", { name: "Orders" })).toBeVisible();
  await page.goto(`${farm.url}/orders/sell`);
  await expect(page.getByText("26 packs, the oldest first")).toBeVisible();
});

test("an order is handed over, paid with its deposit, and leaves the list", async ({ page, farm }) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/orders`);
  await walk.follow("Lenore Quist");
  await walk.follow("Record a deposit");
  await walk.fill({ Amount: "0" });
  await walk.press("Save deposit");
  await expect(page.getByText("Enter an amount above 0")).toBeVisible();
  await walk.fill({ Amount: "10" });
  await walk.press("Save deposit");
  await expect(page.getByRole("region", { name: "Handed over and paid" })).toContainText("$10.00");
  await walk.follow("Hand over");
  await expect(page.getByText("2 packs, $31.64").first()).toBeVisible();
  await page.getByRole("link", { name: "Next: who pays, and how" }).tap();
  await walk.choose("Not yet paid");
  await walk.press("Save sale");
  await walk.follow("Record a payment");
  // 31.64 less the deposit of 10.00.
  await expect(page.getByLabel("Amount")).toHaveValue("21.64");
  await walk.press("Save payment");
  await page.goto(`${farm.url}/orders`);
  await expect(page.getByRole("region", { name: "To hand over" })).not.toContainText("Lenore Quist");
  await page.goto(`${farm.url}/orders/customers`);
  await expect(page.getByRole("listitem").filter({ hasText: "Lenore Quist" })).not.toContainText("owes");
});

test("a price begins on its day, a picking list names place and code, and a customer is forgotten", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/orders/prices`);
  await walk.fill({ Price: "0" });
  await walk.press("Set price");
  await expect(page.getByText(/Enter a price above 0/)).toBeVisible();
  await walk.fill({ Price: "5.75", From: "2026-10-01" });
  await walk.press("Set price");
  await expect(page.getByRole("row", { name: /^Whole chicken/ })).toContainText("$5.25 / lb");
  await page.getByText("All prices").click();
  await expect(page.getByText("Whole chicken, $5.75 / lb")).toContainText("begins from Oct 1, 2026");
  await walk.fill({ Price: "5.50", From: "2026-09-17" });
  await walk.press("Set price");
  await expect(page.getByRole("row", { name: /^Whole chicken/ })).toContainText("$5.50 / lb");

  // The shop asks 1.89; ours is 5.50 now.
  await page.goto(`${farm.url}/orders/prices/shop`);
  await expect(page.getByText("Ordinary in the shop: $1.89 / lb. Yours is $3.61 / lb more.")).toBeVisible();
  await walk.choose("Organic");
  await walk.fill({ "Price on the shelf": "0" });
  await walk.press("Add shop price");
  await expect(page.getByText("Enter a price above 0")).toBeVisible();
  await walk.fill({ "Price on the shelf": "6.50" });
  await walk.press("Add shop price");
  await expect(page.getByText("Organic in the shop: $6.50 / lb. Yours is $1.00 / lb less.")).toBeVisible();

  await page.goto(`${farm.url}/orders/picking?by=2026-09-25`);
  await expect(page.getByRole("region", { name: "Lenore Quist, Fri, Sep 18" })).toContainText(
    "4RFH6Barn chest2 lb 3.5 oz",
  );
  await expect(page.getByText("$")).toHaveCount(0);

  await page.goto(`${farm.url}/orders/customers`);
  await walk.follow("Corinne Aldous");
  await walk.follow("Forget");
  await page.getByLabel("Yes, forget Corinne Aldous").check();
  await walk.press("Forget Corinne Aldous");
  await expect(page.getByRole("heading", { name: "Customers" })).toBeVisible();
  await page.goto(`${farm.url}/orders`);
  await expect(page.getByText("Corinne Aldous")).toHaveCount(0);
  await expect(page.getByText(/^Customer \d+$/).first()).toBeVisible();
  const exported = await (await page.request.get(`${farm.url}/farm/data/farm.json`)).text();
  expect(exported).not.toContain("Corinne");
  expect(exported).not.toContain("at the gate, Fridays");
  expect(
    await screenFaults(page, farm.url, ["/orders", "/orders/prices", "/orders/picking", "/orders/customers"]),
  ).toEqual([]);
});
