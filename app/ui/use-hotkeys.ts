import { useEffect } from "react";

/** Runs what a key asks for, while it is on; what has no action is left to the browser. */
export function useHotkeys(actionOf: (event: KeyboardEvent) => (() => void) | undefined, isOn = true): void {
  useEffect(() => {
    if (!isOn) return;
    const onKey = (event: KeyboardEvent) => {
      const action = actionOf(event);
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}

/** Whether a key was pressed in something that takes it for itself. */
export const isPressedIn = (event: KeyboardEvent, selector: string): boolean =>
  event.target instanceof HTMLElement && event.target.matches(selector);
