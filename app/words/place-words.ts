/** What a refrigerator or freezer is set to. */
export const SETTING_WORDS = {
  cool: "cooling",
  freeze: "freezing",
  "quick-freeze": "quick-freezing",
} as const;

export const LIMIT_WORDS = {
  meat: "the thickest pack takes that long",
  freezer: "the freezer can't take the heat away faster",
} as const;
