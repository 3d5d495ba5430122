import { z } from "zod";
import { expectedCuts } from "#core/carcass-yield/expected-cuts.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime, ONE_TERM_FOURIER } from "#core/chill/chill-time.ts";
import { iceNeed, tankRoom } from "#core/chill/ice-need.ts";
import { feedEatenKilograms } from "#core/growth/feed-eaten.ts";
import { ageForWeight, dailyGainAt, type GrowthCurve, liveWeightAt } from "#core/growth/growth-curve.ts";
import { learnedScale, weightForecast } from "#core/growth/growth-update.ts";
import { mixedFlock } from "#core/growth/sex-mix.ts";
import { liveKilograms } from "#core/quantity/quantity.ts";
import { circuitLoad } from "#core/safety/circuit.ts";
import { bathHeatUp, bathLoss, bathThroughput } from "#core/scald/bath.ts";
import { scaldTime } from "#core/scald/scald-time.ts";
import { bestFeedOff } from "#core/withdrawal/feed-off.ts";
import { feedShare } from "#core/withdrawal/feed-share.ts";

export type Answer = Readonly<Record<string, unknown>>;
/** Checks the inputs of a case and works it out. @throws {ZodError} or {RangeError} on inputs that make no sense. */
export type Model = (inputs: unknown) => Answer;

function model<Schema extends z.ZodType>(schema: Schema, run: (inputs: z.output<Schema>) => Answer): Model {
  return (inputs) => run(schema.parse(inputs));
}

const number = z.number();
const curveFields = { A_kg: number, k_per_d: number, ti_d: number, scale: number.default(1) };
const curveFrom = (of: { A_kg: number; k_per_d: number; ti_d: number; scale: number }): GrowthCurve => ({
  asymptoteKilograms: of.A_kg,
  ratePerDay: of.k_per_d,
  inflectionDays: of.ti_d,
  scale: of.scale,
});
const withdrawalFields = {
  window_h: z.tuple([number, number]),
  shrink_pct_per_h: z.tuple([number, number]),
  shrink_break_h: number,
  first_kill_h: number,
  interval_min: number,
  birds: number.int(),
};
const ruleFrom = (of: { window_h: [number, number]; shrink_pct_per_h: [number, number] }) => ({
  windowHours: of.window_h,
  shrinkPercentPerHour: of.shrink_pct_per_h,
});
const killsFrom = (of: { first_kill_h: number; interval_min: number; birds: number }) => ({
  firstKillHours: of.first_kill_h,
  intervalHours: of.interval_min / 60,
  birds: of.birds,
});
const inKilograms = (weights: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(weights).map(([part, weight]) => [`${part}_kg`, weight]));

