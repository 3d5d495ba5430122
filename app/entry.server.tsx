import { PassThrough } from "node:stream";
import { buffer } from "node:stream/consumers";
import { renderToPipeableStream } from "react-dom/server";
import { type EntryContext, type HandleErrorFunction, ServerRouter } from "react-router";
import { log } from "#app/server/log.server.ts";
import { NONCE_HEADER } from "#app/server/page-headers.server.ts";
import { NonceProvider } from "#app/ui/nonce.ts";

/** For the server, which wraps every page's reading in it. */
export { readWithPool } from "#app/server/pooled/pooled.server.ts";

const ABORT_MILLISECONDS = 5_000;

/** Sends a page when all of it is ready: it works before JavaScript arrives, and nothing of it is waited for later. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
) {
  return new Promise<Response>((resolve, reject) => {
    const nonce = request.headers.get(NONCE_HEADER) ?? undefined;
    const page = (
      <NonceProvider value={nonce}>
        <ServerRouter context={context} url={request.url} {...(nonce !== undefined && { nonce })} />
      </NonceProvider>
    );
    const { pipe, abort } = renderToPipeableStream(page, {
      ...(nonce !== undefined && { nonce }),
      onAllReady() {
        clearTimeout(timer);
        const body = new PassThrough();
        headers.set("Content-Type", "text/html; charset=utf-8");
        pipe(body);
        // In one piece: sent in many, each wait for the compressor would leave a listener behind.
        buffer(body).then(
          (bytes) => resolve(new Response(new Uint8Array(bytes), { status, headers })),
          reject,
        );
      },
      onShellError: reject,
      onError: (error) => log.error({ err: error, url: request.url }, "page failed"),
    });
    const timer = setTimeout(abort, ABORT_MILLISECONDS);
  });
}

export const handleError: HandleErrorFunction = (error, { request }) => {
  if (!request.signal.aborted) log.error({ err: error, url: request.url }, "request failed");
};
