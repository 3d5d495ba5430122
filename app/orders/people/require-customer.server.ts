import { data } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Customer } from "#db/customer/customer-queries.server.ts";

/** @throws a 404 page if there is no such customer; one who was removed is still there to be read */
export function requireCustomer({ file }: FarmContext, text: string | undefined): Customer {
  const id = idFrom(text, "customer");
  const customer = file.customers.all().find((one) => one.id === id);
  if (!customer) throw data("That customer does not exist.", { status: 404 });
  return customer;
}
