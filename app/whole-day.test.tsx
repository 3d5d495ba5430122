import Papa from "papaparse";
import { beforeAll, describe, expect, test } from "vitest";
import { callRoute, post, type RouteOutcome } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE } from "#app/server/farm/here-of-tests.ts";
import { opened } from "#app/ui/said-of-tests.tsx";

/*
 * A batch of ten from its story to the books, as the pages say it, with sums done by hand beside them. The clock stands
 * at Thursday, September 17 2026; the day is the Saturday after.
 */
const batch = await import("#app/batches/batch.tsx");
const batches = await import("#app/batches/batches.tsx");
const days = await import("#app/days/days.tsx");
const tap = await import("#app/days/run/taps/tap.ts");
const run = await import("#app/days/run/run.tsx");
const pack = await import("#app/days/pack/pack.tsx");
const settle = await import("#app/days/settle/settle.tsx");
const addCost = await import("#app/days/settle/add-cost.tsx");
const reopen = await import("#app/days/settle/reopen.ts");
const dayCsv = await import("#app/days/settle/day-csv.ts");
const stores = await import("#app/freezers/freezers.tsx");
const addPlace = await import("#app/freezers/place/add-place.tsx");
const takeOut = await import("#app/freezers/take-out.ts");
const remove = await import("#app/home/take-back.ts");
const books = await import("#app/books/books.tsx");

const open = (page: Parameters<typeof opened>[0], params: Readonly<Record<string, string>> = {}) =>
  opened(page, { params });

let number = 0;
const send = (
  route: (args: never) => unknown,
  fields: Readonly<Record<string, string>>,
  params: Readonly<Record<string, string>> = {},
): Promise<RouteOutcome> => callRoute(route, post({ entryId: `whole-day-${++number}`, ...fields }), params);

const DAY = { dayId: "1" };
const BATCH = { batchId: "1" };
const tell = (line: string) => send(batch.action, { line, happenedOn: "2026-09-10" }, BATCH);
const weigh = (birdNumber: number, change = {}) =>
  send(
    pack.action,
    {
      birdNumber: String(birdNumber),
      purpose: "sale",
      weight: "4 8",
      reason: "",
      placeId: "1",
      ...change,
    },
    DAY,
  );

beforeAll(() => makeFarmOfTests(HERE.file));

describe("before the day", () => {
  test("the batch says what stands: fifteen came, five were lost, two bags of feed and some straw were paid", async () => {
    for (const line of ["2 bags 20", "lost 5 fox", "paid 6 straw"])
      expect([line, await tell(line)]).toEqual([line, { status: 303, to: "/batches/1" }]);
    expect(open(batches)).toContain("White 1");
    const page = open(batch, BATCH);
    expect(page).toContain("Birds that arrived, minus losses, minus birds processed.");
    expect(page).toContain("5 birds lost");
    expect(page).not.toContain("does not add up");
  });

  test("what is taken back too early is said to be missing, and is gone again once it is written down anew", async () => {
    await tell("moved 8 to orchard");
    await tell("moved 3 to barn from orchard");
    const { entryId } = HERE.file.story(1).penMoves[0]!;
    expect(await send(remove.action, { entryId, back: "/batches/1" })).toMatchObject({ to: "/batches/1" });
    expect(open(batch, BATCH)).toContain(
      "The history does not add up. 3 birds more moved out of orchard than into it.",
    );
    await tell("left 1 bag");
    const lot = HERE.file.story(1).feed[0]!.entryId;
    await send(remove.action, { entryId: lot, back: "/batches/1" });
    expect(open(batch, BATCH)).toContain("50 lb more feed was used or is left than was bought.");
    await tell("2 bags 20");
    await tell("moved 8 to orchard");
    await send(remove.action, { entryId: HERE.file.story(1).feedLeft[0]!.entryId, back: "/batches/1" });
    expect(open(batch, BATCH)).not.toContain("does not add up");
  });
});

describe("on the day", () => {
  test("taps are counted, and the page says how far it is", async () => {
    const at = String(Date.UTC(2026, 8, 17, 10, 0));
    for (let bird = 1; bird <= 10; bird += 1)
      expect(await send(tap.action, { kind: "bird", at }, DAY)).toMatchObject({ status: 303 });
    expect(open(run, DAY)).toContain("10 in the chill tank, 0 to go 10 birds of White 1");
    expect(open(run, DAY)).toContain("All 10 are in. Keep counting if there are more, or finish the day.");
  });

  test("birds are weighed into a freezer, each once, and a condemned one needs a reason", async () => {
    expect(
      await send(addPlace.action, { name: "Barn", kind: "freezer", capacityCount: "12", canFreeze: "" }),
    ).toMatchObject({ status: 303 });
    for (let bird = 1; bird <= 9; bird += 1) expect(await weigh(bird)).toMatchObject({ status: 303 });
    expect(await weigh(9)).toMatchObject({
      faults: { birdNumber: [expect.stringContaining("Bird 9 was already weighed.")] },
    });
    const condemned = { purpose: "condemned", weight: "", placeId: "" };
    expect(await weigh(10, condemned)).toMatchObject({ faults: { reason: [expect.any(String)] } });
    expect(await weigh(10, { ...condemned, reason: "yellow fluid" })).toMatchObject({ status: 303 });
    const page = open(pack, DAY);
    expect(page).toContain("10 weighed, 0 to go");
    // Nine birds of 4 lb 8 oz.
    expect(page).toContain("4 lb 8 oz");
    expect(page).toContain("40.5 lb");
    expect(open(stores)).toContain("9 of 12 spaces filled, room for 3 more Whole chicken, 9 packs");
    expect(open(days)).toContain("10 birds of White 1 10 weighed so far");
  });

  test("the birds go out as a table with exact weights and what was typed", async () => {
    const answer = dayCsv.loader({ context: CONTEXT, params: DAY } as never);
    const { data } = Papa.parse<Record<string, string>>((await answer.text()).trim(), { header: true });
    expect(data).toHaveLength(10);
    // 4.5 lb of 453,592.37 mg.
    expect(data[0]).toMatchObject({
      bird: "1",
      weight_milligrams: "2041166",
      as_typed: "4 8",
      place: "Barn",
    });
    expect(data[9]).toMatchObject({ purpose: "condemned", weight_milligrams: "", reason: "yellow fluid" });
  });
});

