import type { RequestHandler } from "express";

/** Carries where a request comes from to whoever answers it. What a browser sends under this name is dropped. */
export const PEER_HEADER = "x-peer";
const LOOPBACK = /^(?:127\.|::1$|::ffff:127\.)/;
/** A program that passes requests on speaks for somebody else, though it runs here. */
const PASSED_ON = ["forwarded", "x-forwarded-for", "x-real-ip", "via"] as const;

/** Marks whether a request was made on the farm's own computer, or comes over the network. */
export const markPeer: RequestHandler = (request, _response, next) => {
  const isHere =
    LOOPBACK.test(request.socket.remoteAddress ?? "") &&
    PASSED_ON.every((name) => request.headers[name] === undefined);
  request.headers[PEER_HEADER] = isHere ? "here" : "network";
  next();
};
