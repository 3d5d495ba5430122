import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { seasonTerms } from "#app/server/day/season-reading.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { killTimes } from "#core/day/run/kill-times.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { proposedRestDays } from "#core/rest/rest.ts";
import { methodOfHours, type RestTimes, restTimes } from "#core/rest/rest-part.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { RestPart } from "#db/day/rest-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A part of a day's birds that rests alike, with its clocks. */
export interface PartAtRest extends RestPart {
  readonly batchName: string;
  readonly kind: BirdKind;
  readonly times: RestTimes;
}

export interface RestOfDay {
  /** As the farm said it; undefined where our proposal stands. */
  readonly programEntryId: string | undefined;
  readonly parts: readonly PartAtRest[];
  /** The kills are those of the plan: no bird has reached the tank yet. */
  readonly isPlanned: boolean;
  /** When each bird was killed, in order. */
  readonly killedAt: readonly number[];
}

/** How a day's birds rest: as the farm said, or as we propose, with the clocks of each part from its own kills. */
export function restOfDay(here: FarmContext, farm: Farm, day: ProcessingDay): RestOfDay {
  const lots = lotsOfDay(here, day);
  const { line } = planOf(here, farm, day).plan;
  const tapped = killTimes(here.file.run.facts(day.id), minutesToChill(line.answer));
  const isPlanned = tapped.length === 0;
  const killedAt = isPlanned ? line.answer.kills.map(({ p50 }) => day.startAt + p50 * MINUTE) : tapped;
  const program = here.file.resting.program(day.id);
  const parts = program?.parts ?? proposed(here, farm, day, isPlanned ? undefined : killedAt.length);
  let before = 0;
  const at = lots.map((lot) => {
    const from = before;
    before += lot.birds;
    return { ...lot, from };
  });
  const taken = new Map<number, number>();
  return {
    programEntryId: program?.entryId,
    isPlanned,
    killedAt,
    parts: parts.flatMap((part) => {
      const lot = at.find(({ id }) => id === part.lotId);
      if (!lot) return [];
      const from = lot.from + (taken.get(lot.id) ?? 0);
      taken.set(lot.id, (taken.get(lot.id) ?? 0) + part.birds);
      const own = killedAt.slice(from, from + part.birds);
      // Birds that were killed and not counted go with the last that was.
      const times = own.length > 0 ? own : killedAt.slice(-1);
      if (times.length === 0) return [];
      return [
        {
          ...part,
          batchName: lot.batchName,
          kind: lot.batch.kind,
          times: restTimes({ kind: lot.batch.kind, method: part.method, cover: part.cover, killedAt: times }),
        },
      ];
    }),
  };
}

/** Each lot in one part, for as long as the season's rest says or we propose. */
function proposed(here: FarmContext, farm: Farm, day: ProcessingDay, done: number | undefined): RestPart[] {
  const terms = seasonTerms(here, farm, here.file.season.setting(), localDayOf(here.now(), farm.timeZone));
  let before = 0;
  return lotsOfDay(here, day).flatMap(({ id, birds, batch }) => {
    const killed = done === undefined ? birds : Math.max(0, Math.min(birds, done - before));
    before += birds;
    if (killed === 0) return [];
    const days = day.packsSameDay ? 0 : (terms.restDays ?? proposedRestDays(batch.kind));
    return [
      {
        lotId: id,
        birds: killed,
        method: methodOfHours(days * 24),
        cover: "open" as const,
        placeId: undefined,
        saltPermille: undefined,
        sugarPermille: undefined,
        brineHours: undefined,
      },
    ];
  });
}

/** From the kill to the tank in the middle of the planned day, minutes. */
function minutesToChill({ kills, chills }: ReturnType<typeof planOf>["plan"]["line"]["answer"]): number {
  const middle = Math.floor(kills.length / 2);
  const killed = kills[middle]?.p50;
  const chilled = chills[middle]?.p50;
  return killed === undefined || chilled === undefined ? USUAL_MINUTES : Math.max(0, chilled - killed);
}

/** Where the plan doesn't say. Choice. */
const USUAL_MINUTES = 25;
