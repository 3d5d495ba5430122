import { beforeAll, describe, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE, startClock } from "#app/server/farm/here-of-tests.ts";

/** Routes called as the server calls them, on a farm in memory; the clock stands at Saturday, September 19 2026, 09:00. */
startClock("2026-09-19T13:00:00Z");
const NOW = Date.parse("2026-09-19T13:00:00Z");
const day = await import("#app/days/day.ts");
const tap = await import("#app/days/run/taps/tap.ts");
const undo = await import("#app/days/run/taps/undo.ts");
const csv = await import("#app/days/settle/day-csv.ts");
const home = await import("#app/home/home.tsx");
const remove = await import("#app/home/take-back.ts");
const loss = await import("#app/batches/record/record-loss.tsx");

type Fields = Readonly<Record<string, string>>;
const call = callRoute;
const tapped = (fields: Fields) => call(tap.action, post({ answer: "json", ...fields }), { dayId: "1" });
const events = () => HERE.file.run.facts(1);

test("a new file is sent to the Farm page first", async () => {
  expect(await call(home.loader, new Request("http://farm/"))).toMatchObject({ status: 302, to: "/start" });
});

describe("on a farm with a day", () => {
  beforeAll(() => makeFarmOfTests(HERE.file));

  test("the front door leads to the open day, and the day to the leaf that the clock says", async () => {
    expect(await call(home.loader, new Request("http://farm/"))).toMatchObject({ to: "/days/1" });
    const leaf = async () => (await call(day.loader, new Request("http://farm/days/1"), { dayId: "1" })).to;
    expect(await leaf()).toBe("/days/1/run");
    await tapped({ entryId: "the-first-tap", kind: "bird" });
    expect(await leaf()).toBe("/days/1/run");
    await tapped({ entryId: "the-finish-tap", kind: "finish" });
    expect(await leaf()).toBe("/days/1/rest");
    HERE.file.pack.recordCarcass({ entryId: "the-first-bird", at: NOW }, 1, {
      lotId: 1,
      birdNumber: 1,
      purpose: "sale",
      weightMilligrams: 2_000_000,
      asTyped: "=2+5",
      reason: "",
      placeId: undefined,
    });
    expect(await leaf()).toBe("/days/1/pack");
  });

  test("a first tap starts the day, at the phone's time but never in the future", async () => {
    expect(events().map(({ kind }) => kind)).toEqual(["start", "bird", "finish"]);
    await tapped({ entryId: "a-phone-ahead", kind: "bird", at: String(NOW + 3_600_000) });
    await tapped({ entryId: "a-late-signal", kind: "bird", at: String(NOW - 600_000) });
    const at = (entryId: string) => events().find((event) => event.entryId === entryId)!.at;
    expect(at("a-phone-ahead")).toBeLessThan(NOW + 120_000);
    expect(at("a-late-signal")).toBe(NOW - 600_000);
  });

  test("an undo reaches only taps of its own day, and does no harm twice", async () => {
    const before = events().length;
    for (const _ of [1, 2])
      await call(undo.action, post({ entryId: "a-late-signal", answer: "json" }), { dayId: "1" });
    await call(undo.action, post({ entryId: "the-first-bird", answer: "json" }), { dayId: "1" });
    expect(events()).toHaveLength(before - 1);
    expect(HERE.file.pack.carcasses(1)).toHaveLength(1);
  });

  test("a tap that can't be read is refused, and a note without a word is no note", async () => {
    const before = events().length;
    expect(await tapped({ entryId: "short", kind: "bird" })).toMatchObject({ status: 400 });
    expect(await tapped({ entryId: "long-enough", kind: "dance" })).toMatchObject({ status: 400 });
    expect(await tapped({ entryId: "an-empty-note", kind: "note", note: "  " })).toMatchObject({
      status: 422,
    });
    expect(events()).toHaveLength(before);
  });

  test("a spreadsheet never runs what somebody typed as a weight", async () => {
    const response = csv.loader({ context: CONTEXT, params: { dayId: "1" } } as never);
    expect(await response.text()).toContain("'=2+5");
    expect(response.headers.get("Content-Disposition")).toContain("day-2026-09-19.csv");
  });

  test.each([
    "//elsewhere.example",
    "https://elsewhere.example",
    "/\\elsewhere.example",
    "",
    "javascript:alert(1)",
  ])("taking back never leads to %j", async (back) => {
    expect(await call(remove.action, post({ entryId: "whatever-it-is", back }))).toMatchObject({
      status: 400,
    });
  });

  test("what can't be taken back alone is said, not done", async () => {
    expect(await call(remove.action, post({ entryId: "the-first-bird", back: "/freezers" }))).toMatchObject({
      status: 409,
    });
    expect(HERE.file.pack.carcasses(1)).toHaveLength(1);
  });

  describe("a form", () => {
    const LOSS = { entryId: "the-loss-of-two", lostOn: "2026-09-18", birdCount: "2", cause: "fox" };
    const lose = (request: Request) => call(loss.action, request, { batchId: "1" });

    test("is kept once and leads on", async () => {
      const before = HERE.file.batch(1)!.aliveCount;
      expect(await lose(post(LOSS))).toMatchObject({ status: 303, to: "/batches/1" });
      expect(await lose(post(LOSS))).toMatchObject({ status: 303 });
      expect(HERE.file.batch(1)!.aliveCount).toBe(before - 2);
    });

    test("that has lost its number, or asks for too much, is given back", async () => {
      const { entryId: _, ...without } = LOSS;
      expect(await lose(post(without))).toMatchObject({ status: 422 });
      expect(await lose(post({ ...LOSS, entryId: "the-loss-of-all", birdCount: "999" }))).toMatchObject({
        status: 422,
      });
    });

    test("too large to be one of ours is turned away, whether or not it says its size", async () => {
      const large = post({ ...LOSS, entryId: "the-large-loss", cause: "x".repeat(70_000) });
      expect(await lose(large)).toMatchObject({ status: 413, words: expect.stringContaining("too large") });
      const pieces = new ReadableStream({
        start(controller) {
          for (let piece = 0; piece < 70; piece += 1) controller.enqueue(new Uint8Array(1024).fill(120));
          controller.close();
        },
      });
      const init: RequestInit & { duplex: "half" } = { method: "POST", body: pieces, duplex: "half" };
      expect(await lose(new Request("http://farm/x", init))).toMatchObject({ status: 413 });
    });

    test("that is no form is turned away", async () => {
      const text = new Request("http://farm/x", {
        method: "POST",
        body: "{}",
        headers: { "content-type": "application/json" },
      });
      expect(await lose(text)).toMatchObject({ status: 400, words: "What was sent is not a form." });
    });
  });
});
