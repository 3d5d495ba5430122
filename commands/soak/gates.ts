import { isIn, rolesOf } from "#app/ui/visitor/route-roles.ts";
import { devicesOf, FROM_THE_NETWORK } from "#commands/soak/devices-of-soak.ts";
import { hashesOf, unlike } from "#commands/soak/facts-in-file.ts";
import { KEPT_FORMS } from "#commands/soak/farm-of-soak.ts";
import { filledPath, ROUTE_PATHS } from "#commands/soak/forms-of-pages.ts";
import { sendRaw } from "#commands/soak/send-raw.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";

const PATIENCE_MILLISECONDS = 10_000;
const REFUSED: ReadonlySet<number> = new Set([400, 401, 403, 405]);

/** Who is not let in: each with the headers that give it away. */
const strangers = (host: string): Readonly<Record<string, Readonly<Record<string, string>>>> => ({
  "a foreign origin": { host, origin: "https://elsewhere.example" },
  "a foreign origin that says it is ours": {
    host,
    origin: "https://elsewhere.example",
    "sec-fetch-site": "same-origin",
  },
  "another port": { host, origin: "http://127.0.0.1:1" },
  "a null origin": { host, origin: "null" },
  "no origin, from another site": { host, "sec-fetch-site": "cross-site" },
  "no origin, from a sister site": { host, "sec-fetch-site": "same-site" },
  "no origin": { host },
  "a foreign host": { host: "elsewhere.example", origin: "http://elsewhere.example" },
  "no host": { host: "", origin: `http://${host}` },
});

/** Tries to write to every address as each stranger, and as everyone who may not. @returns the number that were let in, or left something behind */
export async function gatesSoak(server: SoakServer, clock: string): Promise<number> {
  const host = `127.0.0.1:${server.port}`;
  const cookies = await devicesOf(server, Date.parse(clock));
  const before = hashesOf(server.data);
  let tries = 0;
  let faults = 0;
  const attempt = async (route: string, who: string, headers: Readonly<Record<string, string>>) => {
    const path = filledPath(route, () => "1");
    const fields = KEPT_FORMS.find((form) => form.path === path)?.fields;
    const body = new URLSearchParams({ entryId: `from-a-stranger-${tries}`, ...fields }).toString();
    const type = { "content-type": "application/x-www-form-urlencoded" };
    const request = { method: "POST", path, headers: { ...headers, ...type }, body };
    const { status } = await sendRaw(server.port, request, PATIENCE_MILLISECONDS);
    tries += 1;
    if (REFUSED.has(status)) return;
    faults += 1;
    console.log(`soak: ${path} answered ${status} to ${who}`);
  };
  for (const route of ROUTE_PATHS) {
    for (const [who, headers] of Object.entries(strangers(host))) await attempt(route, who, headers);
    for (const { role, cookie } of cookies)
      if (!isIn(rolesOf(route).write, role))
        await attempt(route, role ?? "nobody we know", {
          host,
          origin: `http://${host}`,
          ...FROM_THE_NETWORK,
          cookie,
        });
  }
  const changed = unlike(before, hashesOf(server.data));
  console.log(
    `soak, gates: ${tries} writes by strangers, viewers, and helpers to ${ROUTE_PATHS.length} routes, ${faults} let in, ${changed.length === 0 ? "nothing" : changed.join()} written`,
  );
  return faults + changed.length;
}
