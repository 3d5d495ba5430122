import { Link, redirect } from "react-router";
import { happenedOn } from "#app/batches/batch-forms.ts";
import { batchView } from "#app/batches/batch-view.server.ts";
import { Expected, Finished, isFinished } from "#app/batches/expected.tsx";
import { GrowthChart } from "#app/batches/growth/growth-chart.tsx";
import { Recommended, WhenTable } from "#app/batches/growth/when-sheet.tsx";
import { storyLineForm } from "#app/batches/history/story-line.ts";
import { StorySheet } from "#app/batches/history/story-sheet.tsx";
import { slipInWords, storySlips } from "#app/batches/history/story-slips.ts";
import { writeLine } from "#app/batches/history/write-line.server.ts";
import { loadFactPage } from "#app/batches/record/fact-page.server.ts";
import { TakeSome, type TakeSomeView } from "#app/batches/record/take-some.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { submitted } from "#app/server/submitted.server.ts";
import { ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { KIND_WORDS } from "#app/words/words.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import { takeLargest } from "#core/growth/take-largest.ts";
import { input, reckoning } from "#core/reckoning/reckoning.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Route } from "./+types/batch.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.batch.name ?? "Batch"} · Pale Morning` },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { batch, setting, entryId } = loadFactPage(here, params.batchId);
  const { searchParams } = new URL(request.url);
  const asked = searchParams.get("on") ?? setting.today;
  const isOnRead =
    !searchParams.has("on") || (isLocalDay(asked) && asked >= batch.hatchedOn && asked <= "2099-12-31");
  const on = isOnRead ? asked : setting.today;
  const story = here.file.story(batch.id);
  const view = batchView(here, farm, batch, story, on);
  return {
    batch,
    story,
    setting,
    entryId,
    asked,
    isOnRead,
    on,
    alive: aliveOf(batch),
    view,
    some: takeSomeView(batch, view.forecast, on, searchParams.get("biggest") ?? ""),
    freeCount: here.file.freeForDay(batch.id),
  };
}

function aliveOf(batch: Batch) {
  return reckoning({
    value: batch.aliveCount,
    unit: "birds",
    inputs: [
      input("arrived", batch.arrivedCount, "birds", "measured"),
      input("lost", batch.lostCount, "birds", "measured"),
      input("processed", batch.arrivedCount - batch.lostCount - batch.aliveCount, "birds", "measured"),
    ],
    rule: "birds-alive",
    source: "own-log",
  });
}

function takeSomeView(
  batch: Batch,
  forecast: ReturnType<typeof batchView>["forecast"],
  on: string,
  asked: string,
): TakeSomeView {
  const current = Math.max(0, batch.aliveCount);
  const taking = /^\d{1,5}$/.test(asked.trim()) ? Number(asked) : 0;
  const isRead = taking >= 1 && taking <= current && forecast.ageDays > 0;
  const dressedFraction = DRESSED_FRACTION[batch.kind];
  const divided = isRead ? takeLargest(forecast.spread, current, taking) : undefined;
  return { current, asked, on, dressedFraction, divided };
}

/** Writes one line of their story down. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { batch, setting } = loadFactPage(here, params.batchId);
  const sent = await submitted(here, request, storyLineForm(setting.unitSystem, happenedOn(setting)));
  if (!sent.ok) return sent.refusal;
  const { happenedOn: day, line } = sent.value;
  const faults = writeLine(here, sent.entry, batch, day, line, setting.unitSystem);
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function BatchPage({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, view, freeCount, some } = loaderData;
  const show = useShow();
  const hatched = batch.awaitedOn === undefined ? "hatched" : "until hatch";
  return (
    <Page isWide>
      <PageHead
        title={batch.name}
        line={`${KIND_WORDS[batch.kind]}, ${hatched} ${show.shortDay(batch.hatchedOn)}`}
      >
        <div className="flex flex-wrap gap-2">
          <ButtonLink kind="plain" to={`/batches/${batch.id}/change`}>
            Change batch
          </ButtonLink>
          {freeCount > 0 && (
            <ButtonLink kind="plain" to={`/days/new?batch=${batch.id}`}>
              Schedule a day
            </ButtonLink>
          )}
        </div>
      </PageHead>
      <Slips batch={batch} story={loaderData.story} />
      <div className="grid items-start gap-4 lg:grid-cols-3">
        <Sheet
          heading="Growth"
          beside="live weight; 8 in 10 birds fall in the straw-colored band"
          className="lg:col-span-2"
        >
          <GrowthChart chart={view.chart} sentence={chartSentence(loaderData, show)} />
        </Sheet>
        {view.when && <Recommended view={view} when={view.when} batchId={batch.id} freeCount={freeCount} />}
        {isFinished(batch) && (
          <div className="grid gap-4">
            <Finished {...loaderData} />
            <DaysSet {...loaderData} />
          </div>
        )}
      </div>
      {view.when && <WhenTable view={view} when={view.when} />}
      <div className="grid items-start gap-4 lg:grid-cols-3">
        <div className="lg:col-span-2">
          <StorySheet {...loaderData} days={view.days} refusal={actionData} />
        </div>
        <div className="grid gap-4">
          {!isFinished(batch) && <Expected {...loaderData} />}
          {batch.aliveCount > 1 && view.forecast.ageDays > 0 && <TakeSome view={some} batchId={batch.id} />}
          {!isFinished(batch) && <DaysSet {...loaderData} />}
        </div>
      </div>
    </Page>
  );
}

/** What can't be, and where to put it right. */
function Slips({ batch, story }: Pick<Loaded, "batch" | "story">) {
  const show = useShow();
  const slips = storySlips(batch, story);
  if (slips.length === 0) return null;
  return (
    <Notice>
      <b>The history does not add up.</b> {slips.map((slip) => slipInWords(slip, show)).join(" ")} An entry
      was removed that a later one depends on. Enter it again, or remove the later one too.
    </Notice>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function chartSentence({ batch, view, on, setting }: Loaded, show: ReturnType<typeof useShow>): string {
  const { forecast } = view;
  if (isFinished(batch)) return "All have been processed or lost; the band shows what was expected.";
  if (forecast.ageDays <= 0) return "Typical for this kind.";
  const [low, high] = forecast.birdBand;
  const day = on === setting.today ? "Today" : `On ${show.shortDay(on)}`;
  return `${day} 8 in 10 birds weigh ${show.value(low, "live-kg")} to ${show.value(high, "live-kg")} live.`;
}

function DaysSet({ view, setting }: Loaded) {
  const show = useShow();
  if (view.days.length === 0 && view.pens.length === 0) return null;
  return (
    <Sheet heading="Processing days and pens">
      <ul>
        {view.days.map((day) => (
          <li key={day.id} className="py-1">
            <Link to={`/days/${day.id}`} className="lone-link">
              {show.longDay(day.processedOn)}
            </Link>
            , {plural(day.birdCount, "bird")}
            {day.whichBirds === "biggest" ? ", largest birds" : ""}
            {day.settledEntryId ? ", settled" : day.processedOn < setting.today ? ", not settled yet" : ""}
          </li>
        ))}
        {view.pens.map(({ pen, birdCount }) => (
          <li key={pen} className="py-1">
            {pen}: {plural(birdCount, "bird")} moved in
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
