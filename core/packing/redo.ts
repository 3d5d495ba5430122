/** Why a pack had to be done again. */
export const REDO_CAUSES = ["bone", "seal", "tie", "burst", "label", "other"] as const;
export type RedoCause = (typeof REDO_CAUSES)[number];
