import type { PlaceWithRoom } from "#app/server/day/room-of-places.server.ts";
import { freezerAtWork, isFreezing, packToFreeze } from "#app/server/freezer/freezer-at-work.server.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { freezeLoad } from "#core/freezing/freeze-load.ts";
import { PACK_START_CELSIUS } from "#core/freezing/freezing-constants.ts";
import type { StoredPack } from "#db/freezer/freezer-queries.server.ts";

/** What came in that long ago is hard, whatever the freezer. */
const LOOKED_BACK_HOURS = 96;

export interface NotYetHard {
  readonly packs: number;
  /** When the first of them came. */
  readonly since: number;
  /** Undefined where they never get hard here. */
  readonly hardAt: number | undefined;
  readonly limitedBy: "meat" | "freezer";
}

/** Packs that came into a freezer lately, and when they will be hard; undefined where all are. */
export function notYetHard(
  place: PlaceWithRoom,
  stored: readonly StoredPack[],
  now: number,
): NotYetHard | undefined {
  if (!isFreezing(place)) return undefined;
  const lately = stored.flatMap((pack) => {
    const toFreeze = now - pack.cameAt < LOOKED_BACK_HOURS * HOUR ? packToFreeze(pack) : undefined;
    return toFreeze ? [{ ...toFreeze, cameAt: pack.cameAt }] : [];
  });
  if (lately.length === 0) return undefined;
  const load = freezeLoad(lately, freezerAtWork(place, true), PACK_START_CELSIUS);
  // All of them count from the one that came last.
  const lastAt = Math.max(...lately.map(({ cameAt }) => cameAt));
  const hardAt = load.possible ? lastAt + load.hours * HOUR : undefined;
  if (hardAt !== undefined && hardAt <= now) return undefined;
  return {
    packs: lately.length,
    since: Math.min(...lately.map(({ cameAt }) => cameAt)),
    hardAt,
    limitedBy: load.possible ? load.limitedBy : "freezer",
  };
}
