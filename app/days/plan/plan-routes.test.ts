import { beforeAll, describe, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE } from "#app/server/farm/here-of-tests.ts";
import { TIES } from "#db/file-of-tests.ts";

/** The plan's routes on a farm in memory; the clock stands at Thursday, September 17 2026, 06:12 at the farm. */
const plan = await import("#app/days/plan/plan.tsx");
const needs = await import("#app/days/plan/supplies/needs.tsx");
const tasks = await import("#app/days/plan/tasks/tasks.tsx");
const beside = await import("#app/days/plan/compare/compare.tsx");
const fromFile = await import("#app/days/plan/file/from-file.tsx");
const newDay = await import("#app/days/plan/new-day.tsx");
const planJson = await import("#app/days/plan/file/plan-json.ts");
const pdf = await import("#app/days/plan/print/run-sheet-pdf.ts");

const DAY = { dayId: "1" };
const at = (query = "") => new Request(`http://farm/days/1/x${query}`);
const args = (query = "") => ({ params: DAY, request: at(query), context: CONTEXT }) as never;
const person = (name: string, change = {}) =>
  HERE.file.people.addPerson(
    { entryId: `person-${name}-of-tests`, at: 0 },
    {
      name,
      weekdayMask: 127,
      handsPercent: 100,
      usesKnives: true,
      scalds: true,
      lifts: true,
      bornYear: undefined,
      besideAdult: [],
      fromMinute: undefined,
      toMinute: undefined,
      ...change,
    },
  );

beforeAll(() => {
  makeFarmOfTests(HERE.file);
  person("Wren");
  person("Finch", { weekdayMask: 31 });
  HERE.file.supplying.addSupply({ entryId: "ties-of-tests", at: 0 }, TIES, "2026-09-01", 4);
});

describe("what a day takes", () => {
  test("is held against the stock, with what to buy and for how much", () => {
    const rows = needs.loader(args()).needs;
    // Ten whole birds and one spare, of which four are there.
    expect(rows.find(({ kind }) => kind === "tie")).toMatchObject({
      amount: 11,
      short: 7,
      packs: 1,
      cents: 480,
    });
    expect(rows.find(({ kind }) => kind === "ice")).toMatchObject({ supply: undefined, short: undefined });
    expect(rows.some(({ kind }) => kind === "salt")).toBe(false);
  });
});

describe("two set days", () => {
  test("do not count the same stock twice: the later one has what the earlier leaves", () => {
    const { entryId: _entryId, ...choices } = HERE.file.day(1)!;
    HERE.file.addDay({ entryId: "a-later-day", at: 0 }, "America/New_York", {
      ...choices,
      processedOn: "2026-10-03",
      startAt: Date.UTC(2026, 9, 3, 11),
      lots: choices.lots.map((lot) => ({ ...lot, birds: 2 })),
    });
    const later = needs.loader({ params: { dayId: "2" }, request: at(), context: CONTEXT } as never);
    expect(later.daysBefore).toBe(1);
    // Four are there, and ten birds come first.
    expect(later.needs.find(({ kind }) => kind === "tie")).toMatchObject({ amount: 3, short: 3 });
    expect(needs.loader(args()).daysBefore).toBe(0);
  });

  test("do not melt the same ice twice, and each has its own birds up to choose the biggest from", () => {
    const basisOf = (dayId: string) =>
      plan.loader({ params: { dayId }, request: at(), context: CONTEXT } as never).basis;
    expect(basisOf("1").iceBagsInStock).toBeUndefined();
    const ice = {
      name: "Ice",
      kind: "ice",
      mostMilligrams: undefined,
      packAmount: 1,
      packCents: 250,
    } as const;
    HERE.file.supplying.addSupply({ entryId: "ice-of-tests", at: 0 }, ice, "2026-09-01", 9);
    const bags = needs.loader(args()).needs.find(({ kind }) => kind === "ice")!.amount;
    expect(bags).toBeGreaterThan(0);
    expect(basisOf("1").iceBagsInStock).toBe(9);
    expect(basisOf("2").iceBagsInStock).toBe(Math.max(0, 9 - bags));
    // Of fifteen birds ten stand in the first day, two in the second.
    expect(["1", "2"].map((id) => basisOf(id).batches[0]!.aliveBirds)).toEqual([13, 5]);
  });
});

