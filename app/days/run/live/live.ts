import type { LiveEvent } from "#app/days/run/live/live-day.ts";
import { liveDay } from "#app/days/run/live/live-days.server.ts";
import { cursorFrom } from "#app/days/run/taps/cursor-from.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { SECOND } from "#core/calendar/milliseconds.ts";
import type { Route } from "./+types/live.ts";

/** Keeps the line open through whatever closes quiet ones, and lets phones set their clocks. */
const CLOCK_MILLISECONDS = 10 * SECOND;

/** The day's live link: what is new since a cursor, then whatever comes, as server-sent events. */
export function loader({ context, request, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const after = cursorFrom(
    request.headers.get("Last-Event-ID") ?? new URL(request.url).searchParams.get("after"),
  );
  const live = liveDay(here, day.id);
  const encoder = new TextEncoder();
  let stop = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = ({ name, data: said }: LiveEvent) => {
        const id = name === "news" ? `id: ${said.cursor}\n` : "";
        controller.enqueue(encoder.encode(`${id}event: ${name}\ndata: ${JSON.stringify(said)}\n\n`));
      };
      const leave = live.listen(say);
      if (!leave) {
        controller.error(new Error("too many listen"));
        return;
      }
      const clock = setInterval(() => say({ name: "clock", data: here.now() }), CLOCK_MILLISECONDS);
      stop = () => {
        clearInterval(clock);
        leave();
        stop = () => {};
      };
      say({ name: "clock", data: here.now() });
      say({ name: "news", data: { ...here.file.run.news(day.id, after), after } });
      if (live.forecast) say({ name: "forecast", data: live.forecast });
      request.signal.addEventListener("abort", () => {
        stop();
        try {
          controller.close();
        } catch {
          // It was closed by whoever read it.
        }
      });
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    // The compressor would hold events back until its buffer is full.
    headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform" },
  });
}
