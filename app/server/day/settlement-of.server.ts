import { sum } from "d3-array";
import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { usedOn } from "#app/server/day/supplies.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { birdsAYear, hourRate } from "#app/server/farm/farm-means.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { feedUsedOf, splitBatchCost } from "#core/cost/batch-cost.ts";
import { workTime } from "#core/day/crew/work-time.ts";
import { type CostShares, costShares } from "#core/day/settle/cost-shares.ts";
import { measuredLive, type Settlement, settlement } from "#core/day/settle/settlement.ts";
import type { Flock } from "#core/growth/flock.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import { packTally } from "#core/packing/pack-tally.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { cents } from "#core/quantity/quantity.ts";
import type { Reckoning } from "#core/reckoning/reckoning.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import { type Farm, kitItemOf } from "#db/farm/farm-queries.server.ts";

export interface DaySettlement {
  readonly settlement: Settlement | undefined;
  /** Hours that the day's log gives, to be corrected by the farm. */
  readonly loggedMinutes: Reckoning;
  readonly live: Reckoning;
  readonly workMinutes: Setting;
  /** Birds of the batch that are still alive and share its cost. */
  readonly stillAlive: number;
}

/** What a day came to, calculated from all that was recorded of it and its batch. */
export function settlementOf(here: FarmContext, farm: Farm, batch: Batch, day: ProcessingDay): DaySettlement {
  const { file } = here;
  const story = file.story(batch.id);
  const flock = flockOf(here, farm, batch, story);
  const settled = file.settling.settlement(day.id);
  const measured = settled?.liveMeanMilligrams ?? undefined;
  const live =
    measured === undefined
      ? flockOn(day.processedOn, flock).live
      : measuredLive(kilogramsFromMilligrams(measured));
  const loggedMinutes = minutesWorked(here, farm, batch, day);
  const entered = settled?.workMinutes ?? undefined;
  const workMinutes: Setting =
    entered === undefined
      ? { value: loggedMinutes.value, provenance: "calculated" }
      : { value: entered, provenance: "measured" };
  const { shares, dayIds, stillAlive } = sharesOf(here, farm, batch, flock);
  const ownShare = dayIds.indexOf(day.id);
  const costs = file.settling.costs(day.id).map(({ what, amountCents }) => ({ what, cents: amountCents }));
  const used = usedOn(here, day.id).map((one) => ({ what: `${one.name}, from stock`, cents: one.cents }));
  return {
    live,
    loggedMinutes,
    workMinutes,
    stillAlive,
    settlement:
      ownShare === -1
        ? undefined
        : settlement({
            live,
            tally: tallyOf(here, day),
            batchCost: batchCostOf(batch, story),
            shares,
            ownShare,
            dayCosts: [...costs, ...used],
            kit: file.kit().map(kitItemOf),
            birdsAYear: birdsAYear(farm),
            workMinutes,
            centsAnHour: hourRate(farm),
          }),
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
  const days = file.daysOf(batch.id).map(({ id, processedOn }) => ({
    id,
    processedOn,
    birds: file.pack.carcasses(id).filter(({ purpose }) => purpose !== "condemned").length,
  }));
  return costShares(flock, days, {
    stillAlive: batch.aliveCount,
    today: localDayOf(now(), farm.timeZone),
  });
}

const tallyOf = ({ file }: FarmContext, day: ProcessingDay) =>
  packTally(
    file.pack.carcasses(day.id).map(({ purpose, weightMilligrams }) => ({
      use: purpose,
      weightMilligrams: weightMilligrams ?? undefined,
    })),
  );

function minutesWorked(here: FarmContext, farm: Farm, batch: Batch, day: ProcessingDay): Reckoning {
  const { startedAt, finishedAt, lastBirdAt } = progressOf(here, day);
  const to = finishedAt ?? lastBirdAt;
  const logged = startedAt === undefined || to === undefined ? undefined : { from: startedAt, to };
  // Books ask this of every day there ever was: a line is played only for those that no one tapped.
  const planned = () => (planOf(here, farm, batch, day).plan.line.likelyAt.value - day.startAt) / MINUTE;
  return workTime({
    people: day.people,
    time: logged ?? { plannedLineMinutes: planned() },
  });
}
