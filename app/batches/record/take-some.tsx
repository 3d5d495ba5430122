import { Form } from "react-router";
import { AskBox } from "#app/ui/ask-box.tsx";
import { type Column, DataTable, Under } from "#app/ui/data-table.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { EIGHT_IN_TEN } from "#core/growth/growth-update.ts";
import type { DividedFlock } from "#core/growth/take-largest.ts";

/** What is expected of the largest so many, and of those left. */
export interface TakeSomeView {
  readonly current: number;
  readonly asked: string;
  readonly on: string;
  readonly divided: DividedFlock | undefined;
  readonly dressedFraction: number;
}

interface TakeSomeProps {
  view: TakeSomeView;
  batchId: number;
}

/** Taking the largest changes what is expected of those taken and of those left. */
export function TakeSome({ view, batchId }: TakeSomeProps) {
  const { current, asked, on, divided, dressedFraction } = view;
  const show = useShow();
  return (
    <Sheet heading="Process some of them" beside={show.shortDay(on)}>
      <Form
        method="get"
        action={`/batches/${batchId}`}
        preventScrollReset
        className="flex flex-wrap items-end gap-2 py-1"
      >
        <input type="hidden" name="on" value={on} />
        <AskBox
          name="biggest"
          label={`Largest birds, out of ${current}`}
          inputMode="numeric"
          defaultValue={asked}
          fault={asked !== "" && !divided ? `Enter a number from 1 to ${current}` : undefined}
        />
        <Button kind="plain">Calculate</Button>
      </Form>
      {divided && <Divided divided={divided} dressedFraction={dressedFraction} />}
    </Sheet>
  );
}

interface Part {
  readonly name: string;
  readonly of: DividedFlock["taken"];
}

function Divided({ divided, dressedFraction }: { divided: DividedFlock; dressedFraction: number }) {
  const show = useShow();
  const dressed = (liveKilograms: number) => show.value(liveKilograms * dressedFraction, "carcass-kg");
  const columns: Column<Part>[] = [
    {
      head: "Birds",
      cell: ({ name, of }) => (
        <>
          {name}: {plural(of.birds, "bird")}
          {of.birds > 0 && <Under>{plural(Math.round(of.maleShare * of.birds), "cockerel")}</Under>}
        </>
      ),
    },
    {
      head: "Mean dressed weight",
      cell: ({ of }) => of.birds > 0 && dressed(of.meanKilograms),
      isNumber: true,
    },
    {
      head: "8 in 10",
      cell: ({ of }) => {
        const [low, high] = eightInTen(of);
        return of.birds > 0 && `${dressed(low)} to ${dressed(high)}`;
      },
      isNumber: true,
    },
  ];
  return (
    <DataTable
      caption="Birds processed and remaining"
      columns={columns}
      rows={[
        { name: "Processed", of: divided.taken },
        { name: "Remaining", of: divided.left },
      ]}
      keyOf={({ name }) => name}
    />
  );
}

const eightInTen = ({ meanKilograms, sdKilograms }: DividedFlock["taken"]) =>
  [meanKilograms - EIGHT_IN_TEN * sdKilograms, meanKilograms + EIGHT_IN_TEN * sdKilograms] as const;
