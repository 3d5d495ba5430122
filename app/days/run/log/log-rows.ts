import { birdsIn, type DayFact } from "#core/day/run/day-fact.ts";

const OF_THE_CHILL = ["ice", "tank-temperature", "carcass-temperature"] as const;
type ChillKind = (typeof OF_THE_CHILL)[number];
type ChillFact = DayFact & { readonly kind: ChillKind };

const isOfTheChill = (fact: DayFact): fact is ChillFact => OF_THE_CHILL.some((kind) => kind === fact.kind);

/** Ice and temperatures, in order of time. */
export const chillLog = (facts: readonly DayFact[]): ChillFact[] => facts.filter(isOfTheChill);

/** Kinds that count birds at a post, and the post's name. */
const COUNTED: Partial<Record<DayFact["kind"], string>> = {
  kill: "killed",
  "dip-in": "scalded",
  plucked: "plucked",
  table: "through the table",
  bird: "into the chill",
};

export interface TappedBy {
  readonly person: string;
  readonly what: string;
  readonly birds: number;
  /** First and last tap. */
  readonly from: number;
  readonly to: number;
}

/** Birds by person and post, those who tapped first coming first. @param facts in order of time */
export function tappedBy(facts: readonly DayFact[]): TappedBy[] {
  const rows = new Map<string, TappedBy>();
  for (const fact of facts) {
    const what = COUNTED[fact.kind];
    if (what === undefined) continue;
    const key = `${fact.person} ${what}`;
    const before = rows.get(key) ?? { person: fact.person, what, birds: 0, from: fact.at, to: fact.at };
    rows.set(key, { ...before, birds: before.birds + birdsIn(fact), to: fact.at });
  }
  return [...rows.values()];
}
