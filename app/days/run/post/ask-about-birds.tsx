import { useState } from "react";
import type { Post } from "#app/days/run/post/use-post.ts";
import { deviceId } from "#app/days/run/taps/waiting-taps.ts";
import { FACT_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { tappedTwice } from "#core/day/run/tapped-twice.ts";

/** What may have been counted wrong: a bird that two phones tapped, or more birds than there are. */
export function AskAboutBirds({ post }: { post: Post }) {
  const { facts, reading, progress, now, undo, isReady } = post;
  const [answered, setAnswered] = useState<readonly string[]>([]);
  if (!isReady) return null;
  const twice = tappedTwice(facts, deviceId(), now);
  const tooMany = progress.done - reading.birds;
  if (twice && !answered.includes(twice.entryId)) {
    const settle = () => setAnswered((before) => [...before, twice.entryId]);
    return (
      <div role="alert" className="yard-note grid gap-2">
        <p>
          <strong>{FACT_WORDS[twice.kind](twice)}:</strong> another phone tapped the same within two seconds.
          One bird, or two?
        </p>
        <div className="grid grid-cols-2 gap-3">
          <button
            type="button"
            className="yard-key yard-card"
            onClick={() => {
              undo(twice);
              settle();
            }}
          >
            One: take mine back
          </button>
          <button type="button" className="yard-key yard-card" onClick={settle}>
            Two birds
          </button>
        </div>
      </div>
    );
  }
  if (tooMany <= 0) return null;
  return (
    <p className="yard-note">
      {plural(tooMany, "bird")} more than the {reading.birds} planned. Undo one that was counted twice, or go
      on if they are real.
    </p>
  );
}
