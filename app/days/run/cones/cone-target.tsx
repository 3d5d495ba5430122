import { arc } from "d3-shape";
import { clockOf } from "#app/days/run/post/clock-of.ts";
import { BLEED_FLOOR_MILLISECONDS, type Cone } from "#core/day/run/cones-now.ts";

interface ConeTargetProps {
  cone: Cone;
  /** It was touched before its bird had bled long enough. */
  isRefused: boolean;
  isDisabled: boolean;
  onTouch: () => void;
}

const EDGE: Readonly<Record<Cone["state"], string>> = {
  free: "transparent",
  bleeding: "var(--yard-do)",
  "past-the-floor": "var(--yard-ready)",
};

/** One cone, as large as a thumb with a glove on it. */
export function ConeTarget({ cone, isRefused, isDisabled, onTouch }: ConeTargetProps) {
  const { number, state } = cone;
  return (
    <button
      type="button"
      disabled={isDisabled}
      onClick={onTouch}
      className={`grid min-h-36 content-center justify-items-center rounded-sheet ${state === "free" ? "yard-do" : "yard-card"}`}
      style={{ border: `3px solid ${EDGE[state]}` }}
    >
      {state === "free" ? (
        <>
          <span className="text-2xl font-semibold">Bird in</span>
          <span>cone {number} is free</span>
        </>
      ) : (
        <Bleeding cone={cone} isRefused={isRefused} />
      )}
    </button>
  );
}

const SIZE = 116;
const ring = arc();

/** The ring shrinks to nothing at the floor; past it, it is whole. */
function Bleeding({ cone, isRefused }: { cone: Exclude<Cone, { state: "free" }>; isRefused: boolean }) {
  const isPast = cone.state === "past-the-floor";
  const left = Math.max(0, BLEED_FLOOR_MILLISECONDS - cone.bledMilliseconds);
  const share = isPast ? 1 : left / BLEED_FLOOR_MILLISECONDS;
  const path = ring({ innerRadius: 46, outerRadius: 56, startAngle: 0, endAngle: share * 2 * Math.PI });
  const bleeding = isRefused ? `Wait ${clockOf(left / 1000)}` : "Bleeding";
  return (
    <>
      <span className="relative grid place-content-center">
        <svg
          width={SIZE}
          height={SIZE}
          viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
          aria-hidden="true"
        >
          <circle r={51} fill="none" stroke="var(--yard-edge)" strokeWidth={10} />
          <path d={path ?? ""} fill={isPast ? "var(--yard-ready)" : "var(--yard-do)"} />
        </svg>
        <span className="absolute inset-0 grid place-content-center font-mono text-2xl font-semibold">
          {clockOf(cone.bledMilliseconds / 1000)}
        </span>
      </span>
      <span className="text-lg font-semibold">{isPast ? "Out, if still" : bleeding}</span>
      <span className="yard-soft">cone {cone.number}</span>
    </>
  );
}
