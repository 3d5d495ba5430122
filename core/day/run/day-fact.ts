import { STATIONS, type Station } from "#core/processing-line/line-station.ts";
import { FEATHER_ANSWERS } from "#core/scald/scald-learn.ts";

/** What the table notes of a bird: what it says of the knife, of feed withdrawal, or of the scald and the plucker. */
export const MARKS = ["gut-nicked", "gall", "full-crop", "empty-gut", "torn-skin"] as const;
export type Mark = (typeof MARKS)[number];

/** What a bird that was looked at is for. */
export const LOOKS = ["sale", "own", "cut", "pets", "condemned"] as const;
export type Look = (typeof LOOKS)[number];

/** Why a bird is not for sale. */
export const LOOK_REASONS = [
  "bruise",
  "broken-wing",
  "torn-skin",
  "sores",
  "fluid",
  "odd-liver",
  "other",
] as const;
export type LookReason = (typeof LOOK_REASONS)[number];

/** Where someone stands from then on; "gone" for someone who leaves. */
export const POSITIONS = [...STATIONS, "chill", "gone"] as const;
export type Position = Station | "chill" | "gone";

/** What a kind of fact carries beside its time. A field that is not named is not there. */
interface FactShape {
  /** How many birds; one where it is not said. */
  readonly hasBirds?: true;
  /** Number of a cone, tank, or band, from 1. */
  readonly numbered?: "cone" | "tank" | "band";
  readonly hasCelsius?: true;
  /** Bags of ice. */
  readonly hasBags?: true;
  /** What it may say. */
  readonly words?: readonly string[];
  /** Whether a note has to be there, or may be. */
  readonly note?: "needed" | "optional";
  /** The kind of fact that it belongs to. */
  readonly of?: string;
}

/** Everything that can be said of a day as it runs. `bird` is a bird that has reached the chill tank. */
export const FACT_TABLE = {
  start: {},
  bird: { hasBirds: true, numbered: "tank" },
  pause: { note: "optional" },
  resume: {},
  note: { note: "needed" },
  finish: {},
  "feed-off": { note: "optional" },
  caught: { hasBirds: true, note: "optional" },
  "dead-in-crate": { hasBirds: true },
  "not-killed": { hasBirds: true, note: "optional" },
  "burner-lit": {},
  water: { hasCelsius: true },
  kill: { numbered: "cone" },
  "cone-out": { numbered: "cone" },
  "dip-in": { hasBirds: true },
  "dip-out": { hasBirds: true, words: FEATHER_ANSWERS, of: "dip-in" },
  "water-changed": {},
  plucked: { hasBirds: true },
  table: { hasBirds: true },
  mark: { words: MARKS, of: "table" },
  look: { words: LOOKS, note: "optional", numbered: "band", of: "table" },
  ice: { hasBags: true, numbered: "tank" },
  "tank-temperature": { hasCelsius: true, numbered: "tank" },
  "carcass-temperature": { hasCelsius: true, numbered: "tank" },
  stands: { words: POSITIONS },
} as const satisfies Record<string, FactShape>;

export type FactKind = keyof typeof FACT_TABLE;
export const FACT_KINDS = Object.keys(FACT_TABLE) as [FactKind, ...FactKind[]];
export const factShape = (kind: FactKind): FactShape => FACT_TABLE[kind];

/** Something that happened on the day, as it was tapped. */
export interface DayFact {
  readonly entryId: string;
  readonly kind: FactKind;
  /** When it happened, by the farm's clock; epoch milliseconds. */
  readonly at: number;
  readonly note: string;
  /** Who: whoever the phone said it is with, or who stands somewhere; empty where no one said. */
  readonly person: string;
  /** The phone or device that it came from; empty for one that has no name. */
  readonly device: string;
  readonly birds: number | undefined;
  /** Number of a cone, tank, or band. */
  readonly number: number | undefined;
  readonly celsius: number | undefined;
  readonly bags: number | undefined;
  readonly word: string | undefined;
  /** The entry of the fact that this one belongs to. */
  readonly of: string | undefined;
}

/** A fact that says nothing but its kind and time, to be filled in. */
export const plainFact = (kind: FactKind, at: number): Omit<DayFact, "entryId"> => ({
  kind,
  at,
  note: "",
  person: "",
  device: "",
  birds: undefined,
  number: undefined,
  celsius: undefined,
  bags: undefined,
  word: undefined,
  of: undefined,
});

/** Birds that a fact counts. */
export const birdsIn = ({ birds }: Pick<DayFact, "birds">): number => birds ?? 1;

/** What is wrong with a fact's fields; undefined where it can be kept. */
export type FactFault =
  | "too-many-birds"
  | "number-needed"
  | "temperature-needed"
  | "impossible-temperature"
  | "bags-needed"
  | "unknown-word"
  | "note-needed";

/** Most birds of one tap, and the highest number of a cone, tank, or band. */
export const MOST_TAPPED = 100;
/** No water of a scald or a tank, and no carcass, is outside of this, °C: a thermometer that says so is read wrong or broken. */
export const POSSIBLE_CELSIUS = [-10, 100] as const;
const MOST_BAGS = 100;

/** Whether a fact says what its kind has to say, and nothing that can't be. */
export function factFault(
  fact: Pick<DayFact, "kind" | "birds" | "number" | "celsius" | "bags" | "word" | "note">,
): FactFault | undefined {
  const shape = factShape(fact.kind);
  if (shape.hasBirds && !isWhole(birdsIn(fact), MOST_TAPPED)) return "too-many-birds";
  if (shape.numbered && fact.number !== undefined && !isWhole(fact.number, MOST_TAPPED))
    return "number-needed";
  if (shape.hasCelsius) {
    if (fact.celsius === undefined || !Number.isFinite(fact.celsius)) return "temperature-needed";
    if (fact.celsius < POSSIBLE_CELSIUS[0] || fact.celsius > POSSIBLE_CELSIUS[1])
      return "impossible-temperature";
  }
  if (shape.hasBags && !(fact.bags !== undefined && fact.bags > 0 && fact.bags <= MOST_BAGS))
    return "bags-needed";
  if (shape.words && !(fact.word !== undefined && shape.words.includes(fact.word))) return "unknown-word";
  if (shape.note === "needed" && fact.note === "") return "note-needed";
  return undefined;
}

const isWhole = (number: number, most: number) => Number.isInteger(number) && number >= 1 && number <= most;

/** Birds that facts of a kind count together. */
export const countOf = (facts: readonly DayFact[], kind: FactKind): number =>
  facts.reduce((sum, fact) => (fact.kind === kind ? sum + birdsIn(fact) : sum), 0);
