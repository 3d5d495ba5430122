import { Form, Link } from "react-router";
import { Button, ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { LOOK_REASON_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import type { LookReason } from "#core/day/run/day-fact.ts";
import type { Route } from "./+types/cut.ts";

/** The birds themselves: those marked at the table first, with the reason and the band, then those weighed for the knife. */
export function BirdsToCut({ looked, toCut, day, chosen }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  return (
    <Sheet heading="Which birds">
      {looked.length > 0 && (
        <>
          <h3 className="pt-1 font-semibold">Marked on the day, cut these first</h3>
          <ul className="flex flex-wrap gap-2 py-2">
            {looked.map(({ entryId, number, note }) => (
              <li key={entryId} className="rounded-sheet border border-soft px-3 py-1">
                {number === undefined ? "no band" : `band ${number}`}:{" "}
                {LOOK_REASON_WORDS[note as LookReason] ?? (note || "no reason given")}
              </li>
            ))}
          </ul>
        </>
      )}
      {toCut.length > 0 && (
        <>
          <h3 className="pt-1 font-semibold">{plural(toCut.length, "bird")} to cut up, the biggest first</h3>
          <ul className="flex flex-wrap gap-2 py-2">
            {toCut
              .toSorted((one, other) => (other.weightMilligrams ?? 0) - (one.weightMilligrams ?? 0))
              .map(({ id, birdNumber, weightMilligrams }) => (
                <li key={id}>
                  <Link
                    to={`/days/${day.id}/pack/${id}`}
                    className="inline-grid min-h-11 min-w-11 content-center rounded-sheet border border-soft px-3"
                  >
                    bird {birdNumber}, {show.bird(weightMilligrams ?? 0)}
                  </Link>
                </li>
              ))}
          </ul>
        </>
      )}
      <div className="flex flex-wrap gap-3 py-2 print:hidden">
        <ButtonLink kind="plain" to={`/days/${day.id}/cut/choose`}>
          Cut up more: the biggest
        </ButtonLink>
        {chosen !== undefined && (
          <Form method="post" action={`/days/${day.id}/pack/take-back`}>
            <input type="hidden" name="entryId" value={chosen} />
            <input type="hidden" name="back" value="cut" />
            <Button kind="plain">Undo that choice</Button>
          </Form>
        )}
      </div>
    </Sheet>
  );
}
