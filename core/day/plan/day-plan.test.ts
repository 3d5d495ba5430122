import { describe, expect, test } from "vitest";
import { instantOf, localClock } from "#core/calendar/farm-time.ts";
import { dayPlan } from "#core/day/plan/day-plan.ts";
import {
  BASIS,
  CHOICES,
  choicesOf,
  MEANS,
  type OneLotChoices,
  ofOneLot,
  own,
} from "#core/day/plan/days-of-tests.ts";
import { planForDate, planInput } from "#core/day/plan/plan-for-date.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";
import { STATIONS, type Station } from "#core/processing-line/line-station.ts";
import type { Reckoning } from "#core/reckoning/reckoning.ts";

const ZONE = BASIS.timeZone;

function plan(
  day: string,
  time: string,
  change: Partial<OneLotChoices> = {},
  means: Partial<FarmMeans> = {},
  iceBagsInStock?: number,
) {
  const start = instantOf(day, time, ZONE);
  if (!start.exists) throw new Error("no such time");
  const basis = { ...BASIS, iceBagsInStock, means: { ...MEANS, ...means } };
  const planned = planForDate(basis, day, choicesOf({ ...CHOICES, startAt: start.at }, change));
  return { plan: ofOneLot(planned.plan), forecast: planned.plan.lots[0]!.forecast };
}

const clock = (at: Reckoning) => localClock(at.value, ZONE);

test("a lit pen's feed is pulled eight and a half hours before the first bird", () => {
  const { withdrawal } = plan("2026-09-19", "07:00").plan;
  expect(clock(withdrawal.feedOffAt)).toBe("22:30");
  expect(withdrawal.firstBirdHours.value).toBeCloseTo(8.5, 9);
  expect(withdrawal.share).toMatchObject({ inside: 31, tooShort: 0, tooLong: 0 });
});

test("in a dark pen it counts from dusk, and the birds longer than the window are counted", () => {
  const { plan: dark } = plan("2026-09-19", "07:00", {}, { arePensLit: false });
  expect(dark.withdrawal.isDuskBound).toBe(true);
  expect(clock(dark.withdrawal.feedOffAt)).toMatch(/^19:/);
  expect(dark.withdrawal.share.tooLong).toBeGreaterThan(0);
});

test("for an afternoon in a dark pen they are fed for half an hour at first light, not left empty since dusk", () => {
  // 14:30 less 8 h 30 is 06:00, just before first light.
  const { plan: afternoon } = plan("2026-09-19", "14:30", {}, { arePensLit: false });
  expect(afternoon.withdrawal.isDuskBound).toBe(false);
  expect(clock(afternoon.withdrawal.feedOffAt)).toMatch(/^06:3/);
  expect(afternoon.withdrawal.share.tooLong).toBe(0);
  expect(afternoon.withdrawal.share.inside).toBeGreaterThan(25);
});

test("hours off feed are hours gone by, also in the night that has one more", () => {
  const { withdrawal } = plan("2026-11-01", "07:00").plan;
  expect(withdrawal.firstBirdHours.value).toBeCloseTo(8.5, 9);
  // 07:00 less 8 h 30, and the clocks went back an hour at two.
  expect(clock(withdrawal.feedOffAt)).toBe("23:30");
});

test("breaks put the end off by their length and lengthen the last bird's wait", () => {
  const with30 = plan("2026-09-19", "07:00").plan;
  const with90 = plan("2026-09-19", "07:00", { breakMinutes: 90 }).plan;
  expect((with90.line.likelyAt.value - with30.line.likelyAt.value) / 60_000).toBeCloseTo(60, 9);
  expect(with90.withdrawal.share.longestHours - with30.withdrawal.share.longestHours).toBeGreaterThan(0.4);
});

test("it is safe to light the burner before it is likely enough, and 9 in 10 comes after an even chance", () => {
  const { heat, line } = plan("2026-09-19", "07:00").plan;
  if (!heat.burner.possible) throw new Error("the bath should get there");
  expect(heat.burner.safeAt.value).toBeLessThan(heat.burner.likelyAt.value);
  expect(line.nineInTenAt.value).toBeGreaterThan(line.likelyAt.value);
});

test("2 kW on a 15 A breaker asks for 20.8 A and is over it", () => {
  const { circuit } = plan("2026-09-19", "07:00").plan.heat;
  expect(circuit?.isOverloaded).toBe(true);
  expect(circuit?.neededAmps.value).toBeCloseTo(20.833, 3);
});

test("a bath too weak for its school says where it stops instead of when to light it", () => {
  const weak = { ...MEANS.scalder, powerWatts: own(300) };
  const { burner } = plan("2026-09-19", "07:00", {}, { scalder: weak }).plan.heat;
  expect(burner.possible).toBe(false);
  if (!burner.possible) expect(burner.ceiling.value).toBeLessThan(60);
});

