import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import { comes } from "#core/day/crew/who-can-come.ts";

/** How far ahead a day is looked for on which somebody can come. */
const LOOKED_AHEAD_DAYS = 14;

/** The page on which another day is planned for the birds that do not fit: the next on which somebody can come. */
export function planForOthers(
  { file }: FarmContext,
  left: { readonly batchId: number; readonly birds: number },
  processedOn: LocalDay,
): string {
  const ahead = Array.from({ length: LOOKED_AHEAD_DAYS }, (_, index) => addDays(processedOn, index + 1));
  const people = file.people.people();
  const said = file.people.personDays(ahead[0]!, ahead.at(-1)!);
  const on = ahead.find((day) => people.some((person) => comes(person, said, day).canCome)) ?? ahead[0]!;
  const { batchId, birds } = left;
  return `/days/new?${new URLSearchParams({ batch: String(batchId), birds: String(birds), on })}`;
}
