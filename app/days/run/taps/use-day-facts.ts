import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { LiveEvent, NewsAfter } from "#app/days/run/live/live-day.ts";
import { type Attached, useAttached } from "#app/days/run/live/use-attached.ts";
import { useFarmClock } from "#app/days/run/live/use-farm-clock.ts";
import { useLiveLink } from "#app/days/run/live/use-live-link.ts";
import {
  type KnownFacts,
  leavesGap,
  type ShownFact,
  shownFacts,
  withFactsAhead,
  withNews,
} from "#app/days/run/taps/known-facts.ts";
import { sendTap } from "#app/days/run/taps/send-tap.ts";
import {
  deviceId,
  newId,
  readWaiting,
  type WaitingTap,
  waitingKey,
  writeWaiting,
} from "#app/days/run/taps/waiting-taps.ts";
import type { RunForecast } from "#core/day/forecast/run-forecast.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";

/** What a tap says: its kind, and whatever its kind carries. */
export type SaidNow = Pick<DayFact, "kind"> & Partial<Omit<DayFact, "entryId" | "at" | "device">>;

export interface DayOnPhone {
  readonly dayId: number;
  readonly fileId: string;
  readonly loaded: KnownFacts;
  readonly forecast: RunForecast | undefined;
  readonly attached: Attached;
  /** Who has this phone; empty where no one said. */
  readonly person: string;
  /** The farm's clock when the page was made. */
  readonly now: number;
}

const RETRY_MILLISECONDS = 3000;

/**
 * The facts of a day on this phone. Taps answer at once and are sent one after another, kept on the phone until each was
 * answered; what other phones tap comes by the live link.
 */
export function useDayFacts(day: DayOnPhone) {
  const { dayId, fileId, loaded, person, now } = day;
  const [known, setKnown] = useState(loaded);
  const [forecast, setForecast] = useState(day.forecast);
  const { clock, setClock } = useFarmClock(now);
  const [revision, setRevision] = useState<number>();
  const { attached, hearAttached } = useAttached(day.attached);
  const latest = useRef(known);
  latest.current = known;

  const learn = useCallback(
    (news: NewsAfter) => {
      if (leavesGap(latest.current, news)) {
        setKnown((before) => withFactsAhead(before, news));
        void catchUp(dayId, latest.current.cursor).then((all) => all && learn(all));
      } else setKnown((before) => withNews(before, news));
    },
    [dayId],
  );
  const cursor = useCallback(() => latest.current.cursor, []);
  const hear = useCallback(
    (event: LiveEvent) => {
      if (event.name === "news") learn(event.data);
      else if (event.name === "forecast") setForecast(event.data);
      else if (event.name === "clock") setClock(event.data);
      else if (event.name === "plan") setRevision(event.data);
      else hearAttached(event);
    },
    [learn, setClock, hearAttached],
  );
  const isConnected = useLiveLink({ dayId, fileId, cursor, hear });

  const queue = useQueue({ dayId, fileId, key: waitingKey(fileId, dayId), person, cursor, learn, clock });
  const { waiting, isReached, ...rest } = queue;
  const facts = useMemo(() => shownFacts(known, waiting), [known, waiting]);
  return {
    ...rest,
    ...attached,
    revision,
    facts,
    forecast,
    waiting,
    isConnected: isConnected && isReached,
    now: clock.shown,
  };
}

export type DayFacts = ReturnType<typeof useDayFacts>;

interface Queue extends Omit<Sender, "keep" | "setReached"> {
  readonly person: string;
  readonly clock: { readonly current: () => number };
}

