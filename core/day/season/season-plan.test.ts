import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { addDays } from "#core/calendar/local-day.ts";
import { crewReach } from "#core/day/crew/crew-reach.ts";
import { OUR_PACE } from "#core/day/crew/own-pace.ts";
import { helper, MEANS, own } from "#core/day/plan/days-of-tests.ts";
import { chicksToOrder } from "#core/day/season/chicks-to-order.ts";
import { seasonDay } from "#core/day/season/season-day.ts";
import type { GroupFacts, SeasonFacts } from "#core/day/season/season-facts.ts";
import { seasonPlan } from "#core/day/season/season-plan.ts";
import { whenToGo } from "#core/day/season/when-to-go.ts";
import { flockPath } from "#core/growth/flock-path.ts";
import { checkSeason } from "#core/season/season-check.ts";
import { moveOf, movesOf, nextBest } from "#core/season/season-moves.ts";

const SATURDAY = 32;

const LOT: GroupFacts = {
  batchId: 1,
  name: "White",
  birds: 30,
  flock: { kind: "fast", maleShare: 0.5, hatchedOn: "2026-08-01", weighings: [] },
  feedCentsPerKilogram: own(84),
};
const MAREN = { ...helper(1, { handsPercent: 300 }), weekdayMask: SATURDAY };
const FACTS: SeasonFacts = {
  today: "2026-09-17",
  groups: [LOT],
  held: [],
  people: [MAREN],
  personDays: [],
  marks: [],
  bookings: [],
  pins: [],
  sizes: [],
  terms: {
    wholeCentsPerKilogram: own(1100),
    cutCentsPerKilogram: own(900),
    oddSizeOffPercent: own(15),
    leavingAWeek: own(5),
    longestLineMinutes: own(300),
    leastBirds: own(5),
    centsAnHour: own(1500),
    restDays: undefined,
    yearlyCap: undefined,
    hiredThing: "",
    hireCents: 0,
    mustBeBooked: false,
    strength: {
      "everyone-placed": { isFirm: false, cents: 1500 },
      "latest-age": { isFirm: false, cents: 500 },
      crew: { isFirm: true },
      "least-birds": { isFirm: true },
      "rest-room": { isFirm: false, cents: 60 },
      "freezer-room": { isFirm: true },
      "yearly-cap": { isFirm: true },
    },
  },
  means: MEANS,
  crewReach,
  cones: 4,
  tablePlaces: 3,
  rooms: { fridge: 40, freezer: 60, either: 0, frozenNow: 0, restingNow: [] },
  dressedByYear: {},
  highs: Array(300).fill(18),
};
const place = { latitude: 43.9, longitude: -71.6 };
const ask = (facts: SeasonFacts) =>
  whenToGo({
    facts,
    path: flockPath(facts.groups[0]!.flock),
    place,
    timeZone: "America/New_York",
    costSoFarCents: 10_000,
  });

describe("a day of the season", () => {
  test("has the people of its weekday, unless somebody said otherwise; the last word stands", () => {
    const said = (canCome: boolean) => ({ personId: 1, onDay: "2026-09-19", canCome, why: "" });
    const shut = (personDays: SeasonFacts["personDays"]) =>
      seasonDay({ ...FACTS, personDays }, "2026-09-19").shut;
    expect(shut([])).toBeUndefined();
    expect(shut([said(false)])).toBe("nobody");
    expect(shut([said(false), said(true)])).toBeUndefined();
    expect(seasonDay(FACTS, "2026-09-18").shut).toBe("nobody");
  });

  test("that is out is shut, or costs its price; one that is not booked is shut where that rule holds", () => {
    const mark = { fromOn: "2026-09-18", toOn: "2026-09-20", kind: "out" as const, what: "fair" };
    const marked = (priceCents: number | undefined) =>
      seasonDay({ ...FACTS, marks: [{ ...mark, priceCents }] }, "2026-09-19");
    const usual = seasonDay(FACTS, "2026-09-19").openCents;
    expect(marked(undefined).shut).toBe("out");
    expect(marked(2000)).toMatchObject({ shut: undefined, openCents: usual + 2000 });
    const terms = { ...FACTS.terms, hiredThing: "Drum plucker", mustBeBooked: true };
    const booking = { thing: "drum plucker", fromOn: "2026-09-19", toOn: "2026-09-19" };
    expect(seasonDay({ ...FACTS, terms }, "2026-09-19").shut).toBe("not-booked");
    expect(seasonDay({ ...FACTS, terms, bookings: [booking] }, "2026-09-19").shut).toBeUndefined();
  });

  test("takes fewer birds where the farm's own days were slow, or somebody may not kill", () => {
    const most = (change: Partial<SeasonFacts>) => seasonDay({ ...FACTS, ...change }, "2026-09-19").mostBirds;
    const usual = most({});
    expect(usual).toBeGreaterThan(30);
    const slow = most({ means: { ...FACTS.means, ownPace: { ...OUR_PACE, factor: 1.5 } } });
    // All but scald and plucker is hands' work: between as many and two thirds.
    expect(slow).toBeGreaterThan(usual / 1.5);
    expect(slow).toBeLessThan(usual);
    expect(most({ people: [{ ...MAREN, bornYear: 2014 }] })).toBe(0);
  });
});

