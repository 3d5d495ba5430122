import { Link } from "react-router";
import { DoNext } from "#app/days/run/board/do-next.tsx";
import { nextThings } from "#app/days/run/board/next-things.ts";
import { StationColumns } from "#app/days/run/board/station-columns.tsx";
import { Unsent } from "#app/days/run/post/post-screen.tsx";
import { sayAloud } from "#app/days/run/post/say-aloud.ts";
import { type Post, usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { useHotkeys } from "#app/ui/keys/use-hotkeys.ts";
import { SkyRibbon } from "#app/ui/sky/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { Route } from "./+types/board.ts";

export const meta = () => [{ title: "Board · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

/** For a tablet on the wall, read from across the yard: how far, when done, where the birds are, and what to do next. */
export default function Board({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  return (
    <div className="yard yard-board" data-light={post.light} data-ready={post.isReady}>
      <div className="grid gap-2 empty:hidden">
        <Unsent post={post} />
      </div>
      <Figures post={post} />
      <BoardSky post={post} />
      <StationColumns post={post} />
      <DoNext post={post} />
      <nav aria-label="More" className="flex flex-wrap items-center justify-between gap-3">
        <Link
          reloadDocument
          to={`/days/${loaderData.day.id}/run`}
          className="yard-key yard-card grid w-auto place-content-center px-6"
        >
          All posts
        </Link>
        <SayIt post={post} />
        <button
          type="button"
          className="yard-key yard-card w-auto px-6"
          onClick={() => post.setLight(post.light === "night" ? "sun" : "night")}
        >
          {post.light === "night" ? "Bright screen" : "Normal screen"}
        </button>
      </nav>
    </div>
  );
}

/** The board in two sentences, for who has no hand free to look; by its key too. */
function SayIt({ post }: { post: Post }) {
  const show = useShow();
  const say = () => sayAloud(boardInWords(post, show));
  useHotkeys((event) => (event.key === "a" && !event.repeat ? say : undefined), post.isReady);
  return (
    <button type="button" className="yard-key yard-card w-auto px-6" onClick={say}>
      Say it aloud
    </button>
  );
}

function boardInWords(post: Post, show: Show): string {
  const { done, toGo } = post.progress;
  const likelyAt = post.forecast?.lastInChill?.likelyAt;
  const [next] = nextThings(post, show);
  return [
    `${done} of ${done + toGo} birds are in the chill.`,
    ...(likelyAt === undefined || toGo === 0 ? [] : [`Likely done at ${show.time(likelyAt)}.`]),
    ...(next ? [`Next: ${next.title}.`] : []),
  ].join(" ");
}

function Figures({ post: { progress, forecast, reading, now } }: { post: Post }) {
  const show = useShow();
  const { state, done, toGo, finishedAt } = progress;
  const chance = forecast?.lastInChill;
  const behind = chance ? Math.round((chance.likelyAt - reading.plannedEndAt) / MINUTE) : 0;
  return (
    <header className="grid gap-x-8 gap-y-2 md:grid-cols-3">
      <div>
        <h1 className="font-display text-7xl leading-none">
          {done} <span className="yard-soft text-4xl">of {done + toGo}</span>
        </h1>
        <p className="text-xl">birds in the chill, {show.time(now)}</p>
      </div>
      {finishedAt !== undefined ? (
        <Big
          label="Finished"
          value={show.time(finishedAt)}
          line={`the plan said ${show.time(reading.plannedEndAt)}`}
        />
      ) : chance ? (
        <>
          <Big
            label="Likely done"
            value={show.time(chance.likelyAt)}
            line={`the plan said ${show.time(reading.plannedEndAt)}`}
          />
          <Big
            label="9 in 10 by"
            value={show.time(chance.nineInTenAt)}
            line={
              behind === 0
                ? "as planned"
                : `${show.minutes(Math.abs(behind))} ${behind > 0 ? "behind" : "ahead of"} the plan`
            }
            isWarning={behind > 15}
          />
        </>
      ) : (
        <Big
          label={state === "not-started" ? "Planned to be done" : "Likely done"}
          value={show.time(reading.plannedEndAt)}
          line={
            state === "not-started"
              ? "The day begins with its first tap."
              : "The first taps say more in a minute."
          }
        />
      )}
    </header>
  );
}

interface BigProps {
  label: string;
  value: string;
  line: string;
  isWarning?: boolean;
}

function Big({ label, value, line, isWarning = false }: BigProps) {
  return (
    <div>
      <p className="yard-soft text-xl">{label}</p>
      <p className="font-display text-6xl leading-none">{value}</p>
      <p
        className={`pt-1 text-xl ${isWarning ? "font-semibold underline decoration-straw decoration-4 underline-offset-4" : ""}`}
      >
        {line}
      </p>
    </div>
  );
}

function BoardSky({ post: { progress, forecast, reading, now } }: { post: Post }) {
  const { firstBirdAt, startedAt, lastBirdAt, done } = progress;
  const from = startedAt ?? firstBirdAt;
  const chance = forecast?.lastInChill;
  return (
    <SkyRibbon
      sky={reading.sky}
      marks={[
        { at: now, label: "Now", tone: "now" },
        ...(chance ? [{ at: chance.likelyAt, label: "Likely done" }] : []),
        ...(reading.sunsetAt ? [{ at: reading.sunsetAt, label: "Sunset" }] : []),
      ]}
      spans={[
        ...(from ? [{ from, to: lastBirdAt ?? now, strength: "full" as const }] : []),
        ...(chance ? [{ from: chance.oneInTenAt, to: chance.nineInTenAt, strength: "half" as const }] : []),
      ]}
      sentence={`So far: ${done} in the chill tank.`}
    />
  );
}
