import { Link } from "react-router";
import type { Post } from "#app/days/run/post/use-post.ts";
import { PLAIN_BUTTON, TapButton, UndoTap } from "#app/days/run/run-board.tsx";
import { lastOwn } from "#app/days/run/taps/use-day-facts.ts";
import { Figure } from "#app/ui/figure.tsx";
import { SkyRibbon } from "#app/ui/sky/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { FactKind } from "#core/day/run/day-fact.ts";

/** Ids of the forms of a page without JavaScript: pressed twice, each counts once. */
export interface FormIds {
  readonly start: string;
  readonly bird: string;
  readonly pause: string;
  readonly note: string;
  readonly finish: string;
}

interface StateProps {
  post: Post;
  ids: FormIds;
}

/** Undefined until JavaScript has taken over: then the forms are sent. */
export const tapOf = ({ isReady, tap }: Post) =>
  isReady ? (kind: FactKind) => void tap({ kind }) : undefined;

/** Kinds that are tapped on this page: the last of this phone's is what its Undo takes back. */
const COUNTED_HERE: readonly FactKind[] = [
  "start",
  "bird",
  "pause",
  "resume",
  "note",
  "finish",
  "stands",
  "feed-off",
  "burner-lit",
];

/** What Undo takes back; before JavaScript has taken over, the last tap of all. */
export const lastCounted = ({ isReady, facts }: Post) =>
  isReady ? lastOwn(facts, COUNTED_HERE) : facts.at(-1);

export function RunHead({ post: { reading, progress } }: { post: Post }) {
  const show = useShow();
  const { state, done, toGo } = progress;
  return (
    <header className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <h1 className="text-2xl">
        {state === "not-started"
          ? show.longDay(reading.day.processedOn)
          : `${done} in the chill tank, ${toGo} to go`}
      </h1>
      <p className="yard-soft">{lotsInWords(reading.lots)}</p>
      {/* The heading changes with each tap, and is not read aloud again for that. */}
      <p role="status" className="sr-only">
        {state === "not-started" ? "" : `${done} in the chill tank, ${toGo} to go`}
      </p>
    </header>
  );
}

/** While birds come: one large button, what was tapped last to undo, a pause, and when they are likely done. */
export function AtWork({ post, ids }: StateProps) {
  const { progress, reading } = post;
  const isPaused = progress.state === "paused";
  const dayId = reading.day.id;
  const last = lastCounted(post);
  return (
    <>
      <TapButton
        dayId={dayId}
        kind="bird"
        entryId={ids.bird}
        onTap={tapOf(post)}
        className="yard-do min-h-40 text-3xl"
      >
        Bird in the chill tank
      </TapButton>
      <div className="grid grid-cols-2 gap-3">
        {last && (
          <UndoTap dayId={dayId} tap={last} onUndo={post.isReady ? () => post.undo(last) : undefined} />
        )}
        <TapButton
          dayId={dayId}
          kind={isPaused ? "resume" : "pause"}
          entryId={ids.pause}
          onTap={tapOf(post)}
          className={PLAIN_BUTTON}
        >
          {isPaused ? "Resume" : "Pause"}
        </TapButton>
      </div>
      {isPaused && <p className="text-lg">Paused. Pauses don't count toward the pace.</p>}
      <LikelyDone post={post} />
      {progress.toGo === 0 && (
        <p className="text-lg">
          All {progress.done} are in. Keep counting if there are more, or finish the day.
        </p>
      )}
    </>
  );
}

/** When the day is likely done: played on from all that was tapped, or at its present pace until that is known. */
function LikelyDone({ post: { progress, forecast, reading } }: { post: Post }) {
  const show = useShow();
  const chance = forecast?.lastInChill;
  const likelyAt = chance?.likelyAt ?? progress.doneAt?.value;
  if (likelyAt === undefined || progress.toGo === 0) return null;
  const behind = Math.round((likelyAt - reading.plannedEndAt) / MINUTE);
  const againstPlan =
    Math.abs(behind) < 5
      ? "as planned"
      : `${show.minutes(Math.abs(behind))} ${behind > 0 ? "behind" : "ahead of"} plan`;
  return (
    <div className="rounded-sheet bg-leaf px-4 text-ink">
      {chance ? (
        <p className="py-3 text-lg">
          Likely done <strong>{show.time(chance.likelyAt)}</strong>; 9 in 10 by{" "}
          {show.time(chance.nineInTenAt)}, {againstPlan}.
        </p>
      ) : (
        progress.doneAt && <Figure label="Likely done" reckoning={progress.doneAt} beside={againstPlan} />
      )}
    </div>
  );
}

export function Finished({ post: { reading, progress } }: { post: Post }) {
  const show = useShow();
  return (
    <p className="text-lg">
      Finished at {show.time(progress.finishedAt!)}, {plural(progress.done, "bird")} in the chill tank.{" "}
      <Link to={`/days/${reading.day.id}/rest`} className="underline">
        See how long they need to rest
      </Link>
      .
    </p>
  );
}

/** The day so far on its sky. */
export function RunSky({ post: { reading, progress, forecast, now } }: { post: Post }) {
  const { firstBirdAt, startedAt, lastBirdAt, doneAt, done } = progress;
  const likelyAt = forecast?.lastInChill?.likelyAt ?? doneAt?.value;
  return (
    <SkyRibbon
      sky={reading.sky}
      marks={[
        { at: now, label: "Now", tone: "now" },
        ...(likelyAt ? [{ at: likelyAt, label: "Likely done" }] : []),
      ]}
      spans={firstBirdAt ? [{ from: startedAt ?? firstBirdAt, to: lastBirdAt ?? now, strength: "full" }] : []}
      sentence={`So far: ${done} in the chill tank.`}
    />
  );
}

/** Where else to go, a screen for full sun, and sounds. */
export function More({ post }: { post: Post }) {
  const { reading, light, setLight, hasSound, setSound, isAloud, setAloud } = post;
  const dayId = reading.day.id;
  const key = `rounded-sheet ${PLAIN_BUTTON}`;
  const link = `grid place-content-center ${key}`;
  return (
    <nav aria-label="More" className="grid grid-cols-2 gap-3 md:grid-cols-6">
      <Link to={`/days/${dayId}/plan`} className={link}>
        Plan
      </Link>
      <Link to={`/days/${dayId}/run/log`} className={link}>
        Log
      </Link>
      <Link to={`/days/${dayId}/rest`} className={link}>
        Rest
      </Link>
      <button type="button" className={key} onClick={() => setLight(light === "night" ? "sun" : "night")}>
        {light === "night" ? "Bright screen" : "Normal screen"}
      </button>
      <button type="button" className={key} onClick={() => setSound(!hasSound)}>
        {hasSound ? "Sounds off" : "Sounds on"}
      </button>
      <button type="button" className={key} onClick={() => setAloud(!isAloud)}>
        {isAloud ? "Stop speaking" : "Speak calls aloud"}
      </button>
    </nav>
  );
}
