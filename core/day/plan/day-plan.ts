import { dressedWeight, expectedCuts } from "#core/carcass-yield/expected-cuts.ts";
import { CUT_SHARES, DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import { type BathOnDay, bathOnDay } from "#core/day/plan/bath-on-day.ts";
import { type ChillByHour, chillByHour } from "#core/day/plan/chill-by-hour.ts";
import { type ChillPlan, chillPlan } from "#core/day/plan/chill-plan.ts";
import { type DipPoint, dipCurve } from "#core/day/plan/dip-curve.ts";
import { type LinePlan, linePlan, type PlayLine } from "#core/day/plan/line-plan.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import { type HeatPlan, heatPlan, type ScaldPlan, scaldPlan } from "#core/day/plan/scald-plan.ts";
import {
  type CatchRound,
  catchRounds,
  type MethodOutcome,
  methodsCompared,
  type PenOfDay,
  partsOf,
  type VisitOutcome,
  visitsCompared,
} from "#core/day/plan/withdrawal-choices.ts";
import { type WithdrawalClash, withdrawalClashes } from "#core/day/plan/withdrawal-clash.ts";
import { type KilledLot, type WithdrawalPlan, withdrawalPlan } from "#core/day/plan/withdrawal-plan.ts";
import { liveKilograms } from "#core/quantity/quantity.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

/** What follows for one lot. */
export interface LotPlan extends Pick<LotInput, "batchName" | "kind" | "choices"> {
  readonly forecast: LotInput["flock"];
  /** Birds of the day that are killed before its first. */
  readonly birdsBefore: number;
  readonly scald: ScaldPlan;
  readonly dips: readonly DipPoint[];
  readonly withdrawal: WithdrawalPlan;
  readonly methods: readonly MethodOutcome[];
  /** The pens in the order in which they are caught, and what one, two or three walks out to them do. */
  readonly pens: readonly PenOfDay[];
  readonly visits: readonly VisitOutcome[];
  readonly catching: readonly CatchRound[];
  /** What the birds to be cut up should come to, cut by cut; empty if none is. */
  readonly cuts: readonly { readonly cut: string; readonly weight: Reckoning }[];
}

export interface DayPlan {
  /** In the order in which they are killed. */
  readonly lots: readonly LotPlan[];
  readonly heat: HeatPlan;
  readonly bath: BathOnDay;
  readonly line: LinePlan;
  readonly chill: ChillPlan;
  readonly tanks: ChillByHour;
  /** Pens that several lots share and that one feed-off can't serve. */
  readonly clashes: readonly WithdrawalClash[];
}

/**
 * Everything that follows from a choice of lots, hour, people and methods. The line, the withdrawal and the ice are
 * calculated at once, since they answer a move; the rest when it is first asked for.
 */
export function dayPlan(plan: PlanInput, play?: PlayLine): DayPlan {
  const scalds = plan.lots.map((lot) => scaldPlan(lot, plan.means));
  const line = linePlan(plan, scalds, play);
  const chill = chillPlan(plan, line);
  const bath = once(() => bathOnDay(plan, scalds, line));
  const tanks = once(() => chillByHour(plan, line, chill, iceAtHand(plan, chill)));
  const clashes = once(() => withdrawalClashes(plan, line, lineOf));
  let from = 0;
  const lots = plan.lots.map((lot, index) => {
    const killed = { line, from, birds: lot.choices.birds };
    from += killed.birds;
    return lotPlan(lot, plan, scalds[index]!, killed);
  });
  return {
    lots,
    heat: heatPlan(scalds[0]!, plan.choices.startAt, plan.means),
    line,
    chill,
    get bath() {
      return bath();
    },
    get tanks() {
      return tanks();
    },
    get clashes() {
      return clashes();
    },
  };
}

const lineOf = (plan: PlanInput): LinePlan =>
  linePlan(
    plan,
    plan.lots.map((lot) => scaldPlan(lot, plan.means)),
  );

function lotPlan(lot: LotInput, plan: PlanInput, scald: ScaldPlan, killed: KilledLot): LotPlan {
  const pens = pensOfLot(lot);
  const dips = once(() => dipCurve(lot, scald));
  const methods = once(() => methodsCompared(lot, plan, killed));
  const visits = once(() => visitsCompared(lot, plan, killed, pens));
  const catching = once(() => catchRounds(plan, killed));
  return {
    batchName: lot.batchName,
    kind: lot.kind,
    choices: lot.choices,
    forecast: lot.flock,
    birdsBefore: killed.from,
    scald,
    pens,
    withdrawal: withdrawalPlan(lot.choices, plan, killed),
    cuts: cutWeights(lot),
    get dips() {
      return dips();
    },
    get methods() {
      return methods();
    },
    get visits() {
      return visits();
    },
    get catching() {
      return catching();
    },
  };
}

/** Works something out when it is first asked for, and only then. */
function once<Value>(work: () => Value): () => Value {
  let known: { readonly value: Value } | undefined;
  return () => {
    known ??= { value: work() };
    return known.value;
  };
}

/** Bought and made, kg; undefined where no one keeps count of the bags. */
const iceAtHand = ({ iceBagsInStock, means }: PlanInput, { ownKilograms }: ChillPlan) =>
  iceBagsInStock === undefined ? undefined : iceBagsInStock * means.bagKilograms.value + ownKilograms;

/** The farm's pens where all of the lot's birds stand in them; else parts of the flock. */
function pensOfLot({ choices, pens }: LotInput): readonly PenOfDay[] {
  const penned = pens.reduce((sum, { birds }) => sum + birds, 0);
  return pens.length > 1 && penned === choices.birds ? pens : partsOf(choices.birds);
}

function cutWeights({ kind, flock, choices }: LotInput): LotPlan["cuts"] {
  if (choices.cutUp === 0) return [];
  const live = liveKilograms(flock.live.value);
  const shares = CUT_SHARES[kind];
  const { cuts } = expectedCuts(live, DRESSED_FRACTION[kind], shares);
  const dressed = dressedWeight(live, DRESSED_FRACTION[kind]);
  return Object.entries(cuts).map(([cut, kilograms]) => ({
    cut,
    weight: reckoning({
      value: kilograms * choices.cutUp,
      unit: "kg",
      inputs: [
        input("birds-cut-up", choices.cutUp, "birds", "farm-setting"),
        input("dressed-weight-per-bird", dressed, "carcass-kg", "calculated"),
        input("share-of-a-dressed-bird", shares.ofDressed[cut]!, "fraction", "our-estimate"),
      ],
      rule: "cuts-weight",
      source: "yield",
    }),
  }));
}
