import { beforeAll, describe, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE } from "#app/server/farm/here-of-tests.ts";

/** The batch page's routes on a farm in memory; the clock stands at Thursday, September 17 2026. */
const batch = await import("#app/batches/batch.tsx");
const batches = await import("#app/batches/batches.tsx");
const weighIn = await import("#app/batches/record/record-weigh-in.tsx");
const newBatch = await import("#app/batches/new-batch.tsx");

let number = 0;
const write = (line: string, happenedOn = "2026-09-10", batchId = "1") =>
  callRoute(batch.action, post({ entryId: `story-line-${++number}`, line, happenedOn }), { batchId });
const load = (query = "", batchId = "1") =>
  batch.loader({
    context: CONTEXT,
    params: { batchId },
    request: new Request(`http://farm/batches/${batchId}${query}`),
  } as never);
const story = (batchId = 1) => HERE.file.story(batchId);
const refused = (field: string, words: string) => ({ status: 422, faults: { [field]: [words] } });

beforeAll(() => makeFarmOfTests(HERE.file));

describe("a line of the story is written down", () => {
  test("whatever it says", async () => {
    const lines = [
      "4 bags 19.20 grower",
      "opened 1 bag",
      "left 1.5 bags",
      "lost 1 hawk",
      "vaccinated",
      "moved 14 to orchard",
      "moved 4 to east pen from orchard",
      "paid 36 bedding",
      "weighed 4 2, 4 6, 3 15",
      "the small ones get pushed off",
      "to stock 1 bag",
    ];
    for (const line of lines)
      expect([line, await write(line)]).toEqual([line, { status: 303, to: "/batches/1" }]);
    expect(story()).toMatchObject({
      feed: [{ bagCount: 4, bagPriceCents: 1920, feedKind: "grower" }],
      feedOpened: [{ bagCount: 1 }],
      feedLeft: [{ leftMilligrams: Math.round(1.5 * 22_679_619) }],
      losses: [{ birdCount: 1, cause: "hawk" }],
      notes: [{ kind: "vaccine" }, { kind: "note", note: "the small ones get pushed off" }],
      penMoves: [{ toPen: "orchard" }, { fromPen: "orchard", toPen: "east pen" }],
      costs: [{ what: "bedding", amountCents: 3600 }],
      feedMoved: [{ fromBatchId: 1, toBatchId: undefined, amountCents: 1920 }],
    });
    expect(story().weighings).toHaveLength(3);
    expect(load().view.pens).toEqual([
      { pen: "orchard", birdCount: 10 },
      { pen: "east pen", birdCount: 4 },
    ]);
  });

  test("or says beside it what is wrong, and keeps nothing", async () => {
    const before = JSON.stringify(story());
    expect(await write("lost 99 flood")).toMatchObject(refused("line", "Only 14 birds left alive"));
    expect(await write("moved 2 to barn")).toMatchObject(
      refused("line", "Name the pen they came from: 10 in orchard, 4 in east pen"),
    );
    expect(await write("moved 2 to orchard from orchard")).toMatchObject(
      refused("line", "They are in orchard already"),
    );
    expect(await write("moved 9 to barn from east pen")).toMatchObject(
      refused("line", "There are not that many in east pen: 10 in orchard, 4 in east pen"),
    );
    expect(await write("arrived 20")).toMatchObject(
      refused("line", "They have already arrived; nothing is on order"),
    );
    expect(await write("gave 1 bag to Nobody")).toMatchObject(
      refused("line", "There is no other batch named Nobody"),
    );
    expect(await write("from stock 9 bags")).toMatchObject(
      refused("line", "There is not that much feed in stock"),
    );
    expect(await write("left 40 bags")).toMatchObject(
      refused("line", "That is more than was bought for this batch"),
    );
    expect(await write("lost 1", "2026-07-01")).toMatchObject({
      status: 422,
      faults: { happenedOn: [expect.any(String)] },
    });
    expect(JSON.stringify(story())).toBe(before);
  });

  test("and a weight far from its age is asked about, and kept when it is sure", async () => {
    const asked = await write("weighed 5 0", "2026-08-08");
    expect(asked.faults?.line?.[0]).toMatch(
      /^5 lb 0 oz at 14 days\? The expected weight is about .* add “sure” at the end$/,
    );
    expect(await write("weighed 5 0 sure", "2026-08-08")).toMatchObject({ status: 303 });
    expect(story().weighings).toHaveLength(4);
  });
});

test("a weigh-in typed as a list asks about a far weight too, until it is ticked", async () => {
  const send = (fields: Record<string, string>) =>
    callRoute(weighIn.action, post({ entryId: `weigh-in-${++number}`, weighedOn: "2026-08-08", ...fields }), {
      batchId: "1",
    });
  expect((await send({ weights: "6 0" })).faults?.weights?.[0]).toContain("check the box if it is right");
  expect(await send({ weights: "6 0", isSure: "on" })).toMatchObject({ status: 303 });
});

describe("chicks on order", () => {
  const ORDER = { kind: "slow", malePercent: "50", hatchedOn: "2026-09-28", chickCost: "90" };
  const add = (fields: Record<string, string>) =>
    callRoute(newBatch.action, post({ entryId: `new-batch-${++number}`, ...ORDER, ...fields }));

  test("are a batch that is awaited, until they arrive", async () => {
    expect(await add({ name: "Red 1", orderedCount: "40", arrivedCount: "" })).toMatchObject({ status: 303 });
    const id = HERE.file.batches().find(({ name }) => name === "Red 1")!.id;
    expect(HERE.file.batch(id)).toMatchObject({ awaitedOn: "2026-09-29", arrivedCount: 40 });
    expect(load("", String(id)).view.forecast.ageDays).toBeLessThan(0);
    expect(
      batches
        .loader({ context: CONTEXT, request: new Request("http://farm/batches") } as never)
        .alive.map(({ batch: { name } }) => name),
    ).toContain("Red 1");
  });

  test("or none at all are asked about", async () => {
    expect(await add({ name: "Red 2", orderedCount: "", arrivedCount: "" })).toMatchObject(
      refused("arrivedCount", "Enter how many chicks arrived alive, or how many are ordered"),
    );
  });
});

describe("the batch page", () => {
  test("reckons for any day from the hatch on, and says when it can't", () => {
    expect(load("?on=2026-10-03")).toMatchObject({ on: "2026-10-03", isOnRead: true });
    expect(load("?on=2026-01-01")).toMatchObject({ on: "2026-09-17", isOnRead: false });
    expect(load("?on=soon")).toMatchObject({ isOnRead: false });
  });

  test("divides the flock into the biggest and those left", () => {
    expect(load("?biggest=4").some.divided).toMatchObject({ taken: { birds: 4 }, left: { birds: 10 } });
    for (const asked of ["0", "15", "-1", "many"])
      expect(load(`?biggest=${asked}`).some.divided).toBeUndefined();
  });

  test("shows a band about every weight that it draws, and the day that is set", () => {
    const { chart } = load().view;
    expect(chart.points.every(({ low, mean, high }) => low < mean && mean < high)).toBe(true);
    expect(chart.days).toEqual([{ day: "2026-09-19", birds: 10 }]);
    expect(chart.weighIns.map(({ birds }) => birds).toSorted()).toEqual([2, 3]);
  });

  test("that is not there is a plain page", async () => {
    expect(await callRoute(batch.loader, new Request("http://farm/"), { batchId: "77" })).toMatchObject({
      status: 404,
    });
  });
});
