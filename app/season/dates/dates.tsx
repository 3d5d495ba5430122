import type { ReactNode } from "react";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Route } from "./+types/dates.ts";

export const meta = () => [{ title: "Dates and weather · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { season } = here.file;
  return { marks: season.marks(), bookings: season.bookings(), spells: season.spells() };
}

const KIND_WORDS = { out: "out", market: "market", note: "for information" };

export default function Dates({ loaderData: { marks, bookings, spells } }: Route.ComponentProps) {
  const show = useShow();
  const span = (from: string, to: string) =>
    from === to ? show.shortDay(from) : `${show.shortDay(from)} to ${show.shortDay(to)}`;
  return (
    <Page>
      <PageHead title="Dates and weather" line="what the season plan works around" />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Unavailable days and days to plan around">
          <Rows
            empty="Holidays, weddings, market days. An unavailable day gets no birds, or only at a cost."
            rows={marks.map(({ entryId, fromOn, toOn, kind, what, priceCents }) => ({
              entryId,
              line: `${span(fromOn, toOn)}: ${what}`,
              more:
                kind === "out" && priceCents !== undefined
                  ? `unavailable, unless it earns ${show.money(priceCents)} more`
                  : KIND_WORDS[kind],
            }))}
          />
          <ButtonLink to="/season/dates/mark" className="mt-3">
            Add a day
          </ButtonLink>
        </Sheet>
        <Sheet heading="Bookings">
          <Rows
            empty="A plucker from the tool shed or a trailer, and the days you have it."
            rows={bookings.map(({ entryId, thing, fromOn, toOn }) => ({
              entryId,
              line: `${span(fromOn, toOn)}: ${thing}`,
            }))}
          />
          <ButtonLink to="/season/dates/booking" className="mt-3">
            Add a booking
          </ButtonLink>
        </Sheet>
        <Sheet heading="Weather" beside="typical for this latitude">
          <Rows
            empty="Bird growth is estimated with typical weather for the date. Enter a heat wave or cold nights if you expect them."
            rows={spells.map(({ entryId, fromOn, toOn, meanMillicelsius, what }) => ({
              entryId,
              line: `${span(fromOn, toOn)}: ${show.temperature(meanMillicelsius / 1000)} average, day and night`,
              more: what,
            }))}
          />
          <ButtonLink to="/season/dates/weather" className="mt-3">
            Enter weather
          </ButtonLink>
        </Sheet>
      </div>
    </Page>
  );
}

function Rows({
  rows,
  empty,
}: {
  rows: readonly { entryId: string; line: string; more?: string }[];
  empty: ReactNode;
}) {
  if (rows.length === 0) return <p className="max-w-prose py-2">{empty}</p>;
  return (
    <ul>
      {rows.map(({ entryId, line, more }) => (
        <li key={entryId} className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
          <span>
            {line}
            {more && <span className="block text-sm text-soft">{more}</span>}
          </span>
          <RemoveButton entryId={entryId} back="/season/dates" what={line} />
        </li>
      ))}
    </ul>
  );
}
