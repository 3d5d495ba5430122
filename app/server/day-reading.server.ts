import { data } from "react-router";
import { type FarmContext, requireFarm } from "#app/server/farm-context.server.ts";
import { birdsAYear, farmMeans, hourRate, placeOf } from "#app/server/farm-means.server.ts";
import { flockOf } from "#app/server/flock-of.server.ts";
import { farmPace } from "#app/server/own-pace.server.ts";
import { playedLine } from "#app/server/played-line.server.ts";
import { usedOn } from "#app/server/supplies.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { type CostShare, feedUsed, splitBatchCost } from "#core/cost/batch-cost.ts";
import { workTime } from "#core/day/crew/work-time.ts";
import { type PlanBasis, type PlanForDate, planForDate } from "#core/day/plan/plan-for-date.ts";
import { type RunProgress, runProgress } from "#core/day/run/run-progress.ts";
import { type Settlement, settlement } from "#core/day/settle/settlement.ts";
import type { Flock } from "#core/growth/flock.ts";
import { feedEatenBy, flockOn } from "#core/growth/flock-forecast.ts";
import { flockPath } from "#core/growth/flock-path.ts";
import { packTally } from "#core/packing/pack-tally.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { cents } from "#core/quantity/quantity.ts";
import { type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import { type Farm, kitItemOf } from "#db/farm/farm-queries.server.ts";

/** Reads an id out of an address. @throws a 404 page if there is no such thing. */
export function idFrom(text: string | undefined, what: string): number {
  const id = /^\d{1,9}$/.test(text ?? "") ? Number(text) : 0;
  if (id === 0) throw data(`There is no such ${what}.`, { status: 404 });
  return id;
}

/** @throws a 404 page if there is no such batch */
export function requireBatch(here: FarmContext, text: string | undefined): Batch {
  const batch = here.file.batch(idFrom(text, "batch"));
  if (!batch) throw data("That batch does not exist.", { status: 404 });
  return batch;
}

/** @throws a 404 page if there is no such day */
export function requireDay(
  here: FarmContext,
  text: string | undefined,
): { farm: Farm; day: ProcessingDay; batch: Batch } {
  const farm = requireFarm(here);
  const day = here.file.day(idFrom(text, "day"));
  const batch = day && here.file.batch(day.batchId);
  if (!day || !batch) throw data("That day does not exist.", { status: 404 });
  return { farm, day, batch };
}

/**
 * What the batch, the farm and its place say, whatever is chosen.
 *
 * @param dayId the day whose own birds are free for it; 0 for one that is not set yet
 * @param iceBagsInStock bags that the day will find, where that matters: it takes the plans of the days before
 */
export function planBasis(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  dayId = 0,
  iceBagsInStock?: number,
): PlanBasis {
  return {
    aliveBirds: here.file.freeForDay(batch.id, dayId),
    flock: flockOf(here, farm, batch, here.file.story(batch.id)),
    means: { ...farmMeans(farm), ownPace: farmPace(here, farm) },
    pens: here.file.pens(batch.id).map(({ pen, birdCount }) => ({ name: pen, birds: birdCount })),
    iceBagsInStock,
    helpers: here.file.people.people(),
    place: placeOf(farm),
    timeZone: farm.timeZone,
  };
}

export function planOf(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  day: ProcessingDay,
  iceBagsInStock?: number,
): PlanForDate {
  const basis = planBasis(here, farm, batch, day.id, iceBagsInStock);
  return planForDate(basis, day.processedOn, day, playedLine);
}

/** The same to be sent to a page, without each morning's end, which only a curve asks for. */
export function planToSend(here: FarmContext, farm: Farm, batch: Batch, day: ProcessingDay): PlanForDate {
  const planned = planOf(here, farm, batch, day);
  const { line } = planned.plan;
  const answer = { ...line.answer, lastChills: [] };
  return { ...planned, plan: { ...planned.plan, line: { ...line, answer } } };
}

export function progressOf(here: FarmContext, day: ProcessingDay): RunProgress {
  return runProgress(here.file.run.events(day.id), day.birds, here.now());
}

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
  const file = here.file;
  const story = file.story(batch.id);
  const settled = file.settling.settlement(day.id);
  const live = liveMean(here, farm, batch, story, day, settled?.liveMeanMilligrams ?? null);
  const loggedMinutes = minutesWorked(here, farm, batch, day);
  const workMinutes: Setting =
    settled?.workMinutes === null || settled?.workMinutes === undefined
      ? { value: loggedMinutes.value, provenance: "calculated" }
      : { value: settled.workMinutes, provenance: "measured" };
  const { days, shares, stillAlive } = sharesOf(here, farm, batch, flockOf(here, farm, batch, story));
  const ownShare = days.findIndex(({ id }) => id === day.id);
  const tally = packTally(
    file.pack.carcasses(day.id).map(({ purpose, weightMilligrams }) => ({
      use: purpose,
      weightMilligrams: weightMilligrams ?? undefined,
    })),
  );
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
            tally,
            batchCost: batchCostOf(batch, story),
            shares,
            ownShare,
            dayCosts: file.settling
              .costs(day.id)
              .map(({ what, amountCents }) => ({ what, cents: amountCents }))
              .concat(
                usedOn(here, day.id).map(({ name, cents }) => ({ what: `${name}, from stock`, cents })),
              ),
            kit: file.kit().map(kitItemOf),
            birdsAYear: birdsAYear(farm),
            workMinutes,
            centsAnHour: hourRate(farm),
          }),
  };
}