describe("after the day", () => {
  test("a bird costs what the batch and the day cost, above the birds that were dressed", async () => {
    expect(await send(addCost.action, { what: "hired drum", amount: "18" }, DAY)).toMatchObject({
      status: 303,
    });
    const page = open(settle, DAY);
    // Chicks 30, feed 40, straw 6, drum 18: 94.00, nine birds, 40.5 lb.
    expect(page).toContain("$94.00");
    expect(page).toContain("$10.44");
    expect(page).toContain("$2.32 / lb");
    expect(page).not.toContain("still alive");
    expect(page).toContain("No equipment is listed under Farm");
  });

  test("a live mean below what they dressed is asked about, and closes nothing", async () => {
    expect(await send(settle.action, { workHours: "12", liveMean: "4 8" }, DAY)).toMatchObject({
      faults: { liveMean: [expect.stringContaining("They dressed at 4 lb 8 oz each")] },
    });
    expect(HERE.file.settling.settlement(1)).toBeUndefined();
  });

  test("a settled day stands: nothing is weighed, tapped or paid until it is opened again", async () => {
    // Feed was bought, and what is left was never counted.
    expect(open(settle, DAY)).toContain(
      "and what is left was never counted. All of it would count as eaten.",
    );
    expect(await send(settle.action, { workHours: "12", liveMean: "6 0" }, DAY)).toMatchObject({
      faults: { isSure: [expect.stringContaining("tick this to settle all the same")] },
    });
    expect(await send(settle.action, { workHours: "12", liveMean: "6 0", isSure: "on" }, DAY)).toMatchObject({
      status: 303,
    });
    expect(open(settle, DAY)).toContain("This day is settled and locked.");
    // 4 lb 8 oz of 6 lb.
    expect(open(settle, DAY)).toContain("75 %");
    expect(open(pack, DAY)).toContain("This day is settled and locked.");
    expect(await weigh(11)).toMatchObject({ faults: { "": [expect.stringContaining("Reopen it")] } });
    const paid = HERE.file.settling.costs(1)[0]!.entryId;
    expect(await send(remove.action, { entryId: paid, back: "/" })).toMatchObject({
      words: expect.stringContaining("reopen the day first"),
    });
    expect(await send(settle.action, { workHours: "", liveMean: "", isSure: "on" }, DAY)).toMatchObject({
      faults: { "": [expect.stringContaining("already settled")] },
    });
  });

  test("the book says the same as the day, and of a batch all gone that it is whole", () => {
    const page = open(books);
    expect(page).toContain("White 1");
    expect(page).toContain("$10.44");
    expect(page).toContain("75 %");
    expect(page).not.toContain("some alive");
    expect(open(batch, BATCH)).not.toContain("Schedule a day");
  });

  test("a bird leaves its freezer once, and is back when that was a mistake", async () => {
    const { id } = HERE.file.freezers.stored()[0]!;
    const out = { packId: String(id), how: "sold" };
    expect(await send(takeOut.action, out)).toMatchObject({ status: 303 });
    expect(open(stores)).toContain("8 of 12 spaces filled");
    expect(open(stores)).toMatch(/Whole chicken \w{5}, 4 lb 8 oz: sold Thu, Sep 17/);
    await send(takeOut.action, out);
    expect(HERE.file.freezers.storedCount()).toBe(8);
    const { outEntryId } = HERE.file.freezers.lately(1)[0]!;
    await send(remove.action, { entryId: outEntryId, back: "/freezers" });
    expect(open(stores)).toContain("9 of 12 spaces filled");
  });

  test("opened again, the day takes a mended weight, and every sum follows", async () => {
    await send(reopen.action, {}, DAY);
    const first = HERE.file.pack.carcasses(1)[0]!;
    HERE.file.pack.remove(1, first.entryId, 1);
    expect(await weigh(1, { weight: "9 0" })).toMatchObject({ status: 303 });
    // Eight of 4 lb 8 oz and one of 9 lb: 45 lb, and the same 94.00.
    const page = open(settle, DAY);
    expect(page).toContain("$10.44");
    expect(page).toContain("$2.09 / lb");
    expect(page).toContain("5 lb 0 oz");
  });
});
