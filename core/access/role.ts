/** What somebody who joins may do. An owner does everything; the others see no money. */
export const ROLES = ["owner", "helper", "viewer"] as const;
export type Role = (typeof ROLES)[number];
