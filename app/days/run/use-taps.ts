import { useCallback, useEffect, useRef, useState } from "react";
import { z } from "zod";
import type { RunEventKind } from "#core/day/run/run-progress.ts";

export type TapKind = RunEventKind;

/** Something that was tapped; waiting as long as the farm's machine has not answered for it. */
export interface Tap {
  readonly entryId: string;
  readonly kind: TapKind;
  readonly at: number;
  readonly note: string;
  readonly isWaiting?: boolean;
}

const RETRY_MILLISECONDS = 3000;
const Recorded = z.object({
  entryId: z.string(),
  kind: z.enum(["start", "bird", "pause", "resume", "note", "finish"]),
  at: z.number(),
  note: z.string(),
});
const Waiting = z.array(Recorded.extend({ undoes: z.string().optional() }));
/** What the farm's machine answers: all that it has of the day, so that phones hear of each other's taps. */
const Answer = z.object({ events: z.array(Recorded) });
/** What waits to be sent: a tap, or with `undoes` the taking back of one. */
type Waiting = z.output<typeof Waiting>[number];

/**
 * Taps that answer at once and are sent one after another, kept on the phone until each was answered.
 * Each has its id from here, so a tap sent again is counted once.
 */
export function useTaps(dayId: number, loaded: readonly Tap[]) {
  const key = `pale-morning-taps-${dayId}`;
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [recorded, setRecorded] = useState(loaded);
  const [refusal, setRefusal] = useState<string>();
  useEffect(() => setRecorded(loaded), [loaded]);
  const isSending = useRef(false);

  const keep = useCallback(
    (change: (taps: readonly Waiting[]) => readonly Waiting[]) => {
      const next = change(readWaiting(key));
      writeWaiting(key, next);
      setWaiting(next);
    },
    [key],
  );

  const send = useCallback(async () => {
    if (isSending.current) return;
    isSending.current = true;
    try {
      for (let next = readWaiting(key)[0]; next; next = readWaiting(key)[0]) {
        const { entryId } = next;
        const answer = await post(dayId, next);
        if (!answer.isAnswered) break;
        if (answer.events) setRecorded(answer.events);
        setRefusal(answer.refusal);
        keep((taps) => taps.filter((tap) => tap.entryId !== entryId));
      }
    } finally {
      isSending.current = false;
    }
  }, [dayId, key, keep]);

  useEffect(() => setWaiting(readWaiting(key)), [key]);
  useRetry(key, send);

  const tap = useCallback(
    (kind: TapKind, at: number, note = "") => {
      keep((taps) => [...taps, { entryId: newId(), kind, at, note }]);
      navigator.vibrate?.(30);
      send();
    },
    [keep, send],
  );

  /** Takes a tap back. It waits its turn behind the tap itself, so that the two can't cross. */
  const remove = useCallback(
    ({ entryId, kind }: Tap, at: number) => {
      keep((taps) => [...taps, { entryId: newId(), kind, at, note: "", undoes: entryId }]);
      send();
    },
    [keep, send],
  );

  return { taps: tapsOf(recorded, waiting), tap, remove, refusal };
}

/** All that was tapped and not taken back: what the farm's machine has, then what waits here. */
function tapsOf(recorded: readonly Tap[], waiting: readonly Waiting[]): Tap[] {
  const known = new Set(recorded.map((one) => one.entryId));
  const undone = new Set(waiting.map((one) => one.undoes));
  const unsent = waiting
    .filter((one) => one.undoes === undefined && !known.has(one.entryId))
    .map((one) => ({ ...one, isWaiting: true }));
  return [...recorded, ...unsent].filter((one) => !undone.has(one.entryId));
}

/** Sends what waits every few seconds, and at once when the signal is back. */
function useRetry(key: string, send: () => Promise<void>): void {
  useEffect(() => {
    const retry = () => {
      if (readWaiting(key).length > 0) send();
    };
    retry();
    const timer = setInterval(retry, RETRY_MILLISECONDS);
    window.addEventListener("online", retry);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", retry);
    };
  }, [key, send]);
}

/** randomUUID is only there on secure pages; a phone on the farm's own network may have none. */
function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
}

/** Taps of a phone that keeps nothing (full, or private): they wait in the page, and are lost only with it. */
const inPage = new Map<string, readonly Waiting[]>();

function readWaiting(key: string): readonly Waiting[] {
  const held = inPage.get(key);
  if (held) return held;
  try {
    return Waiting.parse(JSON.parse(localStorage.getItem(key) ?? "[]"));
  } catch {
    return [];
  }
}

function writeWaiting(key: string, taps: readonly Waiting[]): void {
  try {
    localStorage.setItem(key, JSON.stringify(taps));
    inPage.delete(key);
  } catch {
    inPage.set(key, taps);
  }
}

interface PostAnswer {
  /** Not answered means to try again; a refusal is an answer too. */
  readonly isAnswered: boolean;
  readonly events?: readonly Tap[];
  readonly refusal?: string;
}

/** Sends one thing that waits. */
async function post(dayId: number, { undoes, entryId, kind, at, note }: Waiting): Promise<PostAnswer> {
  const body = new FormData();
  const fields = undoes === undefined ? { entryId, kind, at, note } : { entryId: undoes };
  for (const [name, value] of Object.entries({ ...fields, answer: "json" })) body.set(name, String(value));
  try {
    const address = `/days/${dayId}/run/${undoes === undefined ? "tap" : "undo"}`;
    const response = await fetch(address, { method: "POST", body });
    if (response.ok) return { isAnswered: true, events: Answer.parse(await response.json()).events };
    return response.status >= 500
      ? { isAnswered: false }
      : { isAnswered: true, refusal: await response.text() };
  } catch {
    return { isAnswered: false };
  }
}
