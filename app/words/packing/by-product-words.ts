import type { Show } from "#app/words/show.ts";
import type { ByProductKind } from "#core/packing/by-products.ts";
import type { CanningVerdict } from "#core/packing/canning.ts";
import type { WentKind } from "#core/packing/where-it-went.ts";

interface ByProductWords {
  readonly name: string;
  /** What is weighed when it goes in, and what comes out. */
  readonly goesIn: string;
  readonly comesOut: string;
  readonly caution: string;
}

const DRIED = {
  comesOut: "dry",
  caution:
    "Treats for pets. Keep them apart from people's food where your law asks it, and cook or freeze them first",
} as const;

export const BY_PRODUCT_WORDS: Readonly<Record<ByProductKind, ByProductWords>> = {
  "dry-feet": { ...DRIED, name: "Dry feet", goesIn: "Feet, wet" },
  "dry-hearts": { ...DRIED, name: "Dry hearts", goesIn: "Hearts, wet" },
  "dry-gizzards": { ...DRIED, name: "Dry gizzards", goesIn: "Gizzards, wet" },
  boil: {
    name: "Boil frames",
    goesIn: "Frames, backs, and necks",
    comesOut: "picked meat",
    caution:
      "Refrigerate or freeze broth and meat. Can only by a tested process, in a pressure canner, for your altitude",
  },
  mince: {
    name: "Grind",
    goesIn: "Meat into the grinder",
    comesOut: "ground",
    caution: "Use the pusher, never fingers; keep the meat near freezing",
  },
  render: {
    name: "Render fat",
    goesIn: "Raw fat",
    comesOut: "rendered",
    caution: "Hot fat burns and catches fire: low heat, no water, never alone",
  },
  blood: { name: "Blood to compost", goesIn: "Blood", comesOut: "", caution: "" },
  feathers: { name: "Feathers to compost", goesIn: "Feathers", comesOut: "", caution: "" },
  offal: { name: "Heads and guts to compost", goesIn: "Heads and guts", comesOut: "", caution: "" },
};

export const WENT_WORDS: Readonly<Record<WentKind, string>> = {
  whole: "Whole birds",
  cut: "Cuts",
  giblets: "Giblets and necks",
  feet: "Feet",
  boiled: "Frames to broth",
  dried: "To the dryer",
  minced: "Ground",
  rendered: "Fat to render",
  pets: "Pet food",
  trim: "Cut birds, not in a pack: trim, drip, and what is still to pack",
  condemned: "Condemned birds",
  compost: "Compost",
  "not-weighed": "Not weighed: blood, feathers, heads and guts, water",
};

/** What a process asks of the canner here, or why nothing may be canned by it. */
export function canningInWords(
  verdict: CanningVerdict,
  minutes: number,
  altitudeMeters: number | undefined,
  show: Show,
): string {
  if (verdict.may)
    return `${show.pressure(verdict.pascals)} for ${minutes} min at your ${show.altitude(altitudeMeters!)}`;
  return verdict.why === "altitude-unknown"
    ? "Set your altitude first; until then refrigerate or freeze."
    : `It doesn't cover your ${show.altitude(altitudeMeters!)}: refrigerate or freeze.`;
}
