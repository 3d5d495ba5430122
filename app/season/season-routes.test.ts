import { beforeAll, describe, expect, test, vi } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import type { SeasonView } from "#app/season/calendar/season-view.server.ts";
import { CONTEXT, HERE } from "#app/server/farm/here-of-tests.ts";

/** The season's routes on a farm in memory; the clock stands at Thursday, September 17 2026, 06:12 at the farm. */
const season = await import("#app/season/calendar/season.tsx");
const setSeason = await import("#app/season/calendar/set-season.ts");
const stopSeason = await import("#app/season/calendar/stop-season.ts");
const pinBirds = await import("#app/season/calendar/pin-birds.ts");
const people = await import("#app/season/people/people.tsx");
const person = await import("#app/season/people/person.tsx");
const changePerson = await import("#app/season/people/change-person.tsx");
const personIcs = await import("#app/season/people/person-ics.ts");
const seasonIcs = await import("#app/season/calendar/season-ics.ts");
const readFile = await import("#app/season/people/read-person-calendar.tsx");
const rules = await import("#app/season/rules/rules.tsx");
const booking = await import("#app/season/dates/add-booking.tsx");
const mark = await import("#app/season/dates/add-mark.tsx");
const weather = await import("#app/season/dates/say-weather.tsx");
const size = await import("#app/season/rules/add-size.tsx");
const chicks = await import("#app/season/chicks/chicks.tsx");

vi.setConfig({ testTimeout: 30_000 });
let number = 0;
const sent = (fields: Record<string, string>) => post({ entryId: `season-form-${++number}`, ...fields });
const view = (): SeasonView => season.loader({ context: CONTEXT } as never).view;
const PERSON = { name: "Wren", handsPercent: "100", saturday: "on", friday: "on" };

