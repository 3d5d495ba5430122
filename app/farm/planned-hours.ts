import { data, redirect } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { instantOf, localClock, localDayOf, startOfDay } from "#core/calendar/farm-time.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Route } from "./+types/planned-hours.ts";

/** Has days that were planned by the clock of another time zone go by the farm's: at the same hour, or at the same moment. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { timeZone } = requireFarm(here);
  const keep = (await formFields(request)).get("keep");
  if (keep !== "hour" && keep !== "moment")
    throw data("Choose whether to keep the hours or the moments.", { status: 400 });
  const days = here.file.openDays().filter((day) => day.timeZone !== timeZone);
  here.file.moveToZone(days.map(keep === "hour" ? sameHour(timeZone) : sameMoment(timeZone)), timeZone);
  return redirect("/farm?saved", 303);
}

const sameMoment =
  (timeZone: string) =>
  ({ id, startAt }: ProcessingDay) => ({ id, startAt, processedOn: localDayOf(startAt, timeZone) });

const sameHour =
  (timeZone: string) =>
  ({ id, startAt, processedOn, timeZone: before }: ProcessingDay) => {
    const start = instantOf(processedOn, localClock(startAt, before), timeZone);
    // An hour that the night's change of clocks leaves out.
    return { id, processedOn, startAt: start.exists ? start.at : startOfDay(processedOn, timeZone) };
  };
