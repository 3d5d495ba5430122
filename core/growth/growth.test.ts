import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { between, birdSpread, sizeClasses } from "#core/growth/bird-spread.ts";
import { feedEatenBy, flockOn } from "#core/growth/flock-forecast.ts";
import { flockPath } from "#core/growth/flock-path.ts";
import { GROWTH, GROWTH_LEARNING } from "#core/growth/growth-constants.ts";
import { ageForWeight, dailyGainAt, liveWeightAt } from "#core/growth/growth-curve.ts";
import { learnedScale, weightForecast } from "#core/growth/growth-update.ts";
import { flockOfSexes } from "#core/growth/sex-mix.ts";
import { takeLargest } from "#core/growth/take-largest.ts";
import { birdsToWeigh, weighInSummary } from "#core/growth/weigh-more.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { readWeight } from "#core/quantity/read-weight.ts";

const { curve } = GROWTH.fast;
const weighIn = fc.record({
  ageDays: fc.integer({ min: 21, max: 60 }),
  birds: fc.integer({ min: 1, max: 40 }),
  share: fc.double({ min: 0.7, max: 1.4, noNaN: true }),
});
const weighed = ({ ageDays, birds, share }: { ageDays: number; birds: number; share: number }) => ({
  ageDays,
  birds,
  meanKilograms: share * liveWeightAt(ageDays, curve),
});
const learn = (weighIns: Parameters<typeof learnedScale>[0]["weighIns"]) =>
  learnedScale({ curve, weighIns, cvPrior: 0.136, rate: GROWTH_LEARNING });

test("the gain is the slope of the curve, and the age for a weight leads back to it", () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 70, noNaN: true }), (age) => {
      const slope = (liveWeightAt(age + 1e-4, curve) - liveWeightAt(age - 1e-4, curve)) / 2e-4;
      expect(dailyGainAt(age, curve)).toBeCloseTo(slope, 6);
      expect(ageForWeight(liveWeightAt(age, curve), curve)).toBeCloseTo(age, 6);
    }),
  );
  expect(ageForWeight(7, curve)).toBeUndefined();
  expect(() => ageForWeight(0, curve)).toThrow("weight must be more than 0 kg, got 0");
});

test("what was learned lies between the curve and the scale, and tightens with more birds", () => {
  fc.assert(
    fc.property(weighIn, (one) => {
      const { scale, lnScaleSd } = learn([weighed(one)]);
      expect(scale).toBeGreaterThanOrEqual(Math.min(1, one.share) - 1e-12);
      expect(scale).toBeLessThanOrEqual(Math.max(1, one.share) + 1e-12);
      expect(learn([weighed({ ...one, birds: one.birds + 5 })]).lnScaleSd).toBeLessThan(lnScaleSd);
    }),
  );
});

test("the order in which weigh-ins were written down does not matter", () => {
  const distinct = fc.uniqueArray(weighIn, {
    selector: ({ ageDays }) => ageDays,
    minLength: 2,
    maxLength: 5,
  });
  fc.assert(
    fc.property(distinct, (several) => {
      const weighIns = several.map(weighed);
      expect(learn(weighIns.toReversed())).toEqual(learn(weighIns));
    }),
  );
});

test("a forecast further ahead is never surer", () => {
  const learned = learn([weighed({ ageDays: 35, birds: 10, share: 0.95 })]);
  const width = (age: number) =>
    weightForecast(age, liveWeightAt(age, curve), learned, GROWTH_LEARNING.driftSdLnPerRootDay).sdLn;
  expect(width(40)).toBeGreaterThan(width(35));
  expect(width(56)).toBeGreaterThan(width(40));
});

test("a flock of one sex has that sex's mean and spread", () => {
  const males = flockOfSexes(3, { maleShare: 1, maleFactor: 1.1, femaleFactor: 0.9, cvWithinSex: 0.11 });
  expect(males.meanKilograms).toBeCloseTo(3.3, 12);
  expect(males.cv).toBeCloseTo(0.11, 12);
  expect(() => flockOfSexes(3, { maleShare: 1.2, maleFactor: 1, femaleFactor: 1, cvWithinSex: 0.1 })).toThrow(
    "0 to 1, got 1.2",
  );
});