describe("what is to be done", () => {
  const left = () => tasks.loader(args()).left;
  const tick = (task: string, entryId: string) => callRoute(tasks.action, post({ task, entryId }), DAY);

  test("is ticked once, also when it is sent twice, and comes back when it is taken back", async () => {
    const all = left();
    for (const _ of [1, 2])
      expect(await tick("sharpen", "a-tick-of-tests")).toMatchObject({ status: 303, to: "/days/1/tasks" });
    await tick("sharpen", "a-tick-from-elsewhere");
    expect(left()).toBe(all - 1);
    HERE.file.removeFact("a-tick-of-tests", 1);
    expect(left()).toBe(all);
  });

  test("that is not on this day, or has lost its number, is refused in words", async () => {
    expect(await tick("dance", "a-tick-of-nothing")).toMatchObject({ status: 400 });
    expect(await tick("ice", "short")).toMatchObject({
      status: 400,
      words: expect.stringContaining("Reload"),
    });
  });

  test("is asked of the farm's own people, and not on weekdays on which they can't", () => {
    const asked = tasks.loader(args()).days.flatMap(([on, list]) => list.map(({ who }) => [on, who]));
    expect(asked.some(([, who]) => who === "Wren")).toBe(true);
    // Finch can come Monday to Friday: never on the Saturday after the next.
    expect(asked.filter(([on]) => on === "2026-09-12").map(([, who]) => who)).not.toContain("Finch");
  });
});

describe("a plan beside another", () => {
  const QUERY =
    "?processedOn=2026-09-20&startTime=07:00&lots[0].birdCount=10&lots[0].cutUpCount=0&coneCount=3&tablePlaceCount=2";
  const row = (query: string, name: string) =>
    beside.loader(args(query)).rows.find((one) => one.name === name)!;

  test("differs in nothing until something is changed, then in what follows from it", () => {
    expect(beside.loader(args()).rows.every(({ differs }) => !differs)).toBe(true);
    expect(row(`${QUERY}&helpers=3`, "Date")).toMatchObject({ differs: true, other: "Sunday, September 20" });
    expect(row(`${QUERY}&helpers=3`, "Birds").differs).toBe(false);
  });

  test("names who can't come, and takes whoever is ticked along", () => {
    expect(row(`${QUERY}&who=2&helpers=2`, "Conflicts").other).toContain("Finch can't come");
    expect(row(`${QUERY}&who=1&helpers=1`, "Crew").other).toBe("Helper 1, Wren");
  });

  test("that can't be is said by its field, and the plan that is set stands beside itself", () => {
    const asked = beside.loader(args(`${QUERY.replace("birdCount=10", "birdCount=900")}&helpers=3`));
    expect(asked.beside.faults).toHaveProperty(["lots[0].birdCount"]);
    expect(asked.isRead).toBe(false);
    expect(asked.rows.every(({ differs }) => !differs)).toBe(true);
    expect(beside.loader(args(QUERY)).beside.faults.peopleCount).toContain("Someone has to come");
  });

  test("is kept as the plan by the fields that it carries, and by nothing else", async () => {
    const { fields } = beside.loader(args(`${QUERY}&who=1&helpers=2`)).beside;
    expect(Object.keys(fields)).not.toContain("entryId");
    const request = new Request("http://farm/days/1/plan?seen=1", {
      method: "POST",
      body: new URLSearchParams({ ...fields, entryId: "a-kept-plan" }),
    });
    expect(await callRoute(plan.action, request, DAY)).toMatchObject({ to: "/days/1/plan?saved=2" });
    const kept = HERE.file.day(1)!;
    expect(kept).toMatchObject({ processedOn: "2026-09-20", lots: [{ birds: 10 }], people: 3 });
    expect(kept.crew.map(({ name }) => name)).toEqual(["Helper 1", "Helper 2", "Wren"]);
  });
});

