import type { LotChoices } from "#core/day/plan/plan-input.ts";

/**
 * What a button of the plan does beside saving it: go on to add a lot, kill a lot earlier, take it off the day, or keep so
 * many birds and go on to plan another day for the others.
 */
export const LOT_MOVE = /^(add|earlier-\d{1,2}|remove-\d{1,2}|split-\d{1,4})$/;

export const ADD_LOT = "add";
export const killEarlier = (lot: number) => `earlier-${lot}`;
export const removeLot = (lot: number) => `remove-${lot}`;
export const splitAfter = (birds: number) => `split-${birds}`;

interface AfterMove<Lot> {
  readonly lots: readonly Lot[];
  /** The one that was taken off. */
  readonly removed?: Lot;
  /** Birds of the only lot that go to another day. */
  readonly left?: { readonly batchId: number; readonly birds: number };
}

/** The lots after such a button was pressed. */
export function lotsAfter<Lot extends LotChoices>(
  lots: readonly Lot[],
  move: string | undefined,
): AfterMove<Lot> {
  const [what, place] = (move ?? "").split("-");
  const at = Number(place);
  const lot = lots[at];
  if (what === "remove" && lot && lots.length > 1)
    return { lots: lots.filter((_, index) => index !== at), removed: lot };
  if (what === "earlier" && lot && at > 0) return { lots: lots.toSpliced(at, 1).toSpliced(at - 1, 0, lot) };
  const [only] = lots;
  if (what === "split" && only && lots.length === 1 && at >= 1 && at < only.birds)
    return {
      lots: [{ ...only, birds: at, cutUp: Math.min(at, only.cutUp) }],
      left: { batchId: only.batchId, birds: only.birds - at },
    };
  return { lots };
}
