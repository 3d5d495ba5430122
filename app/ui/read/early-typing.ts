/**
 * What is typed into a box of several lines before the page's scripts have taken it over: React puts what the server wrote
 * back into it, so what was typed is kept here until the box is taken over.
 */
const early = new WeakMap<EventTarget, string>();

if (typeof document !== "undefined") {
  for (const box of document.querySelectorAll("textarea"))
    if (box.value !== box.defaultValue) early.set(box, box.value);
  document.addEventListener(
    "input",
    ({ target }) => target instanceof HTMLTextAreaElement && early.set(target, target.value),
    true,
  );
}

/** Puts back into a box what was typed early; called once, when it is taken over. */
export function restoreEarlyTyping(box: HTMLTextAreaElement): void {
  const typed = early.get(box);
  early.delete(box);
  if (typed === undefined || typed === box.value) return;
  box.value = typed;
  // Whoever follows the form hears of it as of any typing.
  box.dispatchEvent(new Event("input", { bubbles: true }));
}
