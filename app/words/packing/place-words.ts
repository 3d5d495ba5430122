/** What a refrigerator or freezer is set to. */
export const SETTING_WORDS = {
  cool: "cooling",
  freeze: "freezing",
  "quick-freeze": "quick-freezing",
} as const;

interface PlaceToName {
  readonly kind: "fridge" | "freezer";
  readonly setting: keyof typeof SETTING_WORDS;
}

/** `freezer`, and what it is set to only where that is not the usual. */
export function placeInWords({ kind, setting }: PlaceToName): string {
  const name = kind === "fridge" ? "refrigerator" : "freezer";
  return setting === (kind === "fridge" ? "cool" : "freeze") ? name : `${name}, ${SETTING_WORDS[setting]}`;
}

export const LIMIT_WORDS = {
  meat: "the thickest pack takes that long",
  freezer: "the freezer can't take the heat away faster",
} as const;
