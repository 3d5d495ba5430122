import { Form, Link } from "react-router";
import { type StoryLine, storyLines } from "#app/batches/story-lines.ts";
import { now } from "#app/server/clock.server.ts";
import { flockOf, requireBatch } from "#app/server/day-reading.server.ts";
import { farmFile, requireFarm } from "#app/server/farm-file.server.ts";
import { Figure } from "#app/ui/figure.tsx";
import { Button, ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import { TakeBack } from "#app/ui/take-back.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { KIND_WORDS } from "#app/ui/words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import { input, reckoning } from "#core/reckoning/reckoning.ts";
import type { Route } from "./+types/batch.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.batch.name ?? "Batch"} · Pale Morning` },
];

export function loader({ params, request }: Route.LoaderArgs) {
  const farm = requireFarm();
  const batch = requireBatch(params.batchId);
  const today = localDayOf(now(), farm.timeZone);
  const asked = new URL(request.url).searchParams.get("on") ?? today;
  const isOnRead = isLocalDay(asked) && asked >= batch.hatchedOn && asked <= "2099-12-31";
  const on = isOnRead ? asked : today;
  const story = farmFile().story(batch.id);
  const alive = reckoning({
    value: batch.aliveCount,
    unit: "birds",
    inputs: [
      input("arrived", batch.arrivedCount, "birds", "measured"),
      input("lost", batch.lostCount, "birds", "measured"),
      input("dressed", batch.arrivedCount - batch.lostCount - batch.aliveCount, "birds", "measured"),
    ],
    rule: "Arrived, less lost, less dressed.",
    source: "own-log",
  });
  const days = farmFile()
    .days()
    .filter((day) => day.batchId === batch.id);
  return {
    batch,
    story,
    today,
    asked,
    isOnRead,
    on,
    alive,
    days,
    forecast: flockOn(on, flockOf(farm, batch, story)),
    freeCount: farmFile().freeForDay(batch.id),
  };
}

export default function BatchPage({ loaderData }: Route.ComponentProps) {
  const { batch, story, today, days, freeCount } = loaderData;
  const show = useShow();
  const lines = storyLines(batch, story, show);
  const things = [
    { to: "weigh-in", name: "Live weights" },
    { to: "loss", name: "Birds lost" },
    { to: "feed", name: "Feed bought" },
    { to: "feed-left", name: "Feed left" },
    { to: "cost", name: "Another cost" },
  ];
  return (
    <Page>
      <PageHead
        title={batch.name}
        line={`${KIND_WORDS[batch.kind]}, hatched ${show.shortDay(batch.hatchedOn)}`}
      >
        {freeCount > 0 && <ButtonLink to={`/days/new?batch=${batch.id}`}>Set a day</ButtonLink>}
      </PageHead>
      <div className="grid gap-5 lg:grid-cols-3">
        <div className="grid content-start gap-5 lg:col-span-2">
          <nav aria-label="Write down" className="flex flex-wrap gap-2">
            {things.map(({ to, name }) => (
              <ButtonLink key={to} kind="plain" to={`/batches/${batch.id}/${to}`}>
                {name}
              </ButtonLink>
            ))}
          </nav>
          <Sheet heading="Their story" beside={plural(lines.length, "line")}>
            <ol>
              {lines.map((line) => (
                <StoryRow key={line.entryId ?? line.text} line={line} batchId={batch.id} />
              ))}
            </ol>
          </Sheet>
        </div>
        <div className="grid content-start gap-5">
          <Expected {...loaderData} />
          {days.length > 0 && (
            <Sheet heading="Days set">
              <ul>
                {days.map((day) => (
                  <li key={day.id} className="py-1">
                    <Link to={`/days/${day.id}`} className="underline">
                      {show.longDay(day.processedOn)}
                    </Link>
                    , {plural(day.birdCount, "bird")}
                    {day.settledEntryId ? ", settled" : day.processedOn < today ? ", not settled yet" : ""}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
        </div>
      </div>
    </Page>
  );
}

function Expected({
  batch,
  forecast,
  alive,
  on,
  asked,
  isOnRead,
  today,
}: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  const isHatched = forecast.ageDays >= 0;
  const [low, high] = forecast.liveBand;
  return (
    <Sheet
      heading={on === today ? "Expected today" : `Expected ${show.shortDay(on)}`}
      beside={isHatched ? `${plural(forecast.ageDays, "day")} old` : "not hatched yet"}
    >
      <Figure label="Birds alive" reckoning={alive} beside="now" />
      {isHatched && (
        <>
          <Figure
            label="Live weight, mean"
            reckoning={forecast.live}
            note={
              <p className="is-worked-out">
                8 in 10: the mean lies between {show.value(low, "live kg")} and {show.value(high, "live kg")}.
              </p>
            }
          />
          <Figure label="Dressed weight, mean" reckoning={forecast.dressed} />
        </>
      )}
      {forecast.isPastCurve && (
        <Notice>At this age the curve is only a guess. Weigh a few birds: they know better.</Notice>
      )}
      <Form method="get" className="mt-3 flex items-end gap-2">
        <label className="grid grow gap-1">
          <span className="text-sm text-soft">On another date</span>
          <input
            type="date"
            name="on"
            defaultValue={asked}
            min={batch.hatchedOn}
            className="min-h-12 rounded-sheet border border-soft bg-white px-3"
          />
        </label>
        <Button kind="plain">Show</Button>
      </Form>
      {!isOnRead && (
        <p role="alert" className="pt-2 text-sm font-semibold text-barn">
          Choose a day from {batch.hatchedOn} on, when they hatch. This shows today.
        </p>
      )}
    </Sheet>
  );
}

function StoryRow({ line, batchId }: { line: StoryLine; batchId: number }) {
  const show = useShow();
  return (
    <li className="grid grid-cols-4 items-baseline gap-3 border-b border-rule py-2 last:border-b-0">
      <span className="text-sm text-soft">{show.shortDay(line.day)}</span>
      <span className="col-span-3 flex flex-wrap items-baseline justify-between gap-x-3">
        <span>
          {line.text}
          {line.more && <span className="block text-sm text-soft">{line.more}</span>}
        </span>
        {line.entryId && <TakeBack entryId={line.entryId} back={`/batches/${batchId}`} what={line.text} />}
      </span>
    </li>
  );
}
