import { Link } from "react-router";
import type { Post } from "#app/days/run/post/use-post.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { positionWords } from "#app/words/run-words.ts";
import { POSITIONS, type Position } from "#core/day/run/day-fact.ts";

const POSTS = [
  { path: "cones", name: "Killing cones", line: "bleed times" },
  { path: "scald", name: "Scald", line: "water and dips" },
  { path: "table", name: "Evisceration table", line: "birds and marks" },
  { path: "look", name: "Inspect", line: "for sale, or why not" },
  { path: "chill", name: "Chill tanks", line: "birds, ice, temperatures" },
  { path: "alone", name: "One phone for all", line: "cones, scald, table, chill" },
  { path: "board", name: "Board", line: "for a tablet on the wall" },
] as const;

/** The posts of the day: each phone takes one. Counting here is enough for a day with one phone. */
export function Posts({ dayId }: { dayId: number }) {
  return (
    <nav aria-label="Posts" className="grid grid-cols-2 gap-3 md:grid-cols-3">
      {POSTS.map(({ path, name, line }) => (
        <Link
          key={path}
          reloadDocument
          to={`/days/${dayId}/run/${path}`}
          className="yard-key yard-card grid content-center py-2"
        >
          {name}
          <span className="yard-soft text-base font-normal">{line}</span>
        </Link>
      ))}
    </nav>
  );
}

/** To the sheet for whatever changed. */
export function ToChange({ dayId }: { dayId: number }) {
  return (
    <Link
      to={`/days/${dayId}/run/change`}
      className="yard-key yard-card grid content-center rounded-sheet px-4 py-2"
    >
      Something changed
      <span className="yard-soft text-base font-normal">
        someone missing, plucker out, rain, ice short, fewer birds
      </span>
    </Link>
  );
}

/** Who has this phone: each of its taps says so. */
export function WhoHasIt({ post: { person, setPerson, reading, isReady } }: { post: Post }) {
  return (
    <label className="grid gap-1">
      <span className="yard-soft">Who has this phone?</span>
      <select
        value={person}
        disabled={!isReady}
        onChange={({ target }) => setPerson(target.value)}
        className="yard-card min-h-16 rounded-sheet px-4 text-lg"
      >
        <option value="">No one in particular</option>
        {reading.people.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
    </label>
  );
}

/** Where everybody stands, as it was last said; said anew when somebody moves, comes, or leaves. */
export function WhoIsWhere({ post: { reading, facts, forecast, tap, isReady } }: { post: Post }) {
  const show = useShow();
  const paces = new Map(
    (forecast?.paces ?? []).map(({ name, minutes, birds }) => [
      name,
      `${show.decimal(minutes, 1)} min a bird, from ${birds}`,
    ]),
  );
  const latest = new Map(
    facts.filter(({ kind }) => kind === "stands").map(({ person, word }) => [person, word]),
  );
  const here = reading.people.filter(
    (name) => latest.has(name) || reading.crew.some((one) => one.name === name),
  );
  const away = reading.people.filter((name) => !here.includes(name));
  return (
    <details className="yard-card rounded-sheet px-4">
      <summary className="min-h-16 content-center text-lg font-semibold">Who is where</summary>
      <div className="grid gap-3 py-3 md:grid-cols-2">
        {[...here, ...away].map((name) => (
          <label key={name} className="grid grid-cols-[8rem_1fr] items-center gap-3">
            <span className="truncate">
              {name}
              {paces.get(name) && <span className="yard-soft block text-sm">{paces.get(name)}</span>}
            </span>
            <select
              value={latest.get(name) ?? ""}
              disabled={!isReady}
              onChange={({ target }) => tap({ kind: "stands", person: name, word: target.value })}
              className="yard-card min-h-16 min-w-0 rounded-sheet px-3 text-lg"
            >
              <option value="" disabled>
                {here.includes(name) ? "As planned" : "Not here"}
              </option>
              {POSITIONS.map((position: Position) => (
                <option key={position} value={position}>
                  {positionWords(position)}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </details>
  );
}