test("an unweighed straight run at 56 days is the curve, and its birds dress 72 hundredths of it", () => {
  const flock = { kind: "fast", maleShare: 0.5, hatchedOn: "2026-07-25", weighings: [] } as const;
  const { ageDays, live, dressed, isPastCurve } = flockOn("2026-09-19", flock);
  expect(ageDays).toBe(56);
  expect(live.value).toBeCloseTo(3.19905, 5);
  expect(dressed.value).toBeCloseTo(3.19905 * 0.72, 5);
  expect(isPastCurve).toBe(false);
  expect(flockOn("2026-10-10", flock).isPastCurve).toBe(true);
  // growth.feed of the worked cases: 6.6183795 kg at 56 days.
  expect(feedEatenBy("2026-09-19", flock)).toBeCloseTo(6.61838, 5);
  expect(feedEatenBy("2026-07-01", flock)).toBe(0);
});

test("heavier birds on the scale make a heavier forecast, and the working says how many were weighed", () => {
  const flock = { kind: "slow", maleShare: 0.5, hatchedOn: "2026-06-27" } as const;
  const weighings = (kilograms: number) =>
    Array.from({ length: 10 }, () => ({ weighedOn: "2026-09-05", kilograms }));
  const light = flockOn("2026-09-19", { ...flock, weighings: weighings(2.3) });
  const heavy = flockOn("2026-09-19", { ...flock, weighings: weighings(2.6) });
  expect(heavy.live.value).toBeGreaterThan(light.live.value);
  expect(heavy.live.inputs.find(({ name }) => name === "birds-weighed-so-far")).toMatchObject({
    value: 10,
    provenance: "measured",
  });
});

test("the same weights read in pounds or in kilograms teach the same", () => {
  const flock = { kind: "fast", maleShare: 0.5, hatchedOn: "2026-07-25" } as const;
  const typed = fc.array(fc.integer({ min: 300, max: 700 }), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(typed, (hundredths) => {
      const learned = (unit: "us" | "metric", text: (pounds: number) => string) =>
        flockPath({
          ...flock,
          weighings: hundredths.map((hundredth) => {
            const read = readWeight(text(hundredth / 100), unit);
            if (!read.readable) throw new Error("unreadable");
            return { weighedOn: "2026-09-10", kilograms: kilogramsFromMilligrams(read.weight) };
          }),
        }).learned.lnScale;
      const inPounds = learned("us", (pounds) => pounds.toFixed(2));
      const inKilograms = learned("metric", (pounds) => (pounds * 0.45359237).toFixed(6));
      expect(inKilograms).toBeCloseTo(inPounds, 5);
    }),
  );
});

test("a flock reaches a weight on the first day it weighs that, later in heat, and gains what a day adds", () => {
  const flock = { kind: "fast", maleShare: 0.5, hatchedOn: "2026-06-01", weighings: [] } as const;
  const hot = { from: "2026-06-01", celsius: Array<number>(90).fill(32) };
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 3.5, noNaN: true }), (kilograms) => {
      const [usual, held] = [flockPath(flock), flockPath({ ...flock, weather: hot })];
      const age = usual.ageAtKilograms(kilograms)!;
      expect(usual.at(age).meanKilograms).toBeGreaterThanOrEqual(kilograms);
      expect(usual.at(age - 1).meanKilograms).toBeLessThan(kilograms);
      expect(held.ageAtKilograms(kilograms) ?? Infinity).toBeGreaterThanOrEqual(age);
      const added = held.at(age + 0.5).meanKilograms - held.at(age - 0.5).meanKilograms;
      expect(held.dailyGainKilograms(age)).toBeCloseTo(added, 2);
    }),
  );
  expect(flockPath(flock).ageAtKilograms(40)).toBeUndefined();
});

test("a hot week holds birds back, and a cold one too; in the brooder neither does", () => {
  const flock = { kind: "fast", maleShare: 0.5, hatchedOn: "2026-07-01", weighings: [] } as const;
  const after = (from: string, celsius: number) =>
    flockOn("2026-08-26", { ...flock, weather: { from, celsius: Array(7).fill(celsius) } }).live.value;
  const mild = flockOn("2026-08-26", flock).live.value;
  expect(after("2026-08-12", 20)).toBeCloseTo(mild, 12);
  expect(after("2026-08-12", 30)).toBeLessThan(mild);
  expect(after("2026-08-12", 5)).toBeLessThan(mild);
  expect(after("2026-07-02", 35)).toBeCloseTo(mild, 12);
});

const straightRun = birdSpread(3, {
  maleShare: 0.5,
  maleFactor: 1.08,
  femaleFactor: 0.92,
  cvWithinSex: 0.11,
});

