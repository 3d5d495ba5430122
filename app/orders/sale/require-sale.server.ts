import { data } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Sale } from "#db/sale/sale-queries.server.ts";

/** @throws a 404 page if there is no such sale */
export function requireSale({ file }: FarmContext, text: string | undefined): Sale {
  const sale = file.selling.sale(idFrom(text, "sale"));
  if (!sale)
    throw data("That sale does not exist, or was undone. That can be put right in History.", { status: 404 });
  return sale;
}