describe("a plan's file", () => {
  const send = (text: string | undefined) => {
    const form = new FormData();
    if (text !== undefined) form.set("plan", new File([text], "plan.json"));
    const request = new Request("http://farm/days/new/from-file?batch=1", { method: "POST", body: form });
    return fromFile.action({ request, params: {}, context: CONTEXT } as never);
  };
  const problemsOf = async (text: string | undefined) =>
    ((await send(text)) as { data: { problems: string[] } }).data.problems;

  test("goes out and comes back as the same birds, people, stations and kit", async () => {
    const text = await planJson.loader(args()).text();
    const answer = (await send(text)) as Response;
    const to = answer.headers.get("Location")!;
    const page = newDay.loader({
      request: new Request(`http://farm${to}`),
      params: {},
      context: CONTEXT,
    } as never);
    const current = "current" in page ? page.current! : undefined;
    const day = HERE.file.day(1)!;
    // Of the batch's fifteen birds ten stand in this day and two in the next.
    expect(current).toMatchObject({
      lots: [{ birds: 3 }],
      cones: day.cones,
      tablePlaces: day.tablePlaces,
      people: day.people,
    });
    expect(current!.crew.map(({ personId, name }) => [personId, name])).toEqual([
      [undefined, "Helper 1"],
      [undefined, "Helper 2"],
      [1, "Wren"],
    ]);
    expect(current!.crew[0]!.stations).toEqual(day.crew[0]!.stations);
  });

  test.each([
    [undefined, "Choose the file first"],
    ["{", "it is not JSON"],
    ["[]", "the day: "],
    ['{"birds":3,"people":[{}],"kit":{"cones":2},"breaks":[{"at":"25:00","minutes":5}]}', "breaks.0.at"],
    ['{"birds":3,"people":[{"stations":["cones"]}],"kit":{"cones":2}}', "no one is at scald"],
  ])("that can't be read, such as %j, is answered field by field", async (text, problem) => {
    expect((await problemsOf(text)).join("; ")).toContain(problem);
  });

  test("that somebody wrote into the address by hand is left out where it makes no sense", () => {
    const page = newDay.loader({
      request: new Request("http://farm/days/new?batch=1&plan=%7Bnonsense"),
      params: {},
      context: CONTEXT,
    } as never);
    expect("current" in page && page.current?.lots).toMatchObject([{ birds: 3 }]);
  });
});

test("the run sheet is a PDF on the farm's paper, a page for each station, with its fonts in it", async () => {
  const answer = await pdf.loader(args());
  expect(answer.headers.get("Content-Disposition")).toContain("run-sheet-2026-09-20.pdf");
  const text = Buffer.from(await answer.arrayBuffer()).toString("latin1");
  expect(text.startsWith("%PDF-")).toBe(true);
  // Tasks on two pages, what to have ready, seven stations and the chill; letter paper.
  expect(text.match(/\/Type\s*\/Page[^s]/g)!.length).toBeGreaterThanOrEqual(10);
  expect(text).toContain("[0 0 612 792]");
  expect(text).toMatch(/Besley/);
});

test("birds of somebody who was removed from the owners stay theirs when the day is saved", () => {
  const someone = { entryId: "owner-of-tests", at: 0 };
  HERE.file.customers.add(someone, { name: "Ines", kind: "neighbor", contact: "", note: "" });
  const ownerId = HERE.file.customers.ofEntry(someone.entryId)!;
  const { entryId: _entryId, ...day } = HERE.file.day(1)!;
  const lots = day.lots.map((lot) => ({ ...lot, ownerId }));
  const seen = { seenRevision: day.revision, timeZone: day.timeZone, at: 1 };
  expect(HERE.file.changeDay(1, seen, { ...day, lots })).toBe("saved");
  expect(HERE.file.removeFact(someone.entryId, 2)).toBe("taken-back");
  expect(plan.loader(args())).toMatchObject({ owners: [{ id: ownerId, name: "Ines (removed)" }] });
  expect(newDay.loader({ request: at("?batch=1"), params: {}, context: CONTEXT } as never)).toMatchObject({
    owners: [],
  });
});
