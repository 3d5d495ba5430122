import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { packsPerBird, USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import {
  CUT_MINUTES,
  type CuttingWork,
  HOME_COOK_MINUTES,
  USUAL_CUTTING,
} from "#core/cutting/cutting-constants.ts";

/** How a day's birds are cut and sealed, as its cut list says; the usual way where no one has said. */
export function cuttingWork({ file }: FarmContext, dayId: number): CuttingWork {
  const plan = file.cutting.cutPlan(dayId);
  if (!plan) return USUAL_CUTTING;
  const scheme = file.cutting.schemes().find(({ id }) => id === plan.schemeId)?.parts ?? USUAL_SCHEME;
  return {
    minutesPerBird: plan.isHomeCook ? HOME_COOK_MINUTES : CUT_MINUTES[plan.tool],
    packsPerBird: packsPerBird(scheme),
    sealAtOnce: plan.packsPerCycle,
  };
}