/** Every model that the core can work out, by its name in a file of cases. */
export const MODELS: Readonly<Record<string, Model>> = {
  "scald.constant": model(
    z.object({
      t_ref_c: number,
      z_c: number,
      t_floor_c: number,
      bath_c: number,
      target_eq_s: number,
      under_ratio: number,
      over_ratio: number,
      skin_ceiling_c: number,
    }),
    (of) => {
      const answer = scaldTime({
        bathCelsius: of.bath_c,
        targetSeconds: of.target_eq_s,
        underRatio: of.under_ratio,
        overRatio: of.over_ratio,
        skinCeilingCelsius: of.skin_ceiling_c,
        scale: { referenceCelsius: of.t_ref_c, zCelsius: of.z_c, floorCelsius: of.t_floor_c },
      });
      return {
        rate: answer.rate,
        reachable: answer.seconds !== undefined,
        seconds: answer.seconds ?? null,
        seconds_earliest: answer.secondsEarliest ?? null,
        seconds_latest: answer.secondsLatest ?? null,
        skin_danger: answer.isSkinInDanger,
      };
    },
  ),

  "bath.ua": model(
    z.object({
      u_surface_w_per_m2_k: number,
      surface_m2: number,
      u_wall_w_per_m2_k: number,
      wall_m2: number,
    }),
    (of) => ({
      ua_w_per_k: bathLoss(
        { coefficient: of.u_surface_w_per_m2_k, area: of.surface_m2 },
        { coefficient: of.u_wall_w_per_m2_k, area: of.wall_m2 },
      ),
    }),
  ),

  "bath.heatup": model(
    z.object({
      water_kg: number,
      vessel_j_per_k: number,
      power_w: number,
      efficiency: number,
      ua_w_per_k: number,
      ambient_c: number,
      fill_c: number,
      set_c: number,
      fuel: z.enum(["electric", "propane"]),
    }),
    (of) => {
      const bath = {
        waterKilograms: of.water_kg,
        vesselJoulePerKelvin: of.vessel_j_per_k,
        powerWatts: of.power_w,
        efficiency: of.efficiency,
        lossWattPerKelvin: of.ua_w_per_k,
        ambientCelsius: of.ambient_c,
      };
      const answer = bathHeatUp(bath, of.fill_c, of.set_c);
      return {
        heat_capacity_j_per_k: answer.heatCapacityJoulePerKelvin,
        ceiling_c: answer.ceilingCelsius,
        reachable: answer.seconds !== undefined,
        seconds: answer.seconds ?? null,
        energy_kwh: answer.energyKilowattHours ?? null,
        ...(of.fuel === "propane" && { propane_kg: answer.propaneKilograms ?? null }),
      };
    },
  ),

  "bath.throughput": model(
    z.object({
      power_w: number,
      efficiency: number,
      ua_w_per_k: number,
      ambient_c: number,
      set_c: number,
      live_kg: number,
      tap_c: number,
      top_up: z.boolean(),
      bird_heated_fraction: number,
      bird_cp_j_per_kg_k: number,
      bird_start_c: number,
      carry_out_kg_per_kg_live: number,
    }),
    (of) => {
      const answer = bathThroughput({
        bath: {
          powerWatts: of.power_w,
          efficiency: of.efficiency,
          lossWattPerKelvin: of.ua_w_per_k,
          ambientCelsius: of.ambient_c,
        },
        setCelsius: of.set_c,
        liveKilograms: of.live_kg,
        tapCelsius: of.tap_c,
        isToppedUp: of.top_up,
        draw: {
          heatedFraction: of.bird_heated_fraction,
          joulePerKilogramKelvin: of.bird_cp_j_per_kg_k,
          startCelsius: of.bird_start_c,
          carryOutKilogramPerKilogramLive: of.carry_out_kg_per_kg_live,
        },
      });
      return {
        net_w: answer.netWatts,
        joule_per_bird: answer.joulePerBird,
        birds_per_hour: answer.birdsPerHour,
      };
    },
  ),

  "ice.mass": model(
    z.object({
      birds: number,
      carcass_kg: number,
      carcass_start_c: number,
      carcass_end_c: number,
      water_kg: number,
      tap_c: number,
      bath_c: number,
      ua_w_per_k: number,
      ambient_c: number,
      hours: number,
      ice_c: number,
      margin: number,
      bag_kg: number,
    }),
    (of) => {
      const answer = iceNeed({
        birds: of.birds,
        carcassKilograms: of.carcass_kg,
        carcassStartCelsius: of.carcass_start_c,
        carcassEndCelsius: of.carcass_end_c,
        waterKilograms: of.water_kg,
        tapCelsius: of.tap_c,
        bathCelsius: of.bath_c,
        lossWattPerKelvin: of.ua_w_per_k,
        ambientCelsius: of.ambient_c,
        hours: of.hours,
        iceCelsius: of.ice_c,
        margin: of.margin,
        bagKilograms: of.bag_kg,
      });
      return {
        carcass_j: answer.carcassJoules,
        water_j: answer.waterJoules,
        wall_j: answer.wallJoules,
        cold_per_kg_ice_j: answer.coldPerKilogramJoules,
        ice_kg_balance: answer.balanceKilograms,
        ice_kg: answer.iceKilograms,
        ice_per_carcass_kg: answer.iceKilograms / (of.birds * of.carcass_kg),
        bags: answer.bags,
      };
    },
  ),

  "ice.tank": model(
    z.object({
      carcass_kg: number,
      tank_l: number,
      water_ratio: number,
      ice_ratio: number,
      headroom: number,
    }),
    (of) => {
      const answer = tankRoom(of.carcass_kg, of.tank_l, {
        waterRatio: of.water_ratio,
        iceRatio: of.ice_ratio,
        headroom: of.headroom,
      });
      return { litres_per_bird: answer.litersPerBird, birds_that_fit: answer.birdsThatFit };
    },
  ),

  "chill.time": model(
    z.object({
      carcass_kg: number,
      half_thickness_ref_m: number,
      h_w_per_m2_k: number,
      start_c: number,
      medium_c: number,
      target_c: number,
    }),
    (of) => {
      const { finish, ...slab } = chillTime({
        carcassKilograms: of.carcass_kg,
        surfaceCoefficient: of.h_w_per_m2_k,
        startCelsius: of.start_c,
        mediumCelsius: of.medium_c,
        targetCelsius: of.target_c,
        halfThicknessMeters: of.half_thickness_ref_m,
      });
      const shape = {
        half_thickness_m: slab.halfThicknessMeters,
        biot: slab.biot,
        lambda1: slab.lambda,
        a1: slab.amplitude,
      };
      if (!finish) return { ...shape, reachable: false, seconds: null };
      const quotedHours = quotedChillHours(of.carcass_kg);
      return {
        ...shape,
        reachable: true,
        fourier: finish.fourier,
        one_term_valid: finish.fourier > ONE_TERM_FOURIER,
        seconds: finish.seconds,
        hours: finish.seconds / 3600,
        mean_c_at_finish: finish.meanCelsius,
        quoted_max_h: quotedHours,
        within_quoted_max: finish.seconds / 3600 <= quotedHours,
      };
    },
  ),

  "feed.share": model(
    z.object({
      ...withdrawalFields,
      feed_off_h: number,
      dark_from_h: number.optional(),
      dark_to_h: number.optional(),
    }),
    (of) => {
      const dark =
        of.dark_from_h === undefined || of.dark_to_h === undefined
          ? undefined
          : { fromHours: of.dark_from_h, toHours: of.dark_to_h };
      const answer = feedShare({
        rule: ruleFrom(of),
        kills: killsFrom(of),
        feedOffHours: of.feed_off_h,
        dark,
        shrinkBreakHours: of.shrink_break_h,
      });
      return {
        effective_off_h: answer.effectiveOffHours,
        inside: answer.inside,
        too_short: answer.tooShort,
        too_long: answer.tooLong,
        share_inside: answer.inside / of.birds,
        shortest_h: answer.shortestHours,
        longest_h: answer.longestHours,
        mean_shrink_pct: answer.meanShrinkPercent,
        mean_tissue_loss_pct: answer.meanTissueLossPercent,
      };
    },
  ),

  "feed.optimal": model(z.object({ ...withdrawalFields, buffer_h: number }), (of) => {
    const rule = ruleFrom(of);
    const kills = killsFrom(of);
    const best = bestFeedOff(rule, kills, of.buffer_h);
    const share = feedShare({
      rule,
      kills,
      feedOffHours: best.feedOffHours,
      shrinkBreakHours: of.shrink_break_h,
    });
    return {
      feed_off_h: best.feedOffHours,
      span_h: best.spanHours,
      slack_h: best.slackHours,
      all_fit: best.allFit,
      inside: share.inside,
      too_short: share.tooShort,
      too_long: share.tooLong,
      mean_shrink_pct: share.meanShrinkPercent,
      most_birds_in_one_window: best.mostBirdsInOneWindow,
    };
  }),

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
      const flock = mixedFlock(liveWeightAt(of.age_d, curveFrom(of)), {
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
        z.object({ age_d: number, n: number.int(), mean_kg: number, sd_kg: number.nullable() }),
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
      const forecast = weightForecast(of.forecast_age_d, curve, learned, of.drift_sd_ln_per_sqrt_d);
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
      const eaten = feedEatenKilograms(of.age_d, curve, need);
      const nextWeek = feedEatenKilograms(of.age_d + 7, curve, need) - eaten;
      return {
        weight_kg: weight,
        feed_kg: eaten,
        fcr: eaten / (weight - liveWeightAt(0, curve)),
        next_week_feed_kg: nextWeek,
        next_week_fcr: nextWeek / (liveWeightAt(of.age_d + 7, curve) - weight),
      };
    },
  ),

  "yield.cuts": model(
    z.object({
      live_kg: number,
      dressed_fraction: number,
      cuts_of_dressed: z.record(z.string(), number),
      offal_of_live: z.record(z.string(), number),
      cooked_meat_of_raw_frame: number,
    }),
    (of) => {
      const answer = expectedCuts(liveKilograms(of.live_kg), of.dressed_fraction, {
        ofDressed: of.cuts_of_dressed,
        ofLive: of.offal_of_live,
        cookedMeatOfRawFrame: of.cooked_meat_of_raw_frame,
      });
      return {
        dressed_kg: answer.dressed,
        cuts: inKilograms(answer.cuts),
        offal: inKilograms(answer.offal),
        picked_cooked_kg: answer.pickedCookedKilograms,
        sold_fraction_of_live: answer.soldFractionOfLive,
      };
    },
  ),

  "shop.circuit": model(
    z.object({
      loads: z.array(z.object({ power_w: number, continuous: z.boolean(), power_factor: number })),
      volts: number,
      breaker_a: number,
      phases: z.union([z.literal(1), z.literal(3)]),
    }),
    (of) => {
      const loads = of.loads.map((load) => ({
        powerWatts: load.power_w,
        isContinuous: load.continuous,
        powerFactor: load.power_factor,
      }));
      const answer = circuitLoad(loads, { volts: of.volts, breakerAmps: of.breaker_a, phases: of.phases });
      return {
        amps: answer.amps,
        breaker_needed_a: answer.breakerNeededAmps,
        overload: answer.isOverloaded,
        spare_continuous_w: answer.spareContinuousWatts,
      };
    },
  ),
};
