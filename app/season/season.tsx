import { Link } from "react-router";
import { planOf, progressOf } from "#app/server/day-reading.server.ts";
import { farmFile, requireFarm } from "#app/server/farm-file.server.ts";
import { placeOf } from "#app/server/farm-means.server.ts";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import { SkyRibbon } from "#app/ui/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { startOfDay } from "#core/calendar/farm-time.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { Route } from "./+types/season.ts";

export const meta = () => [{ title: "Season · Pale Morning" }];

const HOUR = 3_600_000;

export function loader() {
  const farm = requireFarm();
  const file = farmFile();
  const place = placeOf(farm);
  const days = file.days();
  const set = days.map((day) => {
    const batch = file.batch(day.batchId)!;
    const { plan } = planOf(farm, batch, day);
    const midnight = startOfDay(day.processedOn, day.timeZone);
    const { startedAt, lastBirdAt } = progressOf(day);
    const ran = startedAt === undefined || lastBirdAt === undefined ? undefined : { startedAt, lastBirdAt };
    return {
      day,
      batchName: batch.name,
      ran,
      sky: skyBetween(midnight + 4 * HOUR, midnight + 22 * HOUR, place),
      evenChanceAt: plan.line.evenChanceAt.value,
      nineInTenAt: plan.line.nineInTenAt.value,
    };
  });
  const waiting = file
    .batches()
    .map((batch) => ({ id: batch.id, name: batch.name, freeCount: file.freeForDay(batch.id) }))
    .filter(({ freeCount }) => freeCount > 0);
  return {
    toCome: set.filter(({ day }) => !day.settledEntryId),
    past: set.filter(({ day }) => day.settledEntryId),
    waiting,
  };
}

export default function Season({ loaderData: { toCome, past, waiting } }: Route.ComponentProps) {
  const isEmpty = toCome.length + past.length === 0;
  return (
    <Page>
      <PageHead title="Season" line="the set days in their order, each on its own sky" />
      {isEmpty && (
        <EmptyPlace
          heading="No day is set yet"
          action={
            <ButtonLink to={waiting[0] ? "/days/new" : "/batches"}>
              {waiting[0] ? "Set the first day" : "To the batches"}
            </ButtonLink>
          }
        >
          <p>
            Here the season's days stand under each other, so that you see whether the work still ends in
            daylight as the evenings draw in.
          </p>
        </EmptyPlace>
      )}
      {toCome.length > 0 && <Skies heading="To come" rows={toCome} />}
      {waiting.length > 0 && !isEmpty && (
        <Sheet heading="Birds without a day">
          <ul className="flex flex-wrap gap-3">
            {waiting.map(({ id, name, freeCount }) => (
              <li key={id}>
                <ButtonLink kind="plain" to={`/days/new?batch=${id}`}>
                  {name}: {plural(freeCount, "bird")}
                </ButtonLink>
              </li>
            ))}
          </ul>
        </Sheet>
      )}
      {past.length > 0 && <Skies heading="Settled" rows={past} />}
    </Page>
  );
}

type Row = Route.ComponentProps["loaderData"]["toCome"][number];

function Skies({ heading, rows }: { heading: string; rows: readonly Row[] }) {
  const show = useShow();
  return (
    <Sheet heading={heading}>
      <ol className="grid gap-4">
        {rows.map(({ day, batchName, sky, ran, evenChanceAt, nineInTenAt }) => (
          <li key={day.id} className="grid gap-1">
            <p className="flex flex-wrap items-baseline justify-between gap-x-4">
              <Link
                to={`/days/${day.id}`}
                className="font-display text-lg underline decoration-rule underline-offset-4"
              >
                {show.longDay(day.processedOn)}
              </Link>
              <span className="text-soft">
                {plural(day.birdCount, "bird")} of {batchName}
              </span>
            </p>
            <SkyRibbon
              sky={sky}
              marks={
                ran
                  ? [
                      { at: ran.startedAt, label: "Started" },
                      { at: ran.lastBirdAt, label: "Last bird chilled" },
                    ]
                  : [
                      { at: day.startAt, label: "First bird" },
                      { at: evenChanceAt, label: "Even chance done" },
                    ]
              }
              spans={
                ran
                  ? [{ from: ran.startedAt, to: ran.lastBirdAt, strength: "full" }]
                  : [
                      { from: day.startAt, to: evenChanceAt, strength: "full" },
                      { from: evenChanceAt, to: nineInTenAt, strength: "half" },
                    ]
              }
              sentence={
                ran
                  ? `Started ${show.time(ran.startedAt)}, last bird chilled ${show.time(ran.lastBirdAt)}.`
                  : `First bird ${show.time(day.startAt)}, planned to be done about ${show.time(evenChanceAt)}.`
              }
            />
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
