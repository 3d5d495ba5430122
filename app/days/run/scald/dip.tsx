import { useEffect, useRef } from "react";
import { clockOf } from "#app/days/run/post/clock-of.ts";
import type { Post } from "#app/days/run/post/use-post.ts";
import { plural } from "#app/words/show.ts";
import type { DipNow } from "#core/day/run/scald-now.ts";

/** Seconds by which a dip is longer or shorter that are worth a word. */
const WORTH_SAYING_SECONDS = 3;

/** The dip that is under way: how long it has been, what to do when, and a shape that runs out with it. */
export function Dip({ dip, call }: { dip: DipNow; call: Post["call"] }) {
  const { birds, inSeconds, trySeconds, targetSeconds, liftBySeconds, longerSeconds } = dip;
  useDipCalls(dip, call);
  const isLate = liftBySeconds !== undefined && inSeconds >= liftBySeconds;
  const share = targetSeconds === undefined ? 0 : Math.min(1, inSeconds / targetSeconds);
  return (
    <section
      aria-label="Dip"
      className={`relative overflow-hidden rounded-sheet px-4 py-3 ${isLate ? "yard-stop" : "yard-do"}`}
    >
      <span
        aria-hidden="true"
        className="absolute inset-y-0 right-0 bg-black/15"
        style={{ width: `${(1 - share) * 100}%` }}
      />
      <div className="relative">
        <p className="font-semibold">{plural(birds, "bird")} in the water</p>
        <p className="font-mono text-6xl font-semibold">{clockOf(inSeconds)}</p>
        {trySeconds === undefined || liftBySeconds === undefined ? (
          <p className="text-lg font-semibold">
            The water is too cold to loosen feathers. Lift, and heat it first.
          </p>
        ) : (
          <p className="text-lg font-semibold">{whatToDo(inSeconds, trySeconds, liftBySeconds)}</p>
        )}
        {longerSeconds !== undefined && Math.abs(longerSeconds) >= WORTH_SAYING_SECONDS && (
          <p>
            {Math.round(Math.abs(longerSeconds))} s {longerSeconds > 0 ? "longer" : "shorter"} than in a bath
            at its setting
          </p>
        )}
      </div>
    </section>
  );
}

function whatToDo(inSeconds: number, trySeconds: number, liftBySeconds: number): string {
  if (inSeconds >= liftBySeconds) return "Lift now: longer tears the skin.";
  const lift = `lift by ${clockOf(liftBySeconds)}`;
  return inSeconds < trySeconds
    ? `Try a wing feather at ${clockOf(trySeconds)}, ${lift}`
    : `Try a wing feather now, ${lift}`;
}

const STAGE_WORDS = {
  "try-feather": "Try a wing feather.",
  "lift-now": "Lift now.",
} as const;

/** Calls once when a feather is worth trying, and once when the birds have to come out. */
function useDipCalls(
  { dip, inSeconds, trySeconds = Infinity, liftBySeconds = Infinity }: DipNow,
  call: Post["call"],
) {
  const heard = useRef("");
  const stage = inSeconds >= liftBySeconds ? "lift-now" : inSeconds >= trySeconds ? "try-feather" : undefined;
  const dipStage = `${dip.entryId} ${stage}`;
  useEffect(() => {
    if (stage === undefined || heard.current === dipStage) return;
    heard.current = dipStage;
    call(stage, STAGE_WORDS[stage]);
  }, [dipStage, stage, call]);
}
