import { group, sum } from "d3-array";
import { Form, Link } from "react-router";
import { FeedInStock } from "#app/freezers/feed-in-stock.tsx";
import { Fill } from "#app/freezers/fill.tsx";
import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { type StockRow, stockOf } from "#app/server/freezer/stock.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { useMayOpen } from "#app/ui/visitor/role.tsx";
import { placeInWords } from "#app/words/packing/place-words.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { plural } from "#app/words/show.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { Route } from "./+types/freezers.ts";

export const meta = () => [{ title: "Freezers · Pale Morning" }];

/** How many packs that left lately are shown. */
const LATELY = 10;

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const stock = stockOf(here);
  return {
    // The fullest first: that is where a hand reaches.
    places: roomOfPlaces(here).toSorted((one, other) => other.packs - one.packs),
    stock,
    lately: here.file.freezers.lately(LATELY),
    feed: here.file.feedInStock(),
  };
}

export default function Freezers({ loaderData }: Route.ComponentProps) {
  const { places, stock, feed } = loaderData;
  const show = useShow();
  const isEmpty = places.length === 0 && stock.length === 0;
  const nowhere = stock.filter(({ placeId }) => placeId === undefined);
  const total = sum(stock, ({ milligrams }) => milligrams);
  const packs = sum(stock, ({ packs: count }) => count);
  return (
    <Page isWide>
      <PageHead
        title="Freezers"
        line={
          isEmpty
            ? "what was packed, where it is, what is left"
            : `${plural(packs, "pack")}, ${show.bulk(total)}`
        }
      >
        <MoreLinks isEmpty={isEmpty} />
      </PageHead>
      {isEmpty ? <NothingStored /> : <FindBox />}
      <FeedInStock feed={feed} />
      <div className="gap-5 lg:columns-2 [&>*]:mb-5 [&>*]:break-inside-avoid">
        {places.map((place) => (
          <OnePlace
            key={place.id}
            place={place}
            stock={stock.filter(({ placeId }) => placeId === place.id)}
          />
        ))}
        {nowhere.length > 0 && (
          <Sheet
            heading="No location"
            beside={plural(
              sum(nowhere, (row) => row.packs),
              "pack",
            )}
          >
            <Stock rows={nowhere} />
            <ButtonLink kind="plain" to="/freezers/place/0" className="my-2">
              Say where they are
            </ButtonLink>
          </Sheet>
        )}
        <Lately {...loaderData} />
      </div>
    </Page>
  );
}

function MoreLinks({ isEmpty }: { isEmpty: boolean }) {
  return (
    <nav aria-label="More about freezers" className="flex flex-wrap gap-3 print:hidden">
      <ButtonLink kind="plain" to="/freezers/products">
        Products
      </ButtonLink>
      <ButtonLink kind="plain" to="/freezers/labels">
        Labels
      </ButtonLink>
      <ButtonLink kind="plain" to="/freezers/supplies">
        Supplies
      </ButtonLink>
      <ButtonLink kind="plain" to="/freezers/year">
        Through the year
      </ButtonLink>
      <ButtonLink kind="plain" to="/orders/picking">
        Picking list
      </ButtonLink>
      {!isEmpty && (
        <ButtonLink kind="plain" to="/freezers/place">
          Add a refrigerator or freezer
        </ButtonLink>
      )}
    </nav>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

/** One box for words, a code that was typed, and a scanner that types. */
function FindBox() {
  return (
    <Form action="/freezers/find" className="flex flex-wrap items-end gap-3 print:hidden">
      <label className="grid grow gap-1">
        <span className="font-semibold">Find a pack</span>
        <input
          name="q"
          type="search"
          maxLength={80}
          autoComplete="off"
          placeholder="breasts barn, White 26-A, or the code on its label"
          className="field-box"
        />
      </label>
      <Button>Find</Button>
      <ButtonLink kind="plain" to="/freezers/find?scan=1">
        Scan
      </ButtonLink>
      <ButtonLink kind="plain" to="/freezers/freezing">
        Plan the freezing
      </ButtonLink>
    </Form>
  );
}

/** Packs of a place by product: how many, how heavy, how old. */
function Stock({ rows }: { rows: readonly StockRow[] }) {
  const show = useShow();
  if (rows.length === 0) return <p className="text-soft">Empty.</p>;
  return (
    <ul>
      {[...group(rows, ({ name }) => name)].map(([name, alike]) => (
        <li key={name} className="flex flex-wrap justify-between gap-x-4 border-t border-rule py-2">
          <span>
            <b>{name}</b>,{" "}
            {plural(
              sum(alike, ({ packs }) => packs),
              "pack",
            )}
          </span>
          <span className="text-soft">
            {show.bulk(sum(alike, ({ milligrams }) => milligrams))}, oldest{" "}
            {show.shortDay(alike[0]!.processedOn)}
            {alike.some(({ isPast }) => isPast) && <b className="text-barn"> · eat or sell first</b>}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Packs that left last, so that a slip can be undone. */
function Lately({ lately }: Pick<Loaded, "lately">) {
  const show = useShow();
  const mayOpen = useMayOpen();
  if (lately.length === 0) return null;
  return (
    <Sheet heading="Recently taken out" className="print:hidden">
      <ul>
        {lately.map((pack) => (
          <li key={pack.id} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
            <span>
              {productName({ kind: pack.productKind, name: pack.productName })} {packCode(pack.id)},{" "}
              {pack.weightMilligrams === undefined
                ? show.filled(pack.volumeMilliliters ?? 0)
                : show.bird(pack.weightMilligrams)}
              : {pack.how} {show.shortDay(pack.outOn)}
            </span>
            {pack.saleId === undefined ? (
              <RemoveButton
                entryId={pack.outEntryId}
                back="/freezers"
                what={packCode(pack.id)}
                verb="put back"
              />
            ) : (
              mayOpen("/orders/sales/1") && (
                <Link to={`/orders/sales/${pack.saleId}`} className="lone-link text-sm">
                  see the sale
                </Link>
              )
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function NothingStored() {
  return (
    <EmptyPlace
      heading="Nothing stored yet"
      action={<ButtonLink to="/freezers/place">Add a refrigerator or freezer</ButtonLink>}
    >
      <p>
        Add your refrigerator and freezers and how many birds each holds. When you weigh a pack you choose
        where it goes, and this page shows what is left, what is oldest, and how much space you have.
      </p>
    </EmptyPlace>
  );
}

function OnePlace({ place, stock }: { place: Loaded["places"][number]; stock: readonly StockRow[] }) {
  return (
    <Sheet heading={place.name} beside={placeInWords(place)}>
      <Fill taken={place.taken} capacity={place.capacityCount} />
      <Stock rows={stock} />
      <ButtonLink kind="plain" to={`/freezers/place/${place.id}`} className="my-2 print:hidden">
        Open {place.name}
      </ButtonLink>
    </Sheet>
  );
}
