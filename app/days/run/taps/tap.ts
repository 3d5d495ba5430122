import { data, redirect } from "react-router";
import { keptPlanOf } from "#app/days/run/kept-plan-of.server.ts";
import { answerToPhone } from "#app/days/run/taps/answer-to-phone.server.ts";
import { refuseSettled } from "#app/days/run/taps/refuse-settled.ts";
import { TapForm } from "#app/days/run/taps/tap-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { requireBareDay } from "#app/server/farm/required.server.ts";
import { readWithPool } from "#app/server/pooled/pooled.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { FACT_FAULT_WORDS } from "#app/words/run-words.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { factFault } from "#core/day/run/day-fact.ts";
import type { Route } from "./+types/tap.ts";

/** A phone's clock may be ahead by this much; past it the tap counts as of now. */
const CLOCK_SLACK_MILLISECONDS = MINUTE;

/** One thing that happened on the day. The same tap sent again is counted once. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const day = requireBareDay(here, params.dayId);
  const tap = TapForm.safeParse(Object.fromEntries(await formFields(request)));
  if (!tap.success) throw data("That count can't be read. Reload the page.", { status: 400 });
  const { answer, after, entryId, file, at: tappedAt, ...said } = tap.data;
  if (file !== undefined && file !== here.file.run.fileId()) return new Response(OTHER_FILE, { status: 409 });
  const { birds, number, celsius, bags, word } = said;
  const fault = factFault({ ...said, birds, number, celsius, bags, word });
  if (fault !== undefined)
    return answer
      ? new Response(FACT_FAULT_WORDS[fault], { status: 422 })
      : redirect(`/days/${day.id}/run`, 303);
  const at = Math.min(tappedAt ?? here.now(), here.now() + CLOCK_SLACK_MILLISECONDS);
  const entry = { entryId, at: here.now() };
  const { run } = here.file;
  // Whoever taps the first thing that only happens on a running day has started it.
  const starts = said.kind === "start" || (STARTS_THE_DAY.has(said.kind) && !run.hasBegun(day.id));
  const plan = starts
    ? await readWithPool(request.signal, () => keptPlanOf(here, requireFarm(here), day, at))
    : undefined;
  const before = run.cursor(day.id);
  const outcome = here.file.together(() => {
    const start = { kind: "start", at, person: said.person, device: said.device } as const;
    if (plan && said.kind === "start") return run.start(entry, day.id, { ...said, at }, plan);
    if (plan && !run.hasBegun(day.id))
      run.start({ ...entry, entryId: `${entryId.slice(0, 58)}-start` }, day.id, start, plan);
    return run.record(entry, day.id, { ...said, at });
  });
  if (!outcome.recorded && outcome.reason === "day-settled") return refuseSettled(answer !== undefined);
  if (!outcome.recorded && outcome.reason === "entry-used")
    return new Response(SENT_CHANGED, { status: 409 });
  const reply = answerToPhone(here, day.id, before, after);
  return answer ? reply : redirect(`/days/${day.id}/run`, 303);
}

const SENT_CHANGED =
  "This tap was already saved with different values. The first one counts; this one was not saved. Discard it, and tap again if both happened.";

/** A farm that was made anew must not receive what was tapped for the one before. */
const OTHER_FILE = "These taps are for another data file than the one this computer has open now.";

const STARTS_THE_DAY: ReadonlySet<string> = new Set([
  "bird",
  "kill",
  "dip-in",
  "dip-out",
  "plucked",
  "table",
]);
