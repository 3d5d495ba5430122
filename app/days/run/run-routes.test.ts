import { beforeAll, expect, test } from "vitest";
import { post } from "#app/call-route.ts";
import type { NewsAfter } from "#app/days/run/live/live-day.ts";
import { leavesGap, withFactsAhead } from "#app/days/run/taps/known-facts.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE, startClock } from "#app/server/farm/here-of-tests.ts";
import type { RunForecast } from "#core/day/forecast/run-forecast.ts";

/** The routes of a running day, as phones call them; the clock stands at Saturday, September 19 2026, 09:00. */
startClock("2026-09-19T13:00:00Z");
const tap = await import("#app/days/run/taps/tap.ts");
const undo = await import("#app/days/run/taps/undo.ts");
const live = await import("#app/days/run/live/live.ts");
const news = await import("#app/days/run/live/news.ts");
const log = await import("#app/days/run/log/log-csv.ts");

type Fields = Readonly<Record<string, string>>;
const argsOf = (request: Request) => ({ request, params: { dayId: "1" }, context: CONTEXT }) as never;
const send = (route: typeof tap | typeof undo, fields: Fields) =>
  route.action(argsOf(post({ answer: "json", ...fields }))) as Promise<Response>;
const cones = (fields: Fields) => send(tap, { device: "the-phone-at-the-cones", ...fields });
const facts = () => HERE.file.run.facts(1);

beforeAll(() => makeFarmOfTests(HERE.file));

test("a tap says who, which phone, and what its kind needs, and its answer carries only what is new", async () => {
  const first = await (
    await cones({ entryId: "cone-one-bird-one", kind: "kill", number: "1", person: "Tobias" })
  ).json();
  expect(first.facts.map(({ kind }: { kind: string }) => kind)).toEqual(["start", "kill"]);
  const water = { entryId: "water-at-nine", kind: "water", celsius: "59.25", after: String(first.cursor) };
  const second = await (await cones(water)).json();
  expect(second.facts).toMatchObject([{ kind: "water", celsius: 59.25, device: "the-phone-at-the-cones" }]);
  expect(second.cursor).toBeGreaterThan(first.cursor);
  expect(facts()).toContainEqual(expect.objectContaining({ kind: "kill", number: 1, person: "Tobias" }));
});

test("the same tap again changes nothing, and one that can't be is refused in words", async () => {
  const before = facts().length;
  const again = await cones({ entryId: "cone-one-bird-one", kind: "kill", number: "1", person: "Tobias" });
  expect(again.status).toBe(200);
  const hot = await cones({ entryId: "water-too-hot", kind: "water", celsius: "204.444" });
  expect(hot.status).toBe(422);
  expect(await hot.text()).toContain("Check the thermometer");
  const other = await cones({ entryId: "from-another-farm", kind: "bird", file: "0".repeat(32) });
  expect(other.status).toBe(409);
  expect(facts()).toHaveLength(before);
});

test("a tap that was kept and is sent again with something else in it is refused, and the first one stands", async () => {
  const before = facts();
  const changed = await cones({ entryId: "cone-one-bird-one", kind: "kill", number: "2", person: "Tobias" });
  expect(changed.status).toBe(409);
  expect(await changed.text()).toContain("this one was not saved");
  expect(facts()).toEqual(before);
});

test("an answer carries one tap, however much the phone has missed, and leaves a gap that it can see", async () => {
  const taps = Array.from({ length: 20 }, (_, index) => `missed-by-the-phone-${index}`);
  for (const entryId of taps) await cones({ entryId, kind: "water", celsius: "60" });
  const last = await (await cones({ entryId: "after-a-long-while", kind: "water", celsius: "59" })).json();
  expect(last.facts.map(({ entryId }: { entryId: string }) => entryId)).toEqual(["after-a-long-while"]);
  const known = { cursor: 3, facts: [] };
  expect(leavesGap(known, last)).toBe(true);
  expect(withFactsAhead(known, last)).toMatchObject({ cursor: 3, facts: last.facts });
  for (const entryId of [...taps, "after-a-long-while"])
    await send(undo, { entryId, device: "the-phone-at-the-cones" });
});

test("undo takes back only what the same phone tapped, and others hear of it as removed", async () => {
  const cursor = HERE.file.run.cursor(1);
  const foreign = await send(undo, { entryId: "water-at-nine", device: "the-phone-at-the-table" });
  expect(foreign.status).toBe(422);
  expect(await foreign.text()).toContain("Another phone tapped this");
  const own = await send(undo, { entryId: "water-at-nine", device: "the-phone-at-the-cones" });
  expect(own.status).toBe(200);
  const request = new Request(`http://farm/days/1/run/news?after=${cursor}`);
  const changed = await (await news.loader(argsOf(request))).json();
  expect(changed).toMatchObject({ facts: [], removed: ["water-at-nine"] });
});

