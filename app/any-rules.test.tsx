import fc from "fast-check";
import { beforeAll, expect, test } from "vitest";
import { callRoute, post } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { rulesFields, rulesForm } from "#app/season/rules/rules-form.ts";
import { HERE } from "#app/server/farm/here-of-tests.ts";
import { nonsenseIn, opened } from "#app/ui/said-of-tests.tsx";

/*
 * Whatever binds a season and is priced, the pages that reckon with it say numbers. The clock stands at Thursday 17
 * September 2026.
 */
const rules = await import("#app/season/rules/rules.tsx");
const addSize = await import("#app/season/rules/add-size.tsx");
const addPerson = await import("#app/season/people/people.tsx");
const weather = await import("#app/season/dates/say-weather.tsx");
const booking = await import("#app/season/dates/add-booking.tsx");
const mark = await import("#app/season/dates/add-mark.tsx");
const pages = {
  batch: await import("#app/batches/batch.tsx"),
  season: await import("#app/season/calendar/season.tsx"),
  rules,
  dates: await import("#app/season/dates/dates.tsx"),
  people: addPerson,
  chicks: await import("#app/season/chicks/chicks.tsx"),
  days: await import("#app/days/days.tsx"),
};

beforeAll(() => makeFarmOfTests(HERE.file));

const money = fc.constantFrom("", "0", "0.01", "5.25", "999");
const count = (...some: string[]) => fc.constantFrom("", "0", ...some);
const tick = fc.constantFrom("", "on");
const anyRules = fc.record({
  whole: money,
  cut: money,
  oddSizeOffPercent: count("10", "100", "101"),
  leavingAWeekCount: count("3", "100000"),
  longestLineHours: count("0.5", "4", "20"),
  leastBirdsCount: count("1", "200"),
  restDaysCount: count("2", "14"),
  yearlyCapCount: count("1", "1000"),
  hiredThing: fc.constantFrom("", "Drum plucker"),
  hireCents: money,
  mustBeBooked: tick,
  everyonePlacedCents: money,
  latestAgeCents: money,
  crewCents: money,
  leastBirdsCents: money,
  restRoomCents: money,
  freezerRoomCents: money,
  yearlyCapCents: money,
});
const day = fc.constantFrom("2026-09-19", "2026-10-03", "2026-11-01", "2026-09-01", "");
const anyDates = fc.record({
  size: fc.record({
    who: fc.constantFrom("the inn", ""),
    least: fc.constantFrom("", "3 8", "9 0"),
    most: fc.constantFrom("", "5 0"),
    birdCount: count("12"),
  }),
  person: fc.record({
    name: fc.constantFrom("Wren", ""),
    handsPercent: count("5", "80", "300"),
    saturday: tick,
  }),
  spell: fc.record({
    fromOn: day,
    toOn: day,
    mean: fc.constantFrom("", "-39", "0", "104", "130"),
    what: fc.constantFrom("", "thunder"),
  }),
  mark: fc.record({
    kind: fc.constantFrom("out", "market", "note", ""),
    fromOn: day,
    toOn: day,
    what: fc.constant("fair"),
  }),
  booking: fc.record({ thing: fc.constantFrom("Drum plucker", ""), fromOn: day, toOn: day }),
});

test("any rules, sizes, people and dates are kept or asked about, and leave pages that can be read", async () => {
  let sent = 0;
  const kept = new Set<string>();
  await fc.assert(
    fc.asyncProperty(anyRules, anyDates, async (typed, dates) => {
      const send = async (what: string, route: (args: never) => unknown, fields: object, query = "") => {
        sent += 1;
        const form = post({ entryId: `any-rules-${sent}`, ...(fields as Record<string, string>) });
        const request = new Request(`${form.url}${query}`, form);
        const { status } = await callRoute(route, request);
        expect([what, [303, 422].includes(status)]).toEqual([what, true]);
        if (status === 303) kept.add(what);
      };
      await send("rules", rules.action, typed, `?seen=${HERE.file.season.setting().revision}`);
      await send("size", addSize.action, dates.size);
      await send("person", addPerson.action, dates.person);
      await send("weather", weather.action, dates.spell);
      await send("mark", mark.action, dates.mark);
      await send("booking", booking.action, dates.booking);

      // What stands, opened and saved again, stands as it was.
      const { revision: _revision, ...setting } = HERE.file.season.setting();
      expect(rulesForm("us").parse(rulesFields(setting, "us"))).toEqual(setting);
      for (const [leaf, page] of Object.entries(pages))
        expect([leaf, nonsenseIn(opened(page, { params: { batchId: "1" } }))]).toEqual([leaf, undefined]);
    }),
    { numRuns: 40 },
  );
  expect([...kept]).toEqual(
    expect.arrayContaining(["rules", "size", "person", "weather", "mark", "booking"]),
  );
});
