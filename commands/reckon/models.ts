import { CHILL_MODELS } from "#commands/reckon/chill-models.ts";
import { COST_MODELS } from "#commands/reckon/cost-models.ts";
import { GROWTH_MODELS } from "#commands/reckon/growth-models.ts";
import { LEARNING_MODELS } from "#commands/reckon/learning-models.ts";
import type { Model } from "#commands/reckon/model.ts";
import { PACKING_MODELS } from "#commands/reckon/packing-models.ts";
import { SCALD_MODELS } from "#commands/reckon/scald-models.ts";
import { SHARING_MODELS } from "#commands/reckon/sharing-models.ts";
import { WITHDRAWAL_MODELS } from "#commands/reckon/withdrawal-models.ts";
import { YIELD_AND_POWER_MODELS } from "#commands/reckon/yield-and-power-models.ts";

/** Every model that the core can work out, by its name in a file of cases. */
export const MODELS: Readonly<Record<string, Model>> = {
  ...SCALD_MODELS,
  ...CHILL_MODELS,
  ...WITHDRAWAL_MODELS,
  ...GROWTH_MODELS,
  ...LEARNING_MODELS,
  ...YIELD_AND_POWER_MODELS,
  ...PACKING_MODELS,
  ...SHARING_MODELS,
  ...COST_MODELS,
};
