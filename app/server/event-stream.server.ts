const EVENT_STREAM = "text/event-stream";

/** Says an event to whoever reads the stream. */
export type SayEvent = (name: string, data: unknown, id?: number) => void;

/**
 * A response that stays open and tells of events as they come (server-sent events).
 *
 * @throws a 406 page for whoever did not ask for a stream and would wait for its end
 * @param begin starts telling; returns what ends it, or undefined where too many listen already
 */
export function eventStream(
  { signal, headers }: Request,
  begin: (say: SayEvent) => (() => void) | undefined,
): Response {
  if (!headers.get("Accept")?.includes(EVENT_STREAM)) throw new Response(null, { status: 406 });
  const encoder = new TextEncoder();
  let stop = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const leave = begin((name, data, id) => {
        const withId = id === undefined ? "" : `id: ${id}\n`;
        controller.enqueue(encoder.encode(`${withId}event: ${name}\ndata: ${JSON.stringify(data)}\n\n`));
      });
      if (!leave) {
        controller.error(new Error("too many listen"));
        return;
      }
      stop = () => {
        stop = () => {};
        leave();
      };
      signal.addEventListener("abort", () => {
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
    headers: { "Content-Type": EVENT_STREAM, "Cache-Control": "no-cache, no-transform" },
  });
}
