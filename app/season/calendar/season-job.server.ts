import { createHash } from "node:crypto";
import { keptProposal, type Proposal } from "#app/server/day/proposal.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { log } from "#app/server/log.server.ts";
import { rootFolder } from "#app/server/root-folder.server.ts";
import type { SeasonPlan } from "#core/day/season/season-plan.ts";
import type { SeasonAnswer } from "#core/season/season-problem.ts";
import { runSeason, type SeasonRun } from "#workers/season/client.ts";
import type { SeasonProgress } from "#workers/season/solve-season.ts";

/** Within this share of the best there is. */
const GAP = 0.005;
const MOST_SECONDS = 30;

interface Job {
  readonly run: SeasonRun;
  readonly startedAt: number;
  progress: SeasonProgress | undefined;
}
/** Kept across reloads of this module in development: one season is solved at a time. */
const kept = globalThis as {
  paleMorningSeason?: Job | undefined;
  paleMorningSeasonFault?: string | undefined;
};

/** Starts working the season out, unless that is under way. */
export function startSeason(here: FarmContext, plan: SeasonPlan): void {
  if (kept.paleMorningSeason) return;
  kept.paleMorningSeasonFault = undefined;
  const startedAt = here.now();
  const run = runSeason(plan.problem, {
    gap: GAP,
    mostSeconds: MOST_SECONDS,
    root: rootFolder(),
    onProgress: (progress) => {
      if (kept.paleMorningSeason) kept.paleMorningSeason.progress = progress;
    },
  });
  kept.paleMorningSeason = { run, startedAt, progress: undefined };
  run.solved
    .then(({ answer, outcome, boundCents, seconds }) =>
      keepAnswer(here, plan, answer, { outcome, boundCents: boundCents ?? null, seconds }),
    )
    .catch((error: unknown) => {
      log.error({ err: error }, "the season could not be worked out");
      kept.paleMorningSeasonFault = "The season could not be planned. Try again";
    })
    .finally(() => {
      kept.paleMorningSeason = undefined;
    });
}

export function stopSeason(): void {
  kept.paleMorningSeason?.run.stop();
}

export interface JobState {
  readonly isWorking: boolean;
  readonly cents: number | undefined;
  readonly boundCents: number | undefined;
  readonly fault: string | undefined;
}

export function seasonJob(): JobState {
  const job = kept.paleMorningSeason;
  return {
    isWorking: job !== undefined,
    cents: job?.progress?.cents,
    boundCents: job?.progress?.boundCents,
    fault: kept.paleMorningSeasonFault,
  };
}

/** Keeps an answer for as long as no one works out another. */
export function keepAnswer(
  here: FarmContext,
  plan: SeasonPlan,
  answer: SeasonAnswer,
  how: Omit<Proposal, "placements">,
): void {
  const placements = answer.placements.map(({ group, day, way, birds }) => ({
    batchId: plan.groups[group]!.batchId,
    day: plan.days[day]!.day,
    way,
    birds,
  }));
  const content = JSON.stringify({ ...how, placements } satisfies Proposal);
  here.file.season.keepProposal({ madeAt: here.now(), basis: basisOf(plan), content });
}

/** What a proposal was calculated from, in short: when it differs, something has changed since. */
function basisOf({ problem, groups }: SeasonPlan): string {
  // A day gone by changes the first candidate day and nothing that matters; whole cents of worth do.
  const summary = JSON.stringify([
    groups.map(({ batchId, birds }) => [batchId, birds]),
    { ...problem, room: undefined },
  ]);
  return createHash("sha1").update(summary).digest("hex");
}

export interface CurrentProposal {
  readonly answer: SeasonAnswer;
  readonly proposal: Proposal;
  readonly madeAt: number;
  /** Something that it was calculated from has changed. */
  readonly isOld: boolean;
  /** Birds of it that have no place in the plan any more: dressed, lost, or their day is out. */
  readonly droppedBirds: number;
}

/** The last proposal as an answer to the plan of today; undefined if there is none. */
export function currentProposal(here: FarmContext, plan: SeasonPlan): CurrentProposal | undefined {
  const current = keptProposal(here);
  if (!current) return undefined;
  let droppedBirds = 0;
  const left = plan.groups.map(({ birds }) => birds);
  const placements = current.proposal.placements.flatMap(({ batchId, day, way, birds }) => {
    const group = plan.groups.findIndex((one) => one.batchId === batchId);
    const index = plan.days.findIndex((one) => one.day === day);
    const fits = group === -1 ? 0 : Math.min(birds, left[group]!);
    const isThere =
      plan.problem.groups[group]?.options.some((one) => one.day === index && one.way === way) ?? false;
    const put = isThere ? fits : 0;
    if (group !== -1) left[group]! -= put;
    droppedBirds += birds - put;
    return put > 0 ? [{ group, day: index, way, birds: put }] : [];
  });
  return {
    answer: { placements },
    proposal: current.proposal,
    madeAt: current.madeAt,
    isOld: current.basis !== basisOf(plan),
    droppedBirds,
  };
}
