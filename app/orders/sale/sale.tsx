import { Link } from "react-router";
import { requireSale } from "#app/orders/sale/require-sale.server.ts";
import { saleReading } from "#app/orders/sale/sale-reading.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PAYMENT_WORDS } from "#app/words/order-words.ts";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/sale.ts";

export const meta = () => [{ title: "Sale · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sale = requireSale(here, params.saleId);
  return { sale, ...saleReading(here, sale) };
}

/** One sale: its packs, what was paid, and what came back. */
export default function SalePage({ loaderData }: Route.ComponentProps) {
  const { sale, customer, paidCents } = loaderData;
  const show = useShow();
  const owed = sale.totalCents - sale.creditCents - paidCents;
  return (
    <Page>
      <PageHead title={customer?.name ?? "At the stand"} line={`sold ${show.longDay(sale.soldOn)}`}>
        <div className="flex flex-wrap gap-3 print:hidden">
          <a href={`/orders/sales/${sale.id}/receipt.pdf`} className="lone-link">
            Receipt (PDF)
          </a>
          {customer && owed !== 0 && (
            <ButtonLink to={`/orders/pay?customer=${customer.id}&sale=${sale.id}`}>
              Record a payment
            </ButtonLink>
          )}
        </div>
      </PageHead>
      {sale.note && <p>{sale.note}</p>}
      <Packs {...loaderData} />
      <Sheet heading="Money">
        <dl className="grid max-w-sm grid-cols-2 gap-1">
          <dt>Total</dt>
          <dd className="text-right font-mono">{show.money(sale.totalCents)}</dd>
          {sale.creditCents > 0 && (
            <>
              <dt>Credit for what came back</dt>
              <dd className="text-right font-mono">{show.money(-sale.creditCents)}</dd>
            </>
          )}
          {loaderData.payments.map((payment) => (
            <div key={payment.id} className="contents">
              <dt>
                {payment.amountCents < 0 ? "Paid back" : "Paid"} {show.shortDay(payment.paidOn)},{" "}
                {PAYMENT_WORDS[payment.how].toLowerCase()}
              </dt>
              <dd className="text-right font-mono">{show.money(payment.amountCents)}</dd>
            </div>
          ))}
          <dt className="font-semibold">{owed < 0 ? "Overpaid" : "Still owed"}</dt>
          <dd className="text-right font-mono font-semibold">{show.money(Math.abs(owed))}</dd>
        </dl>
        <RemoveButton
          entryId={sale.entryId}
          back="/orders"
          what={`sale of ${plural(sale.packs, "pack")}`}
          verb="undo this sale"
        />
      </Sheet>
    </Page>
  );
}

function Packs({ packs, sale }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  return (
    <Sheet heading="Packs" beside={plural(packs.length, "pack")}>
      <ul>
        {packs.map(
          ({ outId, packId, dayId, code, name, weightMilligrams, volumeMilliliters, cents, back }) => (
            <li key={outId} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
              <span>
                <b>{name}</b>{" "}
                <Link to={`/days/${dayId}/pack/${packId}`} className="lone-link font-mono text-sm">
                  {code}
                </Link>
                {back && (
                  <span className="block text-sm">
                    Came back {show.shortDay(back.returnedOn)}
                    {back.reason && `: ${back.reason}`},{" "}
                    {back.goes === "stock" ? "and is in stock again" : "and was thrown away"}
                  </span>
                )}
              </span>
              <span className="shrink-0 text-right font-mono">
                {weightMilligrams === undefined
                  ? show.filled(volumeMilliliters ?? 0)
                  : show.bird(weightMilligrams)}{" "}
                {show.money(cents)}
                {back ? (
                  <RemoveButton
                    entryId={back.entryId}
                    back={`/orders/sales/${sale.id}`}
                    what={`return of ${code}`}
                    verb="undo the return"
                  />
                ) : (
                  <Link
                    to={`/orders/sales/${sale.id}/return/${outId}`}
                    className="lone-link block font-sans text-sm print:hidden"
                    aria-label={`${code} came back`}
                  >
                    It came back
                  </Link>
                )}
              </span>
            </li>
          ),
        )}
      </ul>
    </Sheet>
  );
}
