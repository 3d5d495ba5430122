import { beforeEach, describe, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE, openHere, startClock } from "#app/server/farm/here-of-tests.ts";
import { helper } from "#core/day/plan/days-of-tests.ts";

/** What was typed wrongly or has changed since is put right: routes called as the server calls them, on a farm in memory. */
startClock("2026-09-17T10:12:00Z");
const NOW = Date.parse("2026-09-17T10:12:00Z");
const callOff = await import("#app/days/plan/call-off/call-off.tsx");
const putDayBack = await import("#app/days/plan/call-off/put-day-back.ts");
const plan = await import("#app/days/plan/plan.tsx");
const days = await import("#app/days/days.tsx");
const changeBatch = await import("#app/batches/change-batch.tsx");
const plannedHours = await import("#app/farm/planned-hours.ts");
const putBack = await import("#app/home/put-back.ts");
const correctPack = await import("#app/days/pack/correct/correct-pack.tsx");
const start = await import("#app/farm/first-run/first-run.tsx");

let entries = 0;
const sent = (fields: Readonly<Record<string, string>>) => {
  entries += 1;
  return post({ entryId: `mending-${entries}`, ...fields });
};
const DAY = { dayId: "1" };
const listed = (search = "") =>
  days.loader({ context: CONTEXT, request: new Request(`http://farm/days${search}`) } as never);

