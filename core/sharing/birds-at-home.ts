import { LOSS_A_WEEK } from "#core/growth/wait.ts";

/** Of a dressed bird, and what of that is left after cooking; a serving, kg. Choices. See docs/sources.md#sharing. */
const MEAT_FRACTION = 0.66;
const LEFT_AFTER_COOKING = 0.75;
const SERVING_KILOGRAMS = 0.115;

/** A batch of fast birds is usually processed at this age. */
const WEEKS_RAISED = 8;

/** Servings of cooked meat from one bird, the frame aside; at least 1. @param kilograms dressed */
export const servingsOfBird = (kilograms: number): number =>
  Math.max(1, Math.round((kilograms * MEAT_FRACTION * LEFT_AFTER_COOKING) / SERVING_KILOGRAMS));

/** Chicks to order so that, after ordinary losses, so many fast birds are left to process. */
export const chicksFor = (birds: number): number => Math.ceil(birds / (1 - LOSS_A_WEEK.fast) ** WEEKS_RAISED);
