import { MINUTE } from "#core/calendar/milliseconds.ts";
import { birdsIn, type DayFact, type FactKind } from "#core/day/run/day-fact.ts";
import { pausesOf, workedBetween } from "#core/day/run/run-progress.ts";

/** A post that counts birds as they pass. */
const COUNTED_POSTS = ["kill", "dip-in", "plucked", "table", "bird"] as const satisfies readonly FactKind[];
export type CountedPost = (typeof COUNTED_POSTS)[number];

/** How a day went at one post, pauses left out. */
export interface StationAsRun {
  readonly post: CountedPost;
  readonly birds: number;
  readonly firstAt: number;
  readonly lastAt: number;
  /** Median from one tap to the next; undefined for one tap. */
  readonly minutesABird: number | undefined;
  /** The longest stand: when it began, and how long; undefined for one tap. */
  readonly longest: { readonly at: number; readonly minutes: number } | undefined;
}

/** Where the time of a day went, for each post that tapped birds. @param facts in order of time */
export function stationsAsRun(facts: readonly DayFact[]): StationAsRun[] {
  const pauses = pausesOf(facts, facts.at(-1)?.at ?? 0);
  return COUNTED_POSTS.flatMap((post): StationAsRun[] => {
    const own = facts.filter(({ kind }) => kind === post);
    const [first] = own;
    if (!first) return [];
    const gaps = own.slice(1).map((fact, index) => {
      const at = own[index]!.at;
      return { at, minutes: workedBetween(at, fact.at, pauses) / MINUTE, birds: birdsIn(fact) };
    });
    const byBird = gaps.map(({ minutes, birds }) => minutes / birds).toSorted((one, other) => one - other);
    const longest = gaps.toSorted((one, other) => other.minutes - one.minutes)[0];
    return [
      {
        post,
        birds: own.reduce((sum, fact) => sum + birdsIn(fact), 0),
        firstAt: first.at,
        lastAt: own.at(-1)!.at,
        minutesABird: byBird[Math.floor(byBird.length / 2)],
        longest: longest && { at: longest.at, minutes: longest.minutes },
      },
    ];
  });
}

/** Someone at one place, from one moment to another. */
export interface Stretch {
  readonly person: string;
  readonly place: string;
  readonly from: number;
  readonly to: number;
}

/** Who stood where and for how long, as it was tapped. @param until when the day ended, or now */
export function stretchesOf(facts: readonly DayFact[], until: number): Stretch[] {
  const open = new Map<string, Stretch>();
  const done: Stretch[] = [];
  for (const { kind, person, word = "", at } of facts) {
    if (kind !== "stands" || person === "") continue;
    const before = open.get(person);
    if (before && at > before.from) done.push({ ...before, to: at });
    open.delete(person);
    if (word !== "gone") open.set(person, { person, place: word, from: at, to: until });
  }
  return [...done, ...open.values()].filter(({ from, to }) => to > from);
}
