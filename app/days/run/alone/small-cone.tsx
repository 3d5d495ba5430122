import { clockOf } from "#app/days/run/post/clock-of.ts";
import { BLEED_FLOOR_MILLISECONDS, type Cone } from "#core/day/run/cones-now.ts";

interface SmallConeProps {
  cone: Cone;
  isRefused: boolean;
  isDisabled: boolean;
  onTouch: () => void;
}

/** A cone where four of them share a row: its bar runs out at the floor. */
export function SmallCone({ cone, isRefused, isDisabled, onTouch }: SmallConeProps) {
  const { number, state } = cone;
  const bled = state === "free" ? 0 : cone.bledMilliseconds;
  const left = Math.max(0, BLEED_FLOOR_MILLISECONDS - bled);
  const words = {
    free: "Bird in",
    bleeding: isRefused ? "Wait" : "Bleeding",
    "past-the-floor": "Out, if still",
  };
  return (
    <button
      type="button"
      disabled={isDisabled}
      onClick={onTouch}
      className={`relative grid min-h-28 content-center justify-items-center overflow-hidden rounded-sheet leading-tight font-semibold ${state === "free" ? "yard-do" : "yard-card"}`}
    >
      <span className="font-mono text-xl">{state === "free" ? number : clockOf(bled / 1000)}</span>
      <span>{words[state]}</span>
      {state !== "free" && <span className="yard-soft text-sm font-normal">cone {number}</span>}
      {state !== "free" && (
        <span
          aria-hidden="true"
          className="absolute bottom-0 left-0 h-2"
          style={{
            width: `${state === "bleeding" ? (100 * left) / BLEED_FLOOR_MILLISECONDS : 100}%`,
            background: state === "bleeding" ? "var(--yard-do)" : "var(--yard-ready)",
          }}
        />
      )}
    </button>
  );
}
