import { useCallback, useEffect, useMemo, useRef, useState } from "react";

const TICK_MILLISECONDS = 1000;

/** The farm's clock, ticking here and set right whenever the farm's machine says the time: a phone's own may be an hour off. */
export function useFarmClock(serverNow: number) {
  const offset = useRef<number>(undefined);
  const [shown, setShown] = useState(serverNow);
  const current = useCallback(() => Date.now() + (offset.current ?? 0), []);
  const setClock = useCallback((at: number) => {
    offset.current = at - Date.now();
  }, []);
  useEffect(() => {
    setClock(serverNow);
    setShown(current());
    const timer = setInterval(() => setShown(current()), TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, [serverNow, setClock, current]);
  const clock = useMemo(() => ({ current, shown }), [current, shown]);
  return { clock, setClock };
}
