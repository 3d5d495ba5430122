import { Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import { supplyAmount } from "#app/words/supply-words.ts";
import type { Route } from "./+types/supplies.ts";

export const meta = () => [{ title: "Supplies · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { supplies: here.file.supplying.supplies() };
}

/** What is used up on a processing day, and how much of it there is. */
export default function Supplies({ loaderData: { supplies } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="Supplies" line="what a day uses">
        <ButtonLink to="/freezers/supplies/new">Add a supply</ButtonLink>
      </PageHead>
      {supplies.length === 0 ? (
        <EmptyPlace heading="No supplies yet">
          <p>
            Ice, bags, ties, labels, gloves: add what you keep and how much you have. A day's plan then shows
            what will run out and what to buy, and settling the day subtracts what it used.
          </p>
        </EmptyPlace>
      ) : (
        <Sheet heading="In stock">
          <DataTable
            caption="Supplies in stock"
            columns={columnsOf(show)}
            rows={supplies}
            keyOf={({ id }) => id}
            className=""
          />
        </Sheet>
      )}
    </Page>
  );
}

type Supply = Route.ComponentProps["loaderData"]["supplies"][number];

const columnsOf = (show: Show): Column<Supply>[] => [
  {
    head: "What",
    cell: ({ id, name, mostMilligrams }) => (
      <>
        <Link to={`/freezers/supplies/${id}`} className="inline-flex min-h-12 items-center underline">
          {name}
        </Link>
        {mostMilligrams !== undefined && (
          <span className="text-sm text-soft">{` birds up to ${show.bird(mostMilligrams)}`}</span>
        )}
      </>
    ),
  },
  {
    head: "On hand",
    isNumber: true,
    cell: ({ kind, inStock }) => (inStock === undefined ? "not counted" : supplyAmount(kind, inStock, show)),
  },
  {
    head: "Pack",
    cell: ({ kind, packAmount, packCents }) =>
      `${supplyAmount(kind, packAmount, show)} for ${show.money(packCents)}`,
  },
];
