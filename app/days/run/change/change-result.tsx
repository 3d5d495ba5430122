import { Form } from "react-router";
import type { ChangeReading, Limit } from "#app/days/run/change/change-reading.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { startingLaterInWords } from "#app/words/weather-words.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { Chance } from "#core/day/forecast/run-forecast.ts";

interface ChangeResultProps {
  reading: ChangeReading;
  day: { readonly id: number; readonly revision: number };
  splitOn: string;
  entryId: string;
}

const LIMIT_WORDS: Readonly<Record<Limit["why"], string>> = {
  dark: "before sunset",
  hours: "within your work hours",
};

/** How the day would end, how many birds fit, and the ways to take it. */
export function ChangeResult({ reading, day, splitOn, entryId }: ChangeResultProps) {
  const { asPlanned, asChanged, birds = 0, planned, limit } = reading;
  const show = useShow();
  if (!asChanged)
    return <p className="yard-card rounded-sheet p-4">Fix what is marked to see the new finish.</p>;
  const left = planned - birds;
  return (
    <section aria-label="How the day would go" aria-live="polite" className="grid gap-3">
      {reading.weather && (
        <p className="yard-note px-3 py-2">{startingLaterInWords(reading.weather, show)}</p>
      )}
      <div className="yard-card grid gap-2 rounded-sheet p-4">
        <Finish now={asChanged.lastInChill} before={asPlanned.lastInChill} />
        {asChanged.allDone && (
          <p>
            All work done about <strong>{show.time(asChanged.allDone.likelyAt)}</strong>.
          </p>
        )}
        <p>
          {asChanged.birdsBy >= birds
            ? `All ${plural(birds, "bird")} are in the chill ${LIMIT_WORDS[limit.why]}`
            : `${asChanged.birdsBy} of ${plural(birds, "bird")} are in the chill ${LIMIT_WORDS[limit.why]}`}
          {Number.isFinite(limit.at) && ` (by ${show.time(limit.at)})`}, 9 times in 10.
        </p>
        {asChanged.iceFor !== undefined && (
          <p>
            {asChanged.iceFor >= birds
              ? "There is enough ice for all of them."
              : `There is enough ice for ${plural(asChanged.iceFor, "bird")}. Buy more or process fewer: a bird that isn't cold in time is lost.`}
          </p>
        )}
      </div>
      {reading.isChanged ? (
        <Accept reading={reading} day={day} splitOn={splitOn} entryId={entryId} left={left} />
      ) : (
        <p className="yard-soft">This is the day as planned. Check what changed to see the new finish.</p>
      )}
      <p className="yard-soft text-sm">
        Skinning is knife work; wrap skinned birds soon, and expect about a tenth less weight. Gas outdoors
        only, and nothing electric in the rain.
      </p>
    </section>
  );
}

function Finish({ now, before }: { now: Chance | undefined; before: Chance | undefined }) {
  const show = useShow();
  if (!now)
    return (
      <p className="text-lg">
        <strong>No one left is allowed to do all of the work.</strong> Choose who comes instead.
      </p>
    );
  const later = before ? Math.round((now.likelyAt - before.likelyAt) / MINUTE) : 0;
  return (
    <div className="grid gap-1">
      <p className="font-display text-4xl leading-tight">{show.time(now.likelyAt)}</p>
      <p>
        last bird likely in the chill; 9 in 10 by {show.time(now.nineInTenAt)}
        {before &&
          (Math.abs(later) < 2
            ? ", as planned"
            : `, ${show.minutes(Math.abs(later))} ${later > 0 ? "later" : "earlier"} than planned`)}
        .
      </p>
    </div>
  );
}

/** Fields as an address has them: a refusal shows again what was ticked and typed. */
function addressOf(fields: ChangeReading["fields"]): URLSearchParams {
  const pairs = Object.entries(fields).flatMap(([name, value]) =>
    [value].flat().map((one) => [name, String(one)]),
  );
  return new URLSearchParams(pairs);
}

/** The new plan is taken as it is, with fewer birds, or with the others on another day. */
function Accept({ reading, day, splitOn, entryId, left }: ChangeResultProps & { left: number }) {
  const { fields, asChanged, birds = 0 } = reading;
  const fits = Math.min(asChanged?.birdsBy ?? birds, asChanged?.iceFor ?? birds);
  const hidden = (more: Record<string, string>) =>
    Object.entries({ ...fields, ...more }).flatMap(([name, value]) =>
      [value]
        .flat()
        .map((one) => <input key={`${name}${one}`} type="hidden" name={name} value={String(one)} />),
    );
  return (
    <>
      {fits > 0 && fits < birds && (
        <Form method="get" action={`/days/${day.id}/run/change`} preventScrollReset>
          {hidden({ birds: String(fits) })}
          <button type="submit" className="yard-key yard-card w-full rounded-sheet">
            Process only {fits} today
          </button>
        </Form>
      )}
      <Form method="post" action={`/days/${day.id}/run/change?${addressOf(fields)}`} className="grid gap-3">
        {hidden({ entryId, seen: String(day.revision) })}
        <button type="submit" name="what" value="accept" className="yard-key yard-do rounded-sheet">
          {left > 0 ? `Use this plan: ${birds} birds today` : "Use this plan"}
        </button>
        {left > 0 && (
          <div className="grid grid-cols-2 items-end gap-3">
            <label className="grid gap-1">
              <span className="yard-soft">The other {left} on</span>
              <input
                type="date"
                name="splitOn"
                defaultValue={splitOn}
                className="yard-card min-h-16 min-w-0 rounded-sheet px-3 text-lg"
              />
            </label>
            <button type="submit" name="what" value="split" className="yard-key yard-card rounded-sheet">
              Split the day
            </button>
          </div>
        )}
      </Form>
    </>
  );
}
