import { hostname, networkInterfaces } from "node:os";
import type { RequestHandler } from "express";
import { mostBytesTo } from "#app/server/body-limit.server.ts";

/** What the gate reads of a request. Header names are in lower case, as Node gives them. */
export interface GateRequest {
  readonly method: string;
  /** Path and query, as they were sent. */
  readonly url: string;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}

export interface GateRefusal {
  readonly status: 400 | 403 | 405 | 411 | 413 | 414;
  /** Says what to do, for whoever sees it. */
  readonly words: string;
}

const READS: readonly string[] = ["GET", "HEAD"];
/** No address of ours is longer, a filter and a place to go back to included. */
const MAX_URL_LENGTH = 4096;
/** A name or an address in brackets, with or without a port. */
const HOST = /^(?<name>[a-z0-9.-]{1,253}|\[[0-9a-f:.]{2,45}\])(?::\d{1,5})?$/i;

/**
 * Names and addresses under which this machine may be asked: loopback, its own name, its own addresses, and those that
 * PALE_MORNING_HOSTS adds, with commas between.
 */
export function ownHosts(added = process.env.PALE_MORNING_HOSTS ?? ""): ReadonlySet<string> {
  const addresses = Object.values(networkInterfaces())
    .flatMap((entries) => entries ?? [])
    .map(({ address, family }) => (family === "IPv6" ? `[${address.split("%")[0]}]` : address));
  const name = hostname().toLowerCase();
  const named = added
    .split(",")
    .map((one) => one.trim().toLowerCase())
    .filter(Boolean);
  return new Set(["localhost", "127.0.0.1", "[::1]", name, `${name}.local`, ...addresses, ...named]);
}

/**
 * Why a request is turned away before anything of it is read further; undefined where it may pass.
 *
 * Only this machine's own names are answered, so that a name of someone else's that points here reaches nothing. A write
 * has to come from a page of ours: its Origin is the host it goes to, and a browser that says where it comes from says
 * the same site. A write that says neither is refused: browsers always say.
 */
export function gateRefusal(
  { method, url, headers }: GateRequest,
  hosts: ReadonlySet<string>,
): GateRefusal | undefined {
  const host = single(headers.host);
  const name = host === undefined ? undefined : HOST.exec(host)?.groups?.name?.toLowerCase();
  if (name === undefined) return { status: 400, words: "This request does not name the computer it is for." };
  if (!hosts.has(name)) {
    return {
      status: 403,
      words: `This computer is not named ${name}. Open Pale Morning at the address it printed when it started.`,
    };
  }
  if (url.length > MAX_URL_LENGTH)
    return { status: 414, words: "This address is too long. Start again from the home page." };
  if (!canBeRead(url))
    return { status: 400, words: "This address is mistyped. Start again from the home page." };
  if (READS.includes(method)) return undefined;
  if (method !== "POST") return { status: 405, words: "This page can't be opened by its address." };
  const site = single(headers["sec-fetch-site"]);
  const origin = single(headers.origin);
  const isOwnOrigin = origin === undefined ? site === "same-origin" : hostOf(origin) === host?.toLowerCase();
  if (!isOwnOrigin || (site !== undefined && site !== "same-origin")) {
    return {
      status: 403,
      words:
        "This came from a page that is not Pale Morning's, so nothing was saved. Open the page and try again.",
    };
  }
  return bodyRefusal(url, headers);
}

/** Whether each part of a path is text once its % signs are read. */
function canBeRead(url: string): boolean {
  try {
    return !decodeURIComponent(pathOf(url)).includes("\0");
  } catch {
    return false;
  }
}

const pathOf = (url: string): string => url.split("?", 1)[0]!;

/** A write says how long it is, and is no longer than its address takes. */
function bodyRefusal(url: string, headers: GateRequest["headers"]): GateRefusal | undefined {
  if (headers["transfer-encoding"] !== undefined)
    return { status: 411, words: "What was sent does not say how long it is. Nothing was saved." };
  if (Number(single(headers["content-length"]) ?? 0) <= mostBytesTo(pathOf(url))) return undefined;
  return { status: 413, words: "What was sent is too large. Nothing was saved." };
}

/** A header sent once; one that is sent twice counts as not sent. */
const single = (value: string | string[] | undefined): string | undefined =>
  typeof value === "string" ? value : undefined;

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

/** Stands before every route. */
export function gate(hosts: () => ReadonlySet<string> = ownHosts): RequestHandler {
  return (request, response, next) => {
    const refusal = gateRefusal(
      { method: request.method, url: request.url, headers: request.headers },
      hosts(),
    );
    if (!refusal) {
      response.once("finish", () => {
        if (request.complete) return;
        // An answer that did not need all of what was sent: the rest is dropped, or the next request on this link would wait behind it.
        request.removeAllListeners("data");
        request.resume();
      });
      return next();
    }
    // What was not read is not waited for either.
    response.set("Connection", "close");
    response.status(refusal.status).type("text/plain").send(refusal.words);
  };
}
