import { Form, Link, redirect } from "react-router";
import { ScanBox } from "#app/freezers/find/scan-box.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { stockOf, stockWith } from "#app/server/freezer/stock.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { Button, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { packIdOf } from "#core/label/pack-code.ts";
import type { Route } from "./+types/find.ts";

export const meta = () => [{ title: "Find a pack · Pale Morning" }];

/** Longest text that is looked for. */
const MOST_CHARACTERS = 80;

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const asked = new URL(request.url).searchParams;
  const text = (asked.get("q") ?? "").slice(0, MOST_CHARACTERS).trim();
  // A code, typed or scanned, leads to its pack wherever that is by now.
  const packId = packIdOf(text);
  const pack = packId === undefined ? undefined : here.file.pack.pack(packId);
  if (pack) throw redirect(`/days/${pack.dayId}/pack/${pack.id}`);
  return {
    text,
    isScanning: asked.has("scan"),
    isUnknownCode: packId !== undefined,
    found: text === "" ? [] : stockWith(stockOf(here), text),
  };
}

export default function Find({ loaderData }: Route.ComponentProps) {
  const { text, isScanning } = loaderData;
  return (
    <Page>
      <PageHead title="Find a pack" />
      <Form className="flex flex-wrap items-end gap-3">
        <label className="grid grow gap-1">
          <span className="font-semibold">Words, or the code on the label</span>
          <input
            key={text}
            name="q"
            type="search"
            defaultValue={text}
            maxLength={MOST_CHARACTERS}
            autoComplete="off"
            // biome-ignore lint/a11y/noAutofocus: a hand scanner types into it as soon as the page is open
            autoFocus
            className="field-box"
          />
        </label>
        <Button>Find</Button>
      </Form>
      <ScanBox isOpen={isScanning} />
      {text !== "" && <Found {...loaderData} />}
    </Page>
  );
}

/** What has all of the words, the oldest first. */
function Found({ found, isUnknownCode }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  return (
    <Sheet heading="Found" beside={plural(found.length, "place and product", "places and products")}>
      {found.length === 0 && (
        <p className="py-2">
          {isUnknownCode
            ? "No pack has that code now. It may have been removed, or the code be another farm's."
            : "Nothing stored has all of those words. Try fewer: a product, a batch, or a place."}
        </p>
      )}
      {found.length > 0 && (
        <DataTable
          className="text-base"
          caption="Packs found, the oldest first"
          columns={[
            {
              head: "Product",
              cell: ({ name, isPast }) => (
                <>
                  {name}
                  {isPast && <b className="text-barn"> · eat or sell first</b>}
                </>
              ),
            },
            { head: "Packs", isNumber: true, cell: ({ packs }) => packs },
            { head: "Weight", isNumber: true, cell: ({ milligrams }) => show.bulk(milligrams) },
            {
              head: "Batch",
              isWideOnly: true,
              cell: ({ batchName, processedOn }) => `${batchName}, ${show.shortDay(processedOn)}`,
            },
            {
              head: "Where",
              cell: ({ placeId, placeName }) => (
                <Link to={`/freezers/place/${placeId ?? 0}`} className="lone-link">
                  {placeName ?? "no location"}
                </Link>
              ),
            },
          ]}
          rows={found}
          keyOf={({ placeId, productId, lotId, purpose }) => `${placeId} ${productId} ${lotId} ${purpose}`}
        />
      )}
    </Sheet>
  );
}
