import type { ReactNode } from "react";
import { Link } from "react-router";
import { AskAboutBirds } from "#app/days/run/post/ask-about-birds.tsx";
import type { Post } from "#app/days/run/post/use-post.ts";
import type { ShownFact } from "#app/days/run/taps/known-facts.ts";
import { lastOwn } from "#app/days/run/taps/use-day-facts.ts";
import { isPressedIn, useHotkeys } from "#app/ui/keys/use-hotkeys.ts";
import { FACT_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import type { FactKind } from "#core/day/run/day-fact.ts";

interface PostScreenProps {
  post: Post;
  title: string;
  /** Kinds of facts that are tapped here: the last of this phone's is what Undo takes back. */
  undoes: readonly FactKind[];
  /** One key for each action, so that a pedal or a numeric pad can drive it. */
  keys: Readonly<Record<string, (() => void) | undefined>>;
  /** What can hurt someone here, in one line. */
  caution: string;
  children: ReactNode;
}

/** The frame of a yard screen: what is not sent first, then the post itself, then its undo and the way out. */
export function PostScreen({ post, title, undoes, keys, caution, children }: PostScreenProps) {
  const { reading, progress, isReady } = post;
  const last = isReady ? lastOwn(post.facts, undoes) : undefined;
  const undo = last && (() => post.undo(last));
  useHotkeys(
    (event) =>
      event.repeat || isPressedIn(event, "input, textarea, select")
        ? undefined
        : event.key === "u"
          ? undo
          : keys[event.key],
    isReady,
  );
  return (
    <div className="yard yard-post" data-light={post.light} data-ready={isReady}>
      <header className="flex items-baseline justify-between gap-3">
        <h1 className="text-2xl">{title}</h1>
        <p className="yard-soft text-right" role="status">
          {post.person === "" ? "" : `${post.person} · `}
          <span className="font-mono">{progress.done}</span> of {progress.done + progress.toGo}
        </p>
      </header>
      <div className="grid gap-2">
        <Unsent post={post} />
        <AskAboutBirds post={post} />
        {!reading.isToday && progress.state === "not-started" && (
          <p className="border-l-4 border-straw px-3 py-1">
            This day is not today. The first tap starts it all the same.
          </p>
        )}
      </div>
      <div className="grid auto-rows-max content-start gap-3">{children}</div>
      <PostFoot dayId={reading.day.id} last={last} undo={undo} caution={caution} />
    </div>
  );
}

interface PostFootProps {
  dayId: number;
  last: ShownFact | undefined;
  undo: (() => void) | undefined;
  caution: string;
}

/** The way back from a slip, the way out, and what to take care of. */
function PostFoot({ dayId, last, undo, caution }: PostFootProps) {
  return (
    <footer className="grid gap-2">
      <div className="grid grid-cols-2 gap-3">
        <button
          type="button"
          className="yard-key yard-card disabled:opacity-60"
          disabled={!undo}
          onClick={undo}
        >
          {last ? (
            <>
              Undo
              <span className="yard-soft block text-base font-normal">{FACT_WORDS[last.kind](last)}</span>
            </>
          ) : (
            "Nothing to undo"
          )}
        </button>
        <Link
          reloadDocument
          to={`/days/${dayId}/run`}
          className="yard-key yard-card grid place-content-center text-center"
        >
          All posts
        </Link>
      </div>
      <p className="yard-soft text-sm">{caution}</p>
    </footer>
  );
}

/** What waits on this phone, and what was not taken: the first thing that is seen. */
export function Unsent({ post: { waiting, isConnected, isKept, decide } }: { post: Post }) {
  const refused = waiting.filter(({ refusal }) => refusal !== undefined);
  const unsent = waiting.length - refused.length;
  return (
    <div role="status" className="grid gap-2 empty:hidden">
      {!isConnected && (
        <p className="yard-stop px-3 py-2">
          No signal.{" "}
          <strong>
            {unsent > 0 ? `${plural(unsent, "tap")} wait on this phone.` : "Taps will wait on this phone."}
          </strong>
        </p>
      )}
      {isConnected && unsent > 2 && <p className="yard-card px-3 py-2">Sending {plural(unsent, "tap")}.</p>}
      {!isKept && (
        <p className="yard-stop px-3 py-2">
          This phone's storage is full. Leave this page open until its taps are sent.
        </p>
      )}
      {refused.length > 0 && (
        <div className="yard-stop grid gap-2 px-3 py-2">
          <p>
            <strong>{plural(refused.length, "tap")} not taken.</strong> {refused[0]!.refusal}
          </p>
          <div className="grid grid-cols-2 gap-3">
            <button type="button" className="yard-key border border-current" onClick={() => decide("again")}>
              Send again
            </button>
            <button
              type="button"
              className="yard-key border border-current"
              onClick={() => decide("discard")}
            >
              Discard
            </button>
          </div>
        </div>
      )}
    </div>
  );
}
