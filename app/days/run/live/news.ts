import { cursorFrom } from "#app/days/run/taps/cursor-from.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireBareDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/news.ts";

/** What is new about a day since a cursor, for a window that has missed some of it. */
export function loader({ context, request, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const day = requireBareDay(here, params.dayId);
  const after = cursorFrom(new URL(request.url).searchParams.get("after"));
  return Response.json({ ...here.file.run.news(day.id, after), after });
}
