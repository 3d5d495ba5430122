import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { brineRecipe } from "#core/chill/brine.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import { chillTime, ONE_TERM_FOURIER } from "#core/chill/chill-time.ts";
import { fridgeChill } from "#core/chill/fridge-chill.ts";
import { iceNeed, tankRoom } from "#core/chill/ice-need.ts";

export const CHILL_MODELS: Readonly<Record<string, Model>> = {
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

  "chill.fridge": model(
    z.object({
      birds: number,
      carcass_kg: number,
      half_thickness_ref_m: number,
      h_w_per_m2_k: number,
      start_c: number,
      fridge_c: number,
      target_c: number,
      fridge_capacity_w: number,
    }),
    (of) => {
      const answer = fridgeChill({
        birds: of.birds,
        carcassKilograms: of.carcass_kg,
        surfaceCoefficient: of.h_w_per_m2_k,
        startCelsius: of.start_c,
        fridgeCelsius: of.fridge_c,
        targetCelsius: of.target_c,
        spareWatts: of.fridge_capacity_w,
        halfThicknessMeters: of.half_thickness_ref_m,
      });
      if (!answer) return { hours: null };
      const quotedHours = quotedChillHours(of.carcass_kg);
      return {
        conduction_h: answer.conductionHours,
        capacity_h: answer.capacityHours,
        hours: answer.hours,
        limited_by: answer.limitedBy,
        quoted_max_h: quotedHours,
        within_quoted_max: answer.hours <= quotedHours,
      };
    },
  ),

  "shop.brine": model(
    z.object({
      mode: z.enum(["brine", "equilibrium"]),
      salt_fraction: number,
      water_l: number,
      meat_kg: number,
      meat_water_fraction: number,
    }),
    (of) => {
      const answer = brineRecipe({
        aim: of.mode,
        saltFraction: of.salt_fraction,
        waterLiters: of.water_l,
        meatKilograms: of.meat_kg,
        meatWaterFraction: of.meat_water_fraction,
      });
      return {
        salt_kg: answer.saltKilograms,
        brine_strength_fraction: answer.strength,
        salinometer_deg: answer.salinometerDegrees,
        dissolves: answer.dissolves,
      };
    },
  ),
};
