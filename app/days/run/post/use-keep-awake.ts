import { useEffect, useState } from "react";

export type KeepAwake = "kept" | "not-kept";

/** Keeps the screen on while a post is shown. Only secure pages may; elsewhere the phone's own setting has to do it. */
export function useKeepAwake(): KeepAwake {
  const [awake, setAwake] = useState<KeepAwake>("not-kept");
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let isLeft = false;
    const ask = async () => {
      if (document.visibilityState !== "visible" || !navigator.wakeLock) return;
      try {
        lock = await navigator.wakeLock.request("screen");
        if (isLeft) await lock.release();
        setAwake("kept");
        lock.addEventListener("release", () => setAwake("not-kept"));
      } catch {
        setAwake("not-kept");
      }
    };
    void ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      isLeft = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
  return awake;
}
