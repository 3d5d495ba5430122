import { type RefObject, useEffect, useRef, useState } from "react";
import type { Allowed } from "#core/processing-line/alternatives/best-crew.ts";
import type { LeverEffect } from "#core/processing-line/alternatives/what-helps.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { comparedReplications, refinedReplications } from "#core/processing-line/replications.ts";
import type { WatchedReplication } from "#core/processing-line/watched-replication.ts";
import { LineWorker } from "#workers/line/client.ts";
import type { ProposedCrew, RefinedAnswer } from "#workers/line/protocol.ts";

/** Someone who moves a name moves another soon after. */
const QUIET_MILLISECONDS = 250;
const CREW_MILLISECONDS = 2500;

/** What the worker has made of one day of the line; each undefined until it is known. */
export interface RefinedLine {
  /** The day it stands for, as text. */
  readonly key: string;
  readonly refined?: RefinedAnswer;
  readonly helps?: readonly LeverEffect[];
  /** The worker did not load or broke down: the page's own quick answer stands. */
  readonly isFailed?: true;
}

export type CrewSearchState =
  | { readonly state: "none" | "searching" | "failed" }
  | { readonly state: "found"; readonly key: string; readonly proposed: ProposedCrew };

/** Plays the line in a worker whenever it has changed: first the refined answer, then a day to watch, then what would help. */
export function useLine(day: LineDay) {
  const key = JSON.stringify(day);
  const worker = useRef<LineWorker>(undefined);
  const [line, setLine] = useState<RefinedLine>({ key: "" });
  // The last day that was played stays in sight until the next is.
  const [watched, setWatched] = useState<WatchedReplication>();

  useEffect(() => {
    const made = new LineWorker();
    worker.current = made;
    return () => made.end();
  }, []);

  useEffect(() => {
    const abort = new AbortController();
    const asked = JSON.parse(key, (_, value) => (value === null ? Infinity : value)) as LineDay;
    const timer = setTimeout(async () => {
      const made = worker.current;
      if (!made) return;
      const ask = { day: asked, seed: LINE_SEED };
      try {
        const most = refinedReplications(asked);
        const refined = await made.run({ what: "answer", replications: most, ...ask }, abort);
        setLine({ key, refined });
        setWatched(await made.run({ what: "watched", ...ask }, abort));
        const fewer = comparedReplications(asked);
        const helps = await made.run({ what: "helps", replications: fewer, ...ask }, abort);
        setLine({ key, refined, helps });
      } catch {
        // Given up for a newer question: nothing to say. Otherwise the first, quick answer stands, and the page says so.
        if (!abort.signal.aborted) setLine({ key, isFailed: true });
      }
    }, QUIET_MILLISECONDS);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [key]);

  const { crew, findCrew } = useCrewSearch(worker, day, key);
  return {
    key,
    line: line.key === key ? line : undefined,
    watched,
    crew,
    findCrew,
  };
}

/** Looks for the crew that is done soonest, when someone asks for it. */
function useCrewSearch(worker: RefObject<LineWorker | undefined>, day: LineDay, key: string) {
  const [crew, setCrew] = useState<CrewSearchState>({ state: "none" });
  const findCrew = async (allowed: Allowed): Promise<void> => {
    setCrew({ state: "searching" });
    try {
      const proposed = await worker.current!.run(
        { what: "best crew", day, seed: LINE_SEED, allowed, mostMilliseconds: CREW_MILLISECONDS },
        new AbortController(),
      );
      setCrew({ state: "found", key, proposed });
    } catch {
      setCrew({ state: "failed" });
    }
  };
  return { crew, findCrew };
}
