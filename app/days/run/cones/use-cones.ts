import { useEffect, useRef, useState } from "react";
import type { Post } from "#app/days/run/post/use-post.ts";
import { BLEED_FLOOR_MILLISECONDS, type Cone, conesNow } from "#core/day/run/cones-now.ts";

/** The cones as they are, and what touching one does: a bird in, or out once it has bled past the floor. */
export function useCones({ facts, reading, now, tap, call }: Post) {
  const [touchedTooSoon, setTooSoon] = useState<number>();
  const cones = conesNow(facts, reading.day.cones, now);
  useReadyCall(cones, call);
  const touch = (cone: Cone) => {
    setTooSoon(cone.state === "bleeding" ? cone.number : undefined);
    if (cone.state === "free") tap({ kind: "kill", number: cone.number });
    if (cone.state === "past-the-floor") tap({ kind: "cone-out", number: cone.number });
  };
  const tooSoon = cones.find(
    ({ number, state }) => number === touchedTooSoon && state === "bleeding",
  )?.number;
  return { cones, tooSoon, touch };
}

/** A bird that was ready before this page was opened is seen, not heard. */
const HEARD_WITHIN_MILLISECONDS = 3000;

/** Calls once when a bird has bled past the floor. */
function useReadyCall(cones: readonly Cone[], call: Post["call"]): void {
  const heard = useRef(new Set<string>());
  useEffect(() => {
    for (const cone of cones) {
      if (cone.state !== "past-the-floor" || heard.current.has(cone.bird.entryId)) continue;
      heard.current.add(cone.bird.entryId);
      const isNew = cone.bledMilliseconds < BLEED_FLOOR_MILLISECONDS + HEARD_WITHIN_MILLISECONDS;
      if (isNew) call("cone-ready", `Cone ${cone.number} has bled. Out, if the bird is still.`);
    }
  }, [cones, call]);
}
