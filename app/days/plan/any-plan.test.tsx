import fc from "fast-check";
import { expect, test } from "vitest";
import { PlanCautions } from "#app/days/plan/cautions/plan-cautions.tsx";
import { ChillSheet } from "#app/days/plan/chill/chill-sheet.tsx";
import { stationPages } from "#app/days/plan/line/station-words.ts";
import { PlanAnswer, PlanDetail } from "#app/days/plan/plan-answer.tsx";
import { PlanShown } from "#app/days/plan/plan-context.tsx";
import { ScaldSheet } from "#app/days/plan/scald/scald-sheet.tsx";
import { WeatherSheet } from "#app/days/plan/weather/weather-sheet.tsx";
import { WithdrawalSheet } from "#app/days/plan/withdrawal/withdrawal-sheet.tsx";
import { IN_KILOGRAMS, IN_POUNDS, nonsenseIn, said } from "#app/ui/said-of-tests.tsx";
import { showFor } from "#app/words/show.ts";
import { clockOfMinute, instantOf } from "#core/calendar/farm-time.ts";
import { addDays, dayNumber } from "#core/calendar/local-day.ts";
import { BASIS, CHOICES, helper, LOT, MEANS, own } from "#core/day/plan/days-of-tests.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import { SCALD_METHODS } from "#core/scald/scald-constants.ts";
import { WITHDRAWAL_METHODS } from "#core/withdrawal/withdrawal-constants.ts";

/*
 * Whatever a farm has and someone chooses, the plan answers, and no page says a number that is none. Days lie on both
 * sides of the clock's changes, 8 March and 1 November.
 */

const whole = (min: number, max: number) => fc.integer({ min, max });
const setting = (min: number, max: number) => fc.double({ min, max, noNaN: true }).map(own);

const anyBasis: fc.Arbitrary<PlanBasis> = fc
  .record({
    day: fc.constantFrom("2026-03-08", "2026-06-20", "2026-11-01", "2026-12-21"),
    latitude: fc.constantFrom(0, 43.9, -36.8, 69.6),
    scalder: fc.record({
      waterLiters: setting(5, 400),
      powerWatts: setting(200, 12_000),
      heat: fc.constantFrom("electric" as const, "propane" as const),
      isLidded: fc.boolean(),
      isInsulated: fc.boolean(),
      fillCelsius: setting(0, 40),
      scaldAtOnce: whole(1, 4),
      circuit: fc.option(fc.constant({ volts: 120, breakerAmps: 15 }), { nil: undefined }),
    }),
    pluckAtOnce: whole(1, 4),
    ambientCelsius: setting(-20, 45),
    tapCelsius: setting(1, 30),
    tankLiters: setting(1, 1500),
    ownIce: fc.record({ jugKilograms: whole(0, 60), madeKilograms: whole(0, 30) }),
    arePensLit: fc.boolean(),
    iceBagsInStock: fc.option(whole(0, 40), { nil: undefined }),
    batches: fc.array(
      fc.record({
        kind: fc.constantFrom(...BIRD_KINDS),
        ageDays: whole(20, 220),
        pens: fc.constantFrom([], [{ name: "east", birds: 3 }], [{ name: "east", birds: 90 }]),
      }),
      { minLength: 3, maxLength: 3 },
    ),
  })
  .map(({ batches, day, latitude, iceBagsInStock, ...means }) => ({
    ...BASIS,
    batches: batches.map(({ kind, ageDays, pens }, index) => ({
      batchId: index + 1,
      name: `Batch ${index + 1}`,
      aliveBirds: 90,
      pens,
      flock: { kind, maleShare: 0.5, hatchedOn: addDays(day, -ageDays), weighings: [] },
    })),
    helpers: [
      helper(1, { bornYear: 2014 }),
      helper(2, { usesKnives: false, fromMinute: 540, toMinute: 660 }),
    ],
    place: { latitude, longitude: -71.6 },
    means: { ...MEANS, ...means },
    iceBagsInStock,
    day,
  }));

const anyLot = fc
  .record({
    birds: whole(1, 60),
    cutUpShare: fc.constantFrom(0, 0.4, 1),
    scaldMethod: fc.constantFrom(...SCALD_METHODS),
    scaldCelsius: fc.constantFrom(undefined, undefined, 52, 66.5),
    withdrawalMethod: fc.constantFrom(...WITHDRAWAL_METHODS),
    whichBirds: fc.constantFrom("as-they-come" as const, "biggest" as const),
    keepsGiblets: fc.boolean(),
    keepsFeet: fc.boolean(),
  })
  .map(({ cutUpShare, ...lot }) => ({ ...LOT, ...lot, cutUp: Math.round(cutUpShare * lot.birds) }));

