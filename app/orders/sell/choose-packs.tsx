import { Form, Link } from "react-router";
import { sellPath } from "#app/orders/sell/sell-path.ts";
import { Button, ButtonLink, EmptyPlace, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/sell.ts";

type Loaded = Route.ComponentProps["loaderData"];
type Pack = Loaded["chosen"][number];

/** Which packs are sold: by their code, or from a list that words narrow. */
export function ChoosePacks(loaded: Loaded) {
  const { chosen, found, inStock, find, goneCount } = loaded;
  const ids = chosen.map(({ id }) => id);
  if (inStock === 0)
    return (
      <EmptyPlace
        heading="Nothing in stock to sell"
        action={<ButtonLink to="/freezers">Freezers</ButtonLink>}
      >
        <p>Packs that were weighed “for sale” and still lie in a refrigerator or freezer are sold here.</p>
      </EmptyPlace>
    );
  return (
    <>
      {goneCount > 0 && (
        <Notice tone="stop">
          {plural(goneCount, "pack")} of these can't be sold: no longer in stock, or not weighed for sale.
        </Notice>
      )}
      <Chosen {...loaded} />
      <FindPacks {...loaded} />
      <Sheet
        heading="In stock"
        beside={find ? `with “${find}”` : `${plural(inStock, "pack")}, the oldest first`}
      >
        {found.length === 0 && find !== "" && (
          <p>No pack for sale matches. Look for a product, a batch, or a place.</p>
        )}
        <ul>
          {found.map((pack) => (
            <PackLine
              key={pack.id}
              pack={pack}
              to={sellPath({ ...loaded, packIds: [...ids, pack.id] })}
              verb="add"
            />
          ))}
        </ul>
      </Sheet>
    </>
  );
}

function Chosen(loaded: Loaded) {
  const { chosen } = loaded;
  const show = useShow();
  const ids = chosen.map(({ id }) => id);
  return (
    <Sheet heading="Chosen" beside={`${plural(chosen.length, "pack")}, ${show.money(totalOf(chosen))}`}>
      {chosen.length === 0 && (
        <p className="text-soft">Tap packs below, or type or scan the code on a label.</p>
      )}
      <ul>
        {chosen.map((pack) => (
          <PackLine
            key={pack.id}
            pack={pack}
            to={sellPath({ ...loaded, packIds: ids.filter((id) => id !== pack.id) })}
            verb="remove"
          />
        ))}
      </ul>
      {chosen.length > 0 && (
        <ButtonLink to={sellPath({ ...loaded, packIds: ids, step: "pay" })} className="my-3 w-full sm:w-auto">
          Next: who pays, and how
        </ButtonLink>
      )}
    </Sheet>
  );
}

/** A box for the code on a label, typed or scanned, or for words that narrow the list. */
function FindPacks({ chosen, order, customer, find }: Loaded) {
  const ids = chosen.map(({ id }) => id);
  return (
    <Form method="get" className="flex flex-wrap items-end gap-3" key={`${ids.join()} ${find}`}>
      <input type="hidden" name="packs" value={ids.join()} />
      {order && <input type="hidden" name="order" value={order.id} />}
      {order && <input type="hidden" name="on" value={order.wantedOn} />}
      {!order && customer && <input type="hidden" name="customer" value={customer.id} />}
      <label className="grid grow gap-1">
        <span className="font-semibold">Code on the label, or words</span>
        <input
          name="find"
          type="search"
          maxLength={80}
          autoComplete="off"
          defaultValue={find}
          className="field-box"
        />
      </label>
      <Button kind="plain">Find</Button>
    </Form>
  );
}

const totalOf = (packs: readonly Pack[]) => packs.reduce((sum, { cents }) => sum + (cents ?? 0), 0);

function PackLine({ pack, to, verb }: { pack: Pack; to: string; verb: "add" | "remove" }) {
  const show = useShow();
  return (
    <li className="border-b border-rule last:border-b-0">
      <Link
        to={to}
        preventScrollReset
        replace
        className="flex min-h-16 items-center justify-between gap-3 py-1"
        aria-label={`${verb === "add" ? "Add" : "Remove"} ${pack.name} ${pack.code}`}
      >
        <span>
          <b>{pack.name}</b>
          {pack.birdNumber !== undefined && ` bird ${pack.birdNumber}`}
          <span className="block text-sm text-soft">
            <span className="font-mono">{pack.code}</span> · {pack.placeName ?? "no location"} ·{" "}
            <span className="whitespace-nowrap">{pack.batchName}</span>
          </span>
        </span>
        <span className="shrink-0 text-right">
          <span className="block font-mono">
            {pack.weightMilligrams === undefined
              ? show.filled(pack.volumeMilliliters ?? 0)
              : show.bird(pack.weightMilligrams)}
          </span>
          <span className="block text-sm">
            {pack.cents === undefined ? "no price" : show.money(pack.cents)} ·{" "}
            <span className="underline">{verb}</span>
          </span>
        </span>
      </Link>
    </li>
  );
}
