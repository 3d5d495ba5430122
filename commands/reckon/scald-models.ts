import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { bathHeatUp, bathLoss, bathThroughput } from "#core/scald/bath.ts";
import { bathDay, bathDunk } from "#core/scald/bath-day.ts";
import { scaldTime } from "#core/scald/scald-time.ts";
import { doseBy, secondsToDose } from "#core/scald/scald-trace.ts";
import { scaldVerdict } from "#core/scald/scald-verdict.ts";

const drawFields = {
  bird_heated_fraction: number,
  bird_cp_j_per_kg_k: number,
  bird_start_c: number,
  carry_out_kg_per_kg_live: number,
};
const drawFrom = (of: Readonly<Record<keyof typeof drawFields, number>>) => ({
  heatedFraction: of.bird_heated_fraction,
  joulePerKilogramKelvin: of.bird_cp_j_per_kg_k,
  startCelsius: of.bird_start_c,
  carryOutKilogramPerKilogramLive: of.carry_out_kg_per_kg_live,
});

export const SCALD_MODELS: Readonly<Record<string, Model>> = {
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
      /** Only says whether the propane is asked for; the efficiency is given. */
      fuel: z.enum(["electric", "propane"]).optional(),
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
      ...drawFields,
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
        draw: drawFrom(of),
      });
      return {
        net_w: answer.netWatts,
        joule_per_bird: answer.joulePerBird,
        birds_per_hour: answer.birdsPerHour,
      };
    },
  ),

  "scald.trace": model(
    z.object({
      t_ref_c: number,
      z_c: number,
      t_floor_c: number,
      trace_s_c: z.array(z.tuple([number, number])),
      target_eq_s: number,
      at_s: number,
    }),
    (of) => {
      const trace = {
        readings: of.trace_s_c.map(([seconds, celsius]) => ({ seconds, celsius })),
        scale: { referenceCelsius: of.t_ref_c, zCelsius: of.z_c, floorCelsius: of.t_floor_c },
      };
      return {
        dose_eq_s: doseBy(of.at_s, trace),
        seconds_to_target: secondsToDose({ ...trace, targetSeconds: of.target_eq_s }) ?? null,
      };
    },
  ),

  "scald.verdict": model(
    z.object({
      dose_eq_s: number,
      target_eq_s: number,
      max_c: number,
      under_ratio: number,
      over_ratio: number,
      skin_ceiling_c: number,
      cuticle_limit_c: number,
    }),
    (of) => {
      const answer = scaldVerdict({
        doseSeconds: of.dose_eq_s,
        targetSeconds: of.target_eq_s,
        peakCelsius: of.max_c,
        underRatio: of.under_ratio,
        overRatio: of.over_ratio,
        skinCeilingCelsius: of.skin_ceiling_c,
        cuticleLimitCelsius: of.cuticle_limit_c,
      });
      return {
        ratio: answer.ratio,
        verdict: answer.verdict.replace("-", "_"),
        cuticle_likely_kept: answer.isCuticleLikelyKept,
      };
    },
  ),

  "bath.dunk": model(
    z.object({
      water_kg: number,
      vessel_j_per_k: number,
      power_w: number,
      efficiency: number,
      ua_w_per_k: number,
      ambient_c: number,
      bath_c: number,
      set_c: number,
      birds: number,
      live_kg: number,
      tap_c: number,
      top_up: z.boolean(),
      ...drawFields,
    }),
    (of) => {
      const answer = bathDunk({
        bath: {
          waterKilograms: of.water_kg,
          vesselJoulePerKelvin: of.vessel_j_per_k,
          powerWatts: of.power_w,
          efficiency: of.efficiency,
          lossWattPerKelvin: of.ua_w_per_k,
          ambientCelsius: of.ambient_c,
        },
        bathCelsius: of.bath_c,
        setCelsius: of.set_c,
        birds: of.birds,
        liveKilograms: of.live_kg,
        tapCelsius: of.tap_c,
        isToppedUp: of.top_up,
        draw: drawFrom(of),
      });
      return {
        after_birds_c: answer.afterBirdsCelsius,
        after_dunk_c: answer.afterDunkCelsius,
        sag_k: answer.sagKelvin,
        water_out_kg: answer.waterOutKilograms,
        recovery_s: answer.recoverySeconds ?? null,
      };
    },
  ),

  "bath.day": model(
    z.object({
      water_kg: number,
      vessel_j_per_k: number,
      power_w: number,
      efficiency: number,
      ua_heatup_w_per_k: number,
      ua_working_w_per_k: number,
      ambient_c: number,
      fill_c: number,
      set_c: number,
      tap_c: number,
      birds: number,
      live_kg: number,
      working_h: number,
      top_up: z.boolean(),
      /** Only says whether the propane is asked for; the efficiency is given. */
      fuel: z.enum(["electric", "propane"]).optional(),
      ...drawFields,
    }),
    (of) => {
      const answer = bathDay({
        bath: {
          waterKilograms: of.water_kg,
          vesselJoulePerKelvin: of.vessel_j_per_k,
          powerWatts: of.power_w,
          efficiency: of.efficiency,
          ambientCelsius: of.ambient_c,
        },
        heatUpLossWattPerKelvin: of.ua_heatup_w_per_k,
        workingLossWattPerKelvin: of.ua_working_w_per_k,
        fillCelsius: of.fill_c,
        setCelsius: of.set_c,
        tapCelsius: of.tap_c,
        birds: of.birds,
        liveKilograms: of.live_kg,
        workingHours: of.working_h,
        isToppedUp: of.top_up,
        draw: drawFrom(of),
      });
      return {
        heatup_kwh: answer.heatUpKilowattHours ?? null,
        working_kwh: answer.workingKilowattHours,
        total_kwh: answer.totalKilowattHours ?? null,
        duty: answer.duty,
        keeps_up: answer.keepsUp,
        ...(of.fuel === "propane" && { propane_kg: answer.propaneKilograms ?? null }),
      };
    },
  ),
};
