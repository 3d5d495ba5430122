import type { RestStage } from "#core/rest/rest.ts";
import type { RestMethod } from "#core/rest/rest-part.ts";

interface MethodWords {
  readonly name: string;
  /** What is commonly said for it. */
  readonly saidFor: string;
}

export const REST_METHOD_WORDS: Readonly<Record<RestMethod, MethodWords>> = {
  "straight-on": {
    name: "Straight on",
    saidFor: "Frozen or packed as soon as it is cold. Some find no difference in young birds",
  },
  "one-day": {
    name: "24 hours",
    saidFor: "Rigor has passed in young birds; the usual rest in ice or the refrigerator",
  },
  "two-days": { name: "48 hours", saidFor: "More tender, and the skin dries; common for slow-growing birds" },
  "three-days": { name: "72 hours", saidFor: "For old birds and cockerels, which stay in rigor longer" },
};

export const REST_METHOD_OPTIONS = (Object.keys(REST_METHOD_WORDS) as RestMethod[]).map((value) => ({
  value,
  label: REST_METHOD_WORDS[value].name,
}));

/** What may be done with a part of the birds, by where its first and its last bird stand. */
export const STAGE_WORDS: Readonly<Record<RestStage, string>> = {
  "before-rigor": "They can be cooked within the hour, before rigor sets in. After that, wait.",
  "in-rigor": "Not yet. Birds frozen or cooked during rigor are tough. Keep them cold.",
  rested: "They are rested. You can freeze, cook, or cut them up.",
};

export const COVER_OPTIONS = [
  { value: "open", label: "Open", line: "the skin dries" },
  { value: "wrapped", label: "Covered" },
] as const;
