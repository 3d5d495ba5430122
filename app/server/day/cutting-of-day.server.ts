import { lotsToPack } from "#app/server/day/packs-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { LotOfDay } from "#app/server/farm/required.server.ts";
import { type CutList, type CutPart, type CutWork, cutList, USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import { CUT_MINUTES, HOME_COOK_MINUTES, SEALER } from "#core/cutting/cutting-constants.ts";
import type { OwnShares } from "#core/cutting/own-shares.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { CutPlan } from "#db/pack/cutting-queries.server.ts";

/** Where nobody has said: a knife, and a sealer that takes one pack at a time. */
const USUAL_PLAN: CutPlan = {
  schemeId: undefined,
  personId: undefined,
  tool: "knife",
  isHomeCook: false,
  packsPerCycle: 1,
};

export interface CuttingOfDay {
  readonly plan: CutPlan;
  /** Undefined where our proposal stands. */
  readonly entryId: string | undefined;
  readonly scheme: readonly CutPart[];
  readonly lots: readonly {
    readonly id: number;
    readonly batchName: string;
    readonly cutUp: number;
    readonly list: CutList;
  }[];
}

/**
 * What a day's birds to be cut up should make, lot by lot: each is packed apart.
 *
 * @param own what the farm's own packs say of its cuts; without it the usual shares stand
 */
export function cuttingOfDay(
  here: FarmContext,
  day: ProcessingDay,
  lots: readonly LotOfDay[],
  own: OwnShares = new Map(),
): CuttingOfDay {
  const saved = here.file.cutting.cutPlan(day.id);
  const plan = saved ?? USUAL_PLAN;
  const scheme = here.file.cutting.schemes().find(({ id }) => id === plan.schemeId)?.parts ?? USUAL_SCHEME;
  const carcasses = here.file.pack.carcasses(day.id);
  const ours = plan.isHomeCook ? HOME_COOK_MINUTES : CUT_MINUTES[plan.tool];
  const work: CutWork = {
    minutesPerBird: { value: ours, provenance: "our-estimate" },
    sealer: { ...SEALER, packsPerCycle: plan.packsPerCycle },
    own,
  };
  return {
    plan,
    entryId: saved?.entryId,
    scheme,
    lots: lotsToPack(here, day, lots, carcasses).map((lot, index) => {
      // Until a bird was weighed, the day's plan says how many go to the knife.
      const cutUp = carcasses.length > 0 ? lot.cutUp : lots[index]!.cutUp;
      return {
        id: lot.id,
        batchName: lot.batchName,
        cutUp,
        list: cutList(cutUp, scheme, lot.means, work),
      };
    }),
  };
}