export function batchCostOf(batch: Batch, story: BatchStory) {
  const moved = (to: boolean) =>
    story.feedMoved
      .filter((move) => (move.toBatchId === batch.id) === to)
      .map((move) => ({
        bags: 1,
        bagKilograms: kilogramsFromMilligrams(move.movedMilligrams),
        bagPriceCents: move.amountCents,
      }));
  const bought = [
    ...story.feed.map((group) => ({
      bags: group.bagCount,
      bagKilograms: kilogramsFromMilligrams(group.bagMilligrams),
      bagPriceCents: group.bagPriceCents,
    })),
    ...moved(true),
    // What went on to others or into stock took its money with it.
    ...moved(false).map((group) => ({ ...group, bags: -1 })),
  ];
  const boughtKilograms = bought.reduce((sum, group) => sum + group.bags * group.bagKilograms, 0);
  const left = kilogramsFromMilligrams(story.feedLeft.at(-1)?.leftMilligrams ?? 0);
  // A lot that was removed may leave less than was counted, or than went on: the page says so, and nothing was eaten.
  const feed = boughtKilograms > 0 ? feedUsed(bought, Math.min(left, boughtKilograms)) : feedUsed([], 0);
  const other = story.costs.reduce((sum, cost) => sum + cost.amountCents, 0);
  // Likewise what went on to others may have taken more money with it than is left.
  const feedCents = cents(Math.max(0, feed.cents));
  return { chicks: cents(batch.chickCostCents), feed: { ...feed, cents: feedCents }, other: cents(other) };
}

/** Every processing day of the batch with dressed birds shares its cost, and so do the birds still alive. */
function sharesOf(here: FarmContext, farm: Farm, batch: Batch, flock: Flock) {
  const file = here.file;
  const path = flockPath(flock);
  const days = file
    .daysOf(batch.id)
    .map((day) => ({
      id: day.id,
      birds: file.pack.carcasses(day.id).filter(({ purpose }) => purpose !== "condemned").length,
      feedKilogramsEach: feedEatenBy(day.processedOn, flock, path),
    }))
    .filter(({ birds }) => birds > 0);
  const stillAlive = Math.max(0, batch.aliveCount);
  const living: CostShare = {
    birds: stillAlive,
    feedKilogramsEach: feedEatenBy(localDayOf(here.now(), farm.timeZone), flock, path),
  };
  return { days, shares: stillAlive > 0 ? [...days, living] : days, stillAlive };
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

function liveMean(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  story: BatchStory,
  day: ProcessingDay,
  measuredMilligrams: number | null,
): Reckoning {
  if (measuredMilligrams === null) return flockOn(day.processedOn, flockOf(here, farm, batch, story)).live;
  return reckoning({
    value: kilogramsFromMilligrams(measuredMilligrams),
    unit: "live-kg",
    provenance: "measured",
    inputs: [],
    rule: "live-mean-weighed",
    source: "yield",
  });
}

function minutesWorked(here: FarmContext, farm: Farm, batch: Batch, day: ProcessingDay): Reckoning {
  const { startedAt, finishedAt, lastBirdAt } = progressOf(here, day);
  const to = finishedAt ?? lastBirdAt;
  const logged = startedAt === undefined || to === undefined ? undefined : { from: startedAt, to };
  // Books ask this of every day there ever was: a line is played only for those that no one tapped.
  const planned = () => (planOf(here, farm, batch, day).plan.line.likelyAt.value - day.startAt) / 60_000;
  return workTime({
    people: day.people,
    time: logged ?? { plannedLineMinutes: planned() },
  });
}
