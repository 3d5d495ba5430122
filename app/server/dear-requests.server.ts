import { rateLimit } from "express-rate-limit";
import { PEER_HEADER } from "#app/server/visitor/peer.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";

const MOST_A_MINUTE = 60;

/** What takes a machine long: papers, whole files, two plans side by side, and the season. */
export const DEAR_PATHS: RegExp[] = [
  /^\/[^?]*\.(?:pdf|zip)$/i,
  /^\/farm\/data(?:\/|\.data$|$)/i,
  /^\/days\/[^/]+\/compare(?:\.data)?$/i,
  /^\/season\/set(?:\.data)?$/i,
  /^\/season\/people\/[^/]+\/read(?:\.data)?$/i,
];

/** One device asks for no more of them than a person would, so that it can't take the farm's computer from the others. This computer may. */
export const dearRequests = rateLimit({
  windowMs: MINUTE,
  limit: MOST_A_MINUTE,
  standardHeaders: "draft-8",
  legacyHeaders: false,
  // The address as the link has it: what a request says of itself is not believed.
  keyGenerator: ({ socket }) => socket.remoteAddress ?? "",
  skip: ({ headers }) => headers[PEER_HEADER] === "here",
  message: "This device asked for too much in one minute. Wait a minute, and try again.",
});
