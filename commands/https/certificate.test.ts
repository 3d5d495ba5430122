import { mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import { get } from "node:https";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { text } from "node:stream/consumers";
import { connect, createServer } from "node:tls";
import { afterAll, expect, test } from "vitest";
import { ownHosts } from "#app/server/gate.server.ts";
import { httpsFolder, plainNames } from "#app/server/https/https-folder.server.ts";
import {
  type KeyPair,
  makeAuthority,
  makeServerCertificate,
  readCertificate,
} from "#commands/https/certificate.ts";
import { makeHttpsFiles, serverCertificate } from "#commands/https/https-files.ts";
import { listenHttps } from "#commands/https/listen-https.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";

const NAMES = ["localhost", "barn.local", "127.0.0.1", "192.168.4.20", "::1", "fe80::1:2"];
const DAY = 24 * HOUR;
const folder = mkdtempSync(join(tmpdir(), "pale-morning-https-"));
afterAll(() => rmSync(folder, { recursive: true }));

/** What a phone that trusts the authority makes of a server that shows a certificate. @returns "trusted", or why not */
async function trusts(authority: KeyPair, { certificate, key }: KeyPair, name: string): Promise<string> {
  const server = createServer({ cert: certificate, key }, (socket) => socket.end());
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address() as AddressInfo;
  try {
    return await new Promise((resolve) => {
      const socket = connect({ port, host: "127.0.0.1", servername: name, ca: authority.certificate }, () => {
        socket.end();
        resolve("trusted");
      });
      socket.on("error", (error) => resolve(error.message));
    });
  } finally {
    server.close();
  }
}

test("a phone that trusts the farm takes its certificate for its names, and for no others", async () => {
  const now = Date.now();
  const authority = await makeAuthority("Harrow & Lark", NAMES, now);
  const own = await makeServerCertificate(authority, NAMES, now);
  expect(await trusts(authority, own, "barn.local")).toBe("trusted");
  expect(await trusts(authority, own, "elsewhere.example")).toMatch(/altname/i);
  const stolen = await makeServerCertificate(authority, ["elsewhere.example"], now);
  expect(await trusts(authority, stolen, "elsewhere.example")).toBe("permitted subtree violation");
  const address = await makeServerCertificate(authority, ["192.168.4.21"], now);
  expect(await trusts(authority, address, "localhost")).toBe("permitted subtree violation");
  const stranger = await makeAuthority("Elsewhere", NAMES, now);
  expect(await trusts(stranger, own, "barn.local")).not.toBe("trusted");
  const inTime = readCertificate(own.certificate);
  expect(inTime.names).toEqual(NAMES.map((name) => name.replace("fe80::1:2", inTime.names.at(-1)!)));
  expect(inTime.endsAt - now).toBeLessThan(398 * DAY);
});

test("the server answers by HTTPS where the farm has a certificate, and says so", async () => {
  const said: string[] = [];
  const log = { info: (_: object, words: string) => said.push(words), warn: () => {}, error: () => {} };
  const data = join(folder, "served", "farm.sqlite");
  const asked = { data, host: "127.0.0.1", log: log as never };
  process.env.PALE_MORNING_HTTPS_PORT = "5296";
  expect(await listenHttps((_, response) => response.end("pale"), asked)).toBeUndefined();
  const names = plainNames(ownHosts());
  await makeHttpsFiles(httpsFolder(data), { farmName: "Harrow & Lark", names, now: Date.now() });
  const server = await listenHttps((_, response) => response.end("pale"), asked);
  const ca = readFileSync(join(httpsFolder(data), "authority.pem"));
  const answer = await new Promise<string>((resolve, reject) =>
    get({ port: 5296, host: "localhost", ca, agent: false }, (response) =>
      text(response).then(resolve, reject),
    ).on("error", reject),
  );
  expect(answer).toBe("pale");
  expect(said).toEqual(["answering by HTTPS too"]);
  server!.close();
});

test("it is renewed in time, keeps its authority, and leaves out names that phones would not take", async () => {
  const names = NAMES.slice(0, 4);
  const now = Date.now();
  await makeHttpsFiles(folder, { farmName: "Harrow & Lark", names, now });
  const authority = readFileSync(join(folder, "authority.pem"), "utf8");
  const first = await serverCertificate(folder, { names, now });
  expect(await serverCertificate(folder, { names, now: now + 300 * DAY })).toEqual(first);
  const later = await serverCertificate(folder, { names: [...names, "10.0.0.9"], now: now + 380 * DAY });
  expect(later!.pair.certificate).not.toBe(first!.pair.certificate);
  expect(later!.missing).toEqual(["10.0.0.9"]);
  expect(readCertificate(later!.pair.certificate).names).toEqual(names);
  expect(readFileSync(join(folder, "authority.pem"), "utf8")).toBe(authority);
  for (const key of ["authority.key.pem", "server.key.pem"])
    expect(statSync(join(folder, key)).mode & 0o077).toBe(0);
  expect(await serverCertificate(join(folder, "none"), { names, now })).toBeUndefined();
});
