import { useEffect } from "react";
import { areLettersOn } from "#app/ui/keys/letter-keys.ts";

/**
 * Runs what a key asks for, while it is on; what has no action is left to the browser. Keys that are a single letter,
 * digit or sign do nothing where someone has turned them off: speech and shaking hands press them unawares.
 */
export function useHotkeys(actionOf: (event: KeyboardEvent) => (() => void) | undefined, isOn = true): void {
  useEffect(() => {
    if (!isOn) return;
    const onKey = (event: KeyboardEvent) => {
      if (isSingleCharacter(event) && !areLettersOn()) return;
      const action = actionOf(event);
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}

const isSingleCharacter = ({ key, altKey, ctrlKey, metaKey }: KeyboardEvent) =>
  key.length === 1 && key !== " " && !altKey && !ctrlKey && !metaKey;

/** Whether a key was pressed in something that takes it for itself. */
export const isPressedIn = (event: KeyboardEvent, selector: string): boolean =>
  event.target instanceof HTMLElement && event.target.matches(selector);
