import { z } from "zod";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { WAYS } from "#core/season/season-problem.ts";

/** A season as it was calculated, by batch and day, so that it outlives changes of the plan. */
export const Proposal = z.object({
  placements: z.array(
    z.object({
      batchId: z.number(),
      day: z.string(),
      way: z.enum(WAYS),
      birds: z.number().int().positive(),
    }),
  ),
  outcome: z.enum(["best", "stopped", "mended", "moved"]),
  boundCents: z.number().nullable(),
  seconds: z.number(),
});
export type Proposal = z.output<typeof Proposal>;

/** The season as it was last calculated, as it was kept; undefined if there is none, or none that can be read. */
export function keptProposal(
  here: FarmContext,
): { proposal: Proposal; madeAt: number; basis: string } | undefined {
  const current = here.file.season.proposal();
  const read = current && Proposal.safeParse(JSON.parse(current.content));
  return read?.success ? { proposal: read.data, madeAt: current!.madeAt, basis: current!.basis } : undefined;
}

/** Birds of a batch by day in that season. */
export function proposedFor(here: FarmContext, batchId: number): { day: string; birds: number }[] {
  const days = new Map<string, number>();
  for (const one of keptProposal(here)?.proposal.placements ?? [])
    if (one.batchId === batchId) days.set(one.day, (days.get(one.day) ?? 0) + one.birds);
  return [...days]
    .map(([day, birds]) => ({ day, birds }))
    .toSorted((one, other) => (one.day < other.day ? -1 : 1));
}
