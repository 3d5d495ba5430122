import { type DaySettlement, settlementOf } from "#app/server/day/settlement-of.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { ownerNames } from "#app/server/farm/owners.server.ts";
import { mapInSlices } from "#app/server/pooled/slices.server.ts";
import { askedList, isAsked } from "#app/ui/list/asked-list.ts";
import { ListFilter } from "#app/ui/list/list-filter.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { listed } from "#app/words/lot-words.ts";
import type { Show } from "#app/words/show.ts";
import { KIND_OPTIONS, KIND_WORDS } from "#app/words/words.ts";
import { bookOfBatch, bookOfPast } from "#core/day/settle/batch-book.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { PastBatch } from "#db/book/book-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Route } from "./+types/books.ts";

export const meta = () => [{ title: "Books · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const file = here.file;
  const days = file.days();
  const settledOnly = days.filter(({ settledEntryId }) => settledEntryId);
  const batches = file.batches();
  /** When the last of a batch was processed: its year in the books. */
  const lastOn = new Map(
    settledOnly.flatMap(({ lots, processedOn }) =>
      lots.map(({ batchId }) => [batchId, processedOn] as const),
    ),
  );
  const pastBatches = file.books.pastBatches();
  const asked = askedList(request, [...lastOn.values(), ...pastBatches.map(({ finishedOn }) => finishedOn)]);
  const kind = new URL(request.url).searchParams.get("kind") ?? "";
  const isShown = (batch: { kind: BirdKind; name: string }, on: string) =>
    (kind === "" || batch.kind === kind) && isAsked(asked, on, batch.name);
  const shown = batches.filter((batch) => lastOn.has(batch.id) && isShown(batch, lastOn.get(batch.id)!));
  const settledDays = mapInSlices(
    file,
    "settled days",
    settledOnly.filter(({ lots }) => lots.some(({ batchId }) => shown.some(({ id }) => id === batchId))),
    (day) => settlementOf(here, farm, day),
  );
  return {
    asked,
    isEmpty: lastOn.size + pastBatches.length === 0,
    rows: [
      ...shown.flatMap((batch) => settledRow(here, batch, days, settledDays)),
      ...pastBatches.filter((batch) => isShown(batch, batch.finishedOn)).map(pastRow),
    ].toSorted((one, other) => (one.on < other.on ? 1 : -1)),
  };
}

/** A batch of the farm's own days: none where nothing of it was dressed. */
function settledRow(
  here: FarmContext,
  batch: Batch,
  days: readonly ProcessingDay[],
  settledDays: readonly DaySettlement[],
) {
  const settlements = settledDays.flatMap(({ lots }) =>
    lots.flatMap((lot) =>
      lot.batch.id === batch.id && lot.settlement
        ? [{ settlement: lot.settlement, liveKilograms: lot.live.value, birds: lot.dressedCount }]
        : [],
    ),
  );
  if (settlements.length === 0) return [];
  const whose = days.flatMap((day) => {
    const lot = day.lots.find(({ batchId }) => batchId === batch.id);
    return lot ? (ownerNames(here, day)[lot.id] ?? []) : [];
  });
  return [
    {
      key: `batch-${batch.id}`,
      name: batch.name,
      kind: batch.kind,
      owners: [...new Set(whose)],
      on: days.findLast(({ lots }) => lots.some(({ batchId }) => batchId === batch.id))!.processedOn,
      days: settlements.length,
      isWhole: batch.aliveCount <= 0,
      entryId: undefined,
      ...bookOfBatch(settlements),
    },
  ];
}

/** A batch of before, of which only totals are known. */
const pastRow = (batch: PastBatch) => ({
  key: batch.entryId,
  name: batch.name,
  kind: batch.kind,
  owners: [],
  on: batch.finishedOn,
  days: undefined,
  isWhole: true,
  entryId: batch.entryId,
  ...bookOfPast({
    dressedCount: batch.dressedCount,
    dressedKilograms: kilogramsFromMilligrams(batch.dressedMilligrams),
    costCents: batch.costCents,
    liveKilograms:
      batch.liveMilligrams === undefined ? undefined : kilogramsFromMilligrams(batch.liveMilligrams),
    feedKilograms:
      batch.feedMilligrams === undefined ? undefined : kilogramsFromMilligrams(batch.feedMilligrams),
  }),
});

export default function Books({ loaderData: { rows, asked, isEmpty } }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Books" line="settled batches compared">
        <ButtonLink kind="plain" to="/books/past">
          Add a past batch
        </ButtonLink>
      </PageHead>
      {isEmpty ? (
        <EmptyPlace heading="Nothing is settled yet" action={<ButtonLink to="/days">To the days</ButtonLink>}>
          <p>
            After you settle a day, its batch appears here next to earlier ones: weights, feed per pound
            dressed, and cost per bird.
          </p>
          <p>If you have totals from earlier years, add them to have something to compare with.</p>
        </EmptyPlace>
      ) : (
        <>
          <ListFilter
            asked={asked}
            label="Find a batch"
            hint="Its name, or a date such as 2026-09"
            choice={{ name: "kind", label: "Kind", options: KINDS }}
          />
          {rows.length === 0 ? (
            <p>No batch matches. Try fewer letters, or show all.</p>
          ) : (
            <Sheet heading={asked.year ? `Batches of ${asked.year}` : "Batches"} beside="newest first">
              <BookTable rows={rows} />
            </Sheet>
          )}
        </>
      )}
    </Page>
  );
}

