import { rateLimit } from "express-rate-limit";
import { PEER_HEADER } from "#app/server/visitor/peer.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";

const MOST_WRONG = 10;
const WAIT_MINUTES = 15;

/** After ten wrong passphrases or codes from one address, it waits a quarter of an hour. Right ones don't count, nor does this computer. */
export const slowGuesses = rateLimit({
  windowMs: WAIT_MINUTES * MINUTE,
  limit: MOST_WRONG,
  skipSuccessfulRequests: true,
  standardHeaders: "draft-8",
  legacyHeaders: false,
  // The address as the link has it: what a request says of itself is not believed.
  keyGenerator: ({ socket }) => socket.remoteAddress ?? "",
  skip: ({ headers }) => headers[PEER_HEADER] === "here",
  requestWasSuccessful: (_request, { statusCode }) => statusCode < 400,
  message: `Too many wrong tries. Wait ${WAIT_MINUTES} minutes, or ask an owner for a code.`,
});
