import { Form } from "react-router";
import { Figure } from "#app/ui/figure.tsx";
import { Button, ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { REST_METHOD_WORDS, STAGE_WORDS } from "#app/words/packing/rest-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { brineRecipe } from "#core/chill/brine.ts";
import { MILLILITERS_PER_GALLON } from "#core/quantity/conversion.ts";
import { restStage } from "#core/rest/rest.ts";
import { rigorPassed } from "#core/rest/rest-reckoning.ts";
import type { Route } from "./+types/rest.ts";

type Loaded = Route.ComponentProps["loaderData"];
type Part = Loaded["parts"][number];

/** Each part of the birds that rests alike: where it stands, by when it is ready, and its brine. */
export function RestParts(loaded: Loaded) {
  const { parts, head, programEntryId } = loaded;
  return (
    <Sheet heading="Resting now" beside={programEntryId === undefined ? "our proposal" : "as you planned it"}>
      <ul>
        {parts.map((part, index) => (
          <li key={`${part.lotId} ${index}`} className="grid gap-2 border-b border-rule py-3 last:border-b-0">
            <OnePart part={part} {...loaded} />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3 py-2 print:hidden">
        <ButtonLink kind="plain" to={`/days/${head.dayId}/rest/program`}>
          Change the rest
        </ButtonLink>
        {programEntryId !== undefined && (
          <Form method="post" action="/take-back">
            <input type="hidden" name="entryId" value={programEntryId} />
            <input type="hidden" name="back" value={`/days/${head.dayId}/rest`} />
            <Button kind="plain">Undo the last change</Button>
          </Form>
        )}
      </div>
    </Sheet>
  );
}

function OnePart({ part, at, lots, places, facts }: Loaded & { part: Part }) {
  const show = useShow();
  const { times, kind } = part;
  const place = places.find(({ id }) => id === part.placeId)?.name;
  const first = restStage((at - times.firstKillAt) / HOUR, kind);
  const last = restStage((at - times.lastKillAt) / HOUR, kind);
  return (
    <>
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <b className="font-display text-xl">
          {plural(part.birds, "bird")}
          {lots.length > 1 ? ` of ${part.batchName}` : ""},{" "}
          {REST_METHOD_WORDS[part.method].name.toLowerCase()}
        </b>
        <span className="font-mono text-xl">{dueInWords(part, at, show)}</span>
      </p>
      <p className={first === last && last === "rested" ? "font-semibold" : ""}>
        {first === last && last === "rested" && at < times.dueAt
          ? `Rigor has passed: you may freeze, cook, or cut them up. The rest that was planned goes on until ${show.dayTime(times.dueAt)}.`
          : sayingOf(first, last)}
      </p>
      <p className="text-soft">
        Killed {show.dayTime(times.firstKillAt)} to {show.time(times.lastKillAt)}.
        {place ? ` To rest in ${place}.` : ""} {part.cover === "wrapped" ? "Covered." : ""}
      </p>
      <Figure
        size="small"
        label="Rigor is over for the last of them"
        reckoning={rigorPassed({ kind, ...times })}
      />
      {last !== "rested" && (
        <p className="text-soft">
          One for tonight: {at < part.cook.before && `cook it before ${show.dayTime(part.cook.before)}, or `}
          not until {show.dayTime(part.cook.after)}.
        </p>
      )}
      {part.saltPermille !== undefined && <Brine part={part} facts={facts} />}
    </>
  );
}

function dueInWords({ times, method }: Part, at: number, show: Show): string {
  if (method === "straight-on") return "pack when cold";
  return at >= times.dueAt
    ? "ready"
    : at >= times.dueFrom
      ? `from the first on; all ${show.dayTime(times.dueAt)}`
      : `ready ${show.dayTime(times.dueAt)}`;
}

function sayingOf(first: keyof typeof STAGE_WORDS, last: keyof typeof STAGE_WORDS): string {
  if (first === last) return STAGE_WORDS[first];
  return first === "rested"
    ? "The first birds are rested; the last are not. Freeze or cook them in the order they were killed."
    : "The first birds are going into rigor; leave them. Only the last few can still be cooked, within the hour.";
}

/** The brine of a part by weight, its clock, and the caution that goes with it. */
function Brine({ part, facts }: { part: Part } & Pick<Loaded, "facts">) {
  const show = useShow();
  const hasHappened = (kind: "brine-in" | "brine-out") =>
    facts.findLast((fact) => fact.kind === kind && (fact.lotId === undefined || fact.lotId === part.lotId));
  const inAt = hasHappened("brine-in")?.at;
  const outAt = hasHappened("brine-out")?.at;
  const dueAt = inAt === undefined ? undefined : inAt + part.brineHours! * HOUR;
  // For a measure that a farm has at hand; how much water covers the birds, it measures.
  const liters = show.isUs ? MILLILITERS_PER_GALLON / 1000 : 10;
  const { saltKilograms } = brineRecipe({
    aim: "brine",
    saltFraction: part.saltPermille! / 1000,
    waterLiters: liters,
    meatKilograms: 0,
  });
  const sugarKilograms = (part.sugarPermille! / 1000) * (liters + saltKilograms);
  return (
    <p className="border-l-4 border-straw pl-3">
      Brine of {show.decimal(part.saltPermille! / 10, 1)} %: to each{" "}
      {show.isUs ? "gallon" : show.volume(liters)} of water {show.value(saltKilograms * 1000, "grams")} of
      salt
      {sugarKilograms > 0 && ` and ${show.value(sugarKilograms * 1000, "grams")} of sugar`}, by weight.{" "}
      {outAt !== undefined && inAt !== undefined && outAt >= inAt ? (
        `Out since ${show.dayTime(outAt)}.`
      ) : dueAt === undefined ? (
        `${part.brineHours} h from when they go in.`
      ) : (
        <b>Out at {show.dayTime(dueAt)}.</b>
      )}{" "}
      Keep it under {show.temperature(40 / 9)} and throw it away after. Brined birds carry an added solution:
      say so on the label.
    </p>
  );
}
