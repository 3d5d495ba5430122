import { DataTable } from "#app/ui/data-table.tsx";
import { ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { USE_WORDS } from "#app/words/words.ts";
import type { StoragePlace } from "#db/place/place-queries.server.ts";
import type { Route } from "./+types/pack.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** What was weighed so far, in numbers. */
export function Tally({ tally, toGo, day }: Loaded) {
  const show = useShow();
  const weight = (milligrams: number | undefined) => (milligrams === undefined ? "–" : show.bird(milligrams));
  const rows = [
    ["Mean", weight(tally.meanMilligrams)],
    ["Smallest", weight(tally.smallestMilligrams)],
    ["Largest", weight(tally.largestMilligrams)],
    ["Total", show.bulk(tally.totalMilligrams)],
    ...Object.entries(tally.countByUse)
      .filter(([, count]) => count > 0)
      .map(([use, count]) => [USE_WORDS[use as keyof typeof USE_WORDS], plural(count, "bird")]),
  ];
  return (
    <Sheet heading="So far" beside={`${plural(tally.dressedCount, "bird")} dressed`}>
      <dl>
        {rows.map(([name, value]) => (
          <div key={name} className="flex justify-between gap-4 border-b border-rule py-2 last:border-b-0">
            <dt className="first-letter:uppercase text-soft">{name}</dt>
            <dd className="font-mono">{value}</dd>
          </div>
        ))}
      </dl>
      {toGo === 0 && tally.dressedCount > 0 && !day.settledEntryId && (
        <ButtonLink to={`/days/${day.id}/settle`} className="mt-3">
          All weighed. Settle the day
        </ButtonLink>
      )}
    </Sheet>
  );
}

/** Each lot's birds on the scale so far: their weights are kept apart. */
export function ByLot({ lots }: Pick<Loaded, "lots">) {
  const show = useShow();
  return (
    <Sheet heading="By lot">
      <DataTable
        caption="Weighed by lot"
        columns={[
          { head: "Lot", cell: ({ batchName }) => batchName },
          { head: "Weighed", isNumber: true, cell: ({ weighed, birds }) => `${weighed} of ${birds}` },
          {
            head: "Mean",
            isNumber: true,
            cell: ({ meanMilligrams }) => (meanMilligrams === undefined ? "–" : show.bird(meanMilligrams)),
          },
        ]}
        rows={lots}
        keyOf={({ id }) => String(id)}
      />
    </Sheet>
  );
}

/** Room in each refrigerator and freezer. */
export function Places({ places }: { places: readonly (StoragePlace & { room: number })[] }) {
  return (
    <Sheet heading="Storage">
      {places.length === 0 && <p>Add your refrigerator and freezers to record where each bird is stored.</p>}
      <ul>
        {places.map((place) => (
          <li key={place.id} className="border-b border-rule py-2">
            <span className="flex justify-between gap-4">
              <span>{place.name}</span>
              <span className={place.room <= 0 ? "font-semibold text-barn" : "text-soft"}>
                {place.room > 0
                  ? `room for ${place.room} more`
                  : place.room === 0
                    ? "full"
                    : `${-place.room} over`}
              </span>
            </span>
          </li>
        ))}
      </ul>
      <ButtonLink kind="plain" to="/freezers/place" className="mt-3">
        Add a refrigerator or freezer
      </ButtonLink>
    </Sheet>
  );
}
