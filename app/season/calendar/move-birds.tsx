import { type ComponentProps, useState } from "react";
import { Form } from "react-router";
import type { LotView, MoveView } from "#app/season/calendar/season-view.server.ts";
import { brokenWords, differenceWords, priceWords, weightWords } from "#app/season/calendar/season-words.ts";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { mendedSum } from "#app/words/rule-words.ts";
import { plural } from "#app/words/show.ts";

interface MoveBirdsProps {
  lot: LotView;
  entryId: string;
}

/**
 * Birds go to an earlier or a later day, by buttons or arrow keys, and what gets better and worse stands below at once.
 * Without JavaScript every other day is in the table.
 */
export function MoveBirds({ lot, entryId }: MoveBirdsProps) {
  const show = useShow();
  const [toDay, setToDay] = useState<string>();
  const days = [lot.day, ...lot.moves.map(({ day }) => day)].toSorted();
  const shown = toDay ?? lot.day;
  const place = days.indexOf(shown);
  const step = (by: number) => setToDay(days[Math.min(days.length - 1, Math.max(0, place + by))]);
  const move = lot.moves.find(({ day }) => day === shown);
  if (lot.moves.length === 0) return null;
  return (
    <div className="grid gap-2">
      <fieldset
        className="flex items-center gap-2"
        onKeyDown={(event) => {
          if (event.key === "ArrowLeft") step(-1);
          else if (event.key === "ArrowRight") step(1);
          else return;
          event.preventDefault();
        }}
      >
        <legend className="sr-only">
          Move {lot.name}, now on {show.shortDay(lot.day)}; use the arrow keys to change the day
        </legend>
        <StepButton disabled={place === 0} onClick={() => step(-1)} aria-label="Earlier day">
          Earlier
        </StepButton>
        <output className="grow text-center font-display">{show.shortDay(shown)}</output>
        <StepButton disabled={place === days.length - 1} onClick={() => step(1)} aria-label="Later day">
          Later
        </StepButton>
      </fieldset>
      {move && (
        <div aria-live="polite" className="grid gap-2 border-l-4 border-straw bg-wheat px-3 py-2 text-sm">
          <Difference lot={lot} move={move} />
          <MoveThere lot={lot} day={move.day} entryId={entryId} />
        </div>
      )}
      <details className="text-sm">
        <summary className="min-h-8 text-soft underline">All other days</summary>
        <table className="w-full">
          <thead className="text-left text-soft">
            <tr>
              <th scope="col">Day</th>
              <th scope="col">Compared with {show.shortDay(lot.day)}</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {lot.moves.map((one) => (
              <tr key={one.day} className="border-t border-rule align-top">
                <th scope="row" className="py-1 pr-2 text-left font-normal whitespace-nowrap">
                  {show.shortDay(one.day)}
                </th>
                <td className="py-1 pr-2">
                  <Difference lot={lot} move={one} />
                </td>
                <td className="py-1">
                  <MoveThere lot={lot} day={one.day} entryId={`${entryId}-${one.day}`} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}

function StepButton(props: ComponentProps<"button">) {
  return (
    <button
      type="button"
      className="min-h-12 rounded-sheet border border-soft bg-leaf px-3 font-semibold disabled:text-soft"
      {...props}
    />
  );
}

/** What gets better and what worse. */
function Difference({ lot, move }: { lot: LotView; move: MoveView }) {
  const show = useShow();
  return (
    <div>
      <p className="font-semibold">
        {differenceWords(move.cents, show)}; {weightWords(lot, move, show)}
      </p>
      {move.breaks.map((one) => (
        <p key={one.rule}>
          Worse: {brokenWords(one)} ({priceWords(one, show)})
        </p>
      ))}
      {move.mends.map((one) => (
        <p key={one.rule}>Better: {mendedSum(one)}</p>
      ))}
    </div>
  );
}

function MoveThere({ lot, day, entryId }: { lot: LotView; day: string; entryId: string }) {
  const show = useShow();
  return (
    <Form method="post" action="/season/pin">
      <PinFields batchId={lot.batchId} from={lot.day} to={day} entryId={entryId} />
      <button
        type="submit"
        className="min-h-8 font-semibold underline"
        aria-label={`Move to ${show.shortDay(day)}`}
      >
        Move there
      </button>
    </Form>
  );
}

/** Pins the birds where they are. */
export function PinHere({ lot, entryId }: MoveBirdsProps) {
  const birds = lot.birds.whole + lot.birds.cut;
  return (
    <Form method="post" action="/season/pin">
      <PinFields batchId={lot.batchId} from={lot.day} to={lot.day} entryId={entryId} />
      <Button kind="plain" aria-label={`Pin ${plural(birds, "bird")} of ${lot.name}`}>
        Pin
      </Button>
    </Form>
  );
}

function PinFields({
  batchId,
  from,
  to,
  entryId,
}: {
  batchId: number;
  from: string;
  to: string;
  entryId: string;
}) {
  return (
    <>
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="batchId" value={batchId} />
      <input type="hidden" name="from" value={from} />
      <input type="hidden" name="to" value={to} />
    </>
  );
}
