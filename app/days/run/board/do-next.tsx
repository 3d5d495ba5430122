import type { CSSProperties } from "react";
import type { Post } from "#app/days/run/post/use-post.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { MARK_WORDS, MILESTONE_POST_WORDS, moveWords } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { marksNow } from "#core/day/run/marks-now.ts";
import { tanksNow } from "#core/day/run/tanks-now.ts";

interface Next {
  readonly title: string;
  readonly line: string;
  readonly isUrgent: boolean;
}

const MOST_SHOWN = 3;

/** The next three things to do, and who does them where that is known. */
export function DoNext({ post }: { post: Post }) {
  const next = useNext(post);
  return (
    <section aria-label="Do next" className="grid content-start gap-2">
      <h2 className="yard-soft text-xl">Do next</h2>
      {next.length === 0 && <p className="text-lg">Nothing stands in the way. Keep going.</p>}
      <div className="grid gap-3 md:grid-cols-3">
        {next.slice(0, MOST_SHOWN).map(({ title, line, isUrgent }) => (
          <div
            key={title}
            className="yard-note"
            style={isUrgent ? ({ "--yard-stripe": "var(--color-dawn)" } as CSSProperties) : undefined}
          >
            <h3 className="text-2xl">{title}</h3>
            <p className="text-lg">{line}</p>
          </div>
        ))}
      </div>
    </section>
  );
}

/** What is urgent first, then what saves most. */
function useNext({ facts, forecast, reading, progress, now }: Post): Next[] {
  const show = useShow();
  if (progress.state === "not-started" || progress.state === "finished") return [];
  const tanks = tanksNow(facts, 1);
  const warm = tanks.flatMap(({ number, temperature }): Next[] =>
    temperature && temperature.celsius > CHILL.targetCelsius
      ? [
          {
            title: `Ice into tank ${number}`,
            line: `It was ${show.temperature(temperature.celsius)} at ${show.time(temperature.at)}. Stir it, and read it again.`,
            isUrgent: true,
          },
        ]
      : [],
  );
  const full = forecast?.tankFullAt;
  const tank: Next[] =
    full !== undefined && full - now < 30 * MINUTE
      ? [{ title: "Make room in the tanks", line: `Likely full at ${show.time(full)}.`, isUrgent: true }]
      : [];
  const dark = forecast?.allDone && reading.sunsetAt && forecast.allDone.nineInTenAt > reading.sunsetAt;
  const light: Next[] = dark
    ? [
        {
          title: "Bring lamps",
          line: `Sunset is at ${show.time(reading.sunsetAt!)}, before all work is done.`,
          isUrgent: false,
        },
      ]
    : [];
  const silent = (forecast?.silent ?? []).slice(0, 1).map(
    (milestone): Next => ({
      title: `Ask at ${MILESTONE_POST_WORDS[milestone]}`,
      line: "No tap for a while. Is its phone still there, or is the work?",
      isUrgent: false,
    }),
  );
  const moves = (forecast?.moves ?? []).map(
    ({ move, savedMinutes }): Next => ({
      title: moveWords(move, (minute) => show.time((forecast?.originAt ?? 0) + minute * MINUTE)),
      line: `Done about ${show.minutes(Math.round(savedMinutes))} sooner, and within everybody's rules.`,
      isUrgent: false,
    }),
  );
  const { hints, marks, birds } = marksNow(facts);
  const marked = hints.slice(0, 1).map(
    (mark): Next => ({
      title: `${MARK_WORDS[mark].name}: ${marks[mark]} of ${plural(birds, "bird")}`,
      line: MARK_WORDS[mark].hint,
      isUrgent: false,
    }),
  );
  return [...warm, ...tank, ...moves, ...marked, ...light, ...silent];
}
