import fc from "fast-check";
import ical from "ical.js";
import { beforeAll, expect, test } from "vitest";
import { callRoute } from "#app/call-route.ts";
import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { CONTEXT, HERE } from "#app/server/farm/here-of-tests.ts";
import { nonsenseIn, opened } from "#app/ui/said-of-tests.tsx";
import { clockOfMinute } from "#core/calendar/farm-time.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import { SCALD_METHODS } from "#core/scald/scald-constants.ts";
import { WITHDRAWAL_METHODS } from "#core/withdrawal/withdrawal-constants.ts";

/*
 * Whatever is chosen for a day is kept or asked about by its field, and all that follows from it can be read, printed
 * and taken along. The clock stands at Thursday, September 17 2026; the choices go past both changes of the clock.
 */
const plan = await import("#app/days/plan/plan.tsx");
const planJson = await import("#app/days/plan/file/plan-json.ts");
const pdf = await import("#app/days/plan/print/run-sheet-pdf.ts");
const seasonIcs = await import("#app/season/calendar/season-ics.ts");
const pages = {
  plan,
  needs: await import("#app/days/plan/supplies/needs.tsx"),
  tasks: await import("#app/days/plan/tasks/tasks.tsx"),
  beside: await import("#app/days/plan/compare/compare.tsx"),
  paper: await import("#app/days/plan/print/print-page.tsx"),
  "run sheet": await import("#app/days/plan/print/run-sheet.tsx"),
  stations: await import("#app/days/plan/print/station-sheets.tsx"),
  days: await import("#app/days/days.tsx"),
};

beforeAll(() => {
  makeFarmOfTests(HERE.file);
  for (const [index, name] of ["Wren", "Finch"].entries())
    HERE.file.people.addPerson(
      { entryId: `person-${index}-of-tests`, at: 0 },
      {
        name,
        weekdayMask: 96,
        handsPercent: 80,
        usesKnives: index === 0,
        scalds: true,
        lifts: true,
        bornYear: index === 0 ? undefined : 2013,
        besideAdult: index === 0 ? [] : ["feet"],
        fromMinute: index === 0 ? 480 : undefined,
        toMinute: index === 0 ? 660 : undefined,
      },
    );
});

const DAY = { dayId: "1" };
const whole = (min: number, max: number) => fc.integer({ min, max }).map(String);
/** Any hour that comes on every day of the year. */
const clock = fc
  .oneof(fc.integer({ min: 0, max: 119 }), fc.integer({ min: 180, max: 1439 }))
  .map(clockOfMinute);
const tick = fc.constantFrom("on", "");
const soundChoices = fc.record({
  "lots[0].batchId": fc.constant("1"),
  "lots[0].scaldBath": fc.constantFrom("", "140 °F", "64 °C"),
  processedOn: fc.constantFrom("2026-09-18", "2026-10-31", "2026-11-01", "2027-03-14"),
  startTime: clock,
  "lots[0].birdCount": whole(1, 15),
  "lots[0].cutUpCount": fc.constantFrom("0", "1"),
  peopleCount: whole(1, 6),
  coneCount: whole(1, 6),
  tablePlaceCount: whole(1, 4),
  breakMinutes: fc.constantFrom("0", "40", "600"),
  breakAt: clock,
  pinPlaceCount: whole(1, 3),
  "lots[0].scaldMethod": fc.constantFrom(...SCALD_METHODS),
  "lots[0].withdrawalMethod": fc.constantFrom(...WITHDRAWAL_METHODS),
  "lots[0].whichBirds": fc.constantFrom("as-they-come", "biggest"),
  "lots[0].keepsGiblets": tick,
  "lots[0].keepsFeet": tick,
  packsSameDay: tick,
  isRainExpected: tick,
  pluckBy: fc.constantFrom("drum", "hand"),
  changeWaterBirds: fc.constantFrom("", "1", "7"),
  brine: fc.constantFrom("", "1.2", "5"),
  crew: fc
    .array(
      fc.record({
        personId: fc.constantFrom(null, 1, 2),
        name: fc.constantFrom("Wren", "Finch", "Aunt"),
        stations: fc.shuffledSubarray([...STATIONS], { minLength: 1 }),
      }),
      { maxLength: 4 },
    )
    .map((seats) => JSON.stringify(seats)),
});

/** Every third sheet of choices has a slip in it. */
const anySlip = fc.oneof(
  { weight: 2, arbitrary: fc.constant({}) },
  fc.constantFrom(
    { processedOn: "2026-02-30" },
    { processedOn: "2026-06-01" },
    { processedOn: "2027-03-14", startTime: "02:30" },
    { startTime: "7" },
    { "lots[0].birdCount": "16" },
    { "lots[0].birdCount": "5000" },
    { "lots[0].birdCount": "ten" },
    { "lots[0].cutUpCount": "16" },
    { peopleCount: "0" },
    { coneCount: "0" },
    { breakMinutes: "601" },
    { "lots[0].scaldBath": "200" },
    { "lots[0].batchId": "2" },
    { brine: "9" },
    { brine: "1.25" },
    { crew: "[{}]" },
  ),
);

test("any choice of a day is kept or asked about, and all that follows from it can be read and taken along", async () => {
  let kept = 0;
  let sent = 0;
  await fc.assert(
    fc.asyncProperty(soundChoices, anySlip, async (sound, slip) => {
      const choices = { ...sound, ...slip };
      sent += 1;
      const { revision } = HERE.file.day(1)!;
      const request = new Request(`http://farm/days/1/plan?seen=${revision}`, {
        method: "POST",
        body: new URLSearchParams({ ...choices, entryId: `any-choice-${sent}` }),
      });
      const outcome = await callRoute(plan.action, request, DAY);
      expect([303, 422]).toContain(outcome.status);
      if (outcome.status === 422) {
        if (Object.keys(slip).length === 0) throw new Error(`refused: ${JSON.stringify(outcome)}`);
        // Every fault stands by a field that was sent, in words.
        for (const [field, words] of Object.entries(outcome.faults!)) {
          expect([...Object.keys(choices), ""]).toContain(field);
          expect(words.join("")).toMatch(/\w{3}/);
        }
        return;
      }
      expect(slip).toEqual({});
      kept += 1;
      for (const [leaf, page] of Object.entries(pages)) {
        expect([leaf, nonsenseIn(opened(page, { params: DAY }))]).toEqual([leaf, undefined]);
      }
      const file = await planJson.loader({ context: CONTEXT, params: DAY } as never).text();
      expect(JSON.parse(file)).toMatchObject({
        birds: Number(choices["lots[0].birdCount"]),
        start: choices.startTime,
      });
      const calendar = await (await seasonIcs.loader({ context: CONTEXT } as never)).text();
      const events = new ical.Component(ical.parse(calendar)).getAllSubcomponents("vevent");
      expect(events.length).toBeGreaterThan(0);
      for (const event of events)
        expect(event.getFirstPropertyValue("dtstart")!.toString()).toMatch(/^20\d\d-/);
      if (kept % 6 !== 1) return;
      const printed = await pdf.loader({ context: CONTEXT, params: DAY } as never);
      expect(
        Buffer.from(await printed.arrayBuffer())
          .subarray(0, 5)
          .toString(),
      ).toBe("%PDF-");
    }),
    { numRuns: 12 },
  );
  expect(kept).toBeGreaterThan(2);
});
