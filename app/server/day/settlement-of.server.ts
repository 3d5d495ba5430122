import { sum } from "d3-array";
import { basisOfDay, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { usedOn } from "#app/server/day/supplies.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { birdsAYear, hourRate } from "#app/server/farm/farm-means.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { type LotOfDay, lotsOfDay } from "#app/server/farm/required.server.ts";
import { plannedMinutesInPool } from "#app/server/pooled/sums.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { feedUsedOf, splitBatchCost } from "#core/cost/batch-cost.ts";
import { workTime } from "#core/day/crew/work-time.ts";
import { type CostShares, costShares } from "#core/day/settle/cost-shares.ts";
import { type CostOfDay, type ShareOfDay, sharesOfDay } from "#core/day/settle/day-shares.ts";
import { handMinutes, packingMinutes } from "#core/day/settle/lot-work.ts";
import { measuredLive, type Settlement, settlement } from "#core/day/settle/settlement.ts";
import type { Flock } from "#core/growth/flock.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import { type PackTally, packTally } from "#core/packing/pack-tally.ts";
import { PRACTICE_FACTOR } from "#core/processing-line/line-constants.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { cents } from "#core/quantity/quantity.ts";
import type { Reckoning } from "#core/reckoning/reckoning.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import { type Farm, kitItemOf } from "#db/farm/farm-queries.server.ts";

/** What one lot of a day came to. */
export interface LotSettlement {
  readonly lotId: number;
  readonly batch: Batch;
  /** Undefined until one of its birds has been weighed. */
  readonly settlement: Settlement | undefined;
  readonly live: Reckoning;
  readonly dressedCount: number;
  /** Birds of the batch that are still alive and share its cost. */
  readonly stillAlive: number;
}

export interface DaySettlement {
  /** In the order in which they were killed. */
  readonly lots: readonly LotSettlement[];
  /** Hours that the day's log gives, to be corrected by the farm. */
  readonly loggedMinutes: Reckoning;
  /** Our estimate of the hours on the days after; 0 where the birds are packed on the day. */
  readonly laterMinutes: number;
  readonly workMinutes: Setting;
}

/** What a day came to, lot by lot, calculated from all that was recorded of it and its batches. */
export function settlementOf(here: FarmContext, farm: Farm, day: ProcessingDay): DaySettlement {
  const { file } = here;
  const settled = file.settling.settlement(day.id);
  const loggedMinutes = minutesWorked(here, farm, day);
  const workMinutes: Setting =
    settled?.workMinutes === undefined
      ? { value: loggedMinutes.value, provenance: "calculated" }
      : { value: settled.workMinutes, provenance: "measured" };
  const packing = settled?.packingMinutes ?? 0;
  const carcasses = file.pack.carcasses(day.id);
  const lots = lotsOfDay(here, day).map((lot) => {
    const own = carcasses.filter(({ lotId }) => lotId === lot.id);
    const tally = packTally(own.map(({ purpose, weightMilligrams }) => ({ use: purpose, weightMilligrams })));
    const { countByUse, dressedCount } = tally;
    const done = { ...lot, birds: dressedCount, cutUp: day.packsSameDay ? countByUse.cut : 0 };
    const later = day.packsSameDay ? 0 : packingMinutes({ ...done, cutUp: countByUse.cut }, lot.batch.kind);
    return { lot, tally, dressedCount, later, handMinutes: handMinutes(done, lot.batch.kind, day) };
  });
  const isAnyDressed = lots.some(({ dressedCount }) => dressedCount > 0);
  const shares = isAnyDressed
    ? sharesOfDay(
        costOfDay(here, farm, day, { ...workMinutes, value: workMinutes.value + packing }),
        lots,
        farm.dayCostSharedBy,
      )
    : [];
  return {
    loggedMinutes,
    laterMinutes: PRACTICE_FACTOR[farm.practice] * sum(lots, ({ later }) => later),
    workMinutes,
    lots: lots.map(({ lot, tally, dressedCount }, index) => {
      const measured = settled?.lots.find(({ lotId }) => lotId === lot.id)?.liveMeanMilligrams;
      const share = dressedCount > 0 ? shares[index] : undefined;
      return {
        lotId: lot.id,
        batch: lot.batch,
        dressedCount,
        ...settlementOfLot(here, farm, day, lot, { tally, measured, share }),
      };
    }),
  };
}

function settlementOfLot(
  here: FarmContext,
  farm: Farm,
  day: ProcessingDay,
  { batch }: LotOfDay,
  weighed: { tally: PackTally; measured: number | undefined; share: ShareOfDay | undefined },
): Pick<LotSettlement, "settlement" | "live" | "stillAlive"> {
  const { tally, measured, share } = weighed;
  const story = here.file.story(batch.id);
  const flock = flockOf(here, farm, batch, story);
  const live =
    measured === undefined
      ? flockOn(day.processedOn, flock).live
      : measuredLive(kilogramsFromMilligrams(measured));
  const { shares, dayIds, stillAlive } = sharesOf(here, farm, batch, flock);
  const ownShare = dayIds.indexOf(day.id);
  return {
    live,
    stillAlive,
    settlement:
      ownShare === -1 || !share
        ? undefined
        : settlement({ live, tally, batchCost: batchCostOf(batch, story), shares, ownShare, day: share }),
  };
}

/** What a day cost as a whole, and the hours and the equipment in it. */
function costOfDay(here: FarmContext, farm: Farm, day: ProcessingDay, workMinutes: Setting): CostOfDay {
  const { file } = here;
  const costs = file.settling.costs(day.id).map(({ what, amountCents }) => ({ what, cents: amountCents }));
  const used = usedOn(here, day.id).map((one) => ({ what: `${one.name}, from stock`, cents: one.cents }));
  return {
    costs: [...costs, ...used],
    kit: file.kit().map(kitItemOf),
    birdsAYear: birdsAYear(farm),
    workMinutes,
    centsAnHour: hourRate(farm),
  };
}

/** What a batch has cost so far: chicks, feed less what is left or went on, and the rest. */
export function batchCostOf(batch: Batch, story: BatchStory) {
  const movesTo = (to: boolean) =>
    story.feedMoved
      .filter((move) => (move.toBatchId === batch.id) === to)
      .map((move) => ({
        bags: 1,
        bagKilograms: kilogramsFromMilligrams(move.movedMilligrams),
        bagPriceCents: move.amountCents,
      }));
  const bought = story.feed.map(({ bagCount, bagMilligrams, bagPriceCents }) => ({
    bags: bagCount,
    bagKilograms: kilogramsFromMilligrams(bagMilligrams),
    bagPriceCents,
  }));
  const left = kilogramsFromMilligrams(story.feedLeft.at(-1)?.leftMilligrams ?? 0);
  return {
    chicks: cents(batch.chickCostCents),
    feed: feedUsedOf({ bought, cameIn: movesTo(true), wentOn: movesTo(false) }, left),
    other: cents(sum(story.costs, ({ amountCents }) => amountCents)),
  };
}

/** What the birds still alive have cost until today, cents: their share of the batch's cost. */
export function livingCost(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  story: BatchStory,
  flock: Flock,
): number {
  const { shares, stillAlive } = sharesOf(here, farm, batch, flock);
  if (stillAlive === 0) return 0;
  const { chicks, feed, other } = batchCostOf(batch, story);
  const share = splitBatchCost({ chicks, feed: feed.cents, other }, shares).at(-1)!;
  return share.chicks + share.feed + share.other;
}

function sharesOf({ file, now }: FarmContext, farm: Farm, batch: Batch, flock: Flock): CostShares {
  const days = file.daysOf(batch.id).map(({ id, processedOn, lots }) => {
    const lotId = lots.find(({ batchId }) => batchId === batch.id)?.id;
    const birds = file.pack
      .carcasses(id)
      .filter((carcass) => carcass.lotId === lotId && carcass.purpose !== "condemned").length;
    return { id, processedOn, birds };
  });
  return costShares(flock, days, {
    stillAlive: batch.aliveCount,
    today: localDayOf(now(), farm.timeZone),
  });
}

function minutesWorked(here: FarmContext, farm: Farm, day: ProcessingDay): Reckoning {
  const { startedAt, finishedAt, lastBirdAt } = progressOf(here, day);
  const to = finishedAt ?? lastBirdAt;
  const logged = startedAt === undefined || to === undefined ? undefined : { from: startedAt, to };
  // A line is played only for days that no one tapped.
  const planned = () =>
    plannedMinutesInPool({
      basis: basisOfDay(here, farm, day),
      processedOn: day.processedOn,
      choices: day,
    });
  return workTime({
    people: day.people,
    time: logged ?? { plannedLineMinutes: planned() },
  });
}