/** Waits until the season under way is calculated. */
async function settled(): Promise<SeasonView> {
  for (let attempt = 0; attempt < 300; attempt += 1) {
    const now = view();
    if (!now.job.isWorking) return now;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error("the season is still being worked out");
}

beforeAll(() => {
  makeFarmOfTests(HERE.file);
  // Two more batches: one that is ready in October, one on order.
  const batch = (name: string, hatchedOn: string, arrivedCount: number, awaitedOn: string | undefined) =>
    HERE.file.addBatch(
      { entryId: `batch-${name}-of-tests`, at: 0 },
      {
        name,
        kind: "fast",
        maleSharePermille: 500,
        hatchedOn,
        orderedCount: arrivedCount,
        arrivedCount,
        awaitedOn,
        chickCostCents: 3000,
      },
    );
  batch("White 2", "2026-08-15", 30, undefined);
  batch("White 3", "2026-09-21", 40, "2026-09-22");
});

test("a season without people has nobody to hold a day, and says so", async () => {
  expect(view()).toMatchObject({ peopleCount: 0, groups: [], proposal: undefined });
  expect(view().cells.every(({ season: { shut }, held }) => shut === "nobody" || held.length > 0)).toBe(true);
});

describe("people", () => {
  test("are added once, and asked about when something is missing", async () => {
    expect(await callRoute(people.action, sent(PERSON))).toMatchObject({ status: 303, to: "/season/people" });
    expect(await callRoute(people.action, sent({ ...PERSON, name: "wren" }))).toMatchObject({
      status: 422,
      faults: { name: ["wren is already on the list"] },
    });
    expect(await callRoute(people.action, sent({ ...PERSON, name: "", handsPercent: "5" }))).toMatchObject({
      faults: { name: ["Enter their name"], handsPercent: ["Enter at least 10"] },
    });
    await callRoute(people.action, sent({ ...PERSON, name: "Ash" }));
    await callRoute(people.action, sent({ ...PERSON, name: "Lark" }));
    expect(HERE.file.people.people()).toHaveLength(3);
    expect(HERE.file.people.people()[0]).toMatchObject({ weekdayMask: 16 + 32, handsPercent: 100 });
  });

  test("changed in two windows are changed by the first, and the second is told", async () => {
    const change = (fields: Record<string, string>) =>
      callRoute(changePerson.action, sent({ name: "Lark", saturday: "on", handsPercent: "100", ...fields }), {
        personId: "3",
      });
    expect(await change({ seen: "0", handsPercent: "80" })).toMatchObject({ status: 303 });
    const second = await change({ seen: "0", noKnives: "on" });
    expect(second.status).toBe(422);
    expect(JSON.stringify(second.faults)).toContain("This person was changed in another window");
    expect(HERE.file.people.people()[2]).toMatchObject({ handsPercent: 80, usesKnives: true, revision: 1 });
    expect(await change({ seen: "1", noKnives: "on", name: "Larke" })).toMatchObject({ status: 303 });
    expect(HERE.file.people.people()[2]).toMatchObject({ name: "Larke", usesKnives: false });
    expect(await change({ seen: "2", name: "wren" })).toMatchObject({
      faults: { name: ["wren is already on the list"] },
    });
    expect(await change({ seen: "2", name: "Lark" })).toMatchObject({ status: 303 });
  });

  test("can or can't come on a single day, not on one gone by", async () => {
    const say = (fields: Record<string, string>) => callRoute(person.action, sent(fields), { personId: "1" });
    expect(await say({ onDay: "2026-09-16", canCome: "no" })).toMatchObject({
      faults: { onDay: ["That date has passed; today is 2026-09-17"] },
    });
    expect(await say({ onDay: "2026-09-26", canCome: "no", why: "wedding" })).toMatchObject({ status: 303 });
    const cell = view().cells.find(({ day }) => day === "2026-09-26")!;
    expect(cell.season.people.map(({ name, canCome, why }) => [name, canCome, why])).toEqual([
      ["Wren", false, "wedding"],
      ["Ash", true, ""],
      ["Lark", true, ""],
    ]);
  });

  test("nobody of that number is a page that is not there", async () => {
    expect(await callRoute(person.loader, new Request("http://farm/"), { personId: "99" })).toMatchObject({
      status: 404,
    });
    expect(await callRoute(personIcs.loader, new Request("http://farm/"), { personId: "x" })).toMatchObject({
      status: 404,
    });
  });

  test("have calendar files read for them, or are told what is wrong with them", async () => {
    const upload = (content: BlobPart | undefined) => {
      const form = new FormData();
      form.set("entryId", `calendar-file-${++number}`);
      if (content !== undefined) form.set("calendar", new File([content], "c.ics"));
      return callRoute(
        readFile.action,
        new Request("http://farm/season/people/2/read", { method: "POST", body: form }),
        {
          personId: "2",
        },
      );
    };
    const event = "BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20261003\r\nSUMMARY:Fair\r\nEND:VEVENT";
    const calendar = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n${event}\r\nEND:VCALENDAR`;
    expect(await upload(undefined)).toMatchObject({ status: 422, words: "Choose the file first" });
    expect(await upload("nonsense")).toMatchObject({
      status: 422,
      words: expect.stringContaining("not a readable calendar"),
    });
    expect(await upload(new Uint8Array(3 * 1024 * 1024))).toMatchObject({
      words: expect.stringContaining("3.0 MB"),
    });
    expect(await upload(calendar)).toMatchObject({ status: 303, to: "/season/people/2?read=1" });
    const { days } = person.loader({
      context: CONTEXT,
      params: { personId: "2" },
      request: new Request("http://farm/"),
    } as never);
    expect(days).toMatchObject([{ onDay: "2026-10-03", canCome: false, source: "calendar", why: "Fair" }]);
  });
});

describe("dates", () => {
  test("that are out shut a day; the last comes after the first", async () => {
    const out = { fromOn: "2026-10-10", toOn: "", kind: "out", what: "Fair", price: "" };
    expect(await callRoute(mark.action, sent({ ...out, toOn: "2026-10-01" }))).toMatchObject({
      faults: { toOn: ["The last day is before the first. Swap them"] },
    });
    expect(await callRoute(mark.action, sent(out))).toMatchObject({ status: 303 });
    expect(view().cells.find(({ day }) => day === "2026-10-10")!.season.shut).toBe("out");
  });

  test("are not booked twice", async () => {
    const booked = { thing: "Drum plucker", fromOn: "2026-10-16", toOn: "2026-10-17" };
    expect(await callRoute(booking.action, sent(booked))).toMatchObject({ status: 303 });
    expect(
      await callRoute(booking.action, sent({ ...booked, fromOn: "2026-10-17", toOn: "" })),
    ).toMatchObject({
      faults: { fromOn: [expect.stringContaining("is already booked for one of these days")] },
    });
  });

  test("with weather are typed in the farm's own degrees", async () => {
    expect(await callRoute(weather.action, sent({ fromOn: "2026-10-01", mean: "90" }))).toMatchObject({
      status: 303,
    });
    expect(HERE.file.season.spells()).toMatchObject([
      { fromOn: "2026-10-01", toOn: "2026-10-01", meanMillicelsius: 32_222 },
    ]);
    expect(await callRoute(weather.action, sent({ fromOn: "2026-10-01", mean: "400" }))).toMatchObject({
      status: 422,
    });
  });
});

describe("rules", () => {
  const save = (fields: Record<string, string>, seen: number) =>
    callRoute(
      rules.action,
      new Request(`http://farm/season/rules?seen=${seen}`, {
        method: "POST",
        body: new URLSearchParams({ entryId: `rules-form-${++number}`, ...fields }),
      }),
    );

  test("are kept as they are said, prices by the pound", async () => {
    const said = {
      whole: "5.25",
      yearlyCapCount: "1000",
      longestLineHours: "4.5",
      everyonePlacedCents: "15",
    };
    expect(await save(said, 0)).toMatchObject({ status: 303 });
    expect(HERE.file.season.setting()).toMatchObject({
      wholeCentsPerKilogram: 1157,
      yearlyCapCount: 1000,
      longestLineMinutes: 270,
      everyonePlacedCents: 1500,
      crewCents: undefined,
      mustBeBooked: false,
    });
    const { fields } = rules.loader({
      context: CONTEXT,
      request: new Request("http://farm/season/rules"),
    } as never);
    expect(fields).toMatchObject({ whole: "5.25", longestLineHours: "4.5", everyonePlacedCents: "15.00" });
  });

  test("changed in two windows are not overwritten unseen", async () => {
    expect(await save({ whole: "6" }, 0)).toMatchObject({
      status: 422,
      faults: { "": [expect.stringContaining("were changed in another window")] },
    });
    expect(HERE.file.season.setting().wholeCentsPerKilogram).toBe(1157);
  });

  test("have sizes whose heaviest is more than their lightest", async () => {
    const wanted = { who: "the inn", least: "4", most: "3 8", birdCount: "20" };
    expect(await callRoute(size.action, sent(wanted))).toMatchObject({
      faults: { most: ["The maximum must be more than the minimum"] },
    });
    expect(await callRoute(size.action, sent({ ...wanted, most: "5 8" }))).toMatchObject({ status: 303 });
    expect(HERE.file.season.sizes()).toMatchObject([{ who: "the inn", birdCount: 20 }]);
  });
});

