import type { LiveEvent } from "#app/days/run/live/live-day.ts";
import { liveDay } from "#app/days/run/live/live-days.server.ts";
import { cursorFrom } from "#app/days/run/taps/cursor-from.ts";
import { attachedDevices, bathReadings } from "#app/server/device/attached-devices.server.ts";
import { eventStream } from "#app/server/event-stream.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireBareDay } from "#app/server/farm/required.server.ts";
import { HOUR, SECOND } from "#core/calendar/milliseconds.ts";
import { neededReadings } from "#core/day/run/bath-readings.ts";
import type { Route } from "./+types/live.ts";

/** Keeps the line open through whatever closes quiet ones, and lets phones set their clocks. */
const CLOCK_MILLISECONDS = 10 * SECOND;

/** The day's live link: what is new since a cursor, then whatever comes, as server-sent events. */
export function loader({ context, request, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const day = requireBareDay(here, params.dayId);
  const after = cursorFrom(
    request.headers.get("Last-Event-ID") ?? new URL(request.url).searchParams.get("after"),
  );
  const live = liveDay(here, day.id);
  const attached = attachedDevices(here);
  return eventStream(request, (sayEvent) => {
    const say = ({ name, data }: LiveEvent) =>
      sayEvent(name, data, name === "news" ? data.cursor : undefined);
    const leave = live.listen(say);
    const leaveDevices = attached.listen((status) => say({ name: "device", data: status }));
    if (!leave || !leaveDevices) {
      leave?.();
      leaveDevices?.();
      return undefined;
    }
    const clock = setInterval(() => say({ name: "clock", data: here.now() }), CLOCK_MILLISECONDS);
    say({ name: "clock", data: here.now() });
    say({ name: "news", data: { ...here.file.run.news(day.id, after), after } });
    const probe = bathReadings(here, day.startAt - HOUR);
    const bath = neededReadings(here.file.run.facts(day.id), probe, here.now());
    say({ name: "attached", data: { devices: attached.statuses(), bath } });
    say({ name: "plan", data: day.revision });
    if (live.forecast) say({ name: "forecast", data: live.forecast });
    return () => {
      clearInterval(clock);
      leave();
      leaveDevices();
    };
  });
}