/** What was tapped on this phone and is not answered yet. */
function useQueue({ dayId, fileId, key, person, cursor, learn, clock }: Queue) {
  const [waiting, setWaiting] = useState<readonly WaitingTap[]>([]);
  const [isKept, setIsKept] = useState(true);
  const [isReached, setReached] = useState(true);
  const keep = useCallback(
    (change: (taps: readonly WaitingTap[]) => readonly WaitingTap[]) => {
      const next = change(readWaiting(key));
      setIsKept(writeWaiting(key, next));
      setWaiting(next);
    },
    [key],
  );
  const send = useSender({ dayId, fileId, key, cursor, learn, keep, setReached });
  useEffect(() => setWaiting(readWaiting(key)), [key]);

  const tap = useCallback(
    (said: SaidNow): string => {
      const entryId = newId();
      const at = Math.round(clock.current());
      keep((taps) => [...taps, { note: "", person, ...said, entryId, at, device: deviceId() }]);
      navigator.vibrate?.(30);
      send();
      return entryId;
    },
    [keep, send, person, clock],
  );
  /** Takes a tap of this phone back. It waits its turn behind the tap itself, so that the two can't cross. */
  const undo = useCallback(
    ({ entryId, kind }: DayFact) => {
      const at = Math.round(clock.current());
      keep((taps) => [
        ...taps,
        { entryId: newId(), kind, at, note: "", person: "", device: deviceId(), undoes: entryId },
      ]);
      send();
    },
    [keep, send, clock],
  );
  /** Sends what was refused once more, or lets it go. */
  const decide = useCallback(
    (what: "again" | "discard") => {
      keep((taps) =>
        what === "discard"
          ? taps.filter(({ refusal }) => refusal === undefined)
          : taps.map(({ refusal: _refusal, ...one }) => one),
      );
      send();
    },
    [keep, send],
  );
  return { waiting, isKept, isReached, tap, undo, decide };
}

interface Sender {
  readonly dayId: number;
  readonly fileId: string;
  readonly key: string;
  readonly cursor: () => number;
  readonly learn: (news: NewsAfter) => void;
  readonly keep: (change: (taps: readonly WaitingTap[]) => readonly WaitingTap[]) => void;
  readonly setReached: (isReached: boolean) => void;
}

/** Sends what waits, one after another, every few seconds and at once when the signal is back. */
function useSender({ dayId, fileId, key, cursor, learn, keep, setReached }: Sender): () => void {
  const isSending = useRef(false);
  const send = useCallback(async () => {
    if (isSending.current) return;
    isSending.current = true;
    const next = () => readWaiting(key).find(({ refusal }) => refusal === undefined);
    try {
      for (let one = next(); one; one = next()) {
        const { entryId } = one;
        const sent = await sendTap({ dayId, fileId }, one, cursor());
        setReached(sent.outcome !== "not-reached");
        if (sent.outcome === "not-reached") break;
        if (sent.outcome === "kept") learn(sent.news);
        keep((taps) =>
          sent.outcome === "kept"
            ? taps.filter((tap) => tap.entryId !== entryId)
            : taps.map((tap) => (tap.entryId === entryId ? { ...tap, refusal: sent.refusal } : tap)),
        );
      }
    } finally {
      isSending.current = false;
    }
  }, [dayId, fileId, key, cursor, learn, keep, setReached]);
  useEffect(() => {
    const retry = () => void send();
    retry();
    const timer = setInterval(retry, RETRY_MILLISECONDS);
    window.addEventListener("online", retry);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", retry);
    };
  }, [send]);
  return send;
}

async function catchUp(dayId: number, after: number): Promise<NewsAfter | undefined> {
  try {
    const response = await fetch(`/days/${dayId}/run/news?after=${after}`);
    return response.ok ? ((await response.json()) as NewsAfter) : undefined;
  } catch {
    return undefined;
  }
}

/** The last thing that this phone tapped of some kinds: what its undo takes back. */
export function lastOwn(
  facts: readonly ShownFact[],
  kinds: readonly DayFact["kind"][],
): ShownFact | undefined {
  const device = typeof localStorage === "undefined" ? "" : deviceId();
  return facts.findLast((fact) => fact.device === device && kinds.includes(fact.kind));
}