describe("when to go", () => {
  test("recommends the row that comes to the most, of those with nothing firm against it", () => {
    const { rows, best, rival } = ask(FACTS);
    const open = rows.filter(({ against }) => against.length === 0);
    expect(rows[best!]!.netValueCents).toBe(Math.max(...open.map(({ netValueCents }) => netValueCents)));
    expect(rows[rival!]!.netValueCents).toBeLessThanOrEqual(rows[best!]!.netValueCents);
    expect(rows.every(({ day }, index) => index === 0 || day > rows[index - 1]!.day)).toBe(true);
  });

  test("at the price of feed that is said to turn it, both days come to the same", () => {
    const cheap = {
      ...FACTS,
      terms: { ...FACTS.terms, wholeCentsPerKilogram: own(420), cutCentsPerKilogram: own(300) },
    };
    const { rows, best, rival, breakEvenFeedCents } = ask(cheap);
    expect(breakEvenFeedCents).toBeDefined();
    const turned = ask({
      ...cheap,
      groups: [{ ...LOT, feedCentsPerKilogram: own(breakEvenFeedCents!) }],
    }).rows;
    const cents = (index: number) => turned.find(({ day }) => day === rows[index]!.day)!.netValueCents;
    expect(Math.abs(cents(best!) - cents(rival!))).toBeLessThanOrEqual(2);
  });

  test("says what speaks against a day: nobody, over, too old, no room, law", () => {
    const reasons = (change: Partial<SeasonFacts>) =>
      new Set(
        ask({ ...FACTS, ...change }).rows.flatMap(({ against }) => against.map(({ reason }) => reason)),
      );
    expect(reasons({ people: [] })).toContain("nobody");
    expect(reasons({ groups: [{ ...LOT, birds: 900 }] })).toContain("too-many");
    expect(reasons({})).toContain("too-old");
    expect(reasons({ highs: Array(300).fill(34) })).toContain("hot");
    const rules = ask({
      ...FACTS,
      terms: { ...FACTS.terms, yearlyCap: 20 },
      rooms: { ...FACTS.rooms, freezer: 10 },
    })
      .rows.flatMap(({ against }) => against)
      .flatMap((one) => (one.reason === "rule" ? [one.rule.rule] : []));
    expect(new Set(rules)).toEqual(new Set(["yearly-cap", "freezer-room"]));
  });
});

