import { Form } from "react-router";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { DividedFlock } from "#core/growth/take-largest.ts";

/** What is expected of the biggest so many, and of those left. */
export interface TakeSomeView {
  readonly current: number;
  readonly asked: string;
  readonly on: string;
  readonly divided: DividedFlock | undefined;
  readonly dressedFraction: number;
}

/** Taking the biggest changes what is expected of those taken and of those left. */
export function TakeSome({
  view: { current, asked, on, divided, dressedFraction },
  batchId,
}: {
  view: TakeSomeView;
  batchId: number;
}) {
  const show = useShow();
  const rows = divided && [["Processed", divided.taken] as const, ["Remaining", divided.left] as const];
  return (
    <Sheet heading="Process some of them" beside={show.shortDay(on)}>
      <Form
        method="get"
        action={`/batches/${batchId}`}
        preventScrollReset
        className="flex flex-wrap items-end gap-2 py-1"
      >
        <input type="hidden" name="on" value={on} />
        <label className="grid gap-1">
          <span className="text-sm text-soft">Largest birds, out of {current}</span>
          <input
            name="biggest"
            inputMode="numeric"
            defaultValue={asked}
            className="min-h-12 w-28 rounded-sheet border border-soft bg-white px-3"
          />
        </label>
        <Button kind="plain">Calculate</Button>
      </Form>
      {asked !== "" && !divided && (
        <p role="alert" className="text-sm font-semibold text-barn">
          Enter a number from 1 to {current}
        </p>
      )}
      {rows && (
        <table className="w-full text-sm">
          <thead className="text-left text-soft">
            <tr>
              <td />
              <th scope="col" className="font-normal">
                Mean dressed weight
              </th>
              <th scope="col" className="font-normal">
                8 in 10
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, part]) => (
              <tr key={name} className="border-t border-rule">
                <th scope="row" className="py-1 text-left font-normal">
                  {name}: {plural(part.birds, "bird")}
                  {part.birds > 0 && (
                    <span className="block text-soft">
                      {Math.round(part.maleShare * part.birds)} cockerels
                    </span>
                  )}
                </th>
                <td className="font-mono">
                  {part.birds > 0 && show.value(part.meanKilograms * dressedFraction, "carcass-kg")}
                </td>
                <td className="font-mono">
                  {part.birds > 0 &&
                    `${show.value((part.meanKilograms - 1.28 * part.sdKilograms) * dressedFraction, "carcass-kg")} to ${show.value((part.meanKilograms + 1.28 * part.sdKilograms) * dressedFraction, "carcass-kg")}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Sheet>
  );
}
