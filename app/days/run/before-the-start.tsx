import type { Post } from "#app/days/run/post/use-post.ts";
import { TapButton } from "#app/days/run/run-board.tsx";
import { type FormIds, tapOf } from "#app/days/run/run-states.tsx";
import { useShow } from "#app/ui/use-show.tsx";

/** Until the day is started: what is done beforehand, and the start itself. */
export function BeforeTheStart({ post, ids }: { post: Post; ids: FormIds }) {
  return (
    <>
      {!post.reading.isToday && (
        <p className="border-l-4 border-straw px-4 py-2 text-lg">
          This day is not today. Is it the one you mean to start?
        </p>
      )}
      <TapButton
        dayId={post.reading.day.id}
        kind="start"
        entryId={ids.start}
        onTap={tapOf(post)}
        className="yard-do min-h-32 text-2xl"
      >
        Start the day
      </TapButton>
      <Beforehand post={post} />
    </>
  );
}

/** What is done before the first bird: feed pulled, pen by pen where there are several, and the burner lit. */
function Beforehand({ post: { reading, facts, tap, isReady } }: { post: Post }) {
  const show = useShow();
  const pens = [...new Set(reading.lots.flatMap(({ pens: own }) => own))];
  const litAt = facts.findLast(({ kind }) => kind === "burner-lit")?.at;
  const pulledAt = (pen: string) =>
    facts.findLast(({ kind, note }) => kind === "feed-off" && (note === "" || note === pen))?.at;
  const key = `yard-key yard-card rounded-sheet px-4 py-2`;
  return (
    <div className="grid grid-cols-2 gap-3">
      {(pens.length > 1 ? pens : [""]).map((pen) => (
        <button
          key={pen}
          type="button"
          disabled={!isReady}
          className={key}
          onClick={() => tap({ kind: "feed-off", note: pen })}
        >
          {pen === "" ? "Feed pulled" : `Feed pulled, ${pen}`}
          <span className="yard-soft block text-base font-normal">
            {pulledAt(pen) === undefined ? "tap when it is" : `at ${show.dayTime(pulledAt(pen)!)}`}
          </span>
        </button>
      ))}
      <button type="button" disabled={!isReady} className={key} onClick={() => tap({ kind: "burner-lit" })}>
        Heat on
        <span className="yard-soft block text-base font-normal">
          {litAt === undefined ? "element covered, gas outdoors" : `at ${show.time(litAt)}`}
        </span>
      </button>
    </div>
  );
}
