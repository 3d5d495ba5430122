import { useEffect } from "react";

/**
 * Keeps the screen on while a post is shown: by the browser's own lock where the page is secure, else by a silent video that is
 * played from the first touch on.
 */
export function useKeepAwake(): void {
  useEffect(() => (navigator.wakeLock ? keepLock() : keepByVideo()), []);
}

function keepLock(): () => void {
  let lock: WakeLockSentinel | undefined;
  let isLeft = false;
  const ask = async () => {
    if (document.visibilityState !== "visible") return;
    // A phone that saves its battery refuses; then its screen goes dark as usual.
    lock = await navigator.wakeLock.request("screen").catch(() => undefined);
    if (isLeft) await lock?.release();
  };
  void ask();
  document.addEventListener("visibilitychange", ask);
  return () => {
    isLeft = true;
    document.removeEventListener("visibilitychange", ask);
    void lock?.release();
  };
}

function keepByVideo(): () => void {
  let video: { enable(): Promise<unknown>; disable(): void } | undefined;
  const left = new AbortController();
  void import("nosleep.js").then(({ default: NoSleep }) => {
    if (left.signal.aborted) return;
    const made = new NoSleep();
    // Browsers let a page play only from a touch on.
    const begin = () => {
      video = made;
      made.enable().catch(() => undefined);
    };
    document.addEventListener("pointerdown", begin, { once: true, signal: left.signal });
  });
  return () => {
    left.abort();
    video?.disable();
  };
}
