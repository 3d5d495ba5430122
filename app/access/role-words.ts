import type { Role } from "#core/access/role.ts";

/** What a role is called, and what whoever has it may do. */
export const ROLE_WORDS: Readonly<Record<Role, { readonly name: string; readonly may: string }>> = {
  owner: { name: "Owner", may: "Owners can see and change everything, including money." },
  helper: {
    name: "Helper",
    may: "Helpers can use the work screens of current days and the freezers. They can't see money or change plans.",
  },
  viewer: {
    name: "Viewer",
    may: "Viewers can look at batches, the season, days, and freezers. They can't see money or change anything.",
  },
};