describe("the season's plan", () => {
  test("forgives what set days alone take longer than the rooms, and no more", () => {
    const held = [
      { dayId: 1, day: "2026-09-19", batchId: 2, batchName: "Red", birds: 70, cutUp: 0, restDays: 2 },
    ];
    const plan = seasonPlan({ ...FACTS, held });
    expect(checkSeason(plan.problem, { placements: [] }).broken.map(({ rule }) => rule)).toEqual([
      "everyone-placed",
    ]);
    const day = plan.days.findIndex((one) => one.day === "2026-09-19");
    const more = [{ group: 0, day, way: "whole" as const, birds: 10 }];
    const broken = checkSeason(plan.problem, { placements: more }).broken.filter(
      ({ rule }) => rule === "rest-room",
    );
    expect(broken.map(({ by }) => by)).toEqual([10, 10].slice(0, broken.length));
  });

  test("counts a pin only for a day to come and birds that are there", () => {
    const pin = (batchId: number, pinnedOn: string) => ({ batchId, pinnedOn, birds: 10 });
    const { problem } = seasonPlan({
      ...FACTS,
      pins: [pin(1, "2026-10-03"), pin(9, "2026-10-03"), pin(1, "2026-09-12")],
    });
    expect(problem.pins).toHaveLength(1);
  });

  test("a move there and back changes nothing, and its money is that of the season before and after", () => {
    const plan = seasonPlan(FACTS);
    const days = plan.problem.groups[0]!.options.filter(({ way }) => way === "whole").map(({ day }) => day);
    fc.assert(
      fc.property(fc.constantFrom(...days), fc.constantFrom(...days), (from, to) => {
        const answer = { placements: [{ group: 0, day: from, way: "whole" as const, birds: 30 }] };
        const there = moveOf(plan.problem, answer, 0, from, to)!;
        const cents = (placements: typeof answer) => checkSeason(plan.problem, placements).cents;
        expect(there.cents).toBeCloseTo(cents(there.answer as typeof answer) - cents(answer), 6);
        const back = moveOf(plan.problem, there.answer, 0, to, from)!;
        expect(back.answer).toEqual(answer);
        expect(back.cents + there.cents).toBeCloseTo(0, 6);
      }),
    );
    const answer = { placements: [{ group: 0, day: days[0]!, way: "whole" as const, birds: 30 }] };
    const moves = movesOf(plan.problem, answer, 0, days[0]!);
    expect(nextBest(moves)!.cents).toBe(Math.max(...moves.map(({ cents }) => cents)));
  });
});

describe("planning backwards", () => {
  const needs = [
    { what: "for the household", birds: 52, by: undefined },
    { what: "", birds: 12, by: "2026-12-24" },
  ];

  test("orders more chicks than birds, and every bird that was asked for", () => {
    for (const { orders } of chicksToOrder(FACTS, needs, undefined)) {
      expect(orders.reduce((sum, { birds }) => sum + birds, 0)).toBe(64);
      expect(orders.every(({ chicks, birds }) => chicks > birds)).toBe(true);
      expect(orders.every(({ birds }) => birds <= 60)).toBe(true);
    }
  });

  test("has dated birds killed and rested by their date, on a day with hands", () => {
    for (const { ageDays, orders } of chicksToOrder(FACTS, needs, undefined)) {
      const dated = orders.find(({ by }) => by !== undefined)!;
      expect(dated.processOn < "2026-12-24").toBe(true);
      expect(seasonDay(FACTS, dated.processOn).shut).toBeUndefined();
      expect(dated.hatchOn).toBe(addDays(dated.processOn, -ageDays));
      expect(dated.isTooLate).toBe(dated.orderOn < FACTS.today);
    }
  });

  test("says that a hatch is cold where the days' highs are, and proposes no day at Christmas or New Year", () => {
    const of = (highs: readonly number[]) => chicksToOrder({ ...FACTS, highs }, needs, undefined);
    const orders = of(Array(300).fill(8)).flatMap((plan) => plan.orders);
    expect(orders.filter(({ hatchOn }) => hatchOn >= FACTS.today).every((one) => one.coldCelsius === 8)).toBe(
      true,
    );
    expect(
      of(FACTS.highs)
        .flatMap((plan) => plan.orders)
        .some((one) => one.coldCelsius !== undefined),
    ).toBe(false);
    for (const { processOn } of orders) expect(processOn.slice(5)).not.toMatch(/^(12-2[45]|12-31|01-01)$/);
  });

  test("kills them younger where none may be bigger", () => {
    const [free, small] = [undefined, 2.0].map((most) => chicksToOrder(FACTS, needs, most)[0]!);
    expect(small!.ageDays).toBeLessThan(free!.ageDays);
    expect(small!.biggerShare).toBeLessThanOrEqual(0.05);
    expect(chicksToOrder(FACTS, needs, 0.6)[0]!.isAlwaysTooBig).toBe(true);
  });
});
