import { Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
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
          <table className="w-full">
            <thead>
              <tr className="border-b border-ink text-left text-sm">
                <th className="py-1 pr-3">What</th>
                <th className="pr-3 text-right">On hand</th>
                <th className="pr-3">Pack</th>
              </tr>
            </thead>
            <tbody>
              {supplies.map((supply) => {
                return (
                  <tr key={supply.id} className="border-b border-rule align-baseline last:border-b-0">
                    <th scope="row" className="pr-3 text-left font-normal">
                      <Link
                        to={`/freezers/supplies/${supply.id}`}
                        className="inline-flex min-h-12 items-center underline"
                      >
                        {supply.name}
                      </Link>
                      {supply.mostMilligrams !== null && (
                        <span className="text-sm text-soft">
                          {" "}
                          birds up to {show.bird(supply.mostMilligrams)}
                        </span>
                      )}
                    </th>
                    <td className="pr-3 text-right font-mono">
                      {supply.inStock === null
                        ? "not counted"
                        : supplyAmount(supply.kind, supply.inStock, show)}
                    </td>
                    <td className="text-sm">
                      {supplyAmount(supply.kind, supply.packAmount, show)} for {show.money(supply.packCents)}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </Sheet>
      )}
    </Page>
  );
}
