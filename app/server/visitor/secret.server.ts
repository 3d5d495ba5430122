import { createHash, randomBytes, scrypt, timingSafeEqual } from "node:crypto";
import { promisify } from "node:util";
import type { KeptPassphrase } from "#db/access/access-queries.server.ts";

const SECRET_BYTES = 32;
const SALT_BYTES = 16;
const HASH_BYTES = 32;
/** 64 MB and about a tenth of a second: few tries a second, however they are made (OWASP's advice for scrypt is N 2^16, r 8, p 2, or more). */
const COST = { N: 2 ** 16, r: 8, p: 2, maxmem: 128 * 1024 * 1024 };
const derive = promisify<string, Buffer, number, typeof COST, Buffer>(scrypt);

/** A secret for a cookie or an address, that nobody guesses. */
export const newSecret = (): string => randomBytes(SECRET_BYTES).toString("base64url");

export const isSecret = (text: string): boolean => /^[\w-]{43}$/.test(text);

/** What is kept of a secret. It is random, so that one fast hash is enough. */
export const hashOfSecret = (secret: string): Buffer => createHash("sha256").update(secret).digest();

/** A passphrase as it is kept. It takes a while, outside the thread that answers. */
export async function keptPassphrase(passphrase: string): Promise<KeptPassphrase> {
  const salt = randomBytes(SALT_BYTES);
  return { salt, hash: await hashOfPassphrase(passphrase, salt) };
}

export const isPassphrase = async (text: string, { salt, hash }: KeptPassphrase): Promise<boolean> =>
  timingSafeEqual(await hashOfPassphrase(text, salt), hash);

const hashOfPassphrase = (passphrase: string, salt: Buffer): Promise<Buffer> =>
  derive(passphrase.normalize("NFKC"), salt, HASH_BYTES, COST);
