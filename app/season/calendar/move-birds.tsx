import { type ComponentProps, useState } from "react";
import { Form } from "react-router";
import type { GroupView, MoveView } from "#app/season/calendar/season-view.server.ts";
import { brokenWords, differenceWords, priceWords, weightWords } from "#app/season/calendar/season-words.ts";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { repairedSum } from "#app/words/rule-words.ts";
import { plural } from "#app/words/show.ts";

interface MoveBirdsProps {
  group: GroupView;
  entryId: string;
}

/**
 * Birds go to an earlier or a later day, by buttons or arrow keys, and what gets better and worse stands below at once.
 * Without JavaScript every other day is in the table.
 */
export function MoveBirds({ group, entryId }: MoveBirdsProps) {
  const show = useShow();
  const [toDay, setToDay] = useState<string>();
  const days = [group.day, ...group.moves.map(({ day }) => day)].toSorted();
  const shown = toDay ?? group.day;
  const place = days.indexOf(shown);
  const step = (by: number) => setToDay(days[Math.min(days.length - 1, Math.max(0, place + by))]);
  const move = group.moves.find(({ day }) => day === shown);
  if (group.moves.length === 0) return null;
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
          Move {group.name}, now on {show.shortDay(group.day)}; use the arrow keys to change the day
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
          <Difference group={group} move={move} />
          <MoveThere group={group} day={move.day} entryId={entryId} />
        </div>
      )}
      <OtherDays group={group} entryId={entryId} />
    </div>
  );
}

function OtherDays({ group, entryId }: MoveBirdsProps) {
  const show = useShow();
  const columns: Column<MoveView>[] = [
    { head: "Day", cell: ({ day }) => show.shortDay(day), isOneLine: true },
    {
      head: `Compared with ${show.shortDay(group.day)}`,
      cell: (move) => <Difference group={group} move={move} />,
    },
    {
      head: "Move",
      isHeadHidden: true,
      cell: ({ day }) => <MoveThere group={group} day={day} entryId={`${entryId}-${day}`} />,
    },
  ];
  return (
    <details className="text-sm">
      <summary className="lone-link text-soft">All other days</summary>
      <DataTable
        caption={`Other days for ${group.name}`}
        columns={columns}
        rows={group.moves}
        keyOf={({ day }) => day}
      />
    </details>
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
function Difference({ group, move }: { group: GroupView; move: MoveView }) {
  const show = useShow();
  return (
    <div>
      <p className="font-semibold">
        {differenceWords(move.cents, show)}; {weightWords(group, move, show)}
      </p>
      {move.breaks.map((one) => (
        <p key={one.rule}>
          Worse: {brokenWords(one)} ({priceWords(one, show)})
        </p>
      ))}
      {move.repairs.map((one) => (
        <p key={one.rule}>Better: {repairedSum(one)}</p>
      ))}
    </div>
  );
}

function MoveThere({ group, day, entryId }: { group: GroupView; day: string; entryId: string }) {
  const show = useShow();
  return (
    <Form method="post" action="/season/pin">
      <PinFields batchId={group.batchId} from={group.day} to={day} entryId={entryId} />
      <button type="submit" className="lone-link font-semibold" aria-label={`Move to ${show.shortDay(day)}`}>
        Move there
      </button>
    </Form>
  );
}

/** Pins the birds where they are. */
export function PinHere({ group, entryId }: MoveBirdsProps) {
  const birds = group.birds.whole + group.birds.cut;
  return (
    <Form method="post" action="/season/pin">
      <PinFields batchId={group.batchId} from={group.day} to={group.day} entryId={entryId} />
      <Button kind="plain" aria-label={`Pin ${plural(birds, "bird")} of ${group.name}`}>
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
