import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { MARK_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { MARKS, type Mark } from "#core/day/run/day-fact.ts";
import { type MarksNow, marksNow } from "#core/day/run/marks-now.ts";
import type { Route } from "./+types/table.ts";

export const meta = () => [{ title: "Evisceration table · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

/** One tap a bird; what was wrong with it is a second tap. */
export default function Table({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const marks = marksNow(post.facts);
  const through = () => post.tap({ kind: "table" });
  const latest = post.facts.findLast(({ kind }) => kind === "table")?.entryId;
  const mark = (word: Mark) => post.tap({ kind: "mark", word, of: latest });
  const markKeys = Object.fromEntries(MARKS.map((word, index) => [String(index + 1), () => mark(word)]));
  return (
    <PostScreen
      post={post}
      title="Evisceration table"
      undoes={["table", "mark"]}
      keys={{ ...markKeys, " ": through, "0": through }}
      caution="Sharp knives, wet hands: cut away from the hand that holds. No child with a blade. Local rules decide what is fit to eat."
    >
      <button
        type="button"
        disabled={!post.isReady}
        className="yard-key yard-do min-h-44 text-3xl"
        onClick={through}
      >
        Bird through
        <span className="block text-lg font-normal">{plural(marks.birds, "bird")} so far</span>
      </button>
      <p className="yard-soft">What was wrong with it, if anything:</p>
      <div className="grid grid-cols-2 gap-3">
        {MARKS.map((word, index) => (
          <button
            key={word}
            type="button"
            className="yard-key yard-card text-left"
            onClick={() => mark(word)}
          >
            <span className="flex items-baseline justify-between gap-2">
              {MARK_WORDS[word].name}
              <span className="font-mono text-2xl">{marks.marks[word]}</span>
            </span>
            <span className="yard-soft block text-sm font-normal">key {index + 1}</span>
          </button>
        ))}
      </div>
      <Hint marks={marks} />
    </PostScreen>
  );
}

/** What the commonest mark says should change. */
function Hint({ marks: { marks, hints, birds } }: { marks: MarksNow }) {
  const worst = hints.toSorted((one, other) => marks[other] - marks[one])[0];
  if (!worst) return null;
  return (
    <p role="status" className="yard-note">
      <strong>
        {MARK_WORDS[worst].name}: {marks[worst]} of {birds}.
      </strong>{" "}
      {MARK_WORDS[worst].hint}
    </p>
  );
}
