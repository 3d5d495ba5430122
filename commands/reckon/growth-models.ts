import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { birdSpread, sizeClasses, timesSpread } from "#core/growth/bird-spread.ts";
import { feedByDay } from "#core/growth/feed-eaten.ts";
import { ageForWeight, dailyGainAt, type GrowthCurve, liveWeightAt } from "#core/growth/growth-curve.ts";
import { learnedScale, weightForecast } from "#core/growth/growth-update.ts";
import { flockOfSexes } from "#core/growth/sex-mix.ts";
import { effectiveAge } from "#core/growth/temperature.ts";
import { wait } from "#core/growth/wait.ts";

const curveFields = { A_kg: number, k_per_d: number, ti_d: number, scale: number.default(1) };
const curveFrom = (of: { A_kg: number; k_per_d: number; ti_d: number; scale: number }): GrowthCurve => ({
  asymptoteKilograms: of.A_kg,
  ratePerDay: of.k_per_d,
  inflectionDays: of.ti_d,
  scale: of.scale,
});

export const GROWTH_MODELS: Readonly<Record<string, Model>> = {
  "growth.weight": model(z.object({ ...curveFields, age_d: number, target_kg: number.nullable() }), (of) => {
    const curve = curveFrom(of);
    return {
      weight_kg: liveWeightAt(of.age_d, curve),
      gain_kg_per_d: dailyGainAt(of.age_d, curve),
      age_for_target_d: of.target_kg === null ? null : (ageForWeight(of.target_kg, curve) ?? null),
    };
  }),

  "growth.mix": model(
    z.object({
      ...curveFields,
      male_factor: number,
      female_factor: number,
      age_d: number,
      male_share: number,
      cv_within_sex: number,
    }),
    (of) => {
      const flock = flockOfSexes(liveWeightAt(of.age_d, curveFrom(of)), {
        maleShare: of.male_share,
        maleFactor: of.male_factor,
        femaleFactor: of.female_factor,
        cvWithinSex: of.cv_within_sex,
      });
      return {
        male_kg: flock.maleKilograms,
        female_kg: flock.femaleKilograms,
        mean_kg: flock.meanKilograms,
        sd_kg: flock.sdKilograms,
        cv: flock.cv,
      };
    },
  ),

  "growth.update": model(
    z.object({
      ...curveFields,
      samples: z.array(
        z.object({ age_d: number, n: number.int(), mean_kg: number, sd_kg: number.nullable().optional() }),
      ),
      forecast_age_d: number,
      prior_sd_ln: number,
      drift_sd_ln_per_sqrt_d: number,
      weighing_bias_sd_ln: number,
      cv_prior: number,
      cv_prior_birds: number,
    }),
    (of) => {
      const curve = curveFrom(of);
      const learned = learnedScale({
        curve,
        weighIns: of.samples.map((sample) => ({
          ageDays: sample.age_d,
          birds: sample.n,
          meanKilograms: sample.mean_kg,
          sdKilograms: sample.sd_kg ?? undefined,
        })),
        cvPrior: of.cv_prior,
        rate: {
          priorSdLn: of.prior_sd_ln,
          driftSdLnPerRootDay: of.drift_sd_ln_per_sqrt_d,
          weighingBiasSdLn: of.weighing_bias_sd_ln,
          cvPriorBirds: of.cv_prior_birds,
        },
      });
      const forecast = weightForecast(
        of.forecast_age_d,
        liveWeightAt(of.forecast_age_d, curve),
        learned,
        of.drift_sd_ln_per_sqrt_d,
      );
      return {
        ln_scale: learned.lnScale,
        ln_scale_sd: learned.lnScaleSd,
        scale: learned.scale,
        forecast_kg: forecast.meanKilograms,
        forecast_low_kg: forecast.lowKilograms,
        forecast_high_kg: forecast.highKilograms,
        forecast_sd_ln: forecast.sdLn,
      };
    },
  ),

  "growth.feed": model(
    z.object({
      ...curveFields,
      kg_per_kg_gain: number,
      maint_kg_per_kg075_d: number,
      pasture_fraction: number,
      waste_fraction: number,
      age_d: number.int(),
    }),
    (of) => {
      const curve = curveFrom(of);
      const need = {
        kilogramsPerKilogramGain: of.kg_per_kg_gain,
        maintenanceKilogramsPerKilogram075Day: of.maint_kg_per_kg075_d,
        pastureFraction: of.pasture_fraction,
        wasteFraction: of.waste_fraction,
      };
      const weight = liveWeightAt(of.age_d, curve);
      const feed = feedByDay((age) => liveWeightAt(age, curve), need, of.age_d + 7);
      const eaten = feed[of.age_d]!;
      const nextWeek = feed[of.age_d + 7]! - eaten;
      return {
        weight_kg: weight,
        feed_kg: eaten,
        fcr: eaten / (weight - liveWeightAt(0, curve)),
        next_week_feed_kg: nextWeek,
        next_week_fcr: nextWeek / (liveWeightAt(of.age_d + 7, curve) - weight),
      };
    },
  ),

  "growth.temperature": model(
    z.object({
      ...curveFields,
      start_age_d: number,
      start_effective_age_d: number,
      mean_c_by_day: z.array(number),
      comfort_low_c: number,
      comfort_high_c: number,
      cold_slope_per_c: number,
      heat_slope_per_c: number,
      gain_floor: number,
      brooder_until_d: number,
    }),
    (of) => {
      const curve = curveFrom(of);
      const age = of.start_age_d + of.mean_c_by_day.length;
      const effective = effectiveAge(
        { ageDays: of.start_age_d, effectiveAgeDays: of.start_effective_age_d },
        of.mean_c_by_day,
        {
          comfortLowCelsius: of.comfort_low_c,
          comfortHighCelsius: of.comfort_high_c,
          coldSlopePerCelsius: of.cold_slope_per_c,
          heatSlopePerCelsius: of.heat_slope_per_c,
          gainFloor: of.gain_floor,
          brooderUntilDays: of.brooder_until_d,
        },
      );
      const weight = liveWeightAt(effective, curve);
      const without = liveWeightAt(of.start_effective_age_d + of.mean_c_by_day.length, curve);
      return {
        age_d: age,
        effective_age_d: effective,
        weight_kg: weight,
        weight_without_kg: without,
        lost_kg: without - weight,
      };
    },
  ),

  "growth.class": model(
    z.object({
      male_factor: number,
      female_factor: number,
      mean_live_kg: number,
      male_share: number,
      cv_within_sex: number,
      dressed_fraction: number,
      edges_dressed_kg: z.array(number),
      birds: number,
      forecast_sd_ln: number,
    }),
    (of) => {
      const mix = {
        maleShare: of.male_share,
        maleFactor: of.male_factor,
        femaleFactor: of.female_factor,
        cvWithinSex: of.cv_within_sex,
      };
      const live = birdSpread(of.mean_live_kg, mix, of.forecast_sd_ln);
      const probability = sizeClasses(timesSpread(live, of.dressed_fraction), of.edges_dressed_kg);
      return { probability, expected_birds: probability.map((share) => share * of.birds) };
    },
  ),

  "growth.wait": model(
    z.object({
      ...curveFields,
      kg_per_kg_gain: number,
      maint_kg_per_kg075_d: number,
      pasture_fraction: number,
      waste_fraction: number,
      age_d: number.int(),
      wait_d: number.int(),
      dressed_fraction: number,
      mortality_in_period: number,
      price_per_dressed_kg: number,
      feed_price_per_kg: number,
      other_cost_per_bird: number,
    }),
    (of) => {
      const curve = curveFrom(of);
      const need = {
        kilogramsPerKilogramGain: of.kg_per_kg_gain,
        maintenanceKilogramsPerKilogram075Day: of.maint_kg_per_kg075_d,
        pastureFraction: of.pasture_fraction,
        wasteFraction: of.waste_fraction,
      };
      const feed = feedByDay((age) => liveWeightAt(age, curve), need, of.age_d + of.wait_d);
      const dressedNow = of.dressed_fraction * liveWeightAt(of.age_d, curve);
      const dressedLater = of.dressed_fraction * liveWeightAt(of.age_d + of.wait_d, curve);
      const answer = wait({
        dressedNowKilograms: dressedNow,
        dressedLaterKilograms: dressedLater,
        feedKilogramsEach: feed[of.age_d + of.wait_d]! - feed[of.age_d]!,
        lossFraction: of.mortality_in_period,
        centsPerDressedKilogram: 100 * of.price_per_dressed_kg,
        centsPerFeedKilogram: 100 * of.feed_price_per_kg,
        otherCentsEach: 100 * of.other_cost_per_bird,
      });
      return {
        dressed_now_kg: dressedNow,
        dressed_later_kg: dressedLater,
        gain_dressed_kg_per_bird: answer.gainKilogramsEach,
        feed_kg_per_bird: answer.feedKilogramsEach,
        feed_per_dressed_kg: answer.feedKilogramsEach / answer.gainKilogramsEach,
        money_per_bird: answer.earnsCentsEach / 100,
      };
    },
  ),
};