test("birds up to be cut up come to their dressed weight, cut by cut", () => {
  const { plan: whole } = plan("2026-09-19", "07:00");
  const { plan: cut, forecast } = plan("2026-09-19", "07:00", { cutUp: 10 });
  expect(whole.cuts).toEqual([]);
  const sum = cut.cuts.reduce((running, { weight }) => running + weight.value, 0);
  expect(sum).toBeCloseTo(10 * forecast.dressed.value, 9);
});

test("every figure carries the numbers that went in and where they came from", () => {
  const { line, chill, withdrawal } = plan("2026-09-19", "07:00").plan;
  for (const figure of [line.likelyAt, chill.ice, chill.hours, withdrawal.feedOffAt]) {
    expect(figure.inputs.length).toBeGreaterThan(2);
    expect(figure.rule).not.toBe("");
  }
  expect(chill.ice.inputs.find(({ name }) => name === "water-temperature")).toMatchObject({
    value: 12,
    provenance: "farm-setting",
  });
});

test("what keeps the line from running is said, and the rest of the plan still answers", () => {
  const seat = (name: string, stations: readonly Station[]) => ({ personId: undefined, name, stations });
  const noGut = plan("2026-09-19", "07:00", {
    people: 2,
    crew: [seat("Tobias", ["cones", "scald", "pluck"]), seat("Oskar", ["feet", "pins", "rinse", "giblets"])],
  }).plan;
  expect(noGut.line.setup.faults).toEqual([{ what: "no-one-at", station: "gut", mayAnybody: true }]);
  expect(noGut.line.likelyAt.value).toBeGreaterThan(0);
  expect(noGut.withdrawal.share.inside).toBeGreaterThan(0);

  const early = plan("2026-09-19", "07:00", { breakAtMinute: 360 }).plan;
  expect(early.line.setup.faults).toEqual([{ what: "break-before-start" }]);
  const long = plan("2026-09-19", "07:00", { breakMinutes: 600 }).plan.line;
  expect(long.answer.stuckReplications).toBe(0);
  expect(long.faults).toEqual([{ what: "break-longer-than-work" }]);
  const late = plan("2026-09-19", "07:00", { breakAtMinute: 1320 }).plan.line;
  expect(late.faults).toEqual([{ what: "break-after-end" }]);
});

test("somebody who goes home before the birds are done leaves the day said to be stuck, and answered all the same", () => {
  const start = instantOf("2026-09-19", "07:00", ZONE);
  if (!start.exists) throw new Error("no such time");
  const pell = {
    id: 1,
    name: "Pell",
    handsPercent: 100,
    usesKnives: true,
    scalds: true,
    lifts: true,
    bornYear: undefined,
    besideAdult: [],
    fromMinute: undefined,
    toMinute: 7 * 60 + 20,
  };
  const basis = { ...BASIS, helpers: [pell] };
  const choices = choicesOf(
    { ...CHOICES, startAt: start.at },
    { birds: 20, people: 1, crew: [{ personId: 1, name: "Pell", stations: STATIONS }] },
  );
  const input = planInput(basis, "2026-09-19", choices);
  const { line } = dayPlan(input);
  expect(line.setup.faults).toEqual([{ what: "leaves-too-early" }]);
  expect(line.answer.chilledBirds).toBe(20);
});

test("the four schools are compared on the same mornings, and a second visit to the pens never leaves more outside", () => {
  const { methods, visits, pens, catching } = plan("2026-09-19", "07:00", { birds: 58, people: 2 }).plan;
  expect(methods.map(({ method }) => method)).toEqual(["short", "overnight", "grass_day", "grain_day"]);
  for (const { share } of methods) expect(share.inside + share.tooShort + share.tooLong).toBe(58);
  const [short, overnight] = methods;
  expect(overnight!.feedOffAt).toBeLessThan(short!.feedOffAt);
  expect(overnight!.shrinkKilograms).toBeGreaterThan(short!.shrinkKilograms);
  expect(pens.reduce((sum, { birds }) => sum + birds, 0)).toBe(58);
  const outside = visits.map(({ tooShort, tooLong }) => 3 * tooShort + tooLong);
  expect(outside).toEqual(outside.toSorted((one, other) => other - one));
  expect(outside[0]).toBeGreaterThan(0);
  expect(catching.reduce((sum, { birds }) => sum + birds, 0)).toBe(58);
  expect(catching.map(({ birds, crates }) => [birds, crates])).toEqual([
    [20, 2],
    [20, 2],
    [18, 2],
  ]);
});

