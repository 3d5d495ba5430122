import { data, Form, Link } from "react-router";
import { Fill } from "#app/freezers/fill.tsx";
import { Contents } from "#app/freezers/place/contents.tsx";
import { notYetHard } from "#app/freezers/place/not-yet-hard.server.ts";
import { type PlaceWithRoom, roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { printerAddress } from "#app/server/device/label-printer.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { Button, ButtonLink, EmptyPlace, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { LIMIT_WORDS, placeInWords, SETTING_WORDS } from "#app/words/packing/place-words.ts";
import { plural } from "#app/words/show.ts";
import { isPastKeeping } from "#core/packing/keeping.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import { WAYS_OUT } from "#db/freezer/freezer-queries.server.ts";
import type { Route } from "./+types/place.ts";

export const meta = () => [{ title: "Freezer · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const place = placeOf(here, params.placeId);
  const stored = place ? here.file.freezers.inPlace(place.id) : here.file.freezers.nowhere();
  const keeps = new Map(here.file.catalog.products().map(({ id, keepsMonths }) => [id, keepsMonths]));
  return {
    place,
    packs: stored.map((pack) => ({
      ...pack,
      isPast: isPastKeeping(
        pack.packedAt,
        keeps.get(pack.productId) ?? productKind(pack.productKind).keepsMonths,
        here.now(),
      ),
    })),
    freezing: place && notYetHard(place, stored, here.now()),
    others: here.file.places().filter(({ id }) => id !== place?.id),
    waysOut: WAYS_OUT,
    hasPrinter: printerAddress(here) !== undefined,
    entryId: newEntryId(),
  };
}

/** The place, or undefined for `0`: packs of which nobody has said where they are. @throws a 404 page if there is no such place */
function placeOf(here: FarmContext, text: string): PlaceWithRoom | undefined {
  if (text === "0") return undefined;
  const place = roomOfPlaces(here).find(({ id }) => String(id) === text);
  if (!place) throw data("That refrigerator or freezer does not exist, or was removed.", { status: 404 });
  return place;
}

export default function Place({ loaderData }: Route.ComponentProps) {
  const { place, packs, freezing } = loaderData;
  const name = place?.name ?? "No location";
  return (
    <Page isWide>
      <PageHead title={name} line={place ? placeInWords(place) : ""}>
        <Link to="/freezers" className="lone-link print:hidden">
          All freezers
        </Link>
      </PageHead>
      {freezing && <Freezing freezing={freezing} />}
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <div className="lg:col-span-2">
          {packs.length > 0 ? (
            <Contents {...loaderData} />
          ) : (
            <EmptyPlace heading="Nothing in here" action={<ButtonLink to="/days">To the days</ButtonLink>}>
              <p>
                When you weigh a pack, choose {name} as its storage. To bring packs from somewhere else, open
                that place, tick them, and move them here.
              </p>
            </EmptyPlace>
          )}
        </div>
        {place && <ThisPlace place={place} entryId={loaderData.entryId} />}
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

/** Settings that a place has: a refrigerator that can freeze, and any freezer's quick setting. */
function SwitchForm({ place, entryId }: ThisPlaceProps) {
  const settings = (
    place.kind === "freezer"
      ? ["freeze", "quick-freeze"]
      : place.canFreeze
        ? ["cool", "freeze", "quick-freeze"]
        : []
  ) as (keyof typeof SETTING_WORDS)[];
  if (settings.length === 0) return null;
  return (
    <Form method="post" action={`/freezers/place/${place.id}/switch`} className="grid gap-2">
      <input type="hidden" name="entryId" value={`${entryId}-switch`} />
      <span className="font-semibold">Set to</span>
      <div className="flex flex-wrap gap-2">
        {settings.map((setting) => (
          <Button
            key={setting}
            kind={setting === place.setting ? "main" : "plain"}
            name="setting"
            value={setting}
            aria-pressed={setting === place.setting}
          >
            {SETTING_WORDS[setting]}
          </Button>
        ))}
      </div>
    </Form>
  );
}

/** Packs that came lately, and by when they are hard. */
function Freezing({ freezing }: { freezing: NonNullable<Loaded["freezing"]> }) {
  const show = useShow();
  return (
    <Notice tone={freezing.hardAt === undefined ? "heed" : "plain"}>
      {freezing.hardAt === undefined ? (
        <p>
          {plural(freezing.packs, "pack")} went in lately and won't get hard here: the air is not cold enough,
          or nothing takes the heat away. Move them to another freezer, or set this one colder.
        </p>
      ) : (
        <p>
          {plural(freezing.packs, "pack")} put in since {show.dayTime(freezing.since)}:{" "}
          <b>hard by {show.dayTime(freezing.hardAt)}</b>; {LIMIT_WORDS[freezing.limitedBy]}.
        </p>
      )}
    </Notice>
  );
}

type ThisPlaceProps = { place: NonNullable<Loaded["place"]>; entryId: string };

/** How full it is, what it is set to, and the ways to change or remove it. */
function ThisPlace({ place, entryId }: ThisPlaceProps) {
  return (
    <Sheet heading="This place" className="print:hidden">
      <Fill taken={place.taken} capacity={place.capacityCount} />
      <SwitchForm place={place} entryId={entryId} />
      <div className="flex flex-wrap gap-3 pt-3">
        <ButtonLink kind="plain" to={`/freezers/place/${place.id}/edit`}>
          Change
        </ButtonLink>
        <Form method="post" action={`/freezers/place/${place.id}/remove`}>
          <Button kind="plain">Remove {place.name}</Button>
        </Form>
      </div>
      {place.packs > 0 && (
        <p className="pt-2 text-sm text-soft">
          To remove it, first move or take out the {plural(place.packs, "pack")} in it.
        </p>
      )}
    </Sheet>
  );
}
