import type { Post } from "#app/days/run/post/use-post.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { countOf } from "#core/day/run/day-fact.ts";
import { feedOffOf } from "#core/day/run/feed-off-of.ts";
import { lotOfBird } from "#core/day/run/lot-of-bird.ts";

/** Birds that wait for the scald from which on the killing should slow down. Our choice: they cool and their feathers set. */
const TOO_MANY_WAIT = 2;

/** How long the lot that is killed now is off feed, what comes next, and whether the scald can keep up. */
export function PenOffFeed({ post: { facts, reading, forecast, now } }: { post: Post }) {
  const show = useShow();
  const killed = Math.max(countOf(facts, "kill"), countOf(facts, "bird"));
  const lot = reading.lots[lotOfBird(reading.lots, killed + 1)]!;
  const { batchName, pens, feedOffAt, windowHours } = lot;
  const pulled = feedOffOf(facts, lot) ?? feedOffAt;
  const dipped = countOf(facts, "dip-in");
  const waiting = dipped > 0 ? countOf(facts, "cone-out") - dipped : 0;
  const caught = countOf(facts, "caught");
  const inCrates = caught - killed - countOf(facts, "dead-in-crate") - countOf(facts, "not-killed");
  return (
    <section aria-label="This lot" className="yard-note grid gap-1">
      <p className="yard-soft">{[batchName, ...pens].join(", ")}, off feed</p>
      {pulled !== undefined && now > pulled && (
        <p className="font-display text-2xl">{show.minutes(Math.round((now - pulled) / MINUTE))}</p>
      )}
      {pulled !== undefined && forecast?.lastKillAt !== undefined && forecast.lastKillAt > now && (
        <p>
          The day's last bird goes in about {show.time(forecast.lastKillAt)}, after{" "}
          {show.minutes(Math.round((forecast.lastKillAt - pulled) / MINUTE))}
          {forecast.lastKillAt > pulled + windowHours * HOUR &&
            `; the feed window ends at ${show.time(pulled + windowHours * HOUR)}`}
          .
        </p>
      )}
      {caught > 0 && (
        <p>{inCrates > 0 ? `${plural(inCrates, "bird")} left in the crates.` : "Bring the next crate."}</p>
      )}
      {waiting > TOO_MANY_WAIT && <p>{plural(waiting, "bird")} already wait at the scald: slow down.</p>}
    </section>
  );
}