describe("season plan", () => {
  test("is worked out, with reasons, moves and money for every day", async () => {
    expect(await callRoute(setSeason.action, sent({}))).toMatchObject({ status: 303, to: "/season" });
    const { groups, proposal, waiting, money } = await settled();
    expect(proposal).toMatchObject({ outcome: "best", isOld: false, droppedBirds: 0 });
    expect(waiting.every(({ birds, placed }) => placed === birds)).toBe(true);
    for (const group of groups) {
      expect(group.moves.length).toBeGreaterThan(0);
      expect(group.people.length).toBeGreaterThan(0);
      expect(group.moves.map(({ day }) => day)).not.toContain(group.day);
    }
    // No single move earns more than the gap that the solver left.
    const best = Math.max(
      ...groups.flatMap(({ moves }) =>
        moves.filter((move) => !move.breaks.some((one) => one.isFirm)).map(({ cents }) => cents),
      ),
    );
    expect(best).toBeLessThanOrEqual(0.01 * Math.abs(money.earns.value) + 1);
  });

  test("has birds pinned where they are or on another day, and stays so when it is set again", async () => {
    const allowed = (await settled()).groups.flatMap((group) =>
      group.moves
        .filter(({ breaks }) => !breaks.some(({ isFirm }) => isFirm))
        .map((move) => ({ group, move })),
    );
    const { group, move } = allowed[0]!;
    const fields = { batchId: String(group.batchId), from: group.day, to: move.day };
    const earned = view().money.earns.value;
    expect(await callRoute(pinBirds.action, sent(fields))).toMatchObject({ status: 303 });
    const moved = view();
    expect(moved.proposal?.outcome).toBe("moved");
    expect(moved.money.earns.value).toBeCloseTo(earned + move.cents, -1);
    expect(HERE.file.season.pins()).toMatchObject([{ batchId: group.batchId, pinnedOn: move.day }]);

    await callRoute(setSeason.action, sent({}));
    const again = await settled();
    const pinned = again.groups.find(({ day, batchId }) => day === move.day && batchId === group.batchId);
    expect(pinned?.pinEntryId).toBeDefined();
    expect(pinned!.birds.whole + pinned!.birds.cut).toBe(HERE.file.season.pins()[0]!.birdCount);
  });

  test("answers a move of birds that are gone from there with what to do", async () => {
    const fields = { batchId: "2", from: "2026-09-18", to: "2026-09-19" };
    expect(await callRoute(pinBirds.action, sent(fields))).toMatchObject({
      status: 409,
      words: expect.stringContaining("have moved since the page was loaded"),
    });
  });

  test("is old once something it was worked out from has changed", async () => {
    expect((await settled()).proposal?.isOld).toBe(false);
    HERE.file.recordLoss({ entryId: "a-loss-in-season", at: 1 }, 2, {
      lostOn: "2026-09-16",
      birdCount: 3,
      cause: "",
    });
    expect(view().proposal?.isOld).toBe(true);
    expect(view().waiting.find(({ batchId }) => batchId === 2)?.birds).toBe(27);
  });

  test("warns of a scheduled day when those who were to do it can't", async () => {
    expect(view().short).toEqual([]);
    for (const { entryId } of HERE.file.people.people()) HERE.file.removeFact(entryId, 2);
    await callRoute(people.action, sent({ ...PERSON, name: "Finch", saturday: "", handsPercent: "10" }));
    expect(view().short).toMatchObject([{ day: "2026-09-19", birds: 10, mostBirds: 0 }]);
  });

  test("is stopped without harm when nothing is under way", async () => {
    expect(await callRoute(stopSeason.action, sent({}))).toMatchObject({ status: 303 });
  });
});

