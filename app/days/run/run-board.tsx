import { Form } from "react-router";
import type { ShownFact } from "#app/days/run/taps/known-facts.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { FACT_WORDS } from "#app/words/run-words.ts";
import type { FactKind } from "#core/day/run/day-fact.ts";

interface TapButtonProps {
  dayId: number;
  kind: FactKind;
  /** Made by the page that shows it, so that this very button pressed twice without JavaScript counts once. */
  entryId: string;
  onTap: ((kind: FactKind) => void) | undefined;
  className: string;
  children: string;
}

/** One tap: at once with JavaScript, a plain form without. */
export function TapButton({ dayId, kind, entryId, onTap, className, children }: TapButtonProps) {
  return (
    <Form
      method="post"
      action={`/days/${dayId}/run/tap`}
      onSubmit={(event) => {
        if (!onTap) return;
        event.preventDefault();
        onTap(kind);
      }}
    >
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="kind" value={kind} />
      <button type="submit" className={`w-full rounded-sheet font-semibold ${className}`}>
        {children}
      </button>
    </Form>
  );
}

export const PLAIN_BUTTON = "yard-card min-h-16 px-5 text-lg";

interface UndoTapProps {
  dayId: number;
  tap: ShownFact;
  onUndo?: (() => void) | undefined;
}

/** Takes one tap back, and says which: at once with JavaScript, a plain form without. */
export function UndoTap({ dayId, tap, onUndo }: UndoTapProps) {
  return (
    <Form
      method="post"
      action={`/days/${dayId}/run/undo`}
      onSubmit={(event) => {
        if (!onUndo) return;
        event.preventDefault();
        onUndo();
      }}
    >
      <input type="hidden" name="entryId" value={tap.entryId} />
      <button type="submit" className={`w-full rounded-sheet font-semibold ${PLAIN_BUTTON}`}>
        Undo <span className="yard-soft block text-base font-normal">{FACT_WORDS[tap.kind](tap)}</span>
      </button>
    </Form>
  );
}

/** More birds than this make one bar: single marks would be too thin to see. */
const MOST_MARKS = 150;

/** Every bird of the day as a mark, or all of them as one bar: filled as far as they are in the chill. */
export function BirdStrip({ done, planned }: { done: number; planned: number }) {
  const all = Math.max(done, planned);
  const marks = all > MOST_MARKS ? [done, all - done] : Array.from({ length: all }, () => 1);
  const filled = all > MOST_MARKS ? 1 : done;
  return (
    <div className="flex h-10 gap-px" role="img" aria-label={`${done} of ${all} in the chill tank`}>
      {marks.map((birds, index) => (
        <span
          key={index}
          className="basis-0"
          style={{
            flexGrow: birds,
            background: index < filled ? "var(--yard-text)" : "var(--yard-card)",
            border: "1px solid var(--yard-edge)",
          }}
        />
      ))}
    </div>
  );
}

/** The last few things that happened, so that a slip is seen. */
export function Lately({ facts }: { facts: readonly ShownFact[] }) {
  const show = useShow();
  if (facts.length === 0) return null;
  return (
    <section aria-label="Recent">
      <h2 className="text-lg">Recent</h2>
      <ol className="pt-1">
        {facts
          .slice(-6)
          .toReversed()
          .map((fact) => (
            <li key={fact.entryId} className="flex gap-4 py-1">
              <span className="yard-soft font-mono">{show.time(fact.at)}</span>
              <span>
                {FACT_WORDS[fact.kind](fact)}
                {fact.person !== "" && fact.kind !== "stands" && (
                  <span className="yard-soft"> · {fact.person}</span>
                )}
                {fact.isWaiting && <span className="yard-soft"> · saved on this phone, not sent yet</span>}
              </span>
            </li>
          ))}
      </ol>
    </section>
  );
}
