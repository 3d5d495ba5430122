import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { expectedCuts } from "#core/carcass-yield/expected-cuts.ts";
import { waterUptake } from "#core/carcass-yield/water-uptake.ts";
import { liveKilograms } from "#core/quantity/quantity.ts";
import { bleachFor } from "#core/safety/bleach.ts";
import { circuitLoad } from "#core/safety/circuit.ts";

const inKilograms = (weights: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(weights).map(([part, weight]) => [`${part}_kg`, weight]));

export const YIELD_AND_POWER_MODELS: Readonly<Record<string, Model>> = {
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

  "yield.water": model(
    z.object({
      max_fraction: number,
      tau_h: number,
      hours: number,
      drain_h: number,
      drain_kept_fraction: number,
      drain_tau_h: number,
      before_kg: number.optional(),
      after_kg: number.optional(),
    }),
    (of) => {
      const { atLift, afterDrain } = waterUptake({
        mostFraction: of.max_fraction,
        tauHours: of.tau_h,
        hours: of.hours,
        drainHours: of.drain_h,
        drainKeptFraction: of.drain_kept_fraction,
        drainTauHours: of.drain_tau_h,
      });
      return {
        uptake_fraction_at_lift: atLift,
        uptake_fraction_after_drain: afterDrain,
        ...(of.before_kg !== undefined && { after_kg: of.before_kg * (1 + afterDrain) }),
        ...(of.after_kg !== undefined && { before_kg: of.after_kg / (1 + afterDrain) }),
      };
    },
  ),

  "shop.chlorine": model(
    z.object({
      target_mg_per_l: number,
      final_l: number,
      hypochlorite_fraction: number,
      strength_left: number,
    }),
    (of) => {
      const answer = bleachFor({
        targetMilligramsPerLiter: of.target_mg_per_l,
        finalLiters: of.final_l,
        hypochloriteFraction: of.hypochlorite_fraction,
        strengthLeft: of.strength_left,
      });
      return {
        chlorine_g_per_l_bleach: answer.chlorineGramsPerLiter,
        bleach_ml: answer.bleachMilliliters,
        water_l: answer.waterLiters,
      };
    },
  ),
};
