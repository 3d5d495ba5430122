import { isLess, leverInWords, NO_DIFFERENCE_MINUTES } from "#app/days/plan/line/lever-words.ts";
import { FoldedSheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { LeverEffect } from "#core/processing-line/alternatives/what-helps.ts";

interface HelpsSheetProps {
  /** Undefined while it is being calculated. */
  helps: readonly LeverEffect[] | undefined;
  startAt: number;
  /** When the last bird is likely in the chill tank. */
  doneAt: number;
  sunrise: number | undefined;
  /** Birds that are cut up after the rest, and so not by the line. */
  cutUp: number;
}

const SHOWN = 6;

/** What would save most, what would make no difference, and what could be done without. */
export function HelpsSheet({ helps, startAt, doneAt, sunrise, cutUp }: HelpsSheetProps) {
  const show = useShow();
  const words = ({ lever }: LeverEffect) =>
    leverInWords(lever, (minute) => show.time(startAt + minute * MINUTE));
  const more = (helps ?? []).filter(({ lever }) => !isLess(lever));
  const saving = more.filter(({ savedMinutes }) => savedMinutes >= NO_DIFFERENCE_MINUTES);
  const nothing = more.filter(({ savedMinutes }) => Math.abs(savedMinutes) < NO_DIFFERENCE_MINUTES);
  const without = (helps ?? []).filter(
    ({ lever, savedMinutes }) => isLess(lever) && savedMinutes > -NO_DIFFERENCE_MINUTES,
  );
  return (
    <FoldedSheet id="helps" heading="What would help most" beside={saving[0] && words(saving[0])}>
      {!helps && <p className="text-sm text-soft">Calculating…</p>}
      {helps && (
        <>
          <ul>
            {saving.slice(0, SHOWN).map((effect) => (
              <li
                key={words(effect)}
                className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5 last:border-b-0"
              >
                <span>{words(effect)}</span>
                <b className="shrink-0 font-mono text-pine">
                  −{show.minutes(Math.round(effect.savedMinutes))}
                </b>
              </li>
            ))}
            {saving.length === 0 && <li>No single change here would finish the day sooner.</li>}
          </ul>
          <p className="pt-2 text-sm">
            <b>Starting an hour earlier</b> would likely finish by {show.time(doneAt - HOUR)}; the line takes
            just as long
            {sunrise !== undefined &&
              startAt - HOUR < sunrise &&
              `, with the first birds killed before sunrise, ${show.time(sunrise)}`}
            .
          </p>
          {(nothing.length > 0 || cutUp > 0) && (
            <p className="pt-1 text-sm">
              <b>No difference:</b>{" "}
              {[
                ...nothing.map(words),
                ...(cutUp > 0 ? ["fewer cut up, because cutting is done after resting"] : []),
              ].join("; ")}
              .
            </p>
          )}
          {without.length > 0 && (
            <p className="pt-1 text-sm">
              <b>Not needed:</b> {without.map(words).join("; ")}.
            </p>
          )}
        </>
      )}
    </FoldedSheet>
  );
}
