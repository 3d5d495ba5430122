import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { Sale } from "#db/sale/sale-queries.server.ts";

/** The packs of a sale with what they are, what was asked for each, and which came back. */
export function saleReading({ file }: FarmContext, sale: Sale) {
  const products = new Map(file.catalog.products().map((product) => [product.id, productName(product)]));
  const returns = file.selling.returnsOf(sale.id);
  const payments = file.selling.paymentsOf(sale.id);
  return {
    customer: file.customers.all().find(({ id }) => id === sale.customerId),
    packs: file.selling.packsOf(sale.id).map(({ outId, packId, cents }) => {
      const pack = file.pack.pack(packId);
      return {
        outId,
        packId,
        cents,
        dayId: pack?.dayId,
        code: packCode(packId),
        name: products.get(pack?.productId ?? 0) ?? "a pack that was removed",
        weightMilligrams: pack?.weightMilligrams,
        volumeMilliliters: pack?.volumeMilliliters,
        priceCents: pack?.priceCents,
        priceUnit: pack?.priceUnit,
        back: returns.find((one) => one.outId === outId),
      };
    }),
    payments,
    paidCents: payments.reduce((sum, { amountCents }) => sum + amountCents, 0),
  };
}
