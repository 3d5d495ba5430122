import { useEffect, useState } from "react";
import { LIVE_EVENTS, type LiveEvent } from "#app/days/run/live/live-day.ts";

const REOPEN_MILLISECONDS = 3000;
/** The farm's machine says the time every ten seconds: one that is silent for so long is not there. */
const SILENCE_MILLISECONDS = 25_000;

interface LiveLink {
  readonly dayId: number;
  readonly fileId: string;
  /** Where to go on from when the link is opened. */
  readonly cursor: () => number;
  readonly hear: (event: LiveEvent) => void;
}

/**
 * Hears of the day for as long as the page is shown. One window of a browser holds the stream and tells the others, so
 * that ten tabs take one connection; where the browser can't choose one (a page without HTTPS), each has its own.
 *
 * @returns whether the farm's machine is there
 */
export function useLiveLink({ dayId, fileId, cursor, hear }: LiveLink): boolean {
  const [isConnected, setIsConnected] = useState(true);
  useEffect(() => {
    const name = `pale-morning-live-${fileId}-${dayId}`;
    const left = new AbortController();
    const others = new BroadcastChannel(name);
    const tell = (message: Said) => {
      heard(message);
      others.postMessage(message);
    };
    const heard = (message: Said) => {
      if ("isConnected" in message) setIsConnected(message.isConnected);
      else {
        setIsConnected(true);
        hear(message);
      }
    };
    others.onmessage = ({ data }: MessageEvent<Said>) => heard(data);
    const hold = () => holdStream(`/days/${dayId}/live`, { cursor, tell, signal: left.signal });
    if (navigator.locks) navigator.locks.request(name, { signal: left.signal }, hold).catch(() => undefined);
    else void hold();
    return () => {
      left.abort();
      others.close();
    };
  }, [dayId, fileId, cursor, hear]);
  return isConnected;
}

type Said = LiveEvent | { readonly isConnected: boolean };

interface Stream {
  readonly cursor: () => number;
  readonly tell: (message: Said) => void;
  readonly signal: AbortSignal;
}

/** Keeps a stream open, and opens it again when it broke, until the signal says that the page was left. */
function holdStream(address: string, { cursor, tell, signal }: Stream): Promise<void> {
  return new Promise((resolve) => {
    let source: EventSource | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;
    let silence: ReturnType<typeof setTimeout> | undefined;
    const broke = () => {
      tell({ isConnected: false });
      source?.close();
      clearTimeout(silence);
      clearTimeout(again);
      again = setTimeout(open, REOPEN_MILLISECONDS);
    };
    const isHeard = () => {
      clearTimeout(silence);
      silence = setTimeout(broke, SILENCE_MILLISECONDS);
    };
    const open = () => {
      source = new EventSource(`${address}?after=${cursor()}`);
      isHeard();
      for (const name of LIVE_EVENTS)
        source.addEventListener(name, ({ data }) => {
          isHeard();
          tell({ name, data: JSON.parse(data) } as LiveEvent);
        });
      source.onerror = broke;
    };
    open();
    window.addEventListener("offline", broke, { signal });
    signal.addEventListener("abort", () => {
      clearTimeout(again);
      clearTimeout(silence);
      source?.close();
      resolve();
    });
  });
}
