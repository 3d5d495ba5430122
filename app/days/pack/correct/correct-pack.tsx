import { data, Form, Link, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { CorrectBird } from "#app/days/pack/correct/correct-bird.tsx";
import { CorrectParts } from "#app/days/pack/correct/correct-parts.tsx";
import { LabelOfPack } from "#app/days/pack/correct/label-of-pack.tsx";
import { packForm } from "#app/days/pack/pack-form.ts";
import { doubtOf, factsOf } from "#app/days/pack/parts/parts-facts.server.ts";
import { partsForm } from "#app/days/pack/parts/parts-form.ts";
import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { printerAddress } from "#app/server/device/label-printer.server.ts";
import { type FarmContext, farmContext, wholeOf } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { Button, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { productName } from "#app/words/packing/product-words.ts";
import { showFor } from "#app/words/show.ts";
import { missingParts } from "#core/label/label-parts.ts";
import { packCode } from "#core/label/pack-code.ts";
import { priceReckoning } from "#core/label/pack-price.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Pack, PackVersion } from "#db/pack/pack-row.server.ts";
import { codePicture } from "#workers/labels/code-picture.ts";
import type { Route } from "./+types/correct-pack.ts";

export const meta = () => [{ title: "Correct a pack · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const pack = requirePack(here, day.id, params.packId);
  return {
    day,
    lots: lots.map(({ id, batchName }) => ({ id, batchName })),
    pack,
    product: productOf(here, pack),
    versions: here.file.pack.versions(pack.id),
    label: labelToShow(here, farm, pack),
    places: roomOfPlaces(here),
    people: here.file.people.people().map(({ id, name }) => ({ id, name })),
    containers: here.file.catalog.containers(),
    unitSystem: farm.unitSystem,
    entryId: newEntryId(),
  };
}

/** The pack's label as it would be printed now, and those that were printed; undefined for a bird that gets none. */
function labelToShow(here: FarmContext, farm: Farm, pack: Pack) {
  if (pack.purpose === "condemned" || pack.purpose === "cut") return undefined;
  const setting = labelSetting(here, pack.productId);
  const texts = labelOfPack(here, farm, pack);
  return {
    setting,
    texts,
    code: codePicture(setting.codeKind, texts.code!),
    price: priceReckoning(pack),
    missing: missingParts(setting.required, texts),
    prints: here.file.labels.prints(pack.id),
    hasPrinter: printerAddress(here) !== undefined,
  };
}

/** @throws a 404 page if the day has no such pack */
function requirePack(here: FarmContext, dayId: number, text: string | undefined): Pack {
  const pack = here.file.pack.pack(idFrom(text, "pack"));
  if (pack?.dayId !== dayId) throw data("That pack does not exist, or was removed.", { status: 404 });
  return pack;
}

const productOf = (here: FarmContext, { productId }: Pack) =>
  here.file.catalog.products().find(({ id }) => id === productId)!;

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  // With its price, which a correction keeps.
  const pack = requirePack(wholeOf(here), day.id, params.packId);
  const read = pack.birdNumber === undefined ? await partsEntered() : await birdEntered();
  if (!read.ok) return read.refusal;
  const faults = faultsOf(here.file.pack.correct(read.entry, pack.id, read.facts), {
    "bird-already-packed": { birdNumber: "Another bird has that number. Use a free one" },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "lot-unknown": { lotId: "That lot was taken off this day. Choose another" },
    "place-unknown": { placeId: "That place was removed. Choose another" },
    "product-unknown": { "": "That product was removed. Choose another" },
    "pack-unknown": { "": "That pack was removed. Reload the page" },
  });
  return faults ? read.refuse(faults) : redirect(`/days/${day.id}/pack/${pack.id}`, 303);

  async function birdEntered() {
    const { farm, lots } = requireDay(here, params.dayId);
    const sent = await submitted(here, request, packForm(farm.unitSystem));
    if (!sent.ok) return sent;
    const { lotId, printsLabel: _printsLabel, ...bird } = sent.value;
    return { ...sent, facts: { ...factsLeft(pack), ...bird, lotId: lotId ?? lots[0]!.id } };
  }

  async function partsEntered() {
    const { farm, lots } = requireDay(here, params.dayId);
    const product = productOf(here, pack);
    const sent = await submitted(
      here,
      request,
      partsForm(farm.unitSystem, pack.volumeMilliliters !== undefined),
    );
    if (!sent.ok) return sent;
    const read = factsOf(here, { product, lots }, sent.value);
    if (!read.ok) return { ok: false as const, refusal: sent.refuse(read.faults) };
    const doubt = doubtOf(here, { day, lots, product }, read.pack, sent.value.isSure, showFor(farm), pack.id);
    if (doubt) return { ok: false as const, refusal: sent.refuse(doubt) };
    // A correction is not a new sale: the price of the day it was packed stands.
    return { ...sent, facts: { ...read.pack, priceCents: pack.priceCents, priceUnit: pack.priceUnit } };
  }
}

/** What the bird's form does not ask. */
const factsLeft = ({
  productId,
  pieces,
  tareMilligrams,
  volumeMilliliters,
  packedBy,
  priceCents,
  priceUnit,
}: Pack) => ({
  productId,
  pieces,
  tareMilligrams,
  volumeMilliliters,
  packedBy,
  priceCents,
  priceUnit,
});

export default function CorrectPack({ loaderData, actionData }: Route.ComponentProps) {
  const { day, pack, product, versions } = loaderData;
  const isLocked = day.settledEntryId !== undefined;
  return (
    <Page>
      <DayHead
        dayId={day.id}
        processedOn={day.processedOn}
        line={`Pack ${packCode(pack.id)} · ${productName(product)}`}
      />
      {isLocked && (
        <Notice tone="plain">
          This day is settled and locked.{" "}
          <Link to={`/days/${day.id}/settle`} className="underline">
            Reopen this day
          </Link>{" "}
          to correct a pack.
        </Notice>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Sheet heading={`Pack ${packCode(pack.id)}`} beside={productName(product)} className="lg:col-span-2">
          {pack.birdNumber === undefined ? (
            <CorrectParts key={versions.length} {...loaderData} refusal={actionData} />
          ) : (
            <CorrectBird key={versions.length} {...loaderData} refusal={actionData} />
          )}
        </Sheet>
        <div className="grid gap-5">
          <LabelOfPack {...loaderData} />
          <History versions={versions} dayId={day.id} packId={pack.id} isLocked={isLocked} />
        </div>
      </div>
    </Page>
  );
}

interface HistoryProps {
  versions: readonly PackVersion[];
  dayId: number;
  packId: number;
  isLocked: boolean;
}

/** What was said of the pack, newest first; the last correction can be undone, and the pack removed. */
function History({ versions, dayId, packId, isLocked }: HistoryProps) {
  const show = useShow();
  const [newest] = versions;
  return (
    <Sheet heading="History">
      <ol>
        {versions.map((version, index) => (
          <li key={version.entryId} className="border-b border-rule py-2 last:border-b-0">
            {index === versions.length - 1 ? "Packed" : "Corrected"} {show.dateTime(version.at)}:{" "}
            {version.weightMilligrams === undefined
              ? version.volumeMilliliters === undefined
                ? "not weighed"
                : show.filled(version.volumeMilliliters)
              : show.exactBird(version.weightMilligrams)}
          </li>
        ))}
      </ol>
      {!isLocked && newest && (
        <Form method="post" action={`/days/${dayId}/pack/take-back`} className="pt-3">
          <input type="hidden" name="entryId" value={newest.entryId} />
          {versions.length > 1 && <input type="hidden" name="pack" value={packId} />}
          <Button kind="plain">
            {versions.length > 1 ? "Undo the last correction" : "Remove this pack"}
          </Button>
        </Form>
      )}
    </Sheet>
  );
}