describe("on a farm with a day", () => {
  beforeEach(() => {
    openHere(":memory:");
    makeFarmOfTests(HERE.file);
  });

  test("a day is called off with its reason, its birds are free, and it can be put back", async () => {
    expect(HERE.file.freeForDay(1)).toBe(5);
    expect(await callRoute(callOff.action, sent({ reason: "" }), DAY)).toMatchObject({
      faults: { reason: [expect.stringContaining("Enter why")] },
    });
    expect(await callRoute(callOff.action, sent({ reason: "heavy rain" }), DAY)).toMatchObject({
      status: 303,
      to: "/days?off=1",
    });
    expect(HERE.file.freeForDay(1)).toBe(15);
    expect(await callRoute(plan.loader, new Request("http://farm/"), DAY)).toMatchObject({
      status: 404,
      words: "This day was called off. You can put it back under Days.",
    });
    expect(listed("?off=1")).toMatchObject({
      justOff: { dayId: 1, reason: "heavy rain" },
      calledOff: [{ dayId: 1, reason: "heavy rain", birds: "10 birds of White 1" }],
      upcoming: [],
    });
    for (let time = 0; time < 2; time += 1)
      expect(await callRoute(putDayBack.action, post({}), DAY)).toMatchObject({ to: "/days/1/plan" });
    expect(HERE.file.freeForDay(1)).toBe(5);
    expect(listed()).toMatchObject({ calledOff: [], upcoming: [{ birds: "10 birds of White 1" }] });
  });

  test("a day whose birds are on another day meanwhile stays off", async () => {
    await callRoute(callOff.action, sent({ reason: "heavy rain" }), DAY);
    HERE.file.recordLoss({ entryId: "loss-of-mending", at: NOW }, 1, {
      lostOn: "2026-09-16",
      birdCount: 6,
      cause: "hawk",
    });
    expect(await callRoute(putDayBack.action, post({}), DAY)).toMatchObject({
      status: 409,
      words: expect.stringContaining("Not all of its birds are free any more"),
    });
    expect(HERE.file.day(1)).toBeUndefined();
  });

  test("a day on which something happened can't be deleted, only called off, and its taps stay", async () => {
    HERE.file.run.record({ entryId: "tap-of-mending", at: NOW }, 1, { kind: "bird", at: NOW });
    expect(await callRoute(callOff.action, sent({ deed: "delete" }), DAY)).toMatchObject({
      faults: { "": [expect.stringContaining("Call it off with a reason instead")] },
    });
    expect(await callRoute(callOff.action, sent({ reason: "the plucker broke" }), DAY)).toMatchObject({
      status: 303,
    });
    expect(HERE.file.run.facts(1)).toHaveLength(1);
  });

  test("a day on which nothing happened is deleted without a reason, and is not listed as called off", async () => {
    expect(await callRoute(callOff.action, sent({ deed: "delete" }), DAY)).toMatchObject({ status: 303 });
    expect(listed("?off=1")).toMatchObject({ justOff: { reason: "" }, calledOff: [] });
  });

  test("birds that are weighed keep a day from being called off", async () => {
    HERE.file.pack.recordCarcass({ entryId: "bird-of-mending", at: NOW }, 1, {
      lotId: 1,
      birdNumber: 1,
      purpose: "sale",
      weightMilligrams: 2_000_000,
      asTyped: "2 kg",
      reason: "",
      placeId: undefined,
      priceUnit: "pound",
      priceCents: undefined,
    } as never);
    expect(await callRoute(callOff.action, sent({ reason: "rain" }), DAY)).toMatchObject({
      faults: { "": [expect.stringContaining("Birds of this day are weighed already")] },
    });
  });

  test("a batch is renamed by the first of two windows, and never hatches after its day", async () => {
    const BATCH = { batchId: "1" };
    const typed = {
      name: "White 2",
      kind: "fast",
      hatchedOn: "2026-07-20",
      malePercent: "50",
      orderedCount: "",
      chickCost: "31.50",
      seen: "0",
    };
    expect(await callRoute(changeBatch.action, sent(typed), BATCH)).toMatchObject({ to: "/batches/1" });
    expect(HERE.file.batch(1)).toMatchObject({
      name: "White 2",
      hatchedOn: "2026-07-20",
      chickCostCents: 3150,
      revision: 1,
    });
    expect(await callRoute(changeBatch.action, sent({ ...typed, name: "White 3" }), BATCH)).toMatchObject({
      faults: { "": [expect.stringContaining("changed in another window")] },
    });
    const late = { ...typed, seen: "1", hatchedOn: "2026-09-25" };
    expect(await callRoute(changeBatch.action, sent(late), BATCH)).toMatchObject({
      faults: { hatchedOn: [expect.stringContaining("planned for these birds on 2026-09-19")] },
    });
    expect(HERE.file.history.changes({ from: 0, most: 5 })[0]).toMatchObject({
      table: "batch",
      before: { name: "White 1" },
      after: { name: "White 2" },
    });
  });

  test("a removal is undone where nothing has taken its place, and else says what has", async () => {
    const able = { ...helper(1), weekdayMask: 32 };
    const add = (entryId: string, name: string) =>
      HERE.file.people.addPerson({ entryId, at: NOW }, { ...able, name });
    const undo = (entryId: string) => callRoute(putBack.action, post({ entryId, back: "/season/people" }));
    const names = () => HERE.file.people.people().map(({ name }) => name);
    add("first-juno", "Juno");
    HERE.file.removeFact("first-juno", NOW);
    for (let time = 0; time < 2; time += 1)
      expect(await undo("first-juno")).toMatchObject({ status: 303, to: "/season/people" });
    expect(names()).toEqual(["Juno"]);
    HERE.file.removeFact("first-juno", NOW);
    add("other-juno", "juno");
    expect(await undo("first-juno")).toMatchObject({
      status: 409,
      words: expect.stringContaining("Something else has that name by now"),
    });
    expect(names()).toEqual(["juno"]);
    HERE.file.removeFact("other-juno", NOW);
    expect(await undo("first-juno")).toMatchObject({ status: 303 });
    expect(names()).toEqual(["Juno"]);
  });

  test("a bird that was sold meanwhile is corrected, and stays sold", async () => {
    HERE.file.pack.recordCarcass({ entryId: "bird-of-mending", at: NOW }, 1, {
      lotId: 1,
      birdNumber: 5,
      purpose: "sale",
      weightMilligrams: 2_000_000,
      asTyped: "2 kg",
      reason: "",
      placeId: undefined,
    });
    const { id } = HERE.file.pack.carcasses(1)[0]!;
    HERE.file.freezers.takeOut({ entryId: "sale-of-mending", at: NOW }, [id], {
      outOn: "2026-09-17",
      how: "sold",
    });
    const typed = { weight: "4.9.2", purpose: "sale", reason: "", birdNumber: "5", placeId: "" };
    expect(
      await callRoute(correctPack.action, sent(typed), { dayId: "1", packId: String(id) }),
    ).toMatchObject({ status: 303 });
    expect(HERE.file.pack.carcasses(1)).toMatchObject([{ birdNumber: 5, asTyped: "4.9.2" }]);
    expect(HERE.file.freezers.stored()).toEqual([]);
  });

  test.each([
    ["hour", "07:00", Date.UTC(2026, 8, 19, 14)],
    ["moment", "04:00", Date.UTC(2026, 8, 19, 11)],
  ])("after the time zone was changed a day keeps its %s: %s", async (keep, _clock, startAt) => {
    const { revision, ...farm } = HERE.file.farm()!;
    HERE.file.saveFarm({ ...farm, timeZone: "America/Los_Angeles" }, revision);
    expect(await callRoute(plannedHours.action, post({ keep: "" }))).toMatchObject({ status: 400 });
    expect(await callRoute(plannedHours.action, post({ keep }))).toMatchObject({ status: 303 });
    expect(HERE.file.day(1)).toMatchObject({
      startAt,
      timeZone: "America/Los_Angeles",
      processedOn: "2026-09-19",
    });
  });
});

describe("a new farm", () => {
  const answers = {
    name: "High Gate",
    latitude: "43.9",
    longitude: "71.6",
    timeZone: "America/New_York",
    locale: "en-US",
    unitSystem: "us",
    currency: "USD",
    kind: "slow",
    hatchedOn: "2026-09-01",
    birdCount: "25",
  };

  test("is asked whether a longitude without its minus is meant, and begins with its first batch", async () => {
    openHere(":memory:");
    expect(await callRoute(start.action, sent(answers))).toMatchObject({
      faults: { longitude: [expect.stringContaining("Did you mean -71.6?")] },
    });
    expect(HERE.file.farm()).toBeUndefined();
    const right = { ...answers, longitude: "-71.6", entryId: "start-of-mending" };
    for (let time = 0; time < 2; time += 1)
      expect(await callRoute(start.action, post(right))).toMatchObject({ status: 303, to: "/batches/1" });
    expect(HERE.file.batches()).toMatchObject([{ name: "Red 26-A", aliveCount: 25 }]);
    expect(await callRoute(start.action, sent({ ...right, name: "Low Gate" }))).toMatchObject({
      status: 422,
    });
    expect(HERE.file.farm()).toMatchObject({ name: "High Gate", timeZone: "America/New_York" });
  });
});
