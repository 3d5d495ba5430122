import { requireSale } from "#app/orders/sale/require-sale.server.ts";
import { saleReading } from "#app/orders/sale/sale-reading.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { PAYMENT_WORDS } from "#app/words/order-words.ts";
import { PRICE_UNIT_WORDS } from "#app/words/packing/product-words.ts";
import { showFor } from "#app/words/show.ts";
import type { Route } from "./+types/receipt-pdf.ts";

/** A receipt for whoever took the packs: each with its weight and price, what was paid, and what is owed. */
export async function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const sale = requireSale(here, params.saleId);
  const { packs, customer, payments, paidCents } = saleReading(here, sale);
  const show = showFor(farm);
  const owed = sale.totalCents - sale.creditCents - paidCents;
  const pdf = await workPool().run("written-pages", {
    paper: show.paper,
    madeAt: here.now(),
    title: `Receipt ${sale.id}`,
    over: farm.name,
    parts: [
      { text: `${show.longDay(sale.soldOn)}${customer ? `, for ${customer.name}` : ""}` },
      {
        table: {
          heads: ["Product", "Code", "Net", "Price", "Amount"],
          numbers: [2, 3, 4],
          widths: [5, 2, 2, 2.4, 2],
          rows: packs.map((pack) => [
            pack.back ? `${pack.name} (came back)` : pack.name,
            pack.code,
            pack.weightMilligrams === undefined
              ? show.filled(pack.volumeMilliliters ?? 0)
              : show.bird(pack.weightMilligrams),
            pack.priceCents === undefined || pack.priceUnit === undefined
              ? ""
              : `${show.money(pack.priceCents)} ${PRICE_UNIT_WORDS[pack.priceUnit]}`,
            show.money(pack.cents),
          ]),
          foot: ["Total", "", "", "", show.money(sale.totalCents)],
        },
      },
      ...(sale.creditCents > 0
        ? [{ text: `Taken off for what came back: ${show.money(sale.creditCents)}` }]
        : []),
      ...payments.map((payment) => ({
        text: `${payment.amountCents < 0 ? "Paid back" : "Paid"} ${show.shortDay(payment.paidOn)}, ${PAYMENT_WORDS[payment.how].toLowerCase()}: ${show.money(Math.abs(payment.amountCents))}`,
      })),
      { text: owed > 0 ? `Still owed: ${show.money(owed)}` : "Paid in full. Thank you." },
      { text: "Keep frozen or refrigerated. Cook poultry to 165 °F (74 °C)." },
    ],
  });
  return new Response(new Uint8Array(pdf), {
    headers: {
      "Content-Type": "application/pdf",
      "Content-Disposition": `attachment; filename="receipt-${sale.id}.pdf"`,
      "Cache-Control": "no-store",
    },
  });
}
