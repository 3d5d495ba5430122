import { INVITATION_OF_TESTS } from "#app/farm-of-tests.ts";

export type Fields = Readonly<Record<string, string>>;
/** An action and a form for it. */
interface Case {
  readonly route: string;
  readonly params?: Fields;
  readonly query?: string;
  readonly fields: Fields;
  /** What is changed in the third sending. */
  readonly changed: Fields;
}

const PASSPHRASE = "pond gravel seven umbrellas";
const PERSON = { handsPercent: "100", saturday: "on" };
const WEEK = "2026-09-12";

/** One that writes under an entry's id; ids are made by the test. */
export const RECORDED: readonly Case[] = [
  {
    route: "access/access.tsx",
    fields: { deed: "passphrase", passphrase: PASSPHRASE, hasRead: "on" },
    changed: { passphrase: "another one altogether" },
  },
  {
    route: "access/sign-in.tsx",
    fields: { passphrase: PASSPHRASE, name: "Maren", secret: "s".repeat(43) },
    changed: { name: "Tobias" },
  },
  {
    route: "access/join.tsx",
    params: { secret: INVITATION_OF_TESTS },
    fields: { name: "Juniper", secret: "j".repeat(43) },
    changed: { name: "Tobias" },
  },
  {
    route: "batches/new-batch.tsx",
    fields: {
      name: "Red 2",
      kind: "slow",
      hatchedOn: "2026-08-01",
      arrivedCount: "20",
      chickCost: "40",
      malePercent: "50",
      state: "here",
    },
    changed: { arrivedCount: "21" },
  },
  {
    route: "batches/change-batch.tsx",
    params: { batchId: "1" },
    fields: {
      name: "White 26-Z",
      kind: "fast",
      hatchedOn: "2026-07-24",
      malePercent: "50",
      chickCost: "40",
      seen: "0",
    },
    changed: { chickCost: "41" },
  },
  {
    route: "days/plan/lots/add-lot.tsx",
    params: { dayId: "1" },
    fields: { batchId: "2", birdCount: "3", ownerId: "" },
    changed: { birdCount: "4" },
  },
  {
    route: "days/plan/lots/bring-lot.tsx",
    params: { dayId: "1" },
    fields: {
      ownerName: "Ines",
      ownerKind: "neighbor",
      kind: "mature",
      birdCount: "2",
      weeks: "40",
      malePercent: "100",
    },
    changed: { birdCount: "3" },
  },
  {
    route: "freezers/products/add-product.tsx",
    fields: { name: "Marinated wings", priceCents: "7.50", priceUnit: "pound" },
    changed: { priceCents: "8" },
  },
  {
    route: "freezers/products/containers.tsx",
    fields: { name: "Steel bowl", tareMilligrams: "1 2" },
    changed: { tareMilligrams: "1 3" },
  },
  {
    route: "days/pack/parts/pack-parts.tsx",
    params: { dayId: "1", productId: "16" },
    fields: { amount: "0.4", pieces: "2", purpose: "own" },
    changed: { pieces: "3" },
  },
  {
    route: "freezers/labels/labels.tsx",
    fields: {
      width: "100",
      height: "50",
      letterPoints: "7",
      rows: "5",
      columns: "2",
      codeKind: "qr",
      "needs-product": "on",
    },
    changed: { letterPoints: "8" },
  },
  {
    route: "freezers/products/cuts.tsx",
    fields: { name: "Boneless", "breast-boneless": "2", wing: "10" },
    changed: { wing: "12" },
  },
  {
    route: "days/cut/cut.tsx",
    params: { dayId: "1" },
    fields: { tool: "saw", packsPerCycle: "2" },
    changed: { packsPerCycle: "4" },
  },
  {
    route: "freezers/canning/processes.tsx",
    fields: {
      name: "Broth in quarts",
      testedBy: "The extension office",
      publishedYear: "2024",
      jar: "1 qt",
      minutes: "25",
      upTo1: "2000",
      pressure1: "11",
    },
    changed: { minutes: "30" },
  },
  {
    route: "days/cut/canning/canning.tsx",
    params: { dayId: "1" },
    fields: { processId: "1", jars: "6", sealed: "5", isAsTested: "on" },
    changed: { sealed: "6" },
  },
  {
    route: "days/cut/by-products/by-products.tsx",
    params: { dayId: "1" },
    fields: { kind: "dry-feet", inMilligrams: "4 lb" },
    changed: { inMilligrams: "5 lb" },
  },
  {
    route: "days/cut/by-products/end-load.tsx",
    params: { dayId: "1", loadId: "1" },
    fields: { outMilligrams: "1.5 lb" },
    changed: { outMilligrams: "1.6 lb" },
  },
  {
    route: "farm/owners.tsx",
    fields: { name: "The next farm over", kind: "household" },
    changed: { kind: "neighbor" },
  },
  {
    route: "orders/people/customers.tsx",
    fields: { name: "The inn at the ford", kind: "business", contact: "by the bridge" },
    changed: { contact: "" },
  },
  {
    route: "orders/new-order.tsx",
    fields: { customerId: "1", productId: "1", packs: "2", firstOn: "2026-09-25", rhythm: "once" },
    changed: { rhythm: "month" },
  },
  {
    route: "orders/add-line.tsx",
    params: { orderId: "1" },
    fields: { productId: "16", packs: "all" },
    changed: { packs: "3" },
  },
  {
    route: "orders/pay.tsx",
    query: "?order=1",
    fields: { amount: "10", how: "cash", paidOn: WEEK },
    changed: { amount: "11" },
  },
  {
    route: "orders/prices/shop.tsx",
    fields: { productId: "1", kind: "pastured", price: "5.99", unit: "pound", seenOn: WEEK, place: "" },
    changed: { price: "6.49" },
  },
  {
    route: "orders/prices/prices.tsx",
    fields: { productId: "1", price: "5.25", unit: "pound", fromDay: WEEK },
    changed: { price: "5.50" },
  },
  {
    route: "farm/devices/devices.tsx",
    fields: { device: "bath-probe", host: "127.0.0.1", port: "9" },
    changed: { port: "10" },
  },
  {
    route: "batches/record/record-cost.tsx",
    params: { batchId: "1" },
    fields: { what: "straw", amount: "12", spentOn: WEEK },
    changed: { amount: "13" },
  },
  {
    route: "batches/record/record-loss.tsx",
    params: { batchId: "1" },
    fields: { lostOn: WEEK, birdCount: "1", cause: "hawk" },
    changed: { birdCount: "2" },
  },
  {
    route: "batches/record/record-feed.tsx",
    params: { batchId: "1" },
    fields: { boughtOn: WEEK, bagCount: "2", bagWeight: "50", bagPrice: "20" },
    changed: { bagCount: "3" },
  },
  {
    route: "batches/record/record-feed-left.tsx",
    params: { batchId: "1" },
    fields: { countedOn: WEEK, bagsLeft: "1", bagWeight: "50" },
    changed: { bagsLeft: "1.5" },
  },
  {
    route: "batches/record/record-weigh-in.tsx",
    params: { batchId: "1" },
    fields: { weighedOn: WEEK, weights: "5 2\n5 4", sex: "mixed" },
    changed: { weights: "5 2" },
  },
  {
    route: "batches/batch.tsx",
    params: { batchId: "1" },
    fields: { happenedOn: WEEK, line: "1 died" },
    changed: { line: "2 died" },
  },
  {
    route: "season/people/people.tsx",
    fields: { name: "Wren", ...PERSON },
    changed: { name: "Finch" },
  },
  {
    route: "season/people/person.tsx",
    params: { personId: "1" },
    fields: { onDay: "2026-10-10", canCome: "no", why: "" },
    changed: { canCome: "yes" },
  },
  {
    route: "season/people/change-person.tsx",
    params: { personId: "1" },
    fields: { name: "Wren", ...PERSON, handsPercent: "90" },
    changed: { handsPercent: "80" },
  },
  {
    route: "season/dates/add-booking.tsx",
    fields: { thing: "Trailer", fromOn: "2026-10-02", toOn: "2026-10-03" },
    changed: { thing: "Plucker" },
  },
  {
    route: "season/dates/add-mark.tsx",
    fields: { kind: "out", what: "fair", fromOn: "2026-10-02", toOn: "2026-10-03", price: "" },
    changed: { what: "market" },
  },
  {
    route: "season/dates/say-weather.tsx",
    fields: { fromOn: "2026-10-02", toOn: "2026-10-03", mean: "50", what: "" },
    changed: { mean: "51" },
  },
  {
    route: "season/rules/add-size.tsx",
    fields: { who: "the inn", least: "4", most: "5", birdCount: "12" },
    changed: { birdCount: "13" },
  },
  {
    route: "freezers/place/add-place.tsx",
    fields: { name: "Barn", kind: "freezer", capacityCount: "40" },
    changed: { capacityCount: "41" },
  },
  {
    route: "freezers/add-supply.tsx",
    fields: { kind: "ice", name: "Ice", packAmount: "1", packPrice: "3", inStock: "4" },
    changed: { inStock: "5" },
  },
  {
    route: "books/add-past-batch.tsx",
    fields: {
      name: "White 25",
      kind: "fast",
      finishedOn: "2025-09-01",
      dressedCount: "30",
      dressed: "150",
      cost: "300",
    },
    changed: { dressedCount: "31" },
  },
  {
    route: "farm/add-kit.tsx",
    fields: { name: "Cones", price: "80", life: "1000", counted: "birds" },
    changed: { price: "81" },
  },
  {
    route: "days/run/taps/tap.ts",
    params: { dayId: "1" },
    fields: { kind: "bird", answer: "json" },
    changed: { kind: "note", note: "windy" },
  },
  {
    route: "days/settle/add-cost.tsx",
    params: { dayId: "1" },
    fields: { what: "gas", amount: "5" },
    changed: { amount: "6" },
  },
  {
    route: "days/pack/pack.tsx",
    params: { dayId: "1" },
    fields: { birdNumber: "1", weight: "4 9", purpose: "sale", reason: "", placeId: "" },
    changed: { weight: "4 8" },
  },
  {
    route: "days/cut/choose.tsx",
    params: { dayId: "1" },
    fields: { birds: "1", which: "biggest" },
    changed: { which: "smallest" },
  },
];
