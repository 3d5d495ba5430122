import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { bathHeatUp, bathLoss, bathThroughput } from "#core/scald/bath.ts";
import { scaldTime } from "#core/scald/scald-time.ts";

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
};
