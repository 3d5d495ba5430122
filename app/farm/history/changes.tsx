import { changedThing, changedValues, deviceWords } from "#app/farm/history/history-words.ts";
import { Moment } from "#app/farm/history/moment.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { PastChange } from "#db/history/history-queries.server.ts";

/** Settings and plans that were changed: what each was before, and what it is since. */
export function Changes({ changes }: { changes: readonly PastChange[] }) {
  const show = useShow();
  if (changes.length === 0)
    return (
      <p className="py-1">
        No changes yet. When settings, people, places, or a day's plan are changed, what they were before is
        kept here.
      </p>
    );
  return (
    <ol className="grid">
      {changes.map((change) => (
        <li key={change.id} className="grid gap-1 border-b border-rule py-3 last:border-b-0">
          <p className="flex flex-wrap justify-between gap-x-4">
            <b>{changedThing(change)}</b>
            <span className="text-sm text-soft">
              <Moment at={change.at} />, {deviceWords(change.deviceName)}
            </span>
          </p>
          <ul>
            {changedValues(change, show).map(({ what, before, after }) => (
              <li key={what}>
                <span className="text-soft">{what}:</span> {before} → {after}
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ol>
  );
}
