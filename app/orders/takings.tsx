import { Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { askedList } from "#app/ui/list/asked-list.ts";
import { EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PAYMENT_WORDS } from "#app/words/order-words.ts";
import { PAYMENT_WAYS, type PaymentWay } from "#core/orders/payment-way.ts";
import type { Route } from "./+types/takings.ts";

export const meta = () => [{ title: "Takings · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const days = here.file.selling.takingDays();
  const { years, year } = askedList(request, days);
  const shown = year ?? years[0];
  return {
    years,
    year: shown,
    rows: shown === undefined ? [] : here.file.selling.takings(`${shown}-01-01`, `${shown}-12-31`),
  };
}

/** What was sold and what came in, day by day. */
export default function Takings({ loaderData: { years, year, rows } }: Route.ComponentProps) {
  const show = useShow();
  const total = (of: (row: (typeof rows)[number]) => number) => rows.reduce((sum, row) => sum + of(row), 0);
  return (
    <Page>
      <PageHead title="Takings" line="what was sold and what came in, by day" />
      {rows.length === 0 ? (
        <EmptyPlace heading="Nothing sold yet" action={null}>
          <p>Each day with a sale or a payment is a row here: what was sold, and what came in and how.</p>
        </EmptyPlace>
      ) : (
        <Sheet heading={year ?? ""} beside={`sold ${show.money(total(({ soldCents }) => soldCents))}`}>
          {years.length > 1 && (
            <nav aria-label="Years" className="-mx-3 flex flex-wrap print:hidden">
              {years.map((one) => (
                <Link
                  key={one}
                  to={`?year=${one}`}
                  aria-current={one === year ? "page" : undefined}
                  className="plan-link"
                >
                  {one}
                </Link>
              ))}
            </nav>
          )}
          <ByDay rows={rows} />
        </Sheet>
      )}
    </Page>
  );
}

type Rows = Route.ComponentProps["loaderData"]["rows"];

function ByDay({ rows }: { rows: Rows }) {
  const show = useShow();
  const total = (of: (row: Rows[number]) => number) => rows.reduce((sum, row) => sum + of(row), 0);
  const ways = PAYMENT_WAYS.filter((way) => rows.some((row) => row[`${way}Cents`] !== 0));
  return (
    <>
      <DataTable
        caption="Takings by day"
        className="text-base"
        columns={[
          { head: "Day", isOneLine: true, cell: ({ day }) => show.monthDay(day) },
          { head: "Packs", isNumber: true, cell: ({ packs }) => (packs === 0 ? "" : show.count(packs)) },
          {
            head: "Sold",
            isNumber: true,
            cell: ({ soldCents }) => (soldCents === 0 ? "" : show.money(soldCents)),
          },
          ...ways.map((way: PaymentWay) => ({
            head: PAYMENT_WORDS[way],
            isNumber: true,
            cell: (row: Rows[number]) => (row[`${way}Cents`] === 0 ? "" : show.money(row[`${way}Cents`])),
          })),
        ]}
        rows={rows}
        keyOf={({ day }) => day}
      />
      <p className="py-2">
        Came in:{" "}
        <b className="font-mono">
          {show.money(total((row) => ways.reduce((sum, way) => sum + row[`${way}Cents`], 0)))}
        </b>{" "}
        of <b className="font-mono">{show.money(total(({ soldCents }) => soldCents))}</b> sold, deposits
        included.
      </p>
    </>
  );
}
