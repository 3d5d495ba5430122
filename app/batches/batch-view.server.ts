import { sum } from "d3-array";
import { proposedFor } from "#app/server/day/proposal.server.ts";
import { groupFacts, seasonFacts } from "#app/server/day/season-reading.server.ts";
import { livingCost } from "#app/server/day/settlement-of.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { addDays, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { SeasonFacts } from "#core/day/season/season-facts.ts";
import { whenToGo } from "#core/day/season/when-to-go.ts";
import { birdBand, feedEatenBy, flockOn } from "#core/growth/flock-forecast.ts";
import { type FlockPath, flockPath } from "#core/growth/flock-path.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { AGE_WINDOW_DAYS } from "#core/season/season-constants.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Days between two points of the chart's band. */
const CHART_STEP_DAYS = 3;

/** A flock's growth, when it had best go, and what is expected on a day. */
export function batchView(here: FarmContext, farm: Farm, batch: Batch, story: BatchStory, on: LocalDay) {
  const own = here.file.daysOf(batch.id).flatMap((day) => {
    const lot = day.lots.find(({ batchId }) => batchId === batch.id);
    return lot ? [{ ...day, birds: lot.birds, whichBirds: lot.whichBirds }] : [];
  });
  const facts = factsOf(here, farm, batch, story);
  const { flock } = facts.groups[0]!;
  const path = flockPath(flock);
  const isGrowing = batch.aliveCount > 0;
  return {
    forecast: flockOn(on, flock, path),
    feedEach: feedEatenBy(on, flock, path),
    days: own.map(({ id, processedOn, birds: birdCount, settledEntryId, whichBirds }) => ({
      id,
      processedOn,
      birdCount,
      settledEntryId,
      whichBirds,
    })),
    chart: growthChart(batch, story, path, own, facts),
    dailyGainKilograms: path.dailyGainKilograms(daysBetween(batch.hatchedOn, on)),
    sizes: facts.sizes.map((size) => ({ ...size, reachedOn: reachedOn(size.leastKilograms, batch, path) })),
    /** Birds that the weeks are calculated for. */
    birds: facts.groups[0]!.birds,
    when: isGrowing
      ? whenToGo({
          facts,
          path,
          place: placeOf(farm),
          timeZone: farm.timeZone,
          costSoFarCents:
            livingCost(here, farm, batch, story, flock) * (facts.groups[0]!.birds / batch.aliveCount),
        })
      : undefined,
    terms: facts.terms,
    feedPrice: facts.groups[0]!.feedCentsPerKilogram,
    proposed: proposedFor(here, batch.id),
    pens: here.file.pens(batch.id),
  };
}

/** When the flock's mean reaches a dressed weight; undefined where none is asked for, or it never does. */
function reachedOn(
  dressedKilograms: number | undefined,
  { kind, hatchedOn }: Batch,
  path: FlockPath,
): LocalDay | undefined {
  if (dressedKilograms === undefined) return undefined;
  const ageDays = path.ageAtKilograms(dressedKilograms / DRESSED_FRACTION[kind]);
  return ageDays === undefined ? undefined : addDays(hatchedOn, ageDays);
}

export type BatchView = ReturnType<typeof batchView>;

/** The season with this flock alone in it: its free birds, or all of them where every one has a day. */
function factsOf(here: FarmContext, farm: Farm, batch: Batch, story: BatchStory): SeasonFacts {
  const facts = seasonFacts(here, farm, batch.id);
  if (facts.groups.length > 0) return facts;
  const held = facts.held.filter(({ batchId }) => batchId !== batch.id);
  return { ...facts, held, groups: [groupFacts(here, farm, batch, story, Math.max(1, batch.aliveCount))] };
}

function growthChart(
  batch: Batch,
  story: BatchStory,
  path: FlockPath,
  days: readonly { readonly processedOn: LocalDay; readonly birds: number }[],
  { sizes, today }: SeasonFacts,
) {
  const { earliest, latest } = AGE_WINDOW_DAYS[batch.kind];
  const lastDay = days.at(-1)?.processedOn ?? today;
  const toAge = Math.max(latest, daysBetween(batch.hatchedOn, lastDay) + 7);
  const fromAge = Math.min(21, earliest);
  const points = [];
  for (let ageDays = fromAge; ageDays <= toAge; ageDays += CHART_STEP_DAYS) {
    const day = addDays(batch.hatchedOn, ageDays);
    const { meanKilograms, sdLn, spread } = path.at(ageDays);
    const [low, high] = birdBand(spread, sdLn);
    points.push({ day, ageDays, mean: meanKilograms, low, high });
  }
  const fraction = DRESSED_FRACTION[batch.kind];
  return {
    points,
    weighIns: weighInsOf(story, batch),
    today,
    days: days.map(({ processedOn, birds: birdCount }) => ({ day: processedOn, birds: birdCount })),
    sizes: sizes.map(({ who, leastKilograms, mostKilograms, birds }) => ({
      who,
      birds,
      least: leastKilograms === undefined ? undefined : leastKilograms / fraction,
      most: mostKilograms === undefined ? undefined : mostKilograms / fraction,
    })),
  };
}

export type GrowthChartView = ReturnType<typeof growthChart>;

function weighInsOf({ weighings }: BatchStory, { hatchedOn }: Batch) {
  const days = [...new Set(weighings.map(({ weighedOn }) => weighedOn))];
  return days.map((day) => {
    const weights = weighings
      .filter(({ weighedOn }) => weighedOn === day)
      .map(({ liveWeightMilligrams }) => kilogramsFromMilligrams(liveWeightMilligrams));
    return {
      day,
      ageDays: daysBetween(hatchedOn, day),
      birds: weights.length,
      mean: sum(weights) / weights.length,
      low: Math.min(...weights),
      high: Math.max(...weights),
    };
  });
}
