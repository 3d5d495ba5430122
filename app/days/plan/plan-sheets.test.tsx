import { describe, expect, test } from "vitest";
import { PlanCautions } from "#app/days/plan/cautions/plan-cautions.tsx";
import { PlanAnswer } from "#app/days/plan/plan-answer.tsx";
import { at, DAY, planned, STRONG, seat, sheetSaid } from "#app/days/plan/planned-of-tests.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { IN_KILOGRAMS, IN_POUNDS } from "#app/ui/said-of-tests.tsx";
import { showFor } from "#app/words/show.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { helper, own } from "#core/day/plan/days-of-tests.ts";

describe("what is wrong with a plan", () => {
  const cautions = (of: ReturnType<typeof planned>, now = 0, reading = IN_POUNDS) =>
    sheetSaid(<PlanCautions />, of, { around: { at: now }, reading });

  test("is nothing on a day that goes well", () => {
    expect(cautions(planned())).toBe("");
  });

  test("is a young person at a blade, who works there only with an adult beside them", () => {
    const child = helper(1, { name: "Wren", bornYear: 2013, besideAdult: ["feet"] });
    const crew = [
      { ...seat("Wren", ["feet", "pins"]), personId: 1 },
      seat("Maren", ["gut", "rinse", "giblets"]),
    ];
    const front = seat("Tobias", ["cones", "scald", "pluck"]);
    const words = cautions(planned({ people: 3, crew: [...crew, front] }, {}, { helpers: [child] }));
    expect(words).toContain("Wren works at feet and heads only with Maren beside them.");
    expect(words).not.toContain("No one is at");
  });

  test("is a station without anybody, and whether anybody who comes may stand there", () => {
    const front = seat("Tobias", ["cones", "scald", "pluck"]);
    const back = seat("Oskar", ["pins", "rinse", "giblets"]);
    expect(cautions(planned({ people: 2, crew: [front, back] }))).toContain(
      "No one is at evisceration. Move someone there, or add a helper.",
    );
    const child = helper(1, { name: "Juno", bornYear: 2015 });
    const alone = planned(
      { people: 1, crew: [{ ...seat("Juno", ["pins"]), personId: 1 }] },
      {},
      {
        helpers: [child],
      },
    );
    expect(cautions(alone)).toContain("No one coming may work at cones. Add a helper who may");
    expect(cautions(alone)).toContain("No one coming may work at evisceration.");
    expect(cautions(alone)).not.toContain("may stand at rinse");
  });

  test("is an element that its breaker can't carry, in amps", () => {
    const circuit = { volts: 120, breakerAmps: 15 };
    const weak = planned({}, { scalder: { ...STRONG, powerWatts: own(2000), circuit } });
    // 2,000 W over 120 V, and a quarter more for hours of it.
    expect(cautions(weak)).toContain("The element needs 20.8 A and the breaker is 15 A. Use another circuit");
  });

  test("is water that never gets hot enough, in the farm's degrees", () => {
    const cold = planned({}, { scalder: { ...STRONG, powerWatts: own(300) } });
    expect(cautions(cold)).toMatch(
      /The water never gets hot enough\. At this power it levels off at [\d.]+ °F/,
    );
    expect(cautions(cold, 0, IN_KILOGRAMS)).toMatch(/levels off at [\d.]+ °C/);
  });

  test("is the dark, where clean-up ends after sunset", () => {
    const late = planned({ startAt: at("16:30") });
    expect(cautions(late)).toMatch(
      /It gets dark\. \d+ of 20 fit\. Cleanup ends at \d+:\d\d PM; sunset is at 6:49 PM/,
    );
    expect(cautions(planned({ startAt: at("10:00") }))).not.toContain("dark");
  });

  test("is the feed's hour gone by, until the first bird is killed", () => {
    const day = planned();
    const words = "The time to pull the feed has passed: ";
    expect(cautions(day, at("07:00") - HOUR)).toContain(words);
    expect(cautions(day, at("07:00") - 12 * HOUR)).not.toContain(words);
    expect(cautions(day, at("07:00") + HOUR)).not.toContain(words);
  });

  test("is birds outside the window, as a count and never a percentage", () => {
    const slow = planned({ birds: 58, people: 2 });
    const { tooShort, tooLong } = slow.lot.withdrawal.share;
    expect(tooShort + tooLong).toBeGreaterThan(0);
    expect(cautions(slow)).toContain(`${tooShort + tooLong} birds of 58 outside the withdrawal window:`);
    expect(cautions(slow)).not.toContain("%");
  });

  test("is tanks that must be filled again, or that hold no bird at all", () => {
    const small = planned({}, { tankLiters: own(60) });
    const { birdsThatFit, fillsNeeded } = small.planned.plan.chill.tank;
    expect(cautions(small)).toContain(`The tanks hold ${birdsThatFit.value} of 20.`);
    expect(cautions(small)).toContain(`fill them ${fillsNeeded} times`);
    expect(fillsNeeded).toBe(Math.ceil(20 / birdsThatFit.value));
    expect(cautions(planned({}, { tankLiters: own(2) }))).toContain("too small for a single bird");
  });
});

