import { data, redirect } from "react-router";
import { currentProposal, keepAnswer } from "#app/season/calendar/season-job.server.ts";
import { seasonFacts } from "#app/server/day/season-reading.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { readWithPool } from "#app/server/pooled/pooled.server.ts";
import { ENTRY_USED, formFields } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { seasonPlan } from "#core/day/season/season-plan.ts";
import { moveOf } from "#core/season/season-moves.ts";
import type { Route } from "./+types/pin-birds.ts";

export const loader = () => redirect("/season");

/** Pins the birds of a proposed day, where they are or on another day, and moves them there. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const fields = await formFields(request);
  const text = (name: string) => String(fields.get(name) ?? "");
  const batchId = Number(text("batchId"));
  const [from, to] = [text("from"), text("to")];
  const entryId = text("entryId");
  if (!isEntryId(entryId)) throw data("This form lost its ID. Open the season again.", { status: 400 });
  const file = here.file;
  if (file.knowsEntry(entryId)) {
    const isRepeat = file.season
      .pins()
      .some((pin) => pin.entryId === entryId && pin.batchId === batchId && pin.pinnedOn === to);
    if (!isRepeat) throw data(ENTRY_USED, { status: 409 });
    return redirect("/season", 303);
  }
  const plan = await readWithPool(request.signal, () => seasonPlan(seasonFacts(here, farm)));
  const current = currentProposal(here, plan);
  const group = plan.groups.findIndex((one) => one.batchId === batchId);
  const dayAt = (day: string) => plan.days.findIndex((one) => one.day === day);
  const birds = (current?.answer.placements ?? [])
    .filter((one) => one.group === group && one.day === dayAt(from))
    .reduce((sum, one) => sum + one.birds, 0);
  const gone = () =>
    data("These birds have moved since the page was loaded. Open the season again.", { status: 409 });
  if (!current || birds === 0) throw gone();
  const move = from === to ? undefined : moveOf(plan.problem, current.answer, group, dayAt(from), dayAt(to));
  if (from !== to && !move) throw gone();
  const answer = move?.answer ?? current.answer;
  const there = answer.placements
    .filter((one) => one.group === group && one.day === dayAt(to))
    .reduce((sum, one) => sum + one.birds, 0);
  file.together(() => {
    for (const pin of file.season.pins())
      if (pin.batchId === batchId && (pin.pinnedOn === from || pin.pinnedOn === to))
        file.removeFact(pin.entryId, here.now());
    file.season.addPin({ entryId, at: here.now() }, { batchId, pinnedOn: to, birdCount: there });
    const { outcome, seconds, boundCents } = current.proposal;
    // With the pin in it the plan is another one, to which this answer belongs.
    const pinned = seasonPlan(seasonFacts(here, farm));
    keepAnswer(
      here,
      pinned,
      answer,
      move ? { outcome: "moved", seconds, boundCents: null } : { outcome, seconds, boundCents },
    );
  });
  return redirect("/season", 303);
}
