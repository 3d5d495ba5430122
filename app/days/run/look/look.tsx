import { useState } from "react";
import { BAND_COLORS } from "#app/days/run/look/band-colors.ts";
import { PictureButton } from "#app/days/run/look/picture-button.tsx";
import { PostScreen } from "#app/days/run/post/post-screen.tsx";
import { usePost } from "#app/days/run/post/use-post.ts";
import { runReading } from "#app/days/run/run-reading.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { LOOK_REASON_WORDS, LOOK_WORDS } from "#app/words/run-words.ts";
import { LOOK_REASONS, LOOKS, type Look, type LookReason } from "#core/day/run/day-fact.ts";
import { marksNow } from "#core/day/run/marks-now.ts";
import type { Route } from "./+types/look.ts";

export const meta = () => [{ title: "Inspect · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  runReading(context.get(farmContext), params.dayId);

const LOOK_LINES: Readonly<Record<Look, string>> = {
  sale: "clean and whole",
  own: "good, not pretty",
  cut: "some of it is good",
  pets: "not for people",
  condemned: "not for anyone",
};

/** Each bird is looked at once; one that is not for sale says why, and may get a band. */
export default function LookPost({ loaderData }: Route.ComponentProps) {
  const post = usePost(loaderData);
  const [asked, setAsked] = useState<Look>();
  const { looks } = marksNow(post.facts);
  const look = (word: Look) => {
    if (word === "sale") post.tap({ kind: "look", word });
    setAsked(word === "sale" ? undefined : word);
  };
  const because = (note: LookReason, band: number | undefined) => {
    if (asked) post.tap({ kind: "look", word: asked, note, number: band });
    setAsked(undefined);
  };
  const lookKeys = LOOKS.map((word, index) => [String(index + 1), () => look(word)]);
  const reasonKeys = LOOK_REASONS.map((reason, index) => [
    String(index + 1),
    () => because(reason, undefined),
  ]);
  return (
    <PostScreen
      post={post}
      title="Inspect"
      undoes={["look"]}
      keys={Object.fromEntries(asked ? reasonKeys : lookKeys)}
      caution="Sores, fluid, or an odd liver on several birds can be a sick flock: stop and call a vet. Local rules decide what is fit to eat."
    >
      {asked ? (
        <Why look={asked} onBecause={because} onBack={() => setAsked(undefined)} />
      ) : (
        <>
          {LOOKS.map((word, index) => (
            <button
              key={word}
              type="button"
              disabled={!post.isReady}
              onClick={() => look(word)}
              className={`yard-key grid min-h-20 grid-cols-[1fr_auto] items-center px-5 text-left text-2xl ${index === 0 ? "yard-do min-h-28" : "yard-card"}`}
            >
              <span>
                {LOOK_WORDS[word]}
                <span className="block text-base font-normal opacity-90">
                  {LOOK_LINES[word]} · key {index + 1}
                </span>
              </span>
              <span className="font-mono text-3xl">{looks[word]}</span>
            </button>
          ))}
          <PictureButton post={post} />
        </>
      )}
    </PostScreen>
  );
}

interface WhyProps {
  look: Look;
  onBecause: (reason: LookReason, band: number | undefined) => void;
  onBack: () => void;
}

function Why({ look, onBecause, onBack }: WhyProps) {
  const [band, setBand] = useState<number>();
  return (
    <section aria-label="Why" className="grid gap-3">
      <h2 className="text-xl">{LOOK_WORDS[look]}: why?</h2>
      <fieldset className="flex flex-wrap gap-3" aria-label="Band on its leg">
        {BAND_COLORS.map(({ name, color }, index) => (
          <button
            key={name}
            type="button"
            aria-pressed={band === index + 1}
            className="yard-card min-h-16 grow rounded-sheet px-2 aria-pressed:outline-4 aria-pressed:outline-current"
            style={{ borderBottom: `8px solid ${color}` }}
            onClick={() => setBand(band === index + 1 ? undefined : index + 1)}
          >
            {name}
          </button>
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        {LOOK_REASONS.map((reason) => (
          <button
            key={reason}
            type="button"
            className="yard-key yard-card"
            onClick={() => onBecause(reason, band)}
          >
            {LOOK_REASON_WORDS[reason]}
          </button>
        ))}
        <button type="button" className="yard-key yard-card" onClick={onBack}>
          Back
        </button>
      </div>
    </section>
  );
}
