import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { dryYield } from "#core/carcass-yield/dry-yield.ts";
import { freezeTime, PACK_SHAPES } from "#core/freezing/freeze-time.ts";
import { labelPrice, printedWeight } from "#core/label/label-price.ts";
import { packsOfPieces } from "#core/packing/packs-of-pieces.ts";
import { sealingTime } from "#core/packing/sealing-time.ts";
import { milligrams } from "#core/quantity/quantity.ts";
import { restWeight } from "#core/rest/rest-weight.ts";

export const PACKING_MODELS: Readonly<Record<string, Model>> = {
  "packs.fixed": model(
    z.object({
      pieces: z.record(z.string(), number),
      pieces_per_pack: z.record(z.string(), number),
    }),
    (of) => {
      const parts = Object.entries(of.pieces).map(
        ([part, pieces]) => [part, packsOfPieces(pieces, of.pieces_per_pack[part] ?? 1)] as const,
      );
      return {
        parts: Object.fromEntries(
          parts.map(([part, { packs, leftOver }]) => [part, { packs, left_over: leftOver }]),
        ),
        packs: parts.reduce((sum, [, { packs }]) => sum + packs, 0),
      };
    },
  ),

  "vacuum.time": model(
    z.object({ packs: number, packs_per_cycle: number, cycle_s: number, load_s: number }),
    (of) => ({
      ...sealingTime(of.packs, {
        packsPerCycle: of.packs_per_cycle,
        cycleSeconds: of.cycle_s,
        loadSeconds: of.load_s,
      }),
    }),
  ),

  "freeze.time": model(
    z.object({
      density_unfrozen: number,
      density_frozen: number,
      cp_unfrozen: number,
      cp_frozen: number,
      latent_j_per_kg: number,
      k_frozen: number,
      half_thickness_m: number,
      shape: z.union([z.literal(1), z.literal(2), z.literal(3)]),
      h_w_per_m2_k: number,
      start_c: number,
      centre_end_c: number,
      air_c: number,
      load_kg: number,
      freezer_w: number,
    }),
    (of) => {
      const answer = freezeTime({
        meat: {
          unfrozenKilogramPerCubicMeter: of.density_unfrozen,
          frozenKilogramPerCubicMeter: of.density_frozen,
          unfrozenJoulePerKilogramKelvin: of.cp_unfrozen,
          frozenJoulePerKilogramKelvin: of.cp_frozen,
          latentJoulePerKilogram: of.latent_j_per_kg,
          frozenWattPerMeterKelvin: of.k_frozen,
          centerEndCelsius: of.centre_end_c,
        },
        shape: PACK_SHAPES[of.shape - 1]!,
        halfThicknessMeters: of.half_thickness_m,
        airWattPerSquareMeterKelvin: of.h_w_per_m2_k,
        startCelsius: of.start_c,
        airCelsius: of.air_c,
        loadKilograms: of.load_kg,
        spareWatts: of.freezer_w,
      });
      return {
        mean_freezing_c: answer.meanFreezingCelsius,
        reachable: answer.possible,
        meat_hours: answer.possible ? answer.meatHours : null,
        freezer_hours: answer.possible ? answer.freezerHours : null,
        hours: answer.possible ? answer.hours : null,
        limited_by: answer.possible ? answer.limitedBy : null,
        heat_mj: answer.possible ? answer.heatJoules / 1e6 : null,
      };
    },
  ),

  "rest.weight": model(
    z.object({
      weight_kg: number,
      hours: number,
      drip_fraction: number,
      drying_fraction_per_day: number,
      cover_factor: number,
    }),
    (of) => {
      const answer = restWeight(of.weight_kg, {
        hours: of.hours,
        dripFraction: of.drip_fraction,
        dryingFractionPerDay: of.drying_fraction_per_day,
        coverFactor: of.cover_factor,
      });
      return { weight_kg: answer.weight, lost_fraction: answer.lostFraction };
    },
  ),

  "dry.yield": model(z.object({ wet_kg: number, water_in: number, water_out: number }), (of) => {
    const answer = dryYield(of.wet_kg, of.water_in, of.water_out);
    return { dry_kg: answer.dryKilograms, water_lost_kg: answer.waterLostKilograms };
  }),

  "label.price": model(
    z.object({
      gross_mg: number,
      tare_mg: number,
      steps_per_unit: number,
      unit_mg: number,
      cents_per_unit: number,
    }),
    (of) => {
      const scale = { unitMilligrams: of.unit_mg, stepsPerUnit: of.steps_per_unit };
      const printed = printedWeight(milligrams(of.gross_mg), milligrams(of.tare_mg), scale);
      return {
        net_mg: printed.netMilligrams,
        shown_steps: printed.shownSteps,
        shown_units: printed.shownUnits,
        cents: labelPrice(printed, of.cents_per_unit, scale),
      };
    },
  ),
};