const anyChoices = fc.record({
  startMinute: whole(0, 1439),
  lots: fc.array(anyLot, { minLength: 1, maxLength: 3 }),
  people: whole(1, 6),
  cones: whole(1, 8),
  tablePlaces: whole(1, 4),
  pinPlaces: whole(1, 3),
  breakMinutes: fc.constantFrom(0, 30, 500),
  breakAtMinute: whole(0, 1439),
  packsSameDay: fc.boolean(),
  isRainExpected: fc.boolean(),
  pluckBy: fc.constantFrom("drum" as const, "hand" as const),
  changeWaterBirds: fc.option(whole(1, 60), { nil: undefined }),
  brineFraction: fc.option(fc.constantFrom(0.01, 0.06, 0.3), { nil: undefined }),
  crew: fc.array(
    fc.record({
      personId: fc.constantFrom(undefined, 1, 2, 99),
      name: fc.constant("Somebody"),
      stations: fc.shuffledSubarray([...STATIONS], { minLength: 1 }),
    }),
    { maxLength: 3 },
  ),
});

test("every plan answers, counts each of its birds once, and says no number that is none", () => {
  fc.assert(
    fc.property(anyBasis, anyChoices, fc.boolean(), (basis, { startMinute, lots, ...chosen }, isUs) => {
      const { day } = basis as PlanBasis & { day: string };
      const start = instantOf(day, clockOfMinute(startMinute), basis.timeZone);
      const startAt = start.exists
        ? start.at
        : (instantOf(day, start.next, basis.timeZone) as { at: number }).at;
      const choices = {
        ...CHOICES,
        ...chosen,
        startAt,
        lots: lots.map((lot, index) => ({ ...lot, batchId: index + 1 })),
      };
      const all = birdsOf(choices);
      const planned = planForDate(basis, day, choices);
      const { plan } = planned;

      for (const [index, lot] of plan.lots.entries()) {
        const { birds } = choices.lots[index]!;
        const { tooShort, tooLong, inside } = lot.withdrawal.share;
        expect(tooShort + tooLong + inside).toBe(birds);
        for (const parts of [lot.catching, lot.pens])
          expect(parts.reduce((sum, part) => sum + part.birds, 0)).toBe(birds);
      }
      expect(plan.line.likelyAt.value).toBeGreaterThan(startAt);
      expect(plan.line.nineInTenAt.value).toBeGreaterThanOrEqual(plan.line.likelyAt.value);
      expect(plan.line.cleanAt.value).toBeGreaterThanOrEqual(plan.line.likelyAt.value);
      const { stuckReplications, replications } = plan.line.answer;
      expect(stuckReplications * 10).toBeLessThanOrEqual(replications);
      expect(plan.tanks.hours.at(-1)).toMatchObject({ birdsIn: all, coldBirds: all });

      const around = {
        places: [{ name: "Barn", capacity: 30, stored: 2, canFreeze: true }],
        others: [{ day, birds: 8, restDays: 2 }],
        restDays: 2,
        hours: Array.from({ length: 24 }, (_, hour) => ({
          at: startAt + (hour - 8) * 3_600_000,
          rainMillimeters: hour % 5 === 2 ? 1.2 : 0,
          gustKilometersPerHour: 3 * hour,
          stormPercent: hour === 9 ? 60 : 0,
        })),
        weather: [
          {
            dayNumber: dayNumber(day),
            lowCelsius: -4,
            highCelsius: 35,
            meanCelsius: 15,
            source: "date" as const,
            spell: undefined,
          },
        ],
        centsPerKilogram: 900,
        forOthers: { rule: "", names: {} },
        longestLineMinutes: 90,
        people: [{ id: 1, name: "Ines", weekdayMask: 0 }],
        personDays: [],
        marks: [{ fromOn: day, toOn: day, kind: "out" as const, what: "Holiday" }],
        savedOn: undefined,
        otherDays: [{ id: 9, processedOn: day, startAt, lots: [{ birds: 3, batchName: "Red 1" }] }],
        at: startAt - 40 * 3_600_000,
      };
      const reading = isUs ? IN_POUNDS : IN_KILOGRAMS;
      const shown = { planned, basis, around, processedOn: day };
      const words = [
        <PlanCautions key="1" />,
        <PlanAnswer key="2" />,
        <PlanDetail key="3" />,
        <WithdrawalSheet key="4" />,
        <ScaldSheet key="5" />,
        <ChillSheet key="6" />,
        <WeatherSheet key="7" />,
      ].map((sheet) => said(<PlanShown {...shown}>{sheet}</PlanShown>, reading));
      words.push(JSON.stringify(stationPages(planned, showFor(reading))));
      for (const one of words) expect(nonsenseIn(one)).toBeUndefined();
    }),
    { numRuns: 60 },
  );
});
