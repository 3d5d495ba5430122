import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { authorityFile } from "#app/server/https/https-folder.server.ts";
import {
  type KeyPair,
  makeAuthority,
  makeServerCertificate,
  readCertificate,
} from "#commands/https/certificate.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";

/** A server's certificate is made anew when it is good for less than this. */
const RENEW_BEFORE_MILLISECONDS = 30 * 24 * HOUR;

const read = (folder: string, certificate: string, key: string): KeyPair | undefined => {
  try {
    return {
      certificate: readFileSync(join(folder, certificate), "utf8"),
      key: readFileSync(join(folder, key), "utf8"),
    };
  } catch {
    return undefined;
  }
};

/** Keys can be read by nobody else on this machine. */
function write(
  folder: string,
  { certificate, key }: KeyPair,
  names: { certificate: string; key: string },
): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(join(folder, names.key), key, { mode: 0o600 });
  writeFileSync(join(folder, names.certificate), certificate);
}

const SERVER = { certificate: "server.pem", key: "server.key.pem" };
const AUTHORITY = { certificate: authorityFile, key: "authority.key.pem" };

/** The names that the authority was made for: a certificate with any other is not taken by a phone that trusts it. */
const NAMES = "names.json";

export interface Asked {
  /** Names and addresses of this machine. */
  readonly names: readonly string[];
  readonly now: number;
}

/** Makes the farm's authority and its first certificate. Phones that trusted the one before have to be told anew. */
export async function makeHttpsFiles(
  folder: string,
  { farmName, names, now }: Asked & { readonly farmName: string },
): Promise<void> {
  const authority = await makeAuthority(farmName, names, now);
  write(folder, authority, AUTHORITY);
  writeFileSync(join(folder, NAMES), JSON.stringify(names));
  write(folder, await makeServerCertificate(authority, names, now), SERVER);
}

export interface ServerCertificate {
  readonly pair: KeyPair;
  /** Names of this machine that it is not good for: the machine got them after the authority was made. */
  readonly missing: readonly string[];
}

/** The certificate to serve with, made anew if it soon ends or its names have changed; undefined where the farm has no authority. */
export async function serverCertificate(
  folder: string,
  { names, now }: Asked,
): Promise<ServerCertificate | undefined> {
  const authority = read(folder, AUTHORITY.certificate, AUTHORITY.key);
  if (!authority) return undefined;
  const permitted: readonly string[] = JSON.parse(readFileSync(join(folder, NAMES), "utf8"));
  const wanted = names.filter((name) => permitted.includes(name));
  const missing = names.filter((name) => !permitted.includes(name));
  const current = read(folder, SERVER.certificate, SERVER.key);
  if (current) {
    const { endsAt, names: has } = readCertificate(current.certificate);
    const isLong = endsAt - now > RENEW_BEFORE_MILLISECONDS;
    if (isLong && wanted.every((name) => has.includes(name))) return { pair: current, missing };
  }
  const pair = await makeServerCertificate(authority, wanted, now);
  write(folder, pair, SERVER);
  return { pair, missing };
}
