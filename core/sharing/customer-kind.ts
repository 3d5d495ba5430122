/** Who takes birds, or has birds processed here: in the order in which they are offered. */
export const CUSTOMER_KINDS = ["customer", "business", "household", "neighbor", "own"] as const;
export type CustomerKind = (typeof CUSTOMER_KINDS)[number];

/** Whose birds may be processed here: a household that raises with the farm, or a neighbor who brings some along. */
export const OWNER_KINDS = ["household", "neighbor"] as const satisfies readonly CustomerKind[];
export type OwnerKind = (typeof OWNER_KINDS)[number];

export const isOwnerKind = (kind: CustomerKind): kind is OwnerKind =>
  (OWNER_KINDS as readonly CustomerKind[]).includes(kind);
