import { data, redirect } from "react-router";
import { z } from "zod";
import { refuseSettled } from "#app/days/run/refuse-settled.ts";
import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { entryId } from "#app/ui/read/read-field.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { milligramsFromKilograms } from "#core/quantity/conversion.ts";
import type { KeptPlan } from "#db/day/day-queries.server.ts";
import type { Route } from "./+types/tap.ts";

const Tap = z.object({
  entryId,
  kind: z.enum(["start", "bird", "pause", "resume", "note", "finish"]),
  note: z.string().trim().max(1000).default(""),
  at: z
    .string()
    .regex(/^\d{12,14}$/)
    .transform(Number)
    .optional(),
  answer: z.enum(["json"]).optional(),
});

/** A phone's clock may be ahead by this much; past it the tap counts as of now. */
const CLOCK_SLACK_MILLISECONDS = MINUTE;

/** One thing that happened on the day. The same tap sent again is counted once. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const tap = Tap.safeParse(Object.fromEntries(await formFields(request)));
  if (!tap.success) throw data("That count can't be read. Reload the page.", { status: 400 });
  const { kind, note, answer } = tap.data;
  if (kind === "note" && note === "") {
    return answer ? new Response("Enter a note.", { status: 422 }) : redirect(`/days/${day.id}/run`, 303);
  }
  const at = Math.min(tap.data.at ?? here.now(), here.now() + CLOCK_SLACK_MILLISECONDS);
  const entry = { entryId: tap.data.entryId, at: here.now() };
  const { run } = here.file;
  const isUnstarted = kind === "bird" && progressOf(here, day).state === "not-started";
  const outcome = here.file.together(() => {
    if (kind === "start") return run.start(entry, day.id, at, keptPlan());
    // Whoever taps the first bird has started the day.
    if (isUnstarted)
      run.start({ ...entry, entryId: `${entry.entryId.slice(0, 58)}-start` }, day.id, at, keptPlan());
    return run.record(entry, day.id, { kind, at, note });
  });
  if (!outcome.recorded && outcome.reason === "day-settled") return refuseSettled(answer !== undefined);
  return answer ? Response.json({ events: run.events(day.id) }) : redirect(`/days/${day.id}/run`, 303);

  function keptPlan(): KeptPlan {
    const { plan } = planOf(here, farm, day);
    return {
      keptAt: at,
      birdCount: birdsOf(day),
      startAt: day.startAt,
      likelyAt: Math.round(plan.line.likelyAt.value),
      wholeDayMinutes: Math.round(plan.line.wholeDayMinutes.value),
      iceBagCount: plan.chill.bags.value,
      lots: plan.lots.map(({ withdrawal, forecast }, index) => ({
        lotId: day.lots[index]!.id,
        birdCount: day.lots[index]!.birds,
        feedOffAt: Math.round(withdrawal.feedOffAt.value),
        liveMeanMilligrams: milligramsFromKilograms(forecast.live.value),
        dressedMeanMilligrams: milligramsFromKilograms(forecast.dressed.value),
      })),
    };
  }
}
