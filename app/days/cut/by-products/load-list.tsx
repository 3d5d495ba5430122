import { Form } from "react-router";
import { Figure } from "#app/ui/figure.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { BY_PRODUCT_WORDS } from "#app/words/packing/by-product-words.ts";
import { plural } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { dryWeight } from "#core/carcass-yield/dry-yield.ts";
import { byProductRow } from "#core/packing/by-products.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Route } from "./+types/by-products.ts";

type Loaded = Route.ComponentProps["loaderData"];
type Load = Loaded["loads"][number];

/** Each load: when it went in, what is to come of it, its checks, and what came. */
export function LoadList(loaded: Loaded) {
  const { loads } = loaded;
  return (
    <Sheet heading="Loads" beside={loads.length > 0 ? plural(loads.length, "load") : ""}>
      {loads.length === 0 && (
        <p className="py-1">
          Nothing is wasted that is written down. Weigh feet and hearts into the dryer, frames into the pot,
          feathers and guts onto the compost; weigh what comes out, and “Where it went” accounts for every
          pound.
        </p>
      )}
      <ul>
        {loads.map((load) => (
          <li key={load.id} className="grid gap-1 border-b border-rule py-3 last:border-b-0">
            <OneLoad load={load} {...loaded} />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function OneLoad({ load, day, checks, entryId, now }: Loaded & { load: Load }) {
  const show = useShow();
  const { name, caution, comesOut } = BY_PRODUCT_WORDS[load.kind];
  const { hasOut, dries } = byProductRow(load.kind);
  const isOpen = hasOut && load.endedAt === undefined;
  return (
    <>
      <p className="flex flex-wrap justify-between gap-x-4">
        <b>{name}</b>
        <span className="font-mono">
          {show.bulk(load.inMilligrams)}
          {load.outMilligrams !== undefined && ` → ${show.bulk(load.outMilligrams)} ${comesOut}`}
          {(load.milliliters ?? 0) > 0 && `, ${show.filled(load.milliliters!)} of broth`}
        </span>
      </p>
      <p className="text-soft">
        In {show.dayTime(load.startedAt)}
        {load.endedAt === undefined
          ? isOpen && `, ${show.minutes((now - load.startedAt) / MINUTE)} so far`
          : `, out after ${show.minutes((load.endedAt - load.startedAt) / MINUTE)}`}
        {load.note && `; ${load.note}`}.
      </p>
      {isOpen && dries !== undefined && (
        <Figure
          size="small"
          label="Dry when it weighs about"
          reckoning={dryWeight(kilogramsFromMilligrams(load.inMilligrams), dries)}
        />
      )}
      {isOpen && caution && <p className="text-sm">{caution}.</p>}
      <ChecksAndRest {...{ load, day, checks, entryId, isOpen }} />
    </>
  );
}

type ChecksProps = Pick<Loaded, "day" | "checks" | "entryId"> & { load: Load; isOpen: boolean };

/** What was found on the way, and what can be done with the load now. */
function ChecksAndRest({ load, day, checks, entryId, isOpen }: ChecksProps) {
  const show = useShow();
  const back = `/days/${day.id}/cut/by-products`;
  const { name } = BY_PRODUCT_WORDS[load.kind];
  const own = checks.filter(({ byProductId }) => byProductId === load.id);
  return (
    <>
      {own.map((check) => (
        <div key={check.entryId} className="flex items-baseline gap-2 text-sm text-soft">
          {show.dayTime(check.checkedAt)}: {check.note}
          <RemoveButton entryId={check.entryId} back={back} what={`check: ${check.note}`} />
        </div>
      ))}
      <div className="flex flex-wrap items-end gap-3 print:hidden">
        {isOpen && (
          <>
            <ButtonLink to={`${back}/${load.id}`}>Weigh what came out</ButtonLink>
            <Form method="post" action={`${back}/${load.id}/check`} className="flex items-end gap-2">
              <input type="hidden" name="entryId" value={`${entryId}-check-${load.id}`} />
              <label className="grid gap-1 text-sm font-semibold">
                Checked
                <input
                  name="note"
                  required
                  maxLength={200}
                  placeholder="still soft inside"
                  className="field-box font-normal"
                />
              </label>
              <Button kind="plain">Note it</Button>
            </Form>
          </>
        )}
        {load.outEntryId !== undefined && (
          <RemoveButton entryId={load.outEntryId} back={back} what={`what came of ${name}`} />
        )}
        {load.outEntryId === undefined && <RemoveButton entryId={load.entryId} back={back} what={name} />}
      </div>
    </>
  );
}
