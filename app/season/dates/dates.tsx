import type { ReactNode } from "react";
import { farmFile, requireFarm } from "#app/server/farm-file.server.ts";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { TakeBack } from "#app/ui/take-back.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Route } from "./+types/dates.ts";

export const meta = () => [{ title: "Dates and weather · Pale Morning" }];

export function loader() {
  requireFarm();
  const { season } = farmFile();
  return { marks: season.marks(), bookings: season.bookings(), spells: season.spells() };
}

const KIND_WORDS = { out: "out", market: "market", note: "to know" };

export default function Dates({ loaderData: { marks, bookings, spells } }: Route.ComponentProps) {
  const show = useShow();
  const span = (from: string, to: string) =>
    from === to ? show.shortDay(from) : `${show.shortDay(from)} to ${show.shortDay(to)}`;
  return (
    <Page>
      <PageHead title="Dates and weather" line="what the season must work around" />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Days that are out, and days to know of">
          <Rows
            empty="Holidays, weddings, market days. A day that is out gets no birds, or only at a price."
            rows={marks.map(({ entryId, fromOn, toOn, kind, what, priceCents }) => ({
              entryId,
              line: `${span(fromOn, toOn)}: ${what}`,
              more:
                kind === "out" && priceCents !== null
                  ? `out, unless it earns ${show.money(priceCents)} more`
                  : KIND_WORDS[kind],
            }))}
          />
          <ButtonLink to="/season/dates/mark" className="mt-3">
            Add a day
          </ButtonLink>
        </Sheet>
        <Sheet heading="What is booked">
          <Rows
            empty="A plucker from the tool shed, a trailer: for which days you have it."
            rows={bookings.map(({ entryId, thing, fromOn, toOn }) => ({
              entryId,
              line: `${span(fromOn, toOn)}: ${thing}`,
            }))}
          />
          <ButtonLink to="/season/dates/booking" className="mt-3">
            Add a booking
          </ButtonLink>
        </Sheet>
        <Sheet heading="Weather" beside="a stand-in: what is usual at this latitude">
          <Rows
            empty="The growth of the birds is reckoned with the usual weather of the date. When you know better, say so: a heat wave, cold nights."
            rows={spells.map(({ entryId, fromOn, toOn, meanMillicelsius, what }) => ({
              entryId,
              line: `${span(fromOn, toOn)}: ${show.temperature(meanMillicelsius / 1000)} by day and night`,
              more: what,
            }))}
          />
          <ButtonLink to="/season/dates/weather" className="mt-3">
            Say the weather
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
          <TakeBack entryId={entryId} back="/season/dates" what={line} />
        </li>
      ))}
    </ul>
  );
}
