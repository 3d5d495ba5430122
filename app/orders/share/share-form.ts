import type { AskedShare } from "#app/orders/share/share-reading.server.ts";
import { SHARE_BASES, type ShareBasis } from "#core/sharing/share-basis.ts";

const MOST_ASKED = 99_999;

export interface AskedSplit {
  readonly basis: ShareBasis;
  readonly asked: readonly AskedShare[];
  /** What is wrong with what was typed, to be said beside it; undefined where nothing is. */
  readonly fault: string | undefined;
}

/** What was asked for in the address: birds or parts of each household, as `birds-3=12`. */
export function askedSplit(search: URLSearchParams, birds: number): AskedSplit {
  const basis = SHARE_BASES.find((one) => one === search.get("basis")) ?? "birds";
  const asked: AskedShare[] = [];
  for (const [name, text] of search) {
    const id = /^birds-(\d{1,9})$/.exec(name)?.[1];
    if (id === undefined || text.trim() === "" || text.trim() === "0") continue;
    if (!/^\d{1,6}$/.test(text.trim()) || Number(text) > MOST_ASKED)
      return { basis, asked: [], fault: "Enter whole numbers, such as 12, and leave the others empty" };
    asked.push({ customerId: Number(id), asked: Number(text) });
  }
  return { basis, asked, fault: asked.length === 0 ? undefined : faultOf(basis, asked, birds) };
}

function faultOf(basis: ShareBasis, asked: readonly AskedShare[], birds: number): string | undefined {
  if (asked.length < 2) return "Enter a number for at least two households";
  if (asked.length > birds) return `There are only ${birds} birds to share`;
  const sum = asked.reduce((all, one) => all + one.asked, 0);
  if (basis === "weight" || sum === birds) return undefined;
  return sum < birds
    ? `There are ${birds} birds; these are ${sum}. Add ${birds - sum}`
    : `There are only ${birds} birds; these are ${sum}. Take off ${sum - birds}`;
}

/** Which household gets which packs, as a form carries it: `3:12,14;5:13,15`. Undefined where it is not ours, or gives a pack twice. */
export function readAssignment(text: string): { customerId: number; packIds: number[] }[] | undefined {
  if (!/^(?:\d{1,9}:\d{1,9}(?:,\d{1,9})*)(?:;\d{1,9}:\d{1,9}(?:,\d{1,9})*)*$/.test(text)) return undefined;
  const parts = text.split(";").map((part) => {
    const [customer, packs] = part.split(":");
    return { customerId: Number(customer), packIds: packs!.split(",").map(Number) };
  });
  const given = parts.flatMap(({ packIds }) => packIds);
  return new Set(given).size === given.length ? parts : undefined;
}

/** What each household asked for, as a form carries it: `3:12,5:18`. Undefined where it is not ours. */
export function readAsked(text: string): ReadonlyMap<number, number> | undefined {
  if (!/^\d{1,9}:[1-9]\d{0,4}(?:,\d{1,9}:[1-9]\d{0,4})*$/.test(text)) return undefined;
  return new Map(text.split(",").map((one) => one.split(":").map(Number) as [number, number]));
}

export const writeAssignment = (
  parts: readonly { readonly customerId: number; readonly packIds: readonly number[] }[],
): string => parts.map(({ customerId, packIds }) => `${customerId}:${packIds.join()}`).join(";");
