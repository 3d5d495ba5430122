import type { CostBasis } from "#core/day/settle/settlement.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { WhichBirds } from "#core/growth/flock.ts";
import type { CarcassUse } from "#core/packing/pack-tally.ts";
import type { Practice } from "#core/processing-line/line-constants.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { Source } from "#core/reckoning/reckoning.ts";
import type { RuleBroken } from "#core/safety/person-rules.ts";
import type { ScaldMethod } from "#core/scald/scald-constants.ts";
import type { WithdrawalMethod } from "#core/withdrawal/withdrawal-constants.ts";

/** Words for what core names by a key. */
export const KIND_WORDS: Readonly<Record<BirdKind, string>> = {
  fast: "fast-growing white",
  slow: "slow-growing colored",
  mature: "dual-purpose or old",
};

export const KIND_OPTIONS = [
  { value: "fast", label: "Fast-growing white", line: "7 to 9 weeks" },
  { value: "slow", label: "Slow-growing colored", line: "11 to 13 weeks" },
  { value: "mature", label: "Dual-purpose or old", line: "14 weeks and on" },
] as const;

export const SCALD_OPTIONS: readonly { value: ScaldMethod; label: string }[] = [
  { value: "gentle", label: "Cool and long" },
  { value: "middle", label: "Medium" },
  { value: "hot", label: "Hot and short" },
];

export const WITHDRAWAL_OPTIONS: readonly { value: WithdrawalMethod; label: string; line: string }[] = [
  { value: "short", label: "Short", line: "8 to 12 h off feed" },
  { value: "overnight", label: "Overnight", line: "12 to 16 h" },
  { value: "grass_day", label: "Day on grass", line: "20 to 28 h off grain" },
  { value: "grain_day", label: "Grain on the last day", line: "then 8 to 12 h off all feed" },
];

export const WHICH_OPTIONS: readonly { value: WhichBirds; label: string; line: string }[] = [
  { value: "as-they-come", label: "As they come", line: "or all of them" },
  { value: "biggest", label: "Largest first", line: "the rest wait" },
];

/** Stations of the line as a person names them. */
export const STATION_WORDS: Readonly<Record<Station, string>> = {
  cones: "Cones",
  scald: "Scald",
  pluck: "Pluck",
  feet: "Feet and heads",
  pins: "Pinfeathers",
  gut: "Evisceration",
  rinse: "Rinse, inspect",
  giblets: "Giblets",
  pack: "Pack",
  cut: "Cut up",
  seal: "Seal",
};

export const RULE_BROKEN_WORDS: Readonly<Record<RuleBroken, string>> = {
  "no-knives": "no knives",
  "no-scald": "no scalding",
  "no-lifting": "no lifting",
  "too-young": "too young",
};

export const PLUCK_OPTIONS = [
  { value: "drum", label: "Drum" },
  { value: "hand", label: "By hand", line: "no plucker needed" },
  { value: "skin", label: "Skin them", line: "no scald either" },
] as const;

export const PRACTICE_OPTIONS: readonly { value: Practice; label: string }[] = [
  { value: "many", label: "Many times a year" },
  { value: "few", label: "A few times a year" },
  { value: "first", label: "First time" },
];

export const USE_WORDS: Readonly<Record<CarcassUse, string>> = {
  sale: "for sale",
  own: "for home use",
  cut: "cut up",
  pets: "for pet food",
  condemned: "condemned",
};

/** On whose word a sum stands, as a person would say it. */
export const SOURCE_WORDS: Readonly<Record<Source, string>> = {
  growth: "a growth curve fitted to typical pastured weights; farms vary by 15 % either way",
  yield: "shares in line with extension publications; your own weights replace them",
  withdrawal: "common extension advice; the grass and grain methods are practice, not science",
  scald: "customary scald times, each within about a third; the feather test comes first",
  bath: "heat-transfer textbooks; the loss from the water surface may be half or double",
  power: "the usual rule for continuous loads; ask an electrician and follow your local code",
  ice: "heat in birds, water, and ice from food-engineering textbooks; the margin is our choice",
  chill:
    "heat conduction in a slab fitted to customary chilling times; use a probe and follow your local rules",
  line: "our times for practiced people, until your own days replace them",
  brine: "salt balance between brine and meat, from textbooks. Weigh the salt",
  needs: "our estimate of what a day uses, until you change it",
  rest: "common practice: about an hour to set in, about a day to pass, longer for old birds",
  trickle: "the balance of heat in a tank, from textbooks; the air and the wall vary",
  packs: "our times for cutting and sealing, until you change them",
  products: "shares in line with extension publications; your own packs replace them",
  drying: "water in fresh and dried meat, from textbooks; weigh one load",
  freezing:
    "a published formula for freezing times, within a tenth on regular shapes; a freezer's spare power varies most",
  label: "arithmetic: a label never says more than the pack holds",
  sharing: "arithmetic on what was weighed, until the gap is smaller than the scale can show",
  cost: "your own bills and hours, split so the parts add up to the cent",
  season:
    "your prices and people where entered, our estimates otherwise; value is sales minus feed, labor, and rental",
  "own-log": "this farm's records",
};

/** The three ways of counting what a bird cost. */
export const COST_WORDS: Readonly<Record<CostBasis, string>> = {
  cash: "Cash costs",
  "with-equipment": "With equipment",
  "with-labor": "With labor",
};

export const CUT_WORDS: Readonly<Record<string, string>> = {
  breast_boneless: "breast, boneless",
  leg_quarters: "leg quarters",
  wings: "wings",
  frame: "frames",
  trim: "trim",
};
