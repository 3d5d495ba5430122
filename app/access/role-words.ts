import type { Role } from "#core/access/role.ts";

/** What a role is called, and what whoever has it may do. */
export const ROLE_WORDS: Readonly<Record<Role, { readonly name: string; readonly may: string }>> = {
  owner: { name: "Owner", may: "Owners plan, change, and see everything, money included." },
  helper: {
    name: "Helper",
    may: "Helpers work the days of now: posts, rest, cutting, packing, and freezers. They see no money and change no plan.",
  },
  viewer: {
    name: "Viewer",
    may: "Viewers look at batches, the season, days, and freezers. They see no money and change nothing.",
  },
};
