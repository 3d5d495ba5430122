import { group, sum } from "d3-array";
import { Form, Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, EmptyPlace, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { USE_WORDS } from "#app/words/words.ts";
import type { KnownPack } from "#db/freezer/freezer-queries.server.ts";
import type { Route } from "./+types/freezers.ts";

export const meta = () => [{ title: "Freezers · Pale Morning" }];

/** How many birds that left lately are shown. */
const SHOWN_MILLISECONDS = 10;

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { stored, lately } = here.file.freezers;
  const birds = stored();
  const places = here.file.places();
  const known = new Set(places.map((place) => place.id));
  return {
    // The fullest first: that is where a hand reaches.
    places: places
      .map((place) => ({ ...place, birds: birds.filter((bird) => bird.placeId === place.id) }))
      .toSorted((one, other) => other.birds.length - one.birds.length),
    elsewhere: birds.filter((bird) => bird.placeId === undefined || !known.has(bird.placeId)),
    lately: lately(SHOWN_MILLISECONDS),
    feed: here.file.feedInStock(),
    entryId: newEntryId(),
  };
}

export default function Freezers({ loaderData }: Route.ComponentProps) {
  const { places, elsewhere, feed, entryId } = loaderData;
  const isEmpty = places.length === 0 && elsewhere.length === 0;
  return (
    <Page>
      <PageHead title="Freezers" line="what was packed, where it is, what is left">
        <div className="flex flex-wrap gap-3">
          <ButtonLink kind="plain" to="/freezers/supplies">
            Supplies
          </ButtonLink>
          {!isEmpty && <ButtonLink to="/freezers/place">Add a refrigerator or freezer</ButtonLink>}
        </div>
      </PageHead>
      {isEmpty && (
        <EmptyPlace
          heading="Nothing stored yet"
          action={<ButtonLink to="/freezers/place">Add a refrigerator or freezer</ButtonLink>}
        >
          <p>
            Add your refrigerator and freezers and how many birds each holds. When you weigh a bird you choose
            where it goes, and this page shows what is left and how much space you have.
          </p>
        </EmptyPlace>
      )}
      <FeedInStock feed={feed} />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        {places.map((place) => (
          <Sheet
            key={place.id}
            heading={place.name}
            beside={`${place.kind}, ${place.birds.length} of ${place.capacityCount} spaces filled`}
          >
            <Fill taken={place.birds.length} capacity={place.capacityCount} />
            <Birds birds={place.birds} entryId={entryId} />
          </Sheet>
        ))}
        {elsewhere.length > 0 && (
          <Sheet heading="No location" beside={plural(elsewhere.length, "bird")}>
            <Birds birds={elsewhere} entryId={entryId} />
          </Sheet>
        )}
        <Lately {...loaderData} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function FeedInStock({ feed }: Pick<Loaded, "feed">) {
  const show = useShow();
  if (feed.milligrams === 0) return null;
  return feed.milligrams > 0 ? (
    <p>
      Feed in stock: {show.bulk(feed.milligrams)}, {show.money(feed.cents)}, not assigned to a batch. To use
      it, add “from stock 2 bags” to a batch's history.
    </p>
  ) : (
    <Notice>
      <b>{show.bulk(-feed.milligrams)} more feed left stock than went in.</b> An entry that added it was
      removed: enter it again in its batch, or remove what was taken out.
    </Notice>
  );
}

/** Birds that were taken out last, so that a slip can be undone. */
function Lately({ lately }: Pick<Loaded, "lately">) {
  const show = useShow();
  if (lately.length === 0) return null;
  return (
    <Sheet heading="Recently removed">
      <ul>
        {lately.map((bird) => (
          <li
            key={bird.outEntryId}
            className="flex items-baseline justify-between gap-3 border-b border-rule py-1"
          >
            <span>
              {bird.batchName}, bird {bird.birdNumber}, {show.bird(bird.weightMilligrams ?? 0)}: {bird.how}{" "}
              {show.shortDay(bird.outOn)}
            </span>
            <RemoveButton
              entryId={bird.outEntryId}
              back="/freezers"
              what={`bird ${bird.birdNumber} of ${bird.batchName}`}
            />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function Fill({ taken, capacity }: { taken: number; capacity: number }) {
  const isFull = taken >= capacity;
  return (
    <div className="pb-3">
      <svg aria-hidden="true" viewBox="0 0 100 6" preserveAspectRatio="none" className="h-2 w-full">
        <rect width="100" height="6" className="fill-rule" />
        <rect
          width={Math.min(100, (100 * taken) / capacity)}
          height="6"
          className={isFull ? "fill-barn" : "fill-pine"}
        />
      </svg>
      <p className={isFull ? "font-semibold text-barn" : "text-soft"}>
        {isFull
          ? `full${taken > capacity ? `, ${taken - capacity} over capacity` : ""}`
          : `room for ${capacity - taken} more`}
      </p>
    </div>
  );
}

/** Birds by the day they were dressed and what they are for. */
function Birds({ birds, entryId }: { birds: readonly KnownPack[]; entryId: string }) {
  const show = useShow();
  if (birds.length === 0) return <p className="text-soft">Empty.</p>;
  return (
    <ul>
      {[...group(birds, (bird) => `${bird.dayId}-${bird.purpose}`).values()].map((alike) => {
        const first = alike[0]!;
        return (
          <li key={`${first.dayId}-${first.purpose}`} className="border-t border-rule py-2">
            <p>
              <Link to={`/days/${first.dayId}/pack`} className="underline">
                {first.batchName}, {show.shortDay(first.processedOn)}
              </Link>
              : {plural(alike.length, "bird")} {USE_WORDS[first.purpose]},{" "}
              {show.bulk(sum(alike, (bird) => bird.weightMilligrams ?? 0))}
            </p>
            <Form method="post" action="/freezers/out" className="flex flex-wrap items-end gap-2 pt-1">
              <input type="hidden" name="entryId" value={`${entryId}-${first.dayId}-${first.purpose}`} />
              <label className="grid text-sm text-soft">
                Remove
                <select
                  name="packId"
                  className="min-h-12 rounded-sheet border border-soft bg-white px-2 text-base text-ink"
                >
                  {alike.map((bird) => (
                    <option key={bird.id} value={bird.id}>
                      bird {bird.birdNumber}, {show.bird(bird.weightMilligrams ?? 0)}
                    </option>
                  ))}
                </select>
              </label>
              {(["sold", "eaten", "given", "spoiled"] as const).map((how) => (
                <button
                  key={how}
                  type="submit"
                  name="how"
                  value={how}
                  className="min-h-12 rounded-sheet border border-soft px-3"
                >
                  {how}
                </button>
              ))}
            </Form>
          </li>
        );
      })}
    </ul>
  );
}
