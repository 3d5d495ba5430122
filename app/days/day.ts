import { redirect } from "react-router";
import { now } from "#app/server/clock.server.ts";
import { progressOf, requireDay } from "#app/server/day-reading.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { restStage } from "#core/rest/rest.ts";
import type { Route } from "./+types/day.ts";

/** A day opens on the leaf that the clock says. */
export function loader({ params }: Route.LoaderArgs) {
  const { farm, day, batch } = requireDay(params.dayId);
  const packed = farmFile().pack.carcasses(day.id).length;
  const { state, lastBirdAt, done } = progressOf(day);
  const leaf = (() => {
    if (day.settledEntryId) return "settle";
    if (packed > 0) return packed >= Math.max(done, 1) && packed >= day.birds ? "settle" : "pack";
    if (state === "running" || state === "paused") return "run";
    if (state === "finished") {
      const hours = lastBirdAt === undefined ? 0 : (now() - lastBirdAt) / 3_600_000;
      return restStage(hours, batch.kind) === "rested" ? "pack" : "rest";
    }
    return localDayOf(now(), farm.timeZone) === day.processedOn ? "run" : "plan";
  })();
  throw redirect(`/days/${day.id}/${leaf}`);
}
