import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import { pino } from "pino";
import { gate } from "#app/server/gate.server.ts";

/**
 * Serves the built application.
 *
 * PORT (5280), HOST (127.0.0.1), PALE_MORNING_DATA (the data file) and PALE_MORNING_LOG (info) come from the environment.
 */
const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const log = pino({ level: process.env.PALE_MORNING_LOG ?? "info", base: null });
const port = Number(process.env.PORT ?? 5280);
const host = process.env.HOST ?? "127.0.0.1";
const build = join(root, "build", "server", "index.js");

if (!existsSync(build)) {
  log.fatal("nothing is built yet: npm run build");
  process.exit(1);
}

const app = express();
app.disable("x-powered-by");
app.use(gate());
app.use(compression());
app.use(
  "/assets",
  express.static(join(root, "build", "client", "assets"), { immutable: true, maxAge: "1y" }),
);
app.use(express.static(join(root, "build", "client"), { maxAge: "1h" }));
app.use((request, response, next) => {
  const startedAt = performance.now();
  response.on("finish", () => {
    const milliseconds = Math.round(performance.now() - startedAt);
    log.info(
      { method: request.method, path: request.path, status: response.statusCode, milliseconds },
      "answered",
    );
  });
  next();
});
app.use(createRequestHandler({ build: () => import(build), mode: "production" }));

const server = app.listen(port, host, (error?: Error) => {
  if (error) {
    log.fatal({ err: error }, "could not listen");
    process.exit(1);
  }
  log.info({ url: `http://${host}:${port}`, data: process.env.PALE_MORNING_DATA }, "serving");
});

let isStopping = false;

/** Finishes what is under way, closes the data file with the process, and gives up waiting after a while. */
function stop(signal: string): void {
  if (isStopping) return;
  isStopping = true;
  log.info({ signal }, "stopping");
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  // The live links of running days never end by themselves.
  setTimeout(() => server.closeAllConnections(), 1000).unref();
  setTimeout(() => process.exit(0), 5000).unref();
}
// npm passes no signal on to a shell's child: when it is ended, this process is left to another parent.
const parent = process.ppid;
if (process.env.npm_lifecycle_event) {
  setInterval(() => process.ppid !== parent && stop("npm went away"), 1000).unref();
}
process.once("SIGTERM", () => stop("SIGTERM"));
process.once("SIGINT", () => stop("SIGINT"));
