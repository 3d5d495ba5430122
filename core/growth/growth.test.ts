import fc from "fast-check";
import { expect, test } from "vitest";
import { feedEatenBy, flockOn } from "#core/growth/flock.ts";
import { GROWTH, GROWTH_LEARNING } from "#core/growth/growth-constants.ts";
import { ageForWeight, dailyGainAt, liveWeightAt } from "#core/growth/growth-curve.ts";
import { learnedScale, weightForecast } from "#core/growth/growth-update.ts";
import { mixedFlock } from "#core/growth/sex-mix.ts";

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
    weightForecast(age, curve, learned, GROWTH_LEARNING.driftSdLnPerRootDay).sdLn;
  expect(width(40)).toBeGreaterThan(width(35));
  expect(width(56)).toBeGreaterThan(width(40));
});

test("a flock of one sex has that sex's mean and spread", () => {
  const males = mixedFlock(3, { maleShare: 1, maleFactor: 1.1, femaleFactor: 0.9, cvWithinSex: 0.11 });
  expect(males.meanKilograms).toBeCloseTo(3.3, 12);
  expect(males.cv).toBeCloseTo(0.11, 12);
  expect(() => mixedFlock(3, { maleShare: 1.2, maleFactor: 1, femaleFactor: 1, cvWithinSex: 0.1 })).toThrow(
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
  expect(heavy.live.inputs.find(({ name }) => name === "birds weighed so far")).toMatchObject({
    value: 10,
    provenance: "measured",
  });
});
