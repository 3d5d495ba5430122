import { createHash, X509Certificate } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { authorityFile, httpsFolder } from "#app/server/https/https-folder.server.ts";

/** The farm's authority, if one was made. */
export function authorityOf(dataPath: string): X509Certificate | undefined {
  try {
    return new X509Certificate(readFileSync(join(httpsFolder(dataPath), authorityFile)));
  } catch {
    return undefined;
  }
}

/** In groups that can be read out. */
export const fingerprintOf = ({ raw }: X509Certificate): string =>
  (createHash("sha256").update(raw).digest("hex").match(/.{4}/g) ?? []).join(" ");
