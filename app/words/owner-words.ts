import type { OwnerKind } from "#core/sharing/owner-kind.ts";

/** Who somebody is whose birds are processed here. */
export const OWNER_WORDS: Readonly<Record<OwnerKind, string>> = {
  household: "a household that raises with you",
  neighbor: "a neighbor",
};
