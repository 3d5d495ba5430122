/** Whose birds: a household that raises with the farm, or a neighbor who brings some along. */
export const OWNER_KINDS = ["household", "neighbor"] as const;
export type OwnerKind = (typeof OWNER_KINDS)[number];
