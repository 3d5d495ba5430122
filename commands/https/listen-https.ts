import { existsSync, readFileSync } from "node:fs";
import type { RequestListener } from "node:http";
import { createServer, type Server } from "node:https";
import { join } from "node:path";
import type { Logger } from "pino";
import { ownHosts } from "#app/server/gate.server.ts";
import { authorityFile, httpsFolder, httpsPort, plainNames } from "#app/server/https/https-folder.server.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";

/** A certificate that soon ends is looked for this often. */
const LOOK_EVERY_MILLISECONDS = 12 * HOUR;

interface Shown {
  readonly cert: string;
  readonly key: string;
}

/** The farm's own certificate, or the one that PALE_MORNING_CERTIFICATE and PALE_MORNING_KEY name; undefined where there is neither. */
async function shown(data: string, log: Logger): Promise<Shown | undefined> {
  const { PALE_MORNING_CERTIFICATE: certificate, PALE_MORNING_KEY: key } = process.env;
  if (certificate && key) return { cert: readFileSync(certificate, "utf8"), key: readFileSync(key, "utf8") };
  const folder = httpsFolder(data);
  if (!existsSync(join(folder, authorityFile))) return undefined;
  // Only where it is needed: what makes certificates takes a while to load.
  const { serverCertificate } = await import("#commands/https/https-files.ts");
  const own = await serverCertificate(folder, { names: plainNames(ownHosts()), now: Date.now() });
  if (!own) return undefined;
  if (own.missing.length > 0)
    log.warn(
      { names: own.missing },
      "phones can't reach these names by HTTPS: make the certificate anew with npm run certificate",
    );
  return { cert: own.pair.certificate, key: own.pair.key };
}

/** Answers by HTTPS beside plain HTTP, where the farm has a certificate; it is renewed while the server runs. */
export async function listenHttps(
  app: RequestListener,
  { data, host, log }: { readonly data: string; readonly host: string; readonly log: Logger },
): Promise<Server | undefined> {
  const first = await shown(data, log).catch((error) => {
    log.error({ err: error }, "the certificate can't be read, so there is no HTTPS");
    return undefined;
  });
  if (!first) return undefined;
  const server = createServer({ ...first, minVersion: "TLSv1.2" }, app);
  server.on("error", (error) => log.error({ err: error }, "could not listen for HTTPS"));
  server.listen(httpsPort(), host, () => log.info({ port: httpsPort() }, "answering by HTTPS too"));
  setInterval(async () => {
    try {
      server.setSecureContext((await shown(data, log)) ?? first);
    } catch (error) {
      log.error({ err: error }, "the certificate could not be renewed");
    }
  }, LOOK_EVERY_MILLISECONDS).unref();
  return server;
}
