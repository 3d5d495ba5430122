import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { nameOf, WentChart } from "#app/days/cut/went/went-chart.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { wentOfDay } from "#app/server/day/went-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { ButtonLink, EmptyPlace, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { WENT_WORDS } from "#app/words/packing/by-product-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import type { Route } from "./+types/went.ts";

export const meta = () => [{ title: "Where it went · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return { day, line: batchesInWords(lots), went: wentOfDay(here, farm, day) };
}

export default function Went({ loaderData: { day, line, went } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page isWide>
      <DayHead
        dayId={day.id}
        processedOn={day.processedOn}
        line={
          went ? `${line} · ${plural(went.birds, "bird")}, ${show.bulk(went.liveMilligrams)} alive` : line
        }
      />
      <CutTabs dayId={day.id} />
      {went ? (
        <>
          {went.isTooMuch && (
            <Notice tone="heed">
              <b>More came out than the birds weighed alive.</b> One of the weights below is wrong, or the
              birds were heavier than expected: enter their live weight under Settle.
            </Notice>
          )}
          <div className="grid items-start gap-5 lg:grid-cols-2">
            <Sheet heading={show.isUs ? "Where each pound went" : "Where each kilogram went"}>
              <p className="py-2 text-lg">{sentenceOf(went, show)}</p>
              <Figure size="small" label="Share of the live weight used" reckoning={went.used} />
              <WentChart
                rows={went.rows.filter(({ milligrams }) => milligrams > 0)}
                sentence={sentenceOf(went, show)}
              />
            </Sheet>
            <WentTable went={went} />
          </div>
        </>
      ) : (
        <EmptyPlace
          heading="No bird weighed yet"
          action={<ButtonLink to={`/days/${day.id}/pack`}>To packing</ButtonLink>}
        >
          <p>
            Once birds are weighed and packed, this page accounts for every pound that was alive: whole birds,
            cuts, giblets, feet, what was boiled or dried, and what went to compost.
          </p>
        </EmptyPlace>
      )}
    </Page>
  );
}

function sentenceOf(
  { meatFraction, used }: NonNullable<Route.ComponentProps["loaderData"]["went"]>,
  show: Show,
): string {
  const share = (fraction: number) => show.decimal(100 * fraction, 0);
  const unit = show.isUs ? "pounds" : "kilograms";
  const meat = `${share(meatFraction)} of every 100 ${unit} alive went into packs of meat`;
  return used.value > meatFraction
    ? `${meat}; with giblets, feet, broth, and what dries, ${share(used.value)} were used.`
    : `${meat}.`;
}

function WentTable({ went }: { went: NonNullable<Route.ComponentProps["loaderData"]["went"]> }) {
  const show = useShow();
  return (
    <Sheet heading="The same as a table">
      <DataTable
        className="text-base"
        caption="Where the weight of the live birds went"
        columns={[
          { head: "Part", cell: (row) => (row.what ? nameOf(row) : WENT_WORDS[row.kind]) },
          { head: "Weight", isNumber: true, cell: ({ milligrams }) => show.bulk(milligrams) },
          {
            head: "Per 100",
            isNumber: true,
            cell: ({ milligrams }) => show.decimal((100 * milligrams) / went.liveMilligrams, 1),
          },
        ]}
        rows={[
          ...went.rows,
          {
            kind: "whole" as const,
            what: "All birds, alive",
            milligrams: went.liveMilligrams,
            packs: 0,
          },
        ]}
        keyOf={({ kind, what }) => `${kind} ${what}`}
        isMarked={({ what }) => what === "All birds, alive"}
      />
      <p className="pb-2 text-sm text-soft">
        {went.isLiveMeasured
          ? "Live weight as it was weighed on the day."
          : "Live weight as expected of birds of this age; weigh them, and enter it under Settle."}{" "}
        {went.madeMilligrams > 0 && `Loads that are done came to ${show.bulk(went.madeMilligrams)}. `}
        {went.brothMilliliters > 0 && `Broth: ${show.filled(went.brothMilliliters)}.`}
      </p>
    </Sheet>
  );
}