test("a weak bath fails at a bird that is named, and what is enough of the ways out holds what the line asks", () => {
  const weak = { ...MEANS.scalder, powerWatts: own(1200) };
  const { bath, scald } = plan("2026-09-19", "07:00", { people: 6, tablePlaces: 4 }, { scalder: weak }).plan;
  expect(bath.failsAtBird).toBeGreaterThan(2);
  expect(bath.failsAtBird).toBeLessThanOrEqual(31);
  expect(bath.heldBirdsPerHour).toBeLessThan(bath.demandBirdsPerHour);
  for (const way of bath.remedies)
    expect(way.isEnough).toBe(way.birdsPerHour >= bath.demandBirdsPerHour - 1e-9);
  const power = bath.remedies.find(({ what }) => what === "more-power")!.watts!;
  const strong = { ...MEANS.scalder, powerWatts: own(power * 1.3) };
  const repaired = plan("2026-09-19", "07:00", { people: 6, tablePlaces: 4 }, { scalder: strong }).plan.bath;
  expect(repaired.failsAtBird).toBeUndefined();
  expect(repaired.remedies).toEqual([]);
  expect(scald.bath.value).toBe(60);
});

describe("the tanks by the hour", () => {
  const day = (
    change: Partial<OneLotChoices> = {},
    means: Partial<FarmMeans> = {},
    iceBagsInStock?: number,
  ) => plan("2026-09-19", "07:00", change, means, iceBagsInStock).plan;

  test("melt no ice before they are filled, all of the plan's by the last bird, and never less by a later hour", () => {
    const { chill, tanks } = day();
    expect(tanks.hours[0]!.fromMinute).toBe(-60);
    expect(tanks.hours.at(-1)!.meltedKilograms).toBeCloseTo(chill.ice.value, 6);
    expect(tanks.hours.at(-1)).toMatchObject({ birdsIn: 31, coldBirds: 31 });
    for (const [index, hour] of tanks.hours.slice(1).entries()) {
      expect(hour.meltedKilograms).toBeGreaterThanOrEqual(tanks.hours[index]!.meltedKilograms);
      expect(hour.coldBirds).toBeLessThanOrEqual(hour.birdsIn);
    }
  });

  test("run out of ice at the hour at which so much has melted, and not where there is enough", () => {
    const { bags } = day().chill;
    expect(day({}, {}, bags.value).tanks.iceOutMinute).toBeUndefined();
    expect(day().tanks.iceOutMinute).toBeUndefined();
    const short = day({}, {}, 2).tanks;
    const before = short.hours.findLast(({ meltedKilograms }) => meltedKilograms < 2 * 9.07)!;
    expect(short.iceOutMinute).toBeGreaterThan(before.fromMinute + 60 - 1);
    expect(short.iceOutMinute).toBeLessThan(before.fromMinute + 120 + 1);
  });

  test("need fewer bags where the farm freezes jugs of its own", () => {
    const jugs = { ownIce: { jugKilograms: 18.2, madeKilograms: 0 } };
    expect(day().chill.bags.value - day({}, jugs).chill.bags.value).toBeGreaterThanOrEqual(2);
  });

  test("are full when their last place is taken, and chill a light bird before a heavy one", () => {
    const small = day({}, { tankLiters: own(60) });
    const room = small.chill.tank.birdsThatFit.value;
    expect(small.tanks.fullMinute).toBe(small.line.answer.chills[room - 1]!.p50);
    expect(day().tanks.fullMinute).toBeUndefined();
    expect(small.tanks.lightest.hours).toBeLessThan(small.tanks.heaviest.hours);
  });

  test("take salt by weight for a brine, and none without", () => {
    const { brine, tank: _tank } = day({ brineFraction: 0.012 }).chill;
    // s/(1-s) of the water and of the meat's own, 0.8 and 0.72 of its weight.
    const meat = brine!.waterLiters / 0.8;
    expect(brine!.salt.value).toBeCloseTo((0.012 / 0.988) * (0.8 + 0.72) * meat, 9);
    expect(brine!.dissolves).toBe(true);
    expect(day().chill.brine).toBeUndefined();
  });
});

describe("what is done with the birds", () => {
  const line = (change: Partial<OneLotChoices>) =>
    plan("2026-09-19", "07:00", { breakMinutes: 0, ...change }).plan.line;

  test("takes longer with feet kept, in rain, or packed on the same day, which needs its stations", () => {
    const usual = line({});
    expect(line({ keepsFeet: true }).lineMinutes).toBeGreaterThan(usual.lineMinutes);
    expect(line({ isRainExpected: true }).lineMinutes).toBeGreaterThan(1.1 * usual.lineMinutes);
    const packed = line({ packsSameDay: true, cutUp: 6 });
    expect(packed.cleanAt.value).toBeGreaterThan(packed.likelyAt.value + 2 * 3_600_000);
    expect(Object.keys(packed.answer.stations)).toEqual(expect.arrayContaining(["pack", "cut", "seal"]));
    expect(Object.keys(usual.answer.stations)).not.toContain("pack");
  });
});
