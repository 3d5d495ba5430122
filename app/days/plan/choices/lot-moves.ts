import type { LotChoices } from "#core/day/plan/plan-input.ts";

/** What a button of the plan does beside saving it: go on to add a lot, kill a lot earlier, or take it off the day. */
export const LOT_MOVE = /^(add|earlier-\d{1,2}|remove-\d{1,2})$/;

export const ADD_LOT = "add";
export const killEarlier = (lot: number) => `earlier-${lot}`;
export const removeLot = (lot: number) => `remove-${lot}`;

/** The lots after such a button was pressed; the one that was taken off beside them. */
export function lotsAfter<Lot extends LotChoices>(
  lots: readonly Lot[],
  move: string | undefined,
): { readonly lots: readonly Lot[]; readonly removed: Lot | undefined } {
  const [what, place] = (move ?? "").split("-");
  const at = Number(place);
  const lot = lots[at];
  if (what === "remove" && lot && lots.length > 1)
    return { lots: lots.filter((_, index) => index !== at), removed: lot };
  if (what === "earlier" && lot && at > 0)
    return { lots: lots.toSpliced(at, 1).toSpliced(at - 1, 0, lot), removed: undefined };
  return { lots, removed: undefined };
}
