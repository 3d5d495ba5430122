import { usePictures } from "#app/days/run/look/use-pictures.ts";
import type { Post } from "#app/days/run/post/use-post.ts";
import { lastOwn } from "#app/days/run/taps/use-day-facts.ts";
import { LOOK_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import type { Look } from "#core/day/run/day-fact.ts";

/** A picture of the bird that this phone looked at last, by the phone's camera. */
export function PictureButton({ post }: { post: Post }) {
  const { reading, facts, isReady } = post;
  const { unsent, refused, problem, take, discard } = usePictures(reading.day.id, reading.fileId);
  const last = isReady ? lastOwn(facts, ["look"]) : undefined;
  return (
    <div className="grid gap-1">
      <label
        className={`yard-key yard-card relative grid place-content-center text-center ${last ? "" : "opacity-60"}`}
      >
        Picture of the last bird
        <span className="yard-soft block text-base font-normal">
          {unsent > 0
            ? `${plural(unsent, "picture")} on this phone, not sent yet`
            : last
              ? LOOK_WORDS[last.word as Look].toLowerCase()
              : "look at a bird first"}
        </span>
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="absolute -inset-px h-[calc(100%+2px)] w-[calc(100%+2px)] opacity-0"
          disabled={!last}
          onChange={({ currentTarget }) => {
            const [file] = currentTarget.files ?? [];
            if (file && last) void take(file, last.entryId);
            currentTarget.value = "";
          }}
        />
      </label>
      {refused.length > 0 && (
        <div className="yard-stop grid grid-cols-[1fr_auto] items-center gap-2 px-3 py-1 text-sm">
          <p>
            {plural(refused.length, "picture")} not taken. {refused[0]!.refusal}
          </p>
          <button type="button" className="yard-key border border-current px-4" onClick={discard}>
            Discard
          </button>
        </div>
      )}
      {problem && (
        <p role="alert" className="yard-stop px-3 py-1 text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}
