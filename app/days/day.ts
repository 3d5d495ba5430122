import { redirect } from "react-router";
import { progressOf } from "#app/server/day/plan-of-day.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";
import { mayOpen } from "#app/ui/visitor/route-roles.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { restStage } from "#core/rest/rest.ts";
import type { Route } from "./+types/day.ts";

/** A day opens on the leaf that the clock says. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const packed = here.file.pack.carcassCount(day.id);
  const { state, lastBirdAt, done } = progressOf(here, day);
  const leaf = (() => {
    if (day.settledEntryId) return "settle";
    if (packed > 0) return packed >= Math.max(done, 1) && packed >= birdsOf(day) ? "settle" : "pack";
    if (state === "running" || state === "paused")
      return isOnSeveralPhones(here, day.id) ? "run/board" : "run";
    if (state === "finished") {
      const hours = lastBirdAt === undefined ? 0 : (here.now() - lastBirdAt) / HOUR;
      return lots.every(({ batch }) => restStage(hours, batch.kind) === "rested") ? "pack" : "rest";
    }
    return localDayOf(here.now(), farm.timeZone) === day.processedOn ? "run" : "plan";
  })();
  const { role } = context.get(visitorContext);
  const seen = mayOpen(role, `/days/${day.id}/${leaf}`) ? leaf : LEAF_INSTEAD[leaf];
  throw redirect(`/days/${day.id}/${seen ?? "run"}`);
}

/** For those who may not open a leaf. */
const LEAF_INSTEAD: Readonly<Record<string, string | undefined>> = { plan: "tasks", settle: "pack" };

const SEVERAL_PHONES = 3;

/** Where several phones tap, each has its post, and whoever opens the day wants to see all of it. */
const isOnSeveralPhones = (here: FarmContext, dayId: number): boolean =>
  new Set(here.file.run.facts(dayId).map(({ device }) => device)).size >= SEVERAL_PHONES;
