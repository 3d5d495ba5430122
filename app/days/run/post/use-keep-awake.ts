import { useEffect } from "react";

/** Keeps the screen on while a post is shown. Only secure pages may; elsewhere the phone's own setting has to do it. */
export function useKeepAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let isLeft = false;
    const ask = async () => {
      if (document.visibilityState !== "visible" || !navigator.wakeLock) return;
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
  }, []);
}
