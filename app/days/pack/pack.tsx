import { Link, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { ByLot, Places, Tally } from "#app/days/pack/beside-the-scale.tsx";
import { DotPlot } from "#app/days/pack/dot-plot.tsx";
import { NotPrinted } from "#app/days/pack/not-printed.tsx";
import { packForm } from "#app/days/pack/pack-form.ts";
import { ProductTabs } from "#app/days/pack/product-tabs.tsx";
import { Redone } from "#app/days/pack/redone.tsx";
import { ShrinkBagSteps } from "#app/days/pack/shrink-bag.tsx";
import { WeighOne } from "#app/days/pack/weigh-one.tsx";
import { dressedWeights, tallySentence } from "#app/days/pack/weights-in-words.ts";
import { packsByProduct } from "#app/server/day/packs-of-day.server.ts";
import { expectedBirds } from "#app/server/day/plan-of-day.server.ts";
import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { suppliesInStock } from "#app/server/day/supplies.server.ts";
import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { printerAddress } from "#app/server/device/label-printer.server.ts";
import { type FarmContext, farmContext, wholeOf } from "#app/server/farm/farm-context.server.ts";
import { farmMeans } from "#app/server/farm/farm-means.server.ts";
import { type LotOfDay, requireDay } from "#app/server/farm/required.server.ts";
import { printAtOnce, unprintedOf, wasPrinted } from "#app/server/freezer/print-labels.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { ButtonLink, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import type { Show } from "#app/words/show.ts";
import { USE_WORDS } from "#app/words/words.ts";
import { lotOfBird } from "#core/day/run/lot-of-bird.ts";
import { packTally } from "#core/packing/pack-tally.ts";
import type { Carcass } from "#db/pack/pack-row.server.ts";
import type { Route } from "./+types/pack.ts";

export const meta = () => [{ title: "Pack · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const carcasses = here.file.pack.carcasses(day.id);
  const places = roomOfPlaces(here);
  const tally = packTally(
    carcasses.map(({ purpose, weightMilligrams }) => ({
      use: purpose,
      weightMilligrams: weightMilligrams ?? undefined,
    })),
  );
  const numbers = new Set(carcasses.map((carcass) => carcass.birdNumber));
  let next = 1;
  while (numbers.has(next)) next += 1;
  const means = farmMeans(farm);
  const expected = expectedBirds(here, day);
  return {
    day,
    lots: weighedByLot(lots, carcasses),
    nextLotId: lots[lotOfBird(lots, next)]!.id,
    unitSystem: farm.unitSystem,
    carcasses,
    // The whole bird is the first of them.
    products: here.file.catalog.products(),
    counts: packsByProduct(here.file.pack.packs(day.id)),
    redone: here.file.redoing.redone(day.id),
    bags: shrinkBags(here),
    tapCelsius: means.tapCelsius.value,
    ambientCelsius: means.ambientCelsius.value,
    hasPrinter: printerAddress(here) !== undefined,
    unprinted: unprintedOf(here, request),
    printsLabel: wasPrinted(here, carcasses.at(-1)),
    places,
    tally,
    next,
    toGo: Math.max(0, expected - carcasses.length),
    devices: attachedDevices(here).statuses(),
    entryId: newEntryId(),
  };
}

/** Shrink bags that the farm keeps, the smallest first. */
const shrinkBags = (here: FarmContext) =>
  suppliesInStock(here)
    .flatMap(({ name, mostKilograms }) => (mostKilograms === undefined ? [] : [{ name, mostKilograms }]))
    .toSorted((one, other) => one.mostKilograms - other.mostKilograms);

/** What was weighed of each lot so far. */
const weighedByLot = (lots: readonly LotOfDay[], carcasses: readonly Carcass[]) =>
  lots.map(({ id, batchName, birds }) => {
    const own = carcasses.filter(({ lotId }) => lotId === id);
    const { dressedCount, meanMilligrams, totalMilligrams } = packTally(
      own.map(({ purpose, weightMilligrams }) => ({ use: purpose, weightMilligrams })),
    );
    return { id, batchName, birds, weighed: own.length, dressedCount, meanMilligrams, totalMilligrams };
  });

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, packForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { printsLabel, ...bird } = sent.value;
  const { birdNumber, lotId } = bird;
  const { priceCents, priceUnit } = wholeOf(here).file.catalog.products()[0]!;
  // Where nobody says otherwise, birds come lot by lot in the order of the kill.
  const lot = lotId ?? day.lots[lotOfBird(day.lots, birdNumber)]!.id;
  const outcome = here.file.pack.recordCarcass(sent.entry, day.id, {
    ...bird,
    lotId: lot,
    priceUnit,
    priceCents: bird.purpose === "sale" ? priceCents : undefined,
  });
  const faults = faultsOf(outcome, {
    "bird-already-packed": {
      birdNumber: `Bird ${birdNumber} was already weighed. Use another number, or correct the first one`,
    },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "lot-unknown": { lotId: "That lot was taken off this day. Choose another" },
    "pack-unknown": { "": "That pack was removed. Reload the page" },
    "product-unknown": { "": "That product was removed. Choose another" },
    "place-unknown": { placeId: "That place was removed. Choose another" },
  });
  if (faults) return sent.refuse(faults);
  const isLabeled = printsLabel && bird.purpose !== "cut" && bird.purpose !== "condemned";
  const unprinted = isLabeled ? await printAtOnce(here, sent.entry.entryId) : "";
  return redirect(`/days/${day.id}/pack${unprinted}`, 303);
}

export default function Pack({ loaderData, actionData }: Route.ComponentProps) {
  const { day, lots, carcasses, places, tally, toGo, products, counts } = loaderData;
  const last = carcasses.at(-1);
  return (
    <Page isWide>
      <DayHead
        dayId={day.id}
        processedOn={day.processedOn}
        line={`${batchesInWords(lots)} · ${carcasses.length} weighed, ${toGo} to go`}
      />
      <ProductTabs dayId={day.id} products={products} packed={counts} currentId={products[0]!.id} />
      <div className="grid gap-5 lg:grid-cols-3">
        <div className="grid content-start gap-5 lg:col-span-2">
          <NotPrinted unprinted={loaderData.unprinted} />
          {day.settledEntryId ? (
            <Notice tone="plain">
              This day is settled and locked.{" "}
              <Link to={`/days/${day.id}/settle`} className="underline">
                Reopen this day
              </Link>{" "}
              to weigh another.
            </Notice>
          ) : (
            <WeighOne key={last?.entryId ?? "first"} {...loaderData} refusal={actionData} last={last} />
          )}
          {carcasses.length > 0 && (
            <Weights
              carcasses={carcasses}
              lots={lots}
              tally={tally}
              isSettled={day.settledEntryId !== undefined}
            />
          )}
        </div>
        <div className="grid content-start gap-5">
          <Tally {...loaderData} />
          {lots.length > 1 && <ByLot lots={lots} />}
          <Places places={places} />
          <Redone
            dayId={day.id}
            productId={products[0]!.id}
            redone={loaderData.redone}
            packs={carcasses.length}
            entryId={loaderData.entryId}
            back={`/days/${day.id}/pack`}
          />
          <ShrinkBagSteps {...loaderData} />
          {carcasses.length > 0 && (
            <ButtonLink kind="plain" to={`/days/${day.id}/pack/marks`}>
              Breeding notes
            </ButtonLink>
          )}
        </div>
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Weights({
  carcasses,
  lots,
  tally,
  isSettled,
}: Pick<Loaded, "carcasses" | "lots" | "tally"> & { isSettled: boolean }) {
  const show = useShow();
  const sentence = tallySentence(tally, show);
  return (
    <Sheet heading="Weights so far" beside="newest first">
      <p className="pb-2">{sentence}</p>
      {isSettled && <DotPlot weights={dressedWeights(carcasses)} sentence={sentence} />}
      <details>
        <summary className="lone-link text-sm text-soft">Show all as a table</summary>
        <DataTable
          caption="Weights so far"
          columns={columnsOf(show, lots)}
          rows={carcasses.toReversed()}
          keyOf={({ entryId }) => entryId}
        />
      </details>
    </Sheet>
  );
}

const columnsOf = (show: Show, lots: Loaded["lots"]): Column<Carcass>[] => [
  {
    head: "Bird",
    cell: ({ birdNumber, dayId, id }) => (
      <Link to={`/days/${dayId}/pack/${id}`} className="lone-link">
        {birdNumber}
      </Link>
    ),
  },
  ...(lots.length > 1
    ? [{ head: "Lot", cell: ({ lotId }: Carcass) => lots.find(({ id }) => id === lotId)?.batchName ?? "–" }]
    : []),
  {
    head: "Use",
    cell: ({ purpose, reason }) => `${USE_WORDS[purpose]}${reason ? `: ${reason}` : ""}`,
  },
  {
    head: "Weight",
    isNumber: true,
    cell: ({ weightMilligrams }) => (weightMilligrams === undefined ? "–" : show.exactBird(weightMilligrams)),
  },
  { head: "As entered", isNumber: true, cell: ({ asTyped }) => asTyped || "–" },
];
