import { STATION_WORDS } from "#app/words/words.ts";
import type {
  DayFact,
  FactFault,
  FactKind,
  Look,
  LookReason,
  Mark,
  Position,
} from "#core/day/run/day-fact.ts";
import type { Move } from "#core/processing-line/forecast/live-moves.ts";
import type { Milestone } from "#core/processing-line/forecast/milestone.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { FeatherAnswer } from "#core/scald/scald-learn.ts";

/** Words for what happens on a running day. */
export const MARK_WORDS: Readonly<Record<Mark, { name: string; hint: string }>> = {
  "gut-nicked": {
    name: "Gut nicked",
    hint: "Slow down at the vent, or move whoever is new there to another station.",
  },
  gall: {
    name: "Gall spilled",
    hint: "Cut the gall off wide, with some liver. Rinse and trim what is stained.",
  },
  "full-crop": {
    name: "Full crop",
    hint: "Too little time off feed. Kill the pen that has been off feed longest first.",
  },
  "empty-gut": {
    name: "Gut empty, watery",
    hint: "Too long off feed: guts tear easily. Kill this pen next.",
  },
  "torn-skin": { name: "Torn skin", hint: "Scald cooler or shorter, and check the plucker's fingers." },
};

export const LOOK_WORDS: Readonly<Record<Look, string>> = {
  sale: "For sale",
  own: "Home use",
  cut: "Cut up",
  pets: "Pet food",
  condemned: "Condemned",
};

export const LOOK_REASON_WORDS: Readonly<Record<LookReason, string>> = {
  bruise: "Bruise",
  "broken-wing": "Broken wing",
  "torn-skin": "Torn skin",
  sores: "Sores",
  fluid: "Fluid",
  "odd-liver": "Odd liver",
  other: "Something else",
};

export const FEATHER_WORDS: Readonly<Record<FeatherAnswer, { name: string; line: string }>> = {
  hold: { name: "Hold", line: "dip again" },
  slip: { name: "Slip", line: "just right" },
  tear: { name: "Tear", line: "too much" },
};

export const positionWords = (position: Position): string =>
  position === "chill" ? "Chill tanks" : position === "gone" ? "Left" : STATION_WORDS[position];

/** Where someone is sent. */
const AT_STATION: Readonly<Record<Station, string>> = {
  cones: "the killing cones",
  scald: "the scald",
  pluck: "the plucker",
  feet: "feet and heads",
  pins: "the pinfeathers",
  gut: "the evisceration table",
  rinse: "the rinse",
  giblets: "the giblets",
  pack: "packing",
  cut: "cutting up",
  seal: "the sealer",
};

const isPosition = (word: string | undefined): word is Position => word !== undefined;

const bagsOf = ({ bags }: DayFact) => `${bags ?? 0} ${bags === 1 ? "bag" : "bags"} of ice`;
const birdsOf = ({ birds }: DayFact) => ((birds ?? 1) === 1 ? "1 bird" : `${birds} birds`);

/** What a fact says, in a few words: for the list of what happened, and for the button that undoes it. */
export const FACT_WORDS: Readonly<Record<FactKind, (fact: DayFact) => string>> = {
  start: () => "Started",
  bird: (fact) =>
    `${(fact.birds ?? 1) === 1 ? "Bird" : birdsOf(fact)} in the chill tank${fact.number === undefined ? "" : ` ${fact.number}`}`,
  pause: ({ note }) => (note === "" ? "Pause" : `Pause: ${note}`),
  resume: () => "Resumed",
  note: ({ note }) => note,
  finish: () => "Finished",
  "feed-off": ({ note }) => (note === "" ? "Feed pulled" : `Feed pulled, ${note}`),
  caught: (fact) => `${birdsOf(fact)} caught${fact.note === "" ? "" : `, ${fact.note}`}`,
  "dead-in-crate": (fact) => `${birdsOf(fact)} dead in the crate`,
  "not-killed": (fact) => `${birdsOf(fact)} set aside, not killed`,
  "burner-lit": () => "Heat on",
  water: () => "Scald water read",
  kill: ({ number }) => (number === undefined ? "Bird killed" : `Bird in cone ${number}`),
  "cone-out": ({ number }) => `Cone ${number} emptied`,
  "dip-in": (fact) => `${birdsOf(fact)} into the scald`,
  "dip-out": ({ word }) => `Lifted: feathers ${word}`,
  "water-changed": () => "Scald water changed",
  plucked: (fact) => `${birdsOf(fact)} plucked`,
  table: (fact) =>
    birdsOf(fact) === "1 bird" ? "Bird through the table" : `${birdsOf(fact)} through the table`,
  mark: ({ word }) => MARK_WORDS[word as Mark].name,
  look: ({ word, note }) => {
    const reason = LOOK_REASON_WORDS[note as LookReason] ?? note;
    return reason === "" ? LOOK_WORDS[word as Look] : `${LOOK_WORDS[word as Look]}: ${reason.toLowerCase()}`;
  },
  ice: (fact) => `${bagsOf(fact)}${fact.number === undefined ? "" : `, tank ${fact.number}`}`,
  "tank-temperature": ({ number }) => `Tank ${number ?? 1} read`,
  "carcass-temperature": ({ number }) => `Carcass read, tank ${number ?? 1}`,
  stands: ({ person, word }) =>
    word === "gone"
      ? `${person} left`
      : `${person} to ${isPosition(word) ? positionWords(word).toLowerCase() : ""}`,
};

export const FACT_FAULT_WORDS: Readonly<Record<FactFault, string>> = {
  "too-many-birds": "Count 1 to 100 birds in one tap.",
  "number-needed": "Number cones, tanks, and bands from 1 to 100.",
  "temperature-needed": "Enter the temperature as a number.",
  "impossible-temperature":
    "Water can't be that hot or cold. Check the thermometer and its unit, then enter it again.",
  "bags-needed": "Enter how many bags of ice, up to 100.",
  "unknown-word": "Reload the page: this phone has an older version of it.",
  "note-needed": "Enter a note.",
};

/** A post that was tapped and is not heard from any more. */
export const MILESTONE_POST_WORDS: Readonly<Record<Milestone, string>> = {
  kill: "the killing cones",
  "dip-in": "the scald",
  "dip-out": "the scald",
  plucked: "the plucker",
  table: "the evisceration table",
  chill: "the chill tanks",
};

/** What to do now, and to whom it is said. */
export function moveWords(move: Move, time: (minute: number) => string): string {
  switch (move.what) {
    case "only-at":
      return `${move.name} to ${AT_STATION[move.station]} only`;
    case "also-at":
      return `${move.name} helps at ${AT_STATION[move.station]}`;
    case "break-later":
      return `Take the break at ${time(move.toMinute)}`;
    case "pack-later":
      return "Pack tomorrow";
  }
}
