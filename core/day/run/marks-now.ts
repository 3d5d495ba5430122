import { countOf, type DayFact, LOOKS, type Look, MARKS, type Mark } from "#core/day/run/day-fact.ts";

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
  const said = (kind: DayFact["kind"], word: string) =>
    facts.filter((fact) => fact.kind === kind && fact.word === word).length;
  // Where only marks are tapped, the birds in the chill are those that came through.
  const birds = Math.max(countOf(facts, "table"), countOf(facts, "bird"));
  const marks = Object.fromEntries(MARKS.map((mark) => [mark, said("mark", mark)])) as Record<Mark, number>;
  const looks = Object.fromEntries(LOOKS.map((look) => [look, said("look", look)])) as Record<Look, number>;
  const hints = MARKS.filter((mark) => birds >= ENOUGH_BIRDS && marks[mark] > TOO_MANY_SHARE * birds);
  return { birds, marks, looks, hints };
}