const KINDS = [{ value: "", label: "All kinds" }, ...KIND_OPTIONS];

type Row = Route.ComponentProps["loaderData"]["rows"][number];

interface Line {
  readonly name: string;
  readonly of: (row: Row) => string;
}

/** The rows of the table: what is told of each batch. */
function linesOf(show: Show): Line[] {
  const weightUnit = show.isUs ? "pound" : "kilogram";
  const maybe = (value: number | undefined, words: (value: number) => string) =>
    value === undefined ? "unknown" : words(value);
  return [
    { name: "Birds processed", of: (row) => show.count(row.dressedCount) },
    { name: "Mean dressed weight", of: (row) => show.value(row.dressedMeanKilograms, "carcass-kg") },
    {
      name: "Dressing percentage",
      of: (row) => maybe(row.dressedFraction, (value) => show.value(value, "fraction")),
    },
    {
      name: `Feed per ${weightUnit} dressed`,
      of: (row) => maybe(row.feedPerKilogram, (value) => show.value(value, "kg-per-kg")),
    },
    { name: "Cost per bird, cash", of: (row) => show.money(row.centsPerBird[0]!) },
    { name: "Cost per bird, with equipment", of: (row) => maybe(row.centsPerBird[1], show.money) },
    { name: "Cost per bird, with labor", of: (row) => maybe(row.centsPerBird[2], show.money) },
    { name: `Cost per ${weightUnit}, cash`, of: (row) => show.moneyPerWeight(row.centsPerKilogram[0]!) },
    {
      name: `Cost per ${weightUnit}, with equipment`,
      of: (row) => maybe(row.centsPerKilogram[1], show.moneyPerWeight),
    },
    {
      name: `Cost per ${weightUnit}, with labor`,
      of: (row) => maybe(row.centsPerKilogram[2], show.moneyPerWeight),
    },
  ];
}

function BookTable({ rows }: { rows: readonly Row[] }) {
  const show = useShow();
  const lines = linesOf(show);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a table wider than the screen is scrolled with the keys
    <section className="overflow-x-auto" aria-label="Batches compared" tabIndex={0}>
      <table className="w-full">
        <thead>
          <tr className="align-bottom">
            <td className="sticky left-0 bg-leaf" />
            {rows.map((row) => (
              <th key={row.key} scope="col" className="min-w-36 px-3 pb-2 text-right font-normal">
                <span className="block font-display text-lg">{row.name}</span>
                <span className="block text-sm text-soft">{KIND_WORDS[row.kind]}</span>
                {row.owners.length > 0 && (
                  <span className="block text-sm text-soft">processed for {listed(row.owners)}</span>
                )}
                <span className="block text-sm text-soft">
                  {show.dayWithYear(row.on)}
                  {!row.isWhole && ", some still alive"}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ name, of }) => (
            <tr key={name} className="border-t border-rule">
              <th
                scope="row"
                className="sticky left-0 w-32 min-w-32 bg-leaf py-2 text-left font-normal text-soft"
              >
                {name}
              </th>
              {rows.map((row) => (
                <td key={row.key} className="px-3 text-right font-mono">
                  {of(row)}
                </td>
              ))}
            </tr>
          ))}
          <tr className="border-t border-rule">
            <td />
            {rows.map((row) => (
              <td key={row.key} className="px-3 text-right">
                {row.entryId && <RemoveButton entryId={row.entryId} back="/books" what={row.name} />}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </section>
  );
}
