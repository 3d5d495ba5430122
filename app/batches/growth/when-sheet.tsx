import { Link } from "react-router";
import type { BatchView } from "#app/batches/batch-view.server.ts";
import { againstWords, recommendation, whatWouldChangeIt } from "#app/batches/growth/when-words.ts";
import { type Column, DataTable, Under } from "#app/ui/data-table.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import type { WhenRow, WhenToGo } from "#core/day/season/when-to-go.ts";

interface WhenProps {
  view: BatchView;
  when: WhenToGo;
  batchId: number;
  /** Birds that have no day yet. */
  freeCount: number;
}

/** The day that is recommended, why, and what would change its mind. */
export function Recommended({ view, when, batchId, freeCount }: WhenProps) {
  const show = useShow();
  const best = when.best === undefined ? undefined : when.rows[when.best]!;
  const turns = whatWouldChangeIt(when, view, show);
  return (
    <Sheet
      heading="When to process"
      beside={freeCount === 0 ? "all birds are scheduled; this ignores that" : undefined}
    >
      <div className="grid gap-2 py-1">
        {best && <p className="is-worked-out font-display text-2xl">{show.longDay(best.day)}</p>}
        <p>{recommendation(when, show)}</p>
        {turns && <p className="text-sm text-soft">What would change this: {turns}</p>}
        {freeCount > 0 && view.proposed.length > 0 && (
          <p className="text-sm">
            With all batches considered, the{" "}
            <Link to="/season" className="underline">
              season plan
            </Link>{" "}
            proposes{" "}
            {view.proposed.map(({ day, birds }) => `${show.shortDay(day)} for ${birds}`).join(" and ")}.
          </p>
        )}
        {when.netValue && <Figure label="They are worth" reckoning={when.netValue} size="small" />}
        {best && freeCount > 0 && (
          <div>
            <ButtonLink to={`/days/new?batch=${batchId}&on=${best.day}`}>Schedule this day</ButtonLink>
          </div>
        )}
      </div>
    </Sheet>
  );
}

/** Week by week, what waiting brings and costs. */
export function WhenTable({ view, when }: Pick<WhenProps, "view" | "when">) {
  const show = useShow();
  return (
    <Sheet heading="Week by week" beside="best day of each week, all birds, from today on">
      <DataTable
        caption="Week by week"
        columns={[
          ...growthColumns(view, when, show),
          ...moneyColumns(view, show),
          { head: "Conflicts", cell: (row) => <Conflicts row={row} /> },
        ]}
        rows={when.rows}
        keyOf={({ day }) => day}
        isMarked={(row) => row === bestOf(when)}
      />
    </Sheet>
  );
}

const bestOf = ({ rows, best }: WhenToGo) => (best === undefined ? undefined : rows[best]);
const rivalOf = ({ rows, rival }: WhenToGo) => (rival === undefined ? undefined : rows[rival]);
const birdsThen = (view: BatchView, { worth }: WhenRow) => Math.round(view.birds * worth.survival);

/** What the birds are by then, and how many of them are of a wanted size. */
function growthColumns(view: BatchView, when: WhenToGo, show: Show): Column<WhenRow>[] {
  return [
    {
      head: "Day",
      isOneLine: true,
      cell: (row) => (
        <>
          {show.shortDay(row.day)}
          {row === bestOf(when) && <Under>best</Under>}
          {row === rivalOf(when) && <Under>next best</Under>}
        </>
      ),
    },
    { head: "Age", isOneLine: true, cell: ({ worth }) => `${show.decimal(worth.ageDays / 7, 1, 1)} wk` },
    {
      head: "Mean dressed weight",
      isOneLine: true,
      cell: ({ worth }) => show.value(worth.dressedKilograms, "carcass-kg"),
    },
    ...view.sizes.map(({ who }, index) => ({
      head: `For ${who}`,
      cell: (row: WhenRow) => `${Math.round(row.bySize[index]!)} of ${birdsThen(view, row)}`,
    })),
  ];
}

/** What they have cost by then, what another week costs, and what they bring. */
function moneyColumns(view: BatchView, show: Show): Column<WhenRow>[] {
  return [
    {
      head: "Feed from today on",
      isOneLine: true,
      cell: ({ worth, spentCents }) => (
        <>
          {show.value(view.birds * worth.feedKilograms, "kg")}
          <Under>{show.money(spentCents)}</Under>
        </>
      ),
    },
    {
      head: "Cost so far",
      isOneLine: true,
      cell: ({ centsPerKilogramSoFar }) => show.moneyPerWeight(centsPerKilogramSoFar),
    },
    {
      head: "Cost of next week's gain",
      isOneLine: true,
      cell: ({ nextWeek: { centsPerGainedKilogram, gainKilogramsEach } }) =>
        centsPerGainedKilogram === undefined ? (
          "no gain"
        ) : (
          <>
            {show.value(gainKilogramsEach, "carcass-kg")} a bird
            <Under>at {show.moneyPerWeight(centsPerGainedKilogram)}</Under>
          </>
        ),
    },
    {
      head: "Sales value",
      isOneLine: true,
      cell: (row) => (
        <>
          {show.money(Math.round(view.birds * row.worth.sellsCents[row.way]))}
          <Under>
            {row.way === "cut" ? "cut up" : "whole"},{" "}
            {show.value(birdsThen(view, row) * row.worth.dressedKilograms, "kg")}
          </Under>
        </>
      ),
    },
    { head: "Net value", isOneLine: true, cell: ({ netValueCents }) => show.money(netValueCents) },
  ];
}

function Conflicts({ row }: { row: WhenRow }) {
  const show = useShow();
  return row.against.map((one) => (
    <span key={one.reason} className="block">
      {againstWords(one, row, show)}
    </span>
  ));
}
