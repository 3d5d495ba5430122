import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { nameOf, WentChart } from "#app/days/cut/went/went-chart.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { wentOfDay } from "#app/server/day/went-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { ButtonLink, EmptyPlace, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { WENT_WORDS } from "#app/words/by-product-words.ts";
import { batchesInWords } from "#app/words/lot-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import type { WentKind } from "#core/packing/where-it-went.ts";
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

const IN_PACKS: ReadonlySet<WentKind> = new Set(["whole", "cut", "minced"]);
const BESIDE: ReadonlySet<WentKind> = new Set(["giblets", "feet", "boiled", "dried", "rendered", "pets"]);

function sentenceOf(
  { rows, liveMilligrams }: NonNullable<Route.ComponentProps["loaderData"]["went"]>,
  show: Show,
): string {
  const of = (kinds: ReadonlySet<WentKind>) =>
    rows.reduce((sum, { kind, milligrams }) => (kinds.has(kind) ? sum + milligrams : sum), 0);
  const share = (milligrams: number) => show.decimal((100 * milligrams) / liveMilligrams, 0);
  const meat = of(IN_PACKS);
  const all = meat + of(BESIDE);
  const unit = show.isUs ? "pounds" : "kilograms";
  return all > meat
    ? `${share(meat)} of every 100 ${unit} alive went into packs of meat; with giblets, feet, broth, and what dries, ${share(all)} were used.`
    : `${share(meat)} of every 100 ${unit} alive went into packs of meat.`;
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
