import { RestMethods } from "#app/days/rest/rest-methods.tsx";
import { ButtonLink, EmptyPlace } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/rest.ts";

/** Before the first bird: what this page is for, how the birds are to rest, and where to say otherwise. */
export function NothingRests(loaded: Route.ComponentProps["loaderData"]) {
  const { dayId } = loaded.head;
  return (
    <>
      <EmptyPlace
        heading="No birds resting yet"
        action={
          <div className="flex flex-wrap justify-center gap-3">
            <ButtonLink to={`/days/${dayId}/run`}>To the run</ButtonLink>
            <ButtonLink kind="plain" to={`/days/${dayId}/rest/program`}>
              Plan the rest
            </ButtonLink>
          </div>
        }
      >
        <p>
          Each bird counted into the chill tank starts its rest, counted from its kill. This page then shows
          how long each part has rested, what to do with it, and when you can freeze, cook, or cut it.
        </p>
        <p>
          If you didn't count birds, rest them about a day from the last kill, two days for old birds, and go
          on to Pack.
        </p>
      </EmptyPlace>
      <RestMethods {...loaded} />
    </>
  );
}
