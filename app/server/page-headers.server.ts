import { randomBytes } from "node:crypto";
import type { RequestHandler } from "express";
import helmet from "helmet";

/** Carries the nonce of a page's scripts from the gate to whoever writes the page. What a browser sends under this name is dropped. */
export const NONCE_HEADER = "x-script-nonce";

/**
 * Headers of every answer: no other site learns addresses of ours, guesses what a file is, puts us in a frame, or has a script run in
 * a page of ours. Plain HTTP on a farm's network stays plain HTTP: nothing is upgraded, and no browser is told to insist.
 */
const headers = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      // Ours from files, and those in the page that carry its nonce.
      scriptSrc: ["'self'", (request) => `'nonce-${request.headers[NONCE_HEADER]}'`],
      scriptSrcAttr: ["'none'"],
      styleSrc: ["'self'", (request) => `'nonce-${request.headers[NONCE_HEADER]}'`],
      // Bars, ribbons, and the sky are drawn to measure: their lengths and colors are attributes, and no text of a person's is in them.
      styleSrcAttr: ["'unsafe-inline'"],
      imgSrc: ["'self'", "data:", "blob:"],
      // A picture that waits on a phone is read from its own data before it is sent.
      connectSrc: ["'self'", "data:"],
      mediaSrc: ["'self'", "blob:"],
      workerSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // Helmet's own would make a page's forms send no origin, and the gate would refuse them.
  referrerPolicy: { policy: "same-origin" },
  strictTransportSecurity: false,
  xFrameOptions: { action: "deny" },
  // On plain HTTP browsers take no notice of these but to complain.
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
});

/** Gives each request a nonce of its own, and each answer its headers. */
export const pageHeaders: RequestHandler = (request, response, next) => {
  request.headers[NONCE_HEADER] = randomBytes(16).toString("base64");
  headers(request, response, next);
};
