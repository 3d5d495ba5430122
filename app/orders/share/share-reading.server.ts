import { data } from "react-router";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import { fairShareInPool } from "#app/server/pooled/sums.server.ts";
import { inputWords } from "#app/words/reckoning-words.ts";
import { packCode } from "#core/label/pack-code.ts";
import { MILLIGRAMS_PER_OUNCE } from "#core/quantity/conversion.ts";
import { type Cents, cents } from "#core/quantity/quantity.ts";
import { type ShareBasis, shareParts } from "#core/sharing/share-basis.ts";
import { shareCost } from "#core/sharing/share-cost.ts";
import { gapsOf, meanOf } from "#core/sharing/share-fair.ts";

/** What nobody could weigh: a tenth of an ounce, or five grams. */
const CLOSE_ENOUGH = { us: MILLIGRAMS_PER_OUNCE / 10, metric: 5000 } as const;

/** The lot whose birds are shared, with all of them that were weighed whole to be sold or eaten. @throws a 404 page */
export function sharedLot(here: FarmContext, dayText: string, lotText: string) {
  const { farm, day, lots } = requireDay(here, dayText);
  const lotId = idFrom(lotText, "lot");
  const lot = lots.find(({ id }) => id === lotId);
  if (!lot) throw data("That lot does not exist.", { status: 404 });
  const birds = here.file.pack.carcasses(day.id).flatMap((one) =>
    one.lotId === lotId &&
    (one.purpose === "sale" || one.purpose === "own") &&
    one.weightMilligrams !== undefined
      ? [
          {
            packId: one.id,
            birdNumber: one.birdNumber,
            milligrams: one.weightMilligrams,
            code: packCode(one.id),
            isStored: one.isStored,
          },
        ]
      : [],
  );
  return { farm, day, lot, birds };
}

type SharedLot = ReturnType<typeof sharedLot>;

/** One household: what it asked for, which birds it gets, and what it owes. */
export interface HouseholdShare {
  readonly customerId: number;
  readonly name: string;
  readonly asked: number;
  readonly birds: SharedLot["birds"];
  readonly milligrams: number;
  /** Too much, or too little where it is less than 0. */
  readonly gapMilligrams: number;
  readonly cost: readonly { readonly what: string; readonly cents: number }[];
  readonly totalCents: number;
}

export interface AskedShare {
  readonly customerId: number;
  readonly asked: number;
  /** Undefined where the fairest way is to be found. */
  readonly packIds?: readonly number[];
}

/** Who gets which birds, and owes how much. Calculated where nobody has said which birds. */
export function shareOf(
  here: FarmContext,
  { farm, day, lot, birds }: SharedLot,
  basis: ShareBasis,
  asked: readonly AskedShare[],
): { households: HouseholdShare[]; meanMilligrams: number } {
  const shared = asked.every(({ packIds }) => packIds)
    ? birds.filter(({ packId }) => asked.some(({ packIds }) => packIds!.includes(packId)))
    : birds.filter(({ isStored }) => isStored);
  const weights = shared.map(({ milligrams }) => milligrams);
  const counts = asked.map((one) => (basis === "birds" && one.packIds ? one.packIds.length : one.asked));
  const parts = shareParts(weights, counts, basis);
  const partOf = asked.every(({ packIds }) => packIds)
    ? shared.map(({ packId }) => asked.findIndex(({ packIds }) => packIds!.includes(packId)))
    : fairShareInPool({ weights, parts, closeEnough: CLOSE_ENOUGH[farm.unitSystem] }).partOf;
  const gaps = gapsOf(weights, parts, partOf);
  const costs = shareCost(costOfBirds(here, { farm, day, lot, birds }, shared.length), counts);
  const names = new Map(here.file.customers.all().map(({ id, name }) => [id, name]));
  return {
    meanMilligrams: meanOf(weights),
    households: asked.map(({ customerId, asked: wanted }, index) => {
      const own = shared.filter((_, bird) => partOf[bird] === index);
      const cost = Object.entries(costs[index]!).map(([what, amount]) => ({ what, cents: amount }));
      return {
        customerId,
        name: names.get(customerId) ?? "a customer who was removed",
        asked: wanted,
        birds: own,
        milligrams: own.reduce((sum, { milligrams }) => sum + milligrams, 0),
        gapMilligrams: gaps[index]!,
        cost,
        totalCents: cost.reduce((sum, { cents: amount }) => sum + amount, 0),
      };
    }),
  };
}

/** What so many of a lot's birds cost in cash, by what it went for. */
function costOfBirds(here: FarmContext, { farm, day, lot }: SharedLot, birds: number): Record<string, Cents> {
  const settled = settlementOf(here, farm, day).lots.find(({ lotId }) => lotId === lot.id);
  const inputs = settled?.settlement?.methods[0]?.total.inputs ?? [];
  const whole: Record<string, Cents> = {};
  for (const one of inputs) {
    const what = inputWords(one.name);
    whole[what] = cents((whole[what] ?? 0) + Math.round(one.value));
  }
  const dressed = settled?.dressedCount ?? birds;
  return dressed > birds ? shareCost(whole, [birds, dressed - birds])[0]! : whole;
}