test("the live link tells what was missed, then what comes, and the forecast of the day", {
  timeout: 60_000,
}, async () => {
  const left = new AbortController();
  const headers = { Accept: "text/event-stream" };
  const request = new Request("http://farm/days/1/live?after=0", { signal: left.signal, headers });
  const response = await live.loader(argsOf(request));
  expect(response.headers.get("Cache-Control")).toContain("no-transform");
  const heard = eventsOf(response);
  const next = async (name: string) => {
    for (;;) {
      const { value } = await heard.next();
      if (value!.name === name) return value!.data;
    }
  };
  expect((await next("news")).facts.length).toBe(facts().length);
  await cones({ entryId: "cone-two-bird-two", kind: "kill", number: "2" });
  expect((await next("news")).facts).toMatchObject([{ kind: "kill", number: 2 }]);
  const forecast = await next("forecast");
  expect(forecast.lastInChill!.likelyAt).toBeGreaterThan(HERE.now());
  expect(forecast.lastInChill!.nineInTenAt).toBeGreaterThanOrEqual(forecast.lastInChill!.likelyAt);
  expect(forecast.allDone!.likelyAt).toBeGreaterThan(forecast.lastInChill!.likelyAt);
  left.abort();
});

test("the log holds every fact, in order, a row each", async () => {
  await cones({ entryId: "tank-two-read", kind: "tank-temperature", number: "2", celsius: "5" });
  await cones({ entryId: "a-note-like-a-sum", kind: "note", note: "=1+1" });
  const text = await log.loader(argsOf(new Request("http://farm/days/1/log.csv"))).text();
  const rows = text.trim().split("\r\n");
  expect(rows).toHaveLength(facts().length + 1);
  expect(text).toContain(",tank-temperature,,2,5,");
  expect(text).toContain("'=1+1");
});

/** What the live link said: news have facts, forecasts have chances. */
interface Heard {
  readonly name: string;
  readonly data: Pick<NewsAfter, "facts"> & Pick<RunForecast, "lastInChill" | "allDone">;
}

async function* eventsOf(response: Response): AsyncGenerator<Heard> {
  const decoder = new TextDecoder();
  let text = "";
  for await (const bytes of response.body!) {
    text += decoder.decode(bytes, { stream: true });
    for (let end = text.indexOf("\n\n"); end >= 0; end = text.indexOf("\n\n")) {
      const block = text.slice(0, end);
      text = text.slice(end + 2);
      const field = (name: string) => new RegExp(`^${name}: (.*)$`, "m").exec(block)![1]!;
      yield { name: field("event"), data: JSON.parse(field("data")) };
    }
  }
}

test("a change of plan keeps the plan as it stood, makes the day of the others, and is put back as it was", async () => {
  const change = await import("#app/days/run/change/change.tsx");
  const undoChange = await import("#app/days/run/change/undo-change.ts");
  const before = HERE.file.day(1)!;
  const kept = HERE.file.keptPlan(1);
  const days = HERE.file.days().length;
  const fields = { pluckBy: "skin", later: "60", birds: "4", what: "split", splitOn: "2026-09-20" };
  const entryId = "changed-this-morning";
  const seen = String(before.revision);
  const stale = await change.action(argsOf(post({ ...fields, entryId: "seen-too-long-ago", seen: "0" })));
  expect(stale).toMatchObject({ init: { status: 422 } });
  expect(HERE.file.day(1)).toEqual(before);

  await change.action(argsOf(post({ ...fields, entryId, seen })));
  await change.action(argsOf(post({ ...fields, entryId, seen })));
  expect(HERE.file.day(1)).toMatchObject({ pluckBy: "skin", startAt: before.startAt + 3_600_000 });
  const left = before.lots[0]!.birds - 4;
  expect(HERE.file.days().filter(({ processedOn }) => processedOn === "2026-09-20")).toMatchObject([
    { lots: [{ birds: left }] },
  ]);
  expect(HERE.file.keptPlan(1)).toEqual(kept);
  expect(facts().at(-1)).toMatchObject({ kind: "note", note: expect.stringContaining("Skinned.") });

  const back = post({ entryId });
  await undoChange.action(argsOf(back));
  const { revision, lots, ...day } = HERE.file.day(1)!;
  expect({ ...day, lots: lots.map(({ birds }) => birds) }).toEqual({
    ...Object.fromEntries(Object.entries(before).filter(([name]) => name !== "revision")),
    lots: before.lots.map(({ birds }) => birds),
  });
  expect(revision).toBeGreaterThan(before.revision);
  expect(HERE.file.days()).toHaveLength(days);
  expect(facts().map(({ note }) => note)).not.toContainEqual(expect.stringContaining("Skinned."));
});

test("a change whose birds are another day's by now stays as it is", async () => {
  const change = await import("#app/days/run/change/change.tsx");
  const undoChange = await import("#app/days/run/change/undo-change.ts");
  const before = HERE.file.day(1)!;
  const entryId = "fewer-birds-today";
  const fields = { pluckBy: before.pluckBy, later: "0", birds: "3", what: "accept" };
  await change.action(argsOf(post({ ...fields, entryId, seen: String(before.revision) })));
  const changed = HERE.file.day(1)!;
  const [lot] = changed.lots;
  const taken = { ...changed, lots: [{ ...lot!, birds: HERE.file.freeForDay(lot!.batchId) }] };
  const { id: _id, entryId: _entry, revision: _revision, settledEntryId: _by, timeZone, ...choices } = taken;
  HERE.file.addDay({ entryId: "takes-all-the-birds", at: HERE.now() }, timeZone, choices);
  await expect(undoChange.action(argsOf(post({ entryId })))).rejects.toMatchObject({ init: { status: 409 } });
  expect(HERE.file.day(1)).toEqual(changed);
});