describe("the biggest of a flock", () => {
  test("of two birds of one sex are a standard deviation over the root of pi above the mean", () => {
    const cockerels = birdSpread(3, { maleShare: 1, maleFactor: 1, femaleFactor: 0.9, cvWithinSex: 0.1 });
    const { taken, left } = takeLargest(cockerels, 2, 1);
    expect(taken.meanKilograms).toBeCloseTo(3 + 0.3 / Math.sqrt(Math.PI), 6);
    expect(left.meanKilograms).toBeCloseTo(3 - 0.3 / Math.sqrt(Math.PI), 6);
    expect(taken.maleShare).toBe(1);
  });

  test("and those left are the whole flock: birds, weight and males add up", () => {
    const flock = fc
      .integer({ min: 1, max: 300 })
      .chain((birds) => fc.record({ birds: fc.constant(birds), taking: fc.integer({ min: 0, max: birds }) }));
    fc.assert(
      fc.property(flock, ({ birds, taking }) => {
        const { taken, left } = takeLargest(straightRun, birds, taking);
        expect(taken.birds + left.birds).toBe(birds);
        const sum = (of: (part: typeof taken) => number) => taken.birds * of(taken) + left.birds * of(left);
        expect(sum((part) => part.meanKilograms) / birds).toBeCloseTo(3, 5);
        expect(sum((part) => part.maleShare) / birds).toBeCloseTo(0.5, 5);
        if (taking > 0 && taking < birds) expect(taken.meanKilograms).toBeGreaterThan(left.meanKilograms);
      }),
    );
  });

  test("are as many thousand as few: the short cut for many birds meets the long way", () => {
    const mean = (birds: number) => takeLargest(straightRun, birds, birds / 2).taken.meanKilograms;
    expect(mean(2002)).toBeCloseTo(mean(2000), 4);
  });

  test("are mostly cockerels, and taking them leaves a lighter flock for later", () => {
    expect(takeLargest(straightRun, 62, 31).taken.maleShare).toBeGreaterThan(0.7);
    const flock = { kind: "fast", maleShare: 0.5, hatchedOn: "2026-07-01", weighings: [] } as const;
    const taking = { takenOn: "2026-08-26", birds: 31, ofBirds: 62 } as const;
    const later = (which: "biggest" | "as-they-come") =>
      flockOn("2026-09-02", { ...flock, takings: [{ ...taking, which }] }).live.value;
    expect(later("as-they-come")).toBeCloseTo(flockOn("2026-09-02", flock).live.value, 12);
    expect(later("biggest")).toBeLessThan(0.92 * later("as-they-come"));
    expect(() => takeLargest(straightRun, 10, 11)).toThrow("0 to 10, got 11");
  });
});

test("8 in 10 birds lie in a wider band than their mean does, and size classes hold every bird", () => {
  const forecast = flockOn("2026-09-05", {
    kind: "slow",
    maleShare: 0.5,
    hatchedOn: "2026-06-27",
    weighings: [],
  });
  expect(forecast.birdBand[0]).toBeLessThan(forecast.liveBand[0]);
  expect(forecast.birdBand[1]).toBeGreaterThan(forecast.liveBand[1]);
  expect(sizeClasses(straightRun, [2, 3, 4]).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
  expect(between(straightRun, -Infinity, Infinity)).toMatchObject({ share: 1, weight: expect.closeTo(3, 9) });
  expect(() => sizeClasses(straightRun, [3, 3])).toThrow("edges must rise, got 3, 3");
});

test("how many birds up to weigh: fewer for an even flock, never more than there are", () => {
  const flock = { birds: 60, cvUsual: 0.136, cvPriorBirds: 10 };
  const twoOunces = 0.0567;
  const summary = (weights: number[]) => weighInSummary(weights);
  const even = birdsToWeigh(summary([2.3, 2.31, 2.29, 2.3, 2.32, 2.3, 2.28, 2.3]), flock, twoOunces);
  const scrambled = birdsToWeigh(summary([1.8, 2.8, 2.0, 2.6, 1.7, 2.9, 2.2, 2.4]), flock, twoOunces);
  expect(even).toBeLessThan(scrambled);
  expect(scrambled).toBeLessThanOrEqual(60);
  // By hand: one bird of 2.3 kg leaves the usual 13.6 %: (1.281552 x 0.3128 / 0.0567)² = 49.98, of 60 birds 28.
  expect(birdsToWeigh(summary([2.3]), flock, twoOunces)).toBe(28);
  expect(() => weighInSummary([])).toThrow("needs a bird");
});
