/** Bands for birds that are set aside, by their number from 1; each is named as well as colored. */
export const BAND_COLORS = [
  { name: "red band", color: "#c4412f" },
  { name: "yellow", color: "#e3b95b" },
  { name: "blue", color: "#4f86b8" },
  { name: "white", color: "#f2efe6" },
] as const;
