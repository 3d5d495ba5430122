import { Agent, request } from "node:http";
import type { RawRequest } from "#commands/soak/hostile-request.ts";

export interface RawAnswer {
  /** 0 where the link was closed without an answer, which an HTTP parser may do with what is no HTTP. */
  readonly status: number;
  readonly milliseconds: number;
  readonly location: string | undefined;
  readonly bytes: number;
  /** Nothing came within the patience. */
  readonly isHung: boolean;
}

const agent = new Agent({ keepAlive: true, maxSockets: 16 });

/** Sends a request just as it stands, and reads the whole answer. */
export function sendRaw(
  port: number,
  { method, path, headers, body }: RawRequest,
  patience: number,
): Promise<RawAnswer> {
  const startedAt = performance.now();
  return new Promise((resolve) => {
    let bytes = 0;
    const answered = (status: number, isHung = false, location?: string) =>
      resolve({ status, bytes, isHung, location, milliseconds: performance.now() - startedAt });
    let outgoing: ReturnType<typeof request>;
    try {
      outgoing = request({ host: "127.0.0.1", port, method, path, headers, agent, setHost: false });
    } catch {
      // Node itself refuses to send it.
      return answered(400);
    }
    const timer = setTimeout(() => {
      answered(0, true);
      outgoing.destroy();
    }, patience);
    outgoing.once("error", () => {
      clearTimeout(timer);
      answered(0);
    });
    outgoing.once("response", (response) => {
      const end = () => {
        clearTimeout(timer);
        answered(response.statusCode ?? 0, false, response.headers.location);
      };
      // A live link never ends by itself.
      if (response.headers["content-type"]?.startsWith("text/event-stream")) {
        end();
        return void response.destroy();
      }
      response.on("data", (chunk: Buffer) => {
        bytes += chunk.length;
      });
      response.once("end", end);
      response.once("error", end);
    });
    outgoing.end(body);
  });
}