describe("what speaks against a date", () => {
  const ines = { id: 1, name: "Ines", weekdayMask: 0b1111111 };
  const crew = [{ ...seat("Ines", ["cones", "scald", "pluck", "gut", "rinse"]), personId: 1 }];
  const withInes = () => planned({ people: 3, crew }, {}, { helpers: [helper(1, { name: "Ines" })] });
  const cautions = (of: ReturnType<typeof planned>, around: Partial<AroundDay>) =>
    sheetSaid(<PlanCautions />, of, { around });

  test("is someone of the crew who can't come, and someone who is no longer on the list", () => {
    const wedding = {
      entryId: "1",
      personId: 1,
      onDay: DAY,
      canCome: false,
      source: "typed" as const,
      why: "a wedding",
    };
    expect(cautions(withInes(), { people: [ines], personDays: [wedding] })).toContain(
      "Ines can't come on Saturday, September 19 (a wedding).",
    );
    // Saturday is the sixth bit from Monday on.
    expect(cautions(withInes(), { people: [{ ...ines, weekdayMask: 0b0011111 }] })).toContain(
      "Ines can't come on Saturday, September 19.",
    );
    expect(cautions(withInes(), { people: [ines] })).not.toContain("Ines");
    expect(cautions(withInes(), { people: [] })).toContain("Ines is no longer on your list of people");
  });

  test("is a marked date, another day on it before it is saved, and a start before the sun", () => {
    const mark = { fromOn: "2026-09-18", toOn: DAY, kind: "out" as const, what: "Holiday" };
    expect(cautions(planned(), { marks: [mark] })).toContain("You marked this date as unavailable: Holiday.");
    const other = {
      id: 7,
      processedOn: DAY,
      startAt: at("08:00"),
      lots: [{ birds: 12, batchName: "Red 1" }],
    };
    expect(cautions(planned(), { otherDays: [other], savedOn: undefined })).toContain(
      "There is another day on this date: 12 birds of Red 1, from 8:00 AM.",
    );
    expect(cautions(planned(), { otherDays: [other], savedOn: DAY })).not.toContain("another day");
    expect(cautions(planned({ startAt: at("05:30") }), {})).toMatch(
      /The first bird is killed .+ before sunrise, 6:\d\d AM/,
    );
  });

  test("is how many birds fit, with a way to take so many and to plan the others", () => {
    const full = [{ name: "Kitchen", capacity: 30, stored: 18, canFreeze: false }];
    const words = cautions(planned(), { places: full });
    expect(words).toContain("Room to rest 12 of 20.");
    expect(words).toContain("Take 12");
    expect(words).toContain("Save 12 and plan 8 birds for another day");
    expect(cautions(planned(), { longestLineMinutes: 30 })).toMatch(/\d+ of 20 are done within 30 min/);
  });
});

describe("the answer", () => {
  test("gives hours by the farm's clock and temperatures in its degrees", () => {
    const {
      lot: { scald },
      planned: {
        plan: { line },
      },
    } = planned();
    const show = showFor(IN_POUNDS);
    const us = sheetSaid(<PlanAnswer />, planned());
    expect(us).toContain(`9 in 10 by ${show.time(line.nineInTenAt.value)}`);
    expect(us).toContain("140 °F");
    expect(us).toContain("Heavy bird below 40 °F");
    expect(scald.bath.value).toBe(60);
    const metric = sheetSaid(<PlanAnswer />, planned(), { reading: IN_KILOGRAMS });
    expect(metric).toContain("60 °C");
    expect(metric).toContain("Heavy bird below 4.4 °C");
    expect(metric).toContain("skin tears after 67 °C");
  });
});
