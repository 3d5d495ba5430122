import { redirect } from "react-router";
import { z } from "zod";
import { unitOptions } from "#app/orders/prices/unit-options.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import { choice, money, wholeNumber } from "#app/ui/read/read-field.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, FoldedSheet, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRICE_UNIT_WORDS, productName } from "#app/words/packing/product-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { PRICE_UNITS } from "#core/label/pack-price.ts";
import type { Route } from "./+types/prices.ts";

export const meta = () => [{ title: "Prices · Pale Morning" }];

const MOST_CENTS = 1_000_000;

const priceForm = z.object({
  productId: wholeNumber({ least: 1, most: 1_000_000_000, ask: "Choose a product" }),
  price: money("Enter the price, such as 5.25", MOST_CENTS).refine(
    (cents) => cents > 0,
    "Enter a price above 0. A product without a price is taken off the list under Freezers, Products",
  ),
  unit: choice(PRICE_UNITS, "Choose what the price is for"),
  fromDay: localDay({ ask: "Enter the day it begins" }),
});

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const today = localDayOf(here.now(), farm.timeZone);
  const products = here.file.catalog
    .products()
    .map((product) => ({ ...product, shownName: productName(product) }));
  return {
    farmName: farm.name,
    today,
    products,
    prices: here.file.catalog.prices().map((price) => ({
      ...price,
      name: products.find(({ id }) => id === price.productId)?.shownName ?? "a product that was removed",
    })),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, priceForm);
  if (!sent.ok) return sent.refusal;
  const { productId, price, unit, fromDay } = sent.value;
  if (!here.file.catalog.products().some(({ id }) => id === productId))
    return sent.refuse({ productId: "That product was removed. Choose another" });
  const outcome = here.file.catalog.setPrice(sent.entry, productId, {
    priceCents: price,
    priceUnit: unit,
    fromDay,
  });
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect("/orders/prices", 303);
}

/** What everything costs today, to be pinned to the stand, and from when it costs something else. */
export default function Prices({ loaderData, actionData }: Route.ComponentProps) {
  const { farmName, today, products, prices } = loaderData;
  const show = useShow();
  const priced = products.filter(({ priceCents }) => priceCents !== undefined);
  return (
    <Page>
      <PageHead title="Prices" line={`${farmName}, ${show.dayWithYear(today)}`}>
        <ButtonLink kind="plain" to="/orders/prices/shop" className="print:hidden">
          Against the shop
        </ButtonLink>
      </PageHead>
      <Sheet heading="Price list" beside="print this page for the stand">
        {priced.length === 0 ? (
          <p>No product has a price yet. Set the first one below; labels and sales then carry it.</p>
        ) : (
          <DataTable
            className="text-base"
            caption="Price list"
            columns={[
              { head: "Product", cell: ({ shownName }) => shownName },
              {
                head: "Price",
                isNumber: true,
                cell: ({ priceCents, priceUnit }) =>
                  `${show.money(priceCents ?? 0)} ${PRICE_UNIT_WORDS[priceUnit]}`,
              },
            ]}
            rows={priced}
            keyOf={({ id }) => id}
          />
        )}
      </Sheet>
      <SetPrice loaded={loaderData} refusal={actionData} />
      {prices.length > 0 && <AllPrices {...loaderData} />}
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function SetPrice({ loaded, refusal }: { loaded: Loaded; refusal: Route.ComponentProps["actionData"] }) {
  const { prices, products, today, entryId } = loaded;
  const show = useShow();
  return (
    <Sheet heading="Set a price" className="max-w-prose print:hidden">
      <FarmForm
        key={prices.length}
        schema={priceForm}
        refusal={refusal}
        entryId={entryId}
        defaults={{
          productId: String(products[0]?.id ?? ""),
          unit: show.isUs ? "pound" : "kilogram",
          fromDay: today,
        }}
        submit="Set price"
      >
        {(fields) => (
          <>
            <SelectField
              field={fields.productId}
              label="Product"
              options={products.map(({ id, shownName }) => ({ value: String(id), label: shownName }))}
            />
            <TextField field={fields.price} label="Price" inputMode="decimal" />
            <ChoiceField field={fields.unit} label="For each" options={unitOptions(show.isUs)} />
            <TextField
              field={fields.fromDay}
              label="From"
              type="date"
              hint="What is packed from this day on carries it. Sales keep the price they had"
            />
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}

/** Every price there was and will be, to be looked up or removed. */
function AllPrices({ prices, today }: Loaded) {
  const show = useShow();
  return (
    <FoldedSheet id="all-prices" heading="All prices" beside={show.count(prices.length)} isForScreens>
      <ul>
        {prices.map((price) => (
          <li key={price.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <span>
              {price.name},{" "}
              {price.priceCents === undefined
                ? "no price"
                : `${show.money(price.priceCents)} ${PRICE_UNIT_WORDS[price.priceUnit]}`}
              {price.fromDay > today && <b> · begins</b>} from {show.dayWithYear(price.fromDay)}
            </span>
            {price.entryId && (
              <RemoveButton entryId={price.entryId} back="/orders/prices" what={`price of ${price.name}`} />
            )}
          </li>
        ))}
      </ul>
    </FoldedSheet>
  );
}
