import { existsSync } from "node:fs";
import { join } from "node:path";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import { pino } from "pino";
import type { ServerBuild } from "react-router";
import { DEAR_PATHS, dearRequests } from "#app/server/dear-requests.server.ts";
import { gate } from "#app/server/gate.server.ts";
import { NONCE_HEADER, pageHeaders } from "#app/server/page-headers.server.ts";
import { withReadings } from "#app/server/pooled/with-readings.ts";
import { rootFolder } from "#app/server/root-folder.server.ts";
import { troublePage } from "#app/server/trouble-page.tsx";
import { markPeer } from "#app/server/visitor/peer.server.ts";
import { slowGuesses } from "#app/server/visitor/slow-guesses.server.ts";
import { troubleInWords } from "#app/words/file-words.ts";
import { shellShow } from "#commands/file/file-command.ts";
import { listenHttps } from "#commands/https/listen-https.ts";
import { watchEventLoop } from "#commands/watch-event-loop.ts";
import type { FileTrouble } from "#core/file/file-life.ts";
import { backupsIn, writeBackup } from "#db/life/backup-archive.server.ts";
import { backupFolder } from "#db/life/backup-folder.server.ts";
import { fileTrouble, isOlder, troubleOfError } from "#db/life/file-trouble.server.ts";
import { markServed } from "#db/life/served-by.server.ts";
import { openFile } from "#db/open-file.server.ts";
import { WorkPool } from "#workers/pool/client.ts";

/**
 * Serves the built application.
 *
 * PORT (5280), HOST (127.0.0.1), PALE_MORNING_DATA (the data file), PALE_MORNING_BACKUPS (the folder of its archives) and
 * PALE_MORNING_LOG (info) come from the environment.
 */
const root = rootFolder();
const log = pino({ level: process.env.PALE_MORNING_LOG ?? "info", base: null });
const port = Number(process.env.PORT ?? 5280);
const host = process.env.HOST ?? "127.0.0.1";
const build = join(root, "build", "server", "index.js");

if (!existsSync(build)) {
  log.fatal("nothing is built yet: npm run build");
  process.exit(1);
}

const data = process.env.PALE_MORNING_DATA;
if (!data) {
  log.fatal("PALE_MORNING_DATA must name the data file");
  process.exit(1);
}
const archives = backupFolder(data, process.env);
const show = shellShow();
let trouble: FileTrouble | undefined = await readied(data);
if (trouble) await tell(trouble);

const app = express();
app.disable("x-powered-by");
app.use(pageHeaders);
app.use(gate());
app.use(markPeer);
app.use(DEAR_PATHS, dearRequests);
app.use(["/sign-in", "/sign-in.data", "/join"], slowGuesses);
app.use(async (request, response, next) => {
  if (!trouble) return next();
  const [last] = await backupsIn(archives).catch(() => []);
  response
    .status(503)
    .type("html")
    .set("Cache-Control", "no-store")
    .send(troublePage(troubleInWords(trouble, last, show), String(request.headers[NONCE_HEADER])));
});
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
      {
        method: request.method,
        path: withoutSecret(request.path),
        status: response.statusCode,
        milliseconds,
      },
      "answered",
    );
  });
  next();
});
// Handed in whole: a function that brings it would have its routes sorted anew for each request.
app.use(
  createRequestHandler({ build: withReadings((await import(build)) as ServerBuild), mode: "production" }),
);

const server = app.listen(port, host, (error?: Error) => {
  if (error) {
    log.fatal({ err: error }, "could not listen");
    process.exit(1);
  }
  void ready();
});
await listenHttps(app, { data, host, log });

/** The first page is asked for by the server itself, so that no one waits for what a start has to load; then the file is read through. */
async function ready(): Promise<void> {
  const self = host === "0.0.0.0" || host === "::" ? "127.0.0.1" : host.includes(":") ? `[${host}]` : host;
  if (!trouble) {
    await fetch(`http://${self}:${port}/`).catch((error) =>
      log.error({ err: error }, "the first page failed"),
    );
    markServed(data!);
  }
  log.info(
    { url: `http://${host}:${port}`, data },
    trouble ? "serving one page that says what to do" : "ready",
  );
  watchEventLoop(log);
  if (!trouble) await checkAll(data!);
}

/** Looks at the data file before it is served, and packs it before it is brought up to date. */
async function readied(path: string): Promise<FileTrouble | undefined> {
  const found = fileTrouble(path);
  if (found) return found;
  try {
    if (isOlder(path)) {
      const { name } = await writeBackup(path, archives, { madeAt: Date.now(), reason: "before-update" });
      log.info({ name }, "backed up before the update");
    }
    openFile(path).close();
    return undefined;
  } catch (error) {
    log.error({ err: error }, "the data file could not be opened");
    return { kind: troubleOfError(error), path };
  }
}

/** Says on the shell what the page says. */
async function tell(found: FileTrouble): Promise<void> {
  const [last] = await backupsIn(archives).catch(() => []);
  const { what, help, restore } = troubleInWords(found, last, show);
  log.fatal({ file: found.path, trouble: found.kind }, [what, help, restore].filter(Boolean).join(" "));
}

/** Reads all of the file in a thread of its own once pages are answered; what is damaged ends the answers. */
async function checkAll(path: string): Promise<void> {
  const pool = new WorkPool({ root, threads: 1, mostMilliseconds: 600_000, givesWay: true });
  try {
    const damage = await pool.run("check-file", path);
    if (damage.length === 0) return log.info("the whole data file was checked, and no damage was found");
    log.fatal({ damage: damage.slice(0, 5) }, "the data file is damaged");
    trouble = { kind: "broken", path };
    await tell(trouble);
  } catch (error) {
    log.error({ err: error }, "the data file could not be checked");
  } finally {
    await pool.close();
  }
}

/** An address as it may stand in a log: the secret of an invitation is not for whoever reads it. */
function withoutSecret(path: string): string {
  return path.replace(/^\/join\/[^/.]+/i, "/join/-");
}

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
