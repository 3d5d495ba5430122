import { birdsIn, type DayFact, LOOKS, type Look, MARKS, type Mark } from "#core/day/run/day-fact.ts";

/** What the table has noted so far. */
export interface MarksNow {
  readonly birds: number;
  readonly marks: Readonly<Record<Mark, number>>;
  readonly looks: Readonly<Record<Look, number>>;
  /** What the marks point at, where they are more than one in ten of at least ten birds. */
  readonly hints: readonly Mark[];
}

/** Our choice: fewer are no sign of anything but chance. */
const ENOUGH_BIRDS = 10;
const TOO_MANY_SHARE = 0.1;

/** Counts of each mark and each look, and which of them say that something should change. */
export function marksNow(facts: readonly DayFact[]): MarksNow {
  const countOf = (kind: DayFact["kind"], word: string) =>
    facts.filter((fact) => fact.kind === kind && fact.word === word).length;
  const atTable = facts.filter(({ kind }) => kind === "table").reduce((sum, fact) => sum + birdsIn(fact), 0);
  // Where only marks are tapped, the birds in the chill are those that came through.
  const chilled = facts.filter(({ kind }) => kind === "bird").reduce((sum, fact) => sum + birdsIn(fact), 0);
  const birds = Math.max(atTable, chilled);
  const marks = Object.fromEntries(MARKS.map((mark) => [mark, countOf("mark", mark)])) as Record<
    Mark,
    number
  >;
  const looks = Object.fromEntries(LOOKS.map((look) => [look, countOf("look", look)])) as Record<
    Look,
    number
  >;
  const hints = MARKS.filter((mark) => birds >= ENOUGH_BIRDS && marks[mark] > TOO_MANY_SHARE * birds);
  return { birds, marks, looks, hints };
}
