import { Link } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { costsOfProducts } from "#app/server/day/costs-of-products.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { ButtonLink, EmptyPlace, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import type { Show } from "#app/words/show.ts";
import { COST_WORDS } from "#app/words/words.ts";
import { JOINT_BASES } from "#core/cost/product-cost.ts";
import type { Route } from "./+types/products.ts";

export const meta = () => [{ title: "Cost of each product · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const asked = new URL(request.url).searchParams.get("by");
  const basis = JOINT_BASES.find((one) => one === asked) ?? "value";
  return { day, names: lotsInWords(lots), basis, costs: costsOfProducts(here, farm, day, basis) };
}

type Costs = NonNullable<Route.ComponentProps["loaderData"]["costs"]>;

/** What each pack and pound of a day cost, and whether its price covers that. */
export default function Products({ loaderData: { day, names, basis, costs } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page isWide>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={`${names} · cost of each product`} />
      {costs ? (
        <>
          <nav aria-label="How the birds' cost is shared" className="-mx-3 flex flex-wrap print:hidden">
            {JOINT_BASES.map((one) => (
              <Link
                key={one}
                to={`?by=${one}`}
                aria-current={one === basis ? "page" : undefined}
                className="plan-link"
              >
                {one === "value" ? "Shared by what they sell for" : "Shared by weight"}
              </Link>
            ))}
          </nav>
          {costs.waitingBirds > 0 && (
            <Notice>
              {costs.waitingBirds} birds to cut up are not packed yet, so the whole birds bear all of the cost
              here.
            </Notice>
          )}
          <ByProduct costs={costs} />
          <div className="grid items-start gap-5 lg:grid-cols-2">
            <AddsUp costs={costs} />
            <Sheet heading="Feed">
              {costs.feedSold ? (
                <Figure
                  label={show.isUs ? "Feed per pound sold" : "Feed per kilogram sold"}
                  reckoning={costs.feedSold}
                  size="small"
                />
              ) : (
                <p>Record the batch's feed, and weigh packs for sale, to see feed per pound sold.</p>
              )}
            </Sheet>
          </div>
        </>
      ) : (
        <EmptyPlace
          heading="Nothing to cost yet"
          action={<ButtonLink to={`/days/${day.id}/pack`}>Weigh packs</ButtonLink>}
        >
          <p>
            Once birds or cuts of this day are weighed, each product's cost is here: what the birds cost
            together, less what livers and feet bring in, shared over the meat.
          </p>
        </EmptyPlace>
      )}
    </Page>
  );
}

type Row = Costs["ways"][number]["products"][number] & { readonly all: readonly (number | undefined)[] };

function ByProduct({ costs }: { costs: Costs }) {
  const show = useShow();
  const [cash] = costs.ways;
  const rows: Row[] = cash!.products.map((product, index) => ({
    ...product,
    all: costs.ways.map((way) => way.products[index]!.costPerKilogram),
  }));
  return (
    <Sheet heading={show.isUs ? "Cost per pound" : "Cost per kilogram"} beside="bags included">
      <DataTable
        caption="Cost of each product"
        className="text-base"
        columns={[
          { head: "Product", cell: ({ name }) => name },
          {
            head: "Weight",
            isNumber: true,
            isWideOnly: true,
            cell: ({ kilograms }) => show.value(kilograms, "kg"),
          },
          {
            head: "Sells for",
            isNumber: true,
            cell: ({ centsPerKilogram }) =>
              centsPerKilogram > 0 ? show.value(centsPerKilogram, "cents-per-kg") : "no price",
          },
          ...costs.ways.map(({ way }, index) => ({
            head: COST_WORDS[way],
            isNumber: true,
            cell: ({ all }: Row) => (all[index] === undefined ? "" : show.value(all[index], "cents-per-kg")),
          })),
        ]}
        rows={rows}
        keyOf={({ name }) => name}
      />
      <ul className="py-2">
        {rows.map((row) => (
          <li key={row.name}>{coverWords(row, show)}</li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Which costs the price of a product covers. */
function coverWords({ name, centsPerKilogram, all }: Row, show: Show): string {
  const [cash = 0, equipment = 0, labor = 0] = all.map((one) => one ?? 0);
  if (centsPerKilogram === 0) return `${name}: set a price to see what it covers.`;
  const over = show.value(Math.abs(centsPerKilogram - labor), "cents-per-kg");
  if (centsPerKilogram >= labor) return `${name}: the price covers everything, and ${over} more.`;
  if (centsPerKilogram >= equipment)
    return `${name}: the price covers cash costs and equipment; your labor is short by ${over}.`;
  if (centsPerKilogram >= cash) return `${name}: the price covers cash costs, but not all of the equipment.`;
  return `${name}: the price does not cover the cash costs. It is short by ${show.value(cash - centsPerKilogram, "cents-per-kg")}.`;
}

/** Where every cent of the birds' cost is. */
function AddsUp({ costs }: { costs: Costs }) {
  const show = useShow();
  const rows: { what: string; of: (way: Costs["ways"][number]) => number }[] = [
    { what: "All costs of the birds", of: ({ totalCents }) => totalCents },
    {
      what: "Bags of these products, shown at each",
      of: ({ products }) =>
        -products.reduce((sum, { ownCents }) => sum + ownCents, 0) -
        costs.others.reduce((sum, { ownCents }) => sum + ownCents, 0),
    },
    {
      what: `Less ${costs.others.map(({ name }) => name.toLowerCase()).join(", ") || "by-products"}, after their bags`,
      of: ({ creditCents }) => -creditCents,
    },
    { what: "Left for the meat to bear", of: ({ jointAfterCreditCents }) => jointAfterCreditCents },
    ...costs.ways[0]!.products.map(({ name }, index) => ({
      what: `of that, ${name.toLowerCase()}`,
      of: ({ products }: Costs["ways"][number]) => products[index]!.jointCents,
    })),
  ];
  const shown = rows.filter(({ of }) => costs.ways.some((way) => of(way) !== 0));
  return (
    <Sheet heading="How it adds up">
      <DataTable
        caption="How it adds up"
        columns={[
          { head: "What", cell: ({ what }) => what },
          ...costs.ways.map((way) => ({
            head: COST_WORDS[way.way],
            isNumber: true,
            cell: ({ of }: (typeof rows)[number]) => (of(way) === 0 ? "" : show.money(of(way))),
          })),
        ]}
        rows={shown}
        keyOf={({ what }) => what}
      />
    </Sheet>
  );
}
