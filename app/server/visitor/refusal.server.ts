import { redirect } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { Visitor } from "#app/server/visitor/visitor.server.ts";
import { isIn, rolesOf } from "#app/ui/visitor/route-roles.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { daysBetween } from "#core/calendar/local-day.ts";

interface Asked {
  readonly request: Request;
  /** Of the route, as the framework has it. */
  readonly pattern: string;
  readonly params: Readonly<Record<string, string | undefined>>;
}

const READS: ReadonlySet<string> = new Set(["GET", "HEAD"]);
/** A helper's days: the one before the work, for what is done in the evening, and a week after it, for rest and packing. */
const DAYS_BEFORE = 1;
const DAYS_AFTER = 7;

/** Sends away whoever may not do what they ask for: strangers to sign in, the others with a sentence. */
export function refuseUnlessMay(
  here: FarmContext,
  visitor: Visitor,
  { request, pattern, params }: Asked,
): void {
  const { read, write } = rolesOf(pattern);
  const isRead = READS.has(request.method);
  if (visitor.role === undefined && !isIn(isRead ? read : write, undefined)) {
    if (isRead && request.headers.get("Sec-Fetch-Dest") !== "empty") throw redirect("/sign-in");
    throw new Response(
      "This device has not joined the farm, or was blocked. Ask an owner for access. Nothing was saved.",
      { status: 401 },
    );
  }
  if (!isIn(isRead ? read : write, visitor.role))
    throw new Response(
      isRead ? "Only owners can open this page." : "Only owners can change this. Nothing was saved.",
      {
        status: 403,
      },
    );
  if (visitor.role === "helper" && params.dayId !== undefined && !isAtHand(here, Number(params.dayId)))
    throw new Response("Helpers can open current processing days only.", {
      status: 403,
    });
}

/** Whether a day is worked on about now. */
export function isAtHand(here: FarmContext, dayId: number): boolean {
  const farm = here.file.farm();
  const day = here.file.day(dayId);
  if (!farm || !day) return false;
  const ago = daysBetween(day.processedOn, localDayOf(here.now(), farm.timeZone));
  return ago >= -DAYS_BEFORE && ago <= DAYS_AFTER;
}
