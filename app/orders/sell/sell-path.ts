interface SellPath {
  readonly packIds: readonly number[];
  readonly order: { readonly id: number; readonly wantedOn: string } | undefined;
  readonly customer: { readonly id: number } | undefined;
  readonly find?: string;
  readonly step?: "pay";
}

/** The address of a sale that is being put together: what is chosen stands in it, so that nothing is lost by going back. */
export function sellPath({ packIds, order, customer, find, step }: SellPath): string {
  const query = new URLSearchParams({ packs: packIds.join() });
  if (order) {
    query.set("order", String(order.id));
    query.set("on", order.wantedOn);
  } else if (customer) query.set("customer", String(customer.id));
  if (find) query.set("find", find);
  if (step) query.set("step", step);
  return `/orders/sell?${query}`;
}
