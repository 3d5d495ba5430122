import { liveDay } from "#app/days/run/live/live-days.server.ts";
import { cursorFrom } from "#app/days/run/taps/cursor-from.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";

/** Changes that an answer may carry at most, so that it stays small: a phone that has missed more asks for them once. */
const MOST_CHANGES = 16;

/**
 * Tells everyone of a change, and answers the phone that sent it with the change and, if it is little, with what that
 * phone had missed before it.
 *
 * @param before the day's cursor before the change
 * @param after the cursor that the phone knows, as it was sent
 */
export function answerToPhone(here: FarmContext, dayId: number, before: number, after: unknown): Response {
  liveDay(here, dayId).changed(before);
  const known = cursorFrom(String(after));
  const from = before - known > MOST_CHANGES ? before : Math.min(known, before);
  return Response.json({ ...here.file.run.news(dayId, from), after: from });
}
