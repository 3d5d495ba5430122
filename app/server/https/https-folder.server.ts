import { dirname, join } from "node:path";

/** Beside the data file: the farm's authority, and what the server shows phones. */
export const httpsFolder = (dataPath: string): string => join(dirname(dataPath), "https");

/** What phones are asked to trust. */
export const authorityFile = "authority.pem";

/** Where phones come in by HTTPS, unless PALE_MORNING_HTTPS_PORT says otherwise. */
export const httpsPort = (): number => Number(process.env.PALE_MORNING_HTTPS_PORT ?? 5443);

/** Names and addresses as a certificate has them: those of version 6 without brackets. */
export const plainNames = (hosts: Iterable<string>): string[] =>
  [...hosts].map((host) => host.replace(/^\[(.*)\]$/, "$1")).toSorted();
