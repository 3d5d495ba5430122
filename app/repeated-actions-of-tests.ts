import { dayFields } from "#app/days/plan/choices/day-form.ts";
import { farmSettings } from "#app/farm/farm-settings.ts";
import type { Fields } from "#app/recorded-actions-of-tests.ts";
import { HERE } from "#app/server/farm/here-of-tests.ts";

const WEEK = "2026-09-12";

/** What a form of the page itself would send, read from what its loader gives. */
const dayForm = () =>
  dayFields(HERE.file.day(1)!, { timeZone: "America/New_York", unitSystem: "us" }) as Fields;
const farmForm = () => clean(farmSettings(HERE.file.farm()!));
const clean = (fields: Record<string, string | undefined>): Fields =>
  Object.fromEntries(
    Object.entries(fields).filter((pair): pair is [string, string] => pair[1] !== undefined),
  );

interface Repeat {
  readonly route: string;
  readonly params?: Fields;
  readonly query?: string;
  readonly fields: () => Fields;
  /** Nothing is there yet for it to do: it refuses. */
  readonly isRefused?: true;
  /** What is changed in the third sending, which may write once more but never half. */
  readonly changed?: Fields;
}

/** Those that write under no id of their own: a second sending finds nothing left to do, or is refused. In order. */
export const REPEATED: readonly Repeat[] = [
  {
    route: "days/plan/new-day.tsx",
    query: "?batch=1",
    fields: () => ({
      ...Object.fromEntries(Object.entries(dayForm()).filter(([name]) => !/^lots\[[12]\]/.test(name))),
      entryId: "second-day-of-tests",
      "lots[0].birdCount": "1",
      processedOn: "2026-09-26",
    }),
    changed: { "lots[0].birdCount": "2" },
  },
  {
    route: "days/plan/plan.tsx",
    params: { dayId: "1" },
    // Two lots have been added since.
    query: "?seen=3",
    fields: () => ({ ...dayForm(), entryId: "plan-of-tests", coneCount: "4" }),
    changed: { coneCount: "5" },
  },
  {
    route: "days/plan/lots/restore-lot.ts",
    params: { dayId: "1", lotId: "1" },
    fields: () => ({}),
  },
  { route: "days/plan/call-off/put-day-back.ts", params: { dayId: "1" }, fields: () => ({}) },
  // Its birds are weighed.
  {
    isRefused: true,
    route: "days/plan/call-off/call-off.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "call-off-of-tests", reason: "rain" }),
  },
  {
    route: "days/plan/lots/join-days.ts",
    params: { dayId: "1", otherId: "2" },
    fields: () => ({}),
    isRefused: true,
  },
  {
    route: "days/plan/lots/split-day.ts",
    params: { dayId: "1", otherId: "2" },
    fields: () => ({}),
    isRefused: true,
  },
  {
    route: "days/plan/tasks/tasks.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "tick-of-tests", task: "ice" }),
    changed: { task: "jugs" },
  },
  { isRefused: true, route: "days/plan/file/from-file.tsx", query: "?batch=1", fields: () => ({}) },
  {
    route: "freezers/supply.tsx",
    params: { supplyId: "1" },
    fields: () => ({ entryId: "bought-of-tests", kind: "bought", amount: "2", movedOn: WEEK }),
    changed: { amount: "3" },
  },
  // Nothing of that name was ever removed.
  { isRefused: true, route: "home/put-back.ts", fields: () => ({ entryId: "never-removed", back: "/" }) },
  { route: "farm/planned-hours.ts", fields: () => ({ keep: "hour" }) },
  // The farm stands already, under another name.
  {
    isRefused: true,
    route: "farm/first-run/first-run.tsx",
    fields: () => ({
      entryId: "start-of-tests",
      name: "Another Farm",
      latitude: "43.9",
      longitude: "-71.6",
      timeZone: "America/New_York",
      locale: "en-US",
      unitSystem: "us",
      currency: "USD",
      kind: "fast",
      hatchedOn: "2026-08-01",
      birdCount: "25",
    }),
  },
  {
    route: "farm/farm.tsx",
    query: "?seen=1",
    fields: () => ({ ...farmForm(), entryId: "farm-of-tests", name: "High Gate" }),
    changed: { name: "Low Gate" },
  },
  {
    route: "season/rules/rules.tsx",
    query: "?seen=0",
    fields: () => ({ entryId: "rules-of-tests", longestHours: "4" }),
    changed: { longestHours: "5" },
  },
  {
    isRefused: true,
    route: "season/people/read-person-calendar.tsx",
    params: { personId: "1" },
    fields: () => ({ entryId: "calendar-of-tests" }),
  },
  { route: "season/calendar/set-season.ts", fields: () => ({}) },
  { route: "season/calendar/stop-season.ts", fields: () => ({}) },
  {
    isRefused: true,
    route: "season/calendar/pin-birds.ts",
    fields: () => ({ entryId: "pin-of-tests", batchId: "1", from: "2026-10-03", to: "2026-10-03" }),
  },
  {
    isRefused: true,
    route: "season/people/forget-person.tsx",
    params: { personId: "1" },
    fields: () => ({ isSure: "" }),
  },
  {
    isRefused: true,
    route: "orders/people/forget-customer.tsx",
    params: { customerId: "1" },
    fields: () => ({ isSure: "" }),
  },
  {
    isRefused: true,
    route: "farm/data/import-farm.tsx",
    fields: () => ({ replaces: "on", farm: "not a file" }),
  },
  {
    isRefused: true,
    route: "farm/history/history.tsx",
    fields: () => ({ entryId: "never-removed" }),
  },
  // An archive is beside the farm's file, which it leaves as it is.
  {
    isRefused: true,
    route: "farm/data/data.tsx",
    fields: () => ({ deed: "restore", name: "../farm.sqlite" }),
  },
  {
    route: "days/pack/marks.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "marks-of-tests", birdNumber: "1", fleshing: "3" }),
    changed: { fleshing: "4" },
  },
  {
    route: "days/pack/correct/correct-pack.tsx",
    params: { dayId: "1", packId: "2" },
    fields: () => ({ entryId: "correction-of-tests", birdNumber: "1", weight: "4 2", purpose: "sale" }),
    changed: { weight: "4 3" },
  },
  {
    route: "freezers/products/product.tsx",
    params: { productId: "1" },
    fields: () => ({ entryId: "product-of-tests", priceCents: "5.25", priceUnit: "pound", revision: "1" }),
    changed: { priceCents: "5.50" },
  },
  {
    route: "freezers/place/edit-place.tsx",
    params: { placeId: "1" },
    fields: () => ({
      entryId: "edit-place",
      name: "Barn",
      kind: "freezer",
      capacityCount: "20",
      revision: "1",
    }),
    changed: { capacityCount: "21" },
  },
  {
    route: "freezers/place/switch-place.ts",
    params: { placeId: "1" },
    fields: () => ({ entryId: "switch-of-tests", setting: "quick-freeze" }),
    changed: { setting: "freeze" },
  },
  {
    route: "freezers/move.ts",
    fields: () => ({ entryId: "move-of-tests", packId: "1", placeId: "1" }),
  },
  {
    isRefused: true,
    route: "freezers/place/remove-place.ts",
    params: { placeId: "1" },
    fields: () => ({}),
  },
  {
    route: "freezers/labels/print-labels.ts",
    fields: () => ({ entryId: "labels-of-tests", packId: "1" }),
  },
  {
    route: "freezers/take-out.ts",
    fields: () => ({ entryId: "out-of-tests", packId: "1", how: "sold" }),
    changed: { how: "eaten" },
  },
  {
    route: "orders/share/share.tsx",
    params: { dayId: "1", lotId: "1" },
    fields: () => ({ entryId: "share-of-tests", basis: "birds", assignment: "1:2", asked: "1:1" }),
    changed: { basis: "weight" },
  },
  {
    route: "orders/sell/sell.tsx",
    query: "?order=1&on=2026-09-25",
    fields: () => ({
      entryId: "sale-of-tests",
      packs: "2",
      total: "21.50",
      paid: "cash",
      customerId: "1",
      soldOn: WEEK,
    }),
    changed: { total: "20" },
  },
  {
    route: "orders/sale/take-return.tsx",
    params: { saleId: "1", outId: "2" },
    fields: () => ({
      entryId: "return-of-tests",
      reason: "leaking bag",
      goes: "discarded",
      credit: "21.50",
      returnedOn: WEEK,
    }),
    changed: { credit: "20" },
  },
  {
    route: "orders/close-order.ts",
    params: { orderId: "1" },
    fields: () => ({ entryId: "close-of-tests", wantedOn: "2026-09-25", how: "left-out" }),
    changed: { how: "handed-over" },
  },
  {
    route: "orders/people/change-customer.tsx",
    params: { customerId: "1" },
    fields: () => ({ entryId: "customer-of-tests", revision: "1", name: "The next farm", kind: "neighbor" }),
    changed: { name: "The farm after that" },
  },
  {
    route: "days/run/taps/undo.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "entry-of-days-run-tap-ts", answer: "json" }),
  },
  {
    route: "home/take-back.ts",
    fields: () => ({ entryId: "entry-of-batches-record-record-cost-tsx", back: "/batches/1" }),
  },
  {
    route: "days/settle/settle.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "settle-of-tests", workHours: "12", liveMean: "", isSure: "on" }),
    changed: { workHours: "13" },
  },
  { route: "days/settle/reopen.ts", params: { dayId: "1" }, fields: () => ({}) },
  {
    route: "days/pack/take-back.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "entry-of-days-pack-pack-tsx" }),
  },
  {
    route: "days/run/change/change.tsx",
    params: { dayId: "1" },
    fields: () => ({
      entryId: "change-of-tests",
      pluckBy: "hand",
      later: "30",
      birds: "5",
      seen: String(HERE.file.day(1)!.revision),
      what: "split",
      splitOn: "2026-11-28",
    }),
    changed: { birds: "4" },
  },
  {
    route: "days/cut/by-products/check-load.ts",
    params: { dayId: "1", loadId: "1" },
    fields: () => ({ entryId: "check-of-tests", note: "still soft" }),
    changed: { note: "dry" },
  },
  {
    route: "days/pack/redo.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "redo-of-tests", productId: "1", cause: "bone" }),
    changed: { cause: "seal" },
  },
  {
    route: "days/rest/rest.tsx",
    params: { dayId: "1" },
    fields: () => ({ entryId: "rest-fact-of-tests", kind: "ice", bags: "2" }),
    changed: { bags: "3" },
  },
  {
    route: "days/rest/program/program.tsx",
    params: { dayId: "1" },
    fields: () => ({
      entryId: "rest-program-of-tests",
      ...Object.fromEntries(
        ["1", "2", "3", "4"].flatMap((slot) => [
          [`method${slot}`, "one-day"],
          [`cover${slot}`, "open"],
        ]),
      ),
      birds1: "1",
    }),
    changed: { cover1: "wrapped" },
  },
  {
    isRefused: true,
    route: "days/run/look/take-picture.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "picture-of-tests", of: "no-look-of-tests", picture: "words" }),
  },
  {
    isRefused: true,
    route: "days/run/change/undo-change.ts",
    params: { dayId: "1" },
    fields: () => ({ entryId: "no-change-of-tests" }),
  },
  {
    isRefused: true,
    route: "farm/devices/simulate-device.ts",
    fields: () => ({ device: "bath-probe", deed: "dunk" }),
  },
  { route: "access/sign-out.ts", fields: () => ({}) },
  { isRefused: true, route: "home/nowhere.tsx", fields: () => ({}) },
];
