import { packPrice } from "#core/label/pack-price.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import { MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";
import type { CustomerKind } from "#core/sharing/customer-kind.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import type { KnownPack } from "#db/freezer/freezer-queries.server.ts";
import { type entryMaker, must, priceOf } from "#demo/demo-file.ts";

type MakeEntry = ReturnType<typeof entryMaker>;

const CUSTOMERS = [
  ["The inn at the ford", "business", "kitchen door, before ten", "every liver we have"],
  ["Corinne Aldous", "customer", "at the gate, Fridays", ""],
  ["Hap Brindle", "customer", "", "pays when he has it"],
  ["Lenore Quist", "customer", "note on the mill door", ""],
  ["The Tarry family", "customer", "", "likes them big"],
  ["Wendell Pryor", "customer", "", ""],
  ["Odile Marsh", "customer", "", "no giblets"],
  ["June Tolland", "customer", "", ""],
  ["Ines's household", "household", "", "a third of the Reds"],
  ["Maren and Tobias", "own", "", ""],
] as const satisfies readonly (readonly [string, CustomerKind, string, string])[];

/** The inn, the people at the gate, and the two households. */
export function makeCustomers(file: FarmFile, entry: MakeEntry): void {
  for (const [name, kind, contact, note] of CUSTOMERS)
    must(file.customers.add(entry("2026-06-16"), { name, kind, contact, note }));
}

const customerId = (file: FarmFile, name: (typeof CUSTOMERS)[number][0]): number =>
  file.customers.all().find((one) => one.name === name)!.id;

/** Packs of one day leave together with whoever came; one of them pays later. */
export function sellTo(
  file: FarmFile,
  entry: MakeEntry,
  { soldOn, who, packs }: { soldOn: string; who: number; packs: readonly KnownPack[] },
): void {
  const [name] = CUSTOMERS[who % 8]!;
  const priced = packs.map((pack) => ({
    packId: pack.id,
    cents: packPrice({ ...pack, ...priceOf(file, pack.productId) })!,
  }));
  const amountCents = priced.reduce((sum, { cents }) => sum + cents, 0);
  must(
    file.selling.sell(
      entry(soldOn),
      { customerId: customerId(file, name), orderId: undefined, soldOn, note: "" },
      priced,
      { paid: name === "Hap Brindle" ? undefined : { amountCents, how: who % 3 === 0 ? "check" : "cash" } },
    ),
  );
}

const pounds = (weight: number) => Math.round(weight * MILLIGRAMS_PER_POUND);

/** What is asked for in the fall: most of it can be filled, the Tarrys' big birds can't. */
export function makeOrders(file: FarmFile, entry: MakeEntry): void {
  const products = file.catalog.products();
  const line = (kind: ProductKindName, packs: number | undefined, least?: number, most?: number) => ({
    productId: products.find((product) => product.kind === kind)!.id,
    packs,
    leastMilligrams: least === undefined ? undefined : pounds(least),
    mostMilligrams: most === undefined ? undefined : pounds(most),
  });
  const orders = [
    ["The inn at the ford", "2026-09-25", "month", line("whole-bird", 12, 4, 5)],
    ["Lenore Quist", "2026-09-18", "once", line("breast-bone-in", 2)],
    ["Corinne Aldous", "2026-09-25", "once", line("whole-bird", 4)],
    ["The Tarry family", "2026-09-26", "once", line("whole-bird", 4, 7)],
    ["June Tolland", "2026-09-26", "two-weeks", line("whole-bird", 2, undefined, 4)],
  ] as const;
  for (const [name, firstOn, rhythm, first] of orders) {
    const made = entry("2026-09-10");
    must(
      file.ordering.add(
        made,
        {
          customerId: customerId(file, name),
          orderedOn: "2026-09-10",
          firstOn,
          rhythm,
          until: undefined,
          note: name === "Corinne Aldous" ? "necks in the bag, please" : "",
        },
        first,
      ),
    );
    const orderId = file.ordering.ofEntry(made.entryId)!;
    if (name === "The inn at the ford")
      must(file.ordering.addLine(entry("2026-09-10"), orderId, line("liver", undefined)));
    if (name === "The Tarry family")
      must(
        file.selling.pay(entry("2026-09-12"), {
          customerId: customerId(file, name),
          saleId: undefined,
          orderId,
          amountCents: 2000,
          paidOn: "2026-09-12",
          how: "cash",
        }),
      );
  }
}
