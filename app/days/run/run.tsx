import { Form } from "react-router";
import { BeforeTheStart } from "#app/days/run/before-the-start.tsx";
import { AskAboutBirds } from "#app/days/run/post/ask-about-birds.tsx";
import { Unsent } from "#app/days/run/post/post-screen.tsx";
import { usePost } from "#app/days/run/post/use-post.ts";
import { Posts, ToChange, WhoHasIt, WhoIsWhere } from "#app/days/run/posts.tsx";
import { BirdStrip, Lately, PLAIN_BUTTON, TapButton, UndoTap } from "#app/days/run/run-board.tsx";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { AtWork, Finished, lastCounted, More, RunHead, RunSky, tapOf } from "#app/days/run/run-states.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { isPressedIn, useHotkeys } from "#app/ui/keys/use-hotkeys.ts";
import type { Route } from "./+types/run.ts";

export const meta = () => [{ title: "Run · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  return {
    ...runReading(context.get(farmContext), params.dayId),
    ids: {
      start: newEntryId(),
      bird: newEntryId(),
      pause: newEntryId(),
      note: newEntryId(),
      finish: newEntryId(),
    },
  };
}

export default function Run({ loaderData }: Route.ComponentProps) {
  const { day, birds, ids } = loaderData;
  const post = usePost(loaderData);
  const { facts, tap, undo, progress, isReady } = post;
  const { state, done } = progress;
  const last = lastCounted(post);
  const onTap = tapOf(post);
  const isOpen = state === "running" || state === "paused";
  usePedal(isOpen && isReady, {
    " ": () => tap({ kind: "bird" }),
    u: () => last && undo(last),
    p: () => tap({ kind: state === "paused" ? "resume" : "pause" }),
  });
  return (
    <div className="yard grid min-h-dvh content-start gap-4 p-4 md:p-6" data-light={post.light}>
      <RunHead post={post} />
      <BirdStrip done={done} planned={birds} />
      <Unsent post={post} />
      <AskAboutBirds post={post} />
      {state === "not-started" && <BeforeTheStart post={post} ids={ids} />}
      {isOpen && <AtWork post={post} ids={ids} />}
      {state === "finished" && <Finished post={post} />}
      {state !== "not-started" && <RunSky post={post} />}
      {state !== "finished" && (
        <>
          <ToChange dayId={day.id} />
          <WhoHasIt post={post} />
          <Posts dayId={day.id} />
          <WhoIsWhere post={post} />
        </>
      )}
      <Note
        dayId={day.id}
        entryId={ids.note}
        onNote={isReady ? (note) => void tap({ kind: "note", note }) : undefined}
      />
      <Lately facts={facts} />
      {isOpen && (
        <TapButton dayId={day.id} kind="finish" entryId={ids.finish} onTap={onTap} className={PLAIN_BUTTON}>
          Finish the day
        </TapButton>
      )}
      {state === "finished" && last?.kind === "finish" && (
        <UndoTap dayId={day.id} tap={last} onUndo={isReady ? () => undo(last) : undefined} />
      )}
      <More post={post} />
      <p className="yard-soft text-sm">
        Scalding water, blades, drum, wet wires: know where the breaker is, and keep children away. Never
        process a sick flock: stop, isolate, call a vet.
      </p>
    </div>
  );
}

function Note({
  dayId,
  entryId,
  onNote,
}: {
  dayId: number;
  entryId: string;
  onNote: ((note: string) => void) | undefined;
}) {
  return (
    <Form
      method="post"
      action={`/days/${dayId}/run/tap`}
      className="grid grid-cols-3 gap-3"
      onSubmit={(event) => {
        if (!onNote) return;
        event.preventDefault();
        const form = event.currentTarget;
        const note = String(new FormData(form).get("note") ?? "").trim();
        if (note) onNote(note);
        form.reset();
      }}
    >
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="kind" value="note" />
      <input
        name="note"
        aria-label="Note"
        placeholder="A note"
        maxLength={1000}
        autoComplete="off"
        className="yard-card col-span-2 min-h-16 rounded-sheet px-4 text-lg placeholder:text-fog"
      />
      <button type="submit" className="yard-card min-h-16 rounded-sheet text-lg font-semibold">
        Add note
      </button>
    </Form>
  );
}

/** One key for each one-tap action, so that a pedal can drive it. */
function usePedal(isOn: boolean, actions: Readonly<Record<string, () => void>>) {
  useHotkeys(
    (event) =>
      event.repeat || isPressedIn(event, "input, textarea, button, a, summary")
        ? undefined
        : actions[event.key],
    isOn,
  );
}
