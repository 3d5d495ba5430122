import type { NewsAfter } from "#app/days/run/live/live-day.ts";
import type { WaitingTap } from "#app/days/run/taps/waiting-taps.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";

/** A fact as a phone shows it; waiting as long as the farm's machine has not answered for it. */
export interface ShownFact extends DayFact {
  readonly isWaiting: boolean;
}

/** What a phone knows of a day: all facts up to a cursor. */
export interface KnownFacts {
  readonly cursor: number;
  readonly facts: readonly DayFact[];
}

/** Adds news. They may overlap with what is known; they may not leave a gap. */
export function withNews(known: KnownFacts, news: NewsAfter): KnownFacts {
  if (news.cursor <= known.cursor) return known;
  const replaced = new Set([...news.removed, ...news.facts.map(({ entryId }) => entryId)]);
  const facts = [...known.facts.filter(({ entryId }) => !replaced.has(entryId)), ...news.facts];
  return { cursor: news.cursor, facts: inOrder(facts) };
}

/** Whether news follow so late that some of what lies between is not known. */
export const leavesGap = (known: KnownFacts, news: Pick<NewsAfter, "after">): boolean =>
  news.after > known.cursor;

/** Adds news that leave a gap, so that they are shown; the cursor stays, and what lies between is still asked for. */
export const withFactsAhead = (known: KnownFacts, news: NewsAfter): KnownFacts => ({
  ...withNews({ ...known, cursor: 0 }, news),
  cursor: known.cursor,
});

/** All that was tapped and not taken back: what the farm's machine has, then what waits here. */
export function shownFacts({ facts }: KnownFacts, waiting: readonly WaitingTap[]): ShownFact[] {
  const known = new Set(facts.map(({ entryId }) => entryId));
  const undone = new Set(waiting.map(({ undoes }) => undoes));
  const unsent = waiting
    .filter(
      ({ entryId, undoes, refusal }) => undoes === undefined && refusal === undefined && !known.has(entryId),
    )
    .map(({ undoes: _undoes, refusal: _refusal, ...tap }) => ({ ...tap, isWaiting: true }) as ShownFact);
  return inOrder([...facts.map((fact) => ({ ...fact, isWaiting: false })), ...unsent]).filter(
    ({ entryId }) => !undone.has(entryId),
  );
}

const inOrder = <Fact extends { readonly at: number }>(facts: readonly Fact[]): Fact[] =>
  facts.toSorted((one, other) => one.at - other.at);
