import { redirect } from "react-router";
import { z } from "zod";
import { againstTheShop } from "#app/orders/prices/shop-reading.server.ts";
import { unitOptions } from "#app/orders/prices/unit-options.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import { choice, money, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRICE_UNIT_WORDS, productName } from "#app/words/packing/product-words.ts";
import type { Show } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { SHOP_KINDS } from "#core/cost/shop-kind.ts";
import { PRICE_UNITS } from "#core/label/pack-price.ts";
import type { Route } from "./+types/shop.ts";

export const meta = () => [{ title: "Against the shop · Pale Morning" }];

const KINDS = SHOP_KINDS;
const MOST_CENTS = 1_000_000;

const shopForm = z.object({
  productId: wholeNumber({ least: 1, most: 1_000_000_000, ask: "Choose a product" }),
  kind: choice(KINDS, "Choose how the birds are raised"),
  price: money("Enter the price on the shelf, such as 1.89", MOST_CENTS).refine(
    (cents) => cents > 0,
    "Enter a price above 0",
  ),
  unit: choice(PRICE_UNITS, "Choose what the price is for"),
  seenOn: localDay({ ask: "Enter the day you saw it" }),
  place: optional(words(80, "")),
});

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  return {
    ...againstTheShop(here, farm),
    today: localDayOf(here.now(), farm.timeZone),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, shopForm);
  if (!sent.ok) return sent.refusal;
  const { productId, price, unit, place, ...seen } = sent.value;
  if (!here.file.catalog.products().some(({ id }) => id === productId))
    return sent.refuse({ productId: "That product was removed. Choose another" });
  const faults = faultsOf(
    here.file.catalog.addShopPrice(sent.entry, {
      ...seen,
      productId,
      priceCents: price,
      priceUnit: unit,
      place: place ?? "",
    }),
    {},
  );
  return faults ? sent.refuse(faults) : redirect("/orders/prices/shop", 303);
}

