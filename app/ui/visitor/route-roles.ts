import { matchPath, type Register } from "react-router";
import type { Role } from "#core/access/role.ts";

type Who = readonly Role[] | "anyone";

/** Who may open an address, and who may send something to it. */
export interface RouteRoles {
  readonly read: Who;
  readonly write: Who;
}

const ALL = ["owner", "helper", "viewer"] as const;
const HANDS = ["owner", "helper"] as const;
const LOOK = ["owner", "viewer"] as const;
const OWNER = ["owner"] as const;

/** Before anybody is known. */
const DOOR: RouteRoles = { read: "anyone", write: "anyone" };
/** Planning, and all that has money in it. */
const OWNERS: RouteRoles = { read: OWNER, write: OWNER };
/** What may be looked at, and planned by owners. */
const SHOWN: RouteRoles = { read: LOOK, write: OWNER };
/** What everyone on the farm sees, and owners change. */
const POSTED: RouteRoles = { read: ALL, write: OWNER };
/** The work of a day: helpers do it, viewers look on. */
const WORK: RouteRoles = { read: ALL, write: HANDS };
/** A form of that work. */
const HANDIWORK: RouteRoles = { read: HANDS, write: HANDS };

/** Each route's least role. One that is not in it does not compile, and is not answered. */
export const ROUTE_ROLES: Readonly<Record<keyof Register["pages"], RouteRoles>> = {
  "/": POSTED,
  "/take-back": { read: OWNER, write: HANDS },
  "/put-back": { read: OWNER, write: HANDS },
  "/today": WORK,
  "/start": OWNERS,
  "/farm/planned-hours": OWNERS,
  "/start/towns": OWNERS,
  "/sign-in": DOOR,
  "/sign-out": { read: "anyone", write: ALL },
  "/join/:secret": DOOR,
  "/phone": { read: "anyone", write: OWNER },
  "/phone/farm.crt": { read: "anyone", write: OWNER },

  "/batches": SHOWN,
  "/batches/new": OWNERS,
  "/batches/:batchId": SHOWN,
  "/batches/:batchId/change": OWNERS,
  "/batches/:batchId/loss": OWNERS,
  "/batches/:batchId/feed": OWNERS,
  "/batches/:batchId/feed-left": OWNERS,
  "/batches/:batchId/cost": OWNERS,
  "/batches/:batchId/weigh-in": OWNERS,

  "/season": SHOWN,
  "/season/set": OWNERS,
  "/season/progress": OWNERS,
  "/season/stop": OWNERS,
  "/season/pin": OWNERS,
  "/season/people": OWNERS,
  "/season/people/:personId": OWNERS,
  "/season/people/:personId/change": OWNERS,
  "/season/people/:personId/read": OWNERS,
  "/season/people/:personId/forget": OWNERS,
  "/season/people/:personId/days.ics": OWNERS,
  "/season/dates": OWNERS,
  "/season/dates/mark": OWNERS,
  "/season/dates/booking": OWNERS,
  "/season/dates/weather": OWNERS,
  "/season/rules": OWNERS,
  "/season/rules/size": OWNERS,
  "/season/chicks": OWNERS,
  "/season/calendar.ics": SHOWN,

  "/days": SHOWN,
  "/days/new": OWNERS,
  "/days/new/from-file": OWNERS,
  "/days/:dayId": POSTED,
  "/days/:dayId/plan": SHOWN,
  "/days/:dayId/lots/new": OWNERS,
  "/days/:dayId/lots/brought": OWNERS,
  "/days/:dayId/lots/:lotId/restore": OWNERS,
  "/days/:dayId/join/:otherId": OWNERS,
  "/days/:dayId/split/:otherId": OWNERS,
  "/days/:dayId/call-off": OWNERS,
  "/days/:dayId/put-back": OWNERS,
  "/days/:dayId/sheet": POSTED,
  "/days/:dayId/stations": POSTED,
  "/days/:dayId/plan.json": OWNERS,
  "/days/:dayId/needs": OWNERS,
  "/days/:dayId/tasks": WORK,
  "/days/:dayId/compare": OWNERS,
  "/days/:dayId/print": POSTED,
  "/days/:dayId/run-sheet.pdf": POSTED,
  "/days/:dayId/run": WORK,
  "/days/:dayId/run/cones": WORK,
  "/days/:dayId/run/scald": WORK,
  "/days/:dayId/run/table": WORK,
  "/days/:dayId/run/look": WORK,
  "/days/:dayId/run/chill": WORK,
  "/days/:dayId/run/alone": WORK,
  "/days/:dayId/run/board": WORK,
  "/days/:dayId/run/log": WORK,
  "/days/:dayId/log.csv": POSTED,
  "/days/:dayId/run/picture": HANDIWORK,
  "/days/:dayId/run/picture/:pictureId": POSTED,
  "/days/:dayId/run/change": OWNERS,
  "/days/:dayId/run/change/undo": OWNERS,
  "/days/:dayId/run/tap": HANDIWORK,
  "/days/:dayId/run/undo": HANDIWORK,
  "/days/:dayId/run/news": WORK,
  "/days/:dayId/live": WORK,
  "/days/:dayId/rest": WORK,
  "/days/:dayId/rest/program": OWNERS,
  "/days/:dayId/cut": POSTED,
  "/days/:dayId/cut/choose": OWNERS,
  "/days/:dayId/cut/by-products": WORK,
  "/days/:dayId/cut/by-products/:loadId": HANDIWORK,
  "/days/:dayId/cut/by-products/:loadId/check": HANDIWORK,
  "/days/:dayId/cut/canning": WORK,
  "/days/:dayId/cut/went": POSTED,
  "/days/:dayId/pack": WORK,
  "/days/:dayId/pack/parts/:productId": WORK,
  "/days/:dayId/pack/:packId": HANDIWORK,
  "/days/:dayId/pack/redo": HANDIWORK,
  "/days/:dayId/pack/take-back": HANDIWORK,
  "/days/:dayId/pack/marks": WORK,
  "/days/:dayId/settle": OWNERS,
  "/days/:dayId/settle/products": OWNERS,
  "/days/:dayId/settle/cost": OWNERS,
  "/days/:dayId/settle/reopen": OWNERS,
  "/days/:dayId/day.csv": OWNERS,
  "/days/:dayId/packs.csv": OWNERS,
  "/days/:dayId/day.json": OWNERS,

  "/freezers": WORK,
  "/freezers/place": OWNERS,
  "/freezers/place/:placeId": WORK,
  "/freezers/place/:placeId/edit": OWNERS,
  "/freezers/place/:placeId/switch": OWNERS,
  "/freezers/place/:placeId/remove": OWNERS,
  "/freezers/find": WORK,
  "/freezers/year": { read: LOOK, write: OWNER },
  "/freezers/freezing": POSTED,
  "/freezers/move": HANDIWORK,
  "/freezers/supplies": OWNERS,
  "/freezers/supplies/new": OWNERS,
  "/freezers/supplies/:supplyId": OWNERS,
  "/freezers/labels": OWNERS,
  "/freezers/labels/print": HANDIWORK,
  "/freezers/labels/sheet.pdf": OWNERS,
  "/freezers/products": OWNERS,
  "/freezers/products/new": OWNERS,
  "/freezers/products/:productId": OWNERS,
  "/freezers/cuts": OWNERS,
  "/freezers/canning": OWNERS,
  "/freezers/containers": OWNERS,
  "/freezers/out": HANDIWORK,

  "/orders": OWNERS,
  "/orders/new": OWNERS,
  "/orders/pay": OWNERS,
  "/orders/sell": OWNERS,
  "/orders/picking": POSTED,
  "/orders/prices": OWNERS,
  "/orders/prices/shop": OWNERS,
  "/orders/takings": OWNERS,
  "/orders/customers": OWNERS,
  "/orders/customers/:customerId": OWNERS,
  "/orders/customers/:customerId/change": OWNERS,
  "/orders/customers/:customerId/forget": OWNERS,
  "/orders/sales/:saleId": OWNERS,
  "/orders/sales/:saleId/return/:outId": OWNERS,
  "/orders/sales/:saleId/receipt.pdf": OWNERS,
  "/orders/share/:dayId/:lotId": OWNERS,
  "/orders/:orderId": OWNERS,
  "/orders/:orderId/line": OWNERS,
  "/orders/:orderId/close": OWNERS,

  "/books": OWNERS,
  "/books/past": OWNERS,

  "/farm": OWNERS,
  "/farm/owners": OWNERS,
  "/farm/equipment": OWNERS,
  "/farm/access": OWNERS,
  "/farm/data": OWNERS,
  "/farm/data/archive/:name": OWNERS,
  "/farm/data/farm.json": OWNERS,
  "/farm/data/csv.zip": OWNERS,
  "/farm/data/import": OWNERS,
  "/farm/history": OWNERS,
  "/farm/devices": OWNERS,
  "/farm/devices/live": POSTED,
  "/farm/devices/simulate": OWNERS,

  "/yard/*": POSTED,
  "/stores/*": POSTED,
  "/days/:dayId/beside": POSTED,
  "/days/:dayId/paper": POSTED,
  "/*": POSTED,
};

/** Who may use a route, by its pattern, which the framework gives with or without a slash before it; owners alone where it is unknown. */
export const rolesOf = (pattern: string): RouteRoles =>
  (ROUTE_ROLES as Readonly<Record<string, RouteRoles | undefined>>)[pattern.replace(/^\/?/, "/")] ?? OWNERS;

export const isIn = (who: Who, role: Role | undefined): boolean =>
  who === "anyone" || (role !== undefined && who.includes(role));

/** Patterns with fewer places for ids first, so that /days/new is not taken for a day. */
const PATTERNS = Object.keys(ROUTE_ROLES).toSorted(
  (one, other) => places(one) - places(other) || other.length - one.length,
);

/** Whether a role may open an address of ours. */
export function mayOpen(role: Role | undefined, address: string): boolean {
  if (role === "owner") return true;
  const path = address.split(/[?#]/, 1)[0]!;
  const pattern = PATTERNS.find((one) => matchPath(one, path));
  return pattern !== undefined && isIn(rolesOf(pattern).read, role);
}

function places(pattern: string): number {
  return pattern.split(/[:*]/).length;
}
