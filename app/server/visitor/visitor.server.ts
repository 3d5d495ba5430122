import { AsyncLocalStorage } from "node:async_hooks";
import { createContext, createCookie } from "react-router";
import { PEER_HEADER } from "#app/server/visitor/peer.server.ts";
import { hashOfSecret, isSecret } from "#app/server/visitor/secret.server.ts";
import type { Role } from "#core/access/role.ts";
import { HOUR, MINUTE, SECOND } from "#core/calendar/milliseconds.ts";
import type { FarmFile } from "#db/farm-file.server.ts";

/** Whoever asks: somebody at the farm's own computer, a device that joined, or a stranger. */
export interface Visitor {
  /** What they may do; undefined for a stranger, and for a device that was blocked. */
  readonly role: Role | undefined;
  /** The device that joined; undefined on the farm's own computer. */
  readonly deviceId: number | undefined;
  /** Whose device it is. */
  readonly name: string;
}

/** Set for every request by the root's middleware. */
export const visitorContext = createContext<Visitor>();

export const AT_THE_FARM: Visitor = { role: "owner", deviceId: undefined, name: "" };
const STRANGER: Visitor = { role: undefined, deviceId: undefined, name: "" };

const COOKIE_NAME = "pale-morning";
/** Browsers keep none for longer. */
const COOKIE_SECONDS = (400 * 24 * HOUR) / SECOND;
/** A device that is used is not written down more often than this. */
const SEEN_MILLISECONDS = 5 * MINUTE;

const cookieOf = (isSecure: boolean) =>
  createCookie(COOKIE_NAME, {
    httpOnly: true,
    sameSite: "lax",
    secure: isSecure,
    path: "/",
    maxAge: COOKIE_SECONDS,
  });

/** The header that gives a device its secret, or takes it away with an empty one. */
export const cookieWith = (request: Request, secret: string): Promise<string> =>
  cookieOf(new URL(request.url).protocol === "https:").serialize(
    secret,
    secret === "" ? { maxAge: 0 } : undefined,
  );

/** Who asks. @param now epoch milliseconds */
export async function visitorOf(file: FarmFile, request: Request, now: number): Promise<Visitor> {
  if (request.headers.get(PEER_HEADER) === "here") return AT_THE_FARM;
  const secret: unknown = await cookieOf(false).parse(request.headers.get("Cookie"));
  if (typeof secret !== "string" || !isSecret(secret)) return STRANGER;
  const device = file.access.deviceBySecret(hashOfSecret(secret));
  if (!device || device.blockedAt !== undefined) return STRANGER;
  if (Math.abs(now - device.lastSeenAt) > SEEN_MILLISECONDS) file.access.sawDevice(device.id, now);
  return { role: device.role, deviceId: device.id, name: device.name };
}

const visiting = new AsyncLocalStorage<Visitor>();

/** Does something for a visitor: what it keeps says from which device it came. */
export const asVisitor = <Result>(visitor: Visitor, work: () => Result): Result =>
  visiting.run(visitor, work);

/** The device that the present call is for; undefined on the farm's own computer. */
export const visitingDevice = (): number | undefined => visiting.getStore()?.deviceId;
