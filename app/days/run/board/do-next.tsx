import type { CSSProperties } from "react";
import { nextThings } from "#app/days/run/board/next-things.ts";
import type { Post } from "#app/days/run/post/use-post.ts";
import { useShow } from "#app/ui/use-show.tsx";

const MOST_SHOWN = 3;

/** The next three things to do, and who does them where that is known. */
export function DoNext({ post }: { post: Post }) {
  const next = nextThings(post, useShow());
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