test("the calendar file holds every task of the scheduled day once, by ids of its own", async () => {
  const text = await (seasonIcs.loader({ context: CONTEXT } as never) as Response).text();
  const ids = [...text.matchAll(/^UID:(.+)\r$/gm)].map(([, id]) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toContain("day-of-tests.feed-off");
  expect(text).toContain("SUMMARY:Chicks arrive: 40 of White 3");
});

describe("chicks planned backwards", () => {
  const ask = (query: string) =>
    chicks.loader({ context: CONTEXT, request: new Request(`http://farm/season/chicks${query}`) } as never);

  test("are asked for in one of the boxes, and dated ones with their date", () => {
    expect(ask("").plans).toBeUndefined();
    expect(ask("?weekly=&gate=").faults).toEqual({
      "": "Enter how many birds you need in at least one field",
    });
    expect(ask("?dated=12").faults).toEqual({ by: "Enter the date" });
    expect(ask("?gate=lots").faults).toMatchObject({ gate: expect.stringContaining("whole number") });
  });

  test("come in three kinds", () => {
    const { plans } = ask("?gate=60&most=5.5");
    expect(plans?.map(({ kind }) => kind)).toEqual(["fast", "slow", "mature"]);
    for (const { orders } of plans!) expect(orders.reduce((sum, { birds }) => sum + birds, 0)).toBe(60);
  });
});