/** Our prices beside what they have to cover, and beside what a shop asks. */
export default function Shop({ loaderData, actionData }: Route.ComponentProps) {
  const { products, costedOn } = loaderData;
  const show = useShow();
  const shown = products.filter(({ priceCents, shops }) => priceCents !== undefined || shops.length > 0);
  return (
    <Page isWide>
      <PageHead
        title="Against the shop"
        line={costedOn ? `costs of ${show.longDay(costedOn)}, shared by weight` : "your prices, and theirs"}
      />
      <WholeOrCut {...loaderData} />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Product by product">
          {shown.length === 0 && (
            <p>
              Set your prices under Orders, Prices, and enter what a shop asks. Then each product says what it
              costs you, what you ask, and how that compares.
            </p>
          )}
          <ul>
            {shown.map((product) => (
              <ProductRow key={product.id} product={product} />
            ))}
          </ul>
        </Sheet>
        <AddSeen loaded={loaderData} refusal={actionData} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];
type Product = Loaded["products"][number];

function ProductRow({ product }: { product: Product }) {
  const show = useShow();
  const { name, priceCents, priceUnit, shops } = product;
  return (
    <li className="border-b border-rule py-2 last:border-b-0">
      <p>
        <b>{name}</b>
        {priceCents !== undefined && `, yours ${show.money(priceCents)} ${PRICE_UNIT_WORDS[priceUnit]}`}
      </p>
      {coverWords(product, show).map((words) => (
        <p key={words} className="text-sm">
          {words}
        </p>
      ))}
      {shops.map((seen) => (
        <div key={seen.id} className="flex items-baseline justify-between gap-3 text-sm">
          <span>
            {shopWords(product, seen, show)}
            <span className="text-soft">
              {" "}
              Seen {show.shortDay(seen.seenOn)}
              {seen.place && `, ${seen.place}`}.
            </span>
          </span>
          <RemoveButton entryId={seen.entryId} back="/orders/prices/shop" what={`shop price of ${name}`} />
        </div>
      ))}
    </li>
  );
}

/** What the price has to cover. */
function coverWords({ costs, perKilogram }: Product, show: Show): string[] {
  const [cash, , labor] = costs;
  if (cash === undefined || labor === undefined) return [];
  const price = (value: number) => show.value(value, "cents-per-kg");
  const costed = `It cost you ${price(cash)} in cash, ${price(labor)} with equipment and labor.`;
  if (perKilogram === undefined) return [costed];
  return [
    costed,
    perKilogram >= labor
      ? "Your price covers all of it."
      : `Ask ${price(labor)} to cover all of it: ${price(labor - perKilogram)} more.`,
  ];
}

/** How a price compares with one that was seen. */
function shopWords(product: Product, seen: Product["shops"][number], show: Show): string {
  const theirs = `${seen.kind[0]!.toUpperCase()}${seen.kind.slice(1)} in the shop: ${show.money(seen.priceCents)} ${PRICE_UNIT_WORDS[seen.priceUnit]}.`;
  const { perKilogram: ours } = product;
  if (ours === undefined || seen.perKilogram === undefined) return theirs;
  const times = ours / seen.perKilogram;
  if (Math.abs(times - 1) < 0.005) return `${theirs} Yours is the same.`;
  const gap = show.value(Math.abs(ours - seen.perKilogram), "cents-per-kg");
  return `${theirs} Yours is ${gap} ${times > 1 ? "more" : "less"}.`;
}

/** Whether birds are worth cutting up at these prices, and what would change it. */
function WholeOrCut({ cut }: Loaded) {
  const show = useShow();
  if (!cut) return null;
  const gain = Math.round(cut.gainCents);
  return (
    <Sheet heading="Whole or cut up?" className="max-w-prose">
      <p className="font-display text-xl">
        {gain > 0
          ? `Cut up, a bird brings ${show.money(gain)} more.`
          : `Whole, a bird brings ${show.money(-gain)} more.`}
      </p>
      <p>
        A bird of {show.value(cut.dressedKilograms, "carcass-kg")} brings{" "}
        {show.money(Math.round(cut.wholeCents))} whole. Its cuts bring {show.money(Math.round(cut.cutCents))},
        less {show.money(Math.round(cut.laborCents))} for {show.value(cut.minutes, "minutes")} of work and{" "}
        {show.money(Math.round(cut.bagCents))} more for bags.
      </p>
      <p>
        Both bring the same when a whole bird sells for {show.value(cut.evenCentsPerKilogram, "cents-per-kg")}
        . A torn skin is cut up anyway.
        {cut.unpriced.length > 0 &&
          ` Without a price, and counted as nothing: ${cut.unpriced.map((kind) => productName({ kind, name: "" }).toLowerCase()).join(", ")}.`}
      </p>
    </Sheet>
  );
}

function AddSeen({ loaded, refusal }: { loaded: Loaded; refusal: Route.ComponentProps["actionData"] }) {
  const { products, today, entryId } = loaded;
  const show = useShow();
  return (
    <Sheet heading="What a shop asks" className="print:hidden">
      <FarmForm
        key={products.reduce((sum, { shops }) => sum + shops.length, 0)}
        schema={shopForm}
        refusal={refusal}
        entryId={entryId}
        defaults={{
          productId: String(products[0]?.id ?? ""),
          kind: "ordinary",
          unit: show.isUs ? "pound" : "kilogram",
          seenOn: today,
        }}
        submit="Add shop price"
      >
        {(fields) => (
          <>
            <SelectField
              field={fields.productId}
              label="Like which product of yours"
              options={products.map(({ id, name }) => ({ value: String(id), label: name }))}
            />
            <ChoiceField
              field={fields.kind}
              label="How they are raised"
              options={KINDS.map((value) => ({
                value,
                label: value.replace(/^./, (first) => first.toUpperCase()),
              }))}
            />
            <TextField field={fields.price} label="Price on the shelf" inputMode="decimal" />
            <ChoiceField field={fields.unit} label="For each" options={unitOptions(show.isUs)} />
            <TextField field={fields.seenOn} label="Seen on" type="date" />
            <TextField field={fields.place} label="Where" hint="Leave empty if you don't want to note it" />
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}
