import "reflect-metadata";
import { webcrypto } from "node:crypto";
import { isIP } from "node:net";
import * as x509 from "@peculiar/x509";
import { nameConstraints } from "#commands/https/name-constraints.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";

x509.cryptoProvider.set(webcrypto as never);

/** A certificate and its private key, both as PEM text. */
export interface KeyPair {
  readonly certificate: string;
  readonly key: string;
}

const DAY = 24 * HOUR;
const ALGORITHM = { name: "ECDSA", namedCurve: "P-256", hash: "SHA-256" };
/** A phone that trusts the farm is not asked again for this long. */
const AUTHORITY_DAYS = 3650;
/** Phones refuse a server's certificate that is good for more than 398 days. */
const SERVER_DAYS = 397;
/** A clock of a phone may be behind by this much. */
const SLACK_MILLISECONDS = DAY;

/**
 * The farm's own authority: phones that trust it take certificates for these names and addresses, and for no others, so that a
 * stolen key can't pass for any other site.
 *
 * @param names names and addresses of this machine; addresses of version 6 without brackets
 */
export async function makeAuthority(
  farmName: string,
  names: readonly string[],
  now: number,
): Promise<KeyPair> {
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]);
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: [{ CN: [`${farmName} (Pale Morning)`] }],
    notBefore: new Date(now - SLACK_MILLISECONDS),
    notAfter: new Date(now + AUTHORITY_DAYS * DAY),
    signingAlgorithm: ALGORITHM,
    keys: keys as never,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      new x509.Extension(nameConstraints.id, true, nameConstraints.of(names)),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey as never),
    ],
  });
  return { certificate: certificate.toString("pem"), key: await keyText(keys.privateKey) };
}

/** A certificate for the server by the farm's authority. @throws {Error} if the authority is not whole */
export async function makeServerCertificate(
  authority: KeyPair,
  names: readonly string[],
  now: number,
): Promise<KeyPair> {
  const issuer = new x509.X509Certificate(authority.certificate);
  const signingKey = await webcrypto.subtle.importKey(
    "pkcs8",
    x509.PemConverter.decode(authority.key)[0]!,
    ALGORITHM,
    false,
    ["sign"],
  );
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]);
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: [{ CN: ["Pale Morning"] }] as never,
    issuer: issuer.subject,
    notBefore: new Date(now - SLACK_MILLISECONDS),
    notAfter: new Date(now + SERVER_DAYS * DAY),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey as never,
    signingKey: signingKey as never,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((name) => ({ type: isIP(name) ? "ip" : "dns", value: name }) as const),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(issuer as never),
    ],
  });
  return { certificate: certificate.toString("pem"), key: await keyText(keys.privateKey) };
}

/** Until when a certificate is good, and for which names and addresses. */
export function readCertificate(pem: string): { readonly endsAt: number; readonly names: readonly string[] } {
  const certificate = new x509.X509Certificate(pem);
  const names = certificate.getExtension(x509.SubjectAlternativeNameExtension)?.names.items ?? [];
  return { endsAt: certificate.notAfter.getTime(), names: names.map(({ value }) => value) };
}

const keyText = async (key: webcrypto.CryptoKey): Promise<string> =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey("pkcs8", key), "PRIVATE KEY");

/** Positive, and never the same twice. */
function serialNumber(): string {
  const bytes = webcrypto.getRandomValues(new Uint8Array(16));
  bytes[0] = (bytes[0]! & 0x7f) | 0x40;
  return Buffer.from(bytes).toString("hex");
}
