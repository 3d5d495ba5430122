import { sum } from "d3-array";
import { Link } from "react-router";
import { DataTable } from "#app/ui/data-table.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Route } from "./+types/settle.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** A lot's batch, and whose birds they are where its name does not say so. */
const nameOf = (batchName: string, owner: string | undefined): string =>
  owner === undefined || batchName.startsWith(owner) ? batchName : `${batchName} (${owner})`;

/** The lots of a day against each other, whose they are, and how they share what the day cost. */
export function AllLots({ lots, owners, sharedBy }: Pick<Loaded, "lots" | "owners" | "sharedBy">) {
  const show = useShow();
  const money = (lot: (typeof lots)[number], method: number) =>
    lot.settlement ? show.money(lot.settlement.methods[method]!.total.value) : "–";
  const each = (lot: (typeof lots)[number], method: number) =>
    lot.settlement ? show.money(lot.settlement.methods[method]!.perBird.value) : "–";
  const total = (method: number) =>
    sum(lots, ({ settlement }) => (settlement ? settlement.methods[method]!.total.value : 0));
  return (
    <Sheet
      heading="Lots"
      beside={sharedBy === "birds" ? "the day's cost shared by birds" : "the day's cost shared by work"}
    >
      <DataTable
        caption="Cost of each lot"
        columns={[
          {
            head: "Lot",
            cell: ({ lotId, batch }) => nameOf(batch.name, owners[lotId]),
          },
          { head: "Dressed", isNumber: true, cell: ({ dressedCount }) => dressedCount },
          { head: "Cash, a bird", isNumber: true, cell: (lot) => each(lot, 0) },
          { head: "With labor, a bird", isNumber: true, cell: (lot) => each(lot, 2) },
          { head: "Cash", isNumber: true, cell: (lot) => money(lot, 0) },
          { head: "With labor", isNumber: true, cell: (lot) => money(lot, 2) },
        ]}
        rows={lots}
        keyOf={({ lotId }) => String(lotId)}
      />
      <p className="py-2 text-sm">
        The day together: {show.money(total(0))} cash, {show.money(total(2))} with labor.{" "}
        <Link to="/farm" className="underline">
          Change how lots share a day
        </Link>
      </p>
    </Sheet>
  );
}
