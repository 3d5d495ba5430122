import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { INVITATION_OF_TESTS, makeFarmOfTests } from "#app/farm-of-tests.ts";
import { HERE, startClock } from "#app/server/farm/here-of-tests.ts";
import { PEER_HEADER } from "#app/server/visitor/peer.server.ts";
import { refuseUnlessMay } from "#app/server/visitor/refusal.server.ts";
import { hashOfSecret, isPassphrase, keptPassphrase, newSecret } from "#app/server/visitor/secret.server.ts";
import { asVisitor, cookieWith, type Visitor, visitorOf } from "#app/server/visitor/visitor.server.ts";
import { withoutMoney } from "#app/server/visitor/without-money.server.ts";
import { mayOpen, ROUTE_ROLES } from "#app/ui/visitor/route-roles.ts";
import { ROLES, type Role } from "#core/access/role.ts";

beforeAll(() => {
  startClock("2026-09-19T13:00:00Z");
  makeFarmOfTests(HERE.file);
});

const asked = (headers: Record<string, string> = {}) =>
  new Request("http://farm/x", { headers: { [PEER_HEADER]: "network", ...headers } });

describe("who asks", () => {
  test("is an owner at the farm's own computer, and a stranger over the network, whatever they say", async () => {
    const roleOf = async (request: Request) => (await visitorOf(HERE.file, request, 0)).role;
    expect(await roleOf(new Request("http://farm/x", { headers: { [PEER_HEADER]: "here" } }))).toBe("owner");
    expect(await roleOf(new Request("http://farm/x"))).toBeUndefined();
    for (const cookie of ["", "pale-morning=", "pale-morning=x", `pale-morning=${"A".repeat(60)}`])
      expect(await roleOf(asked({ Cookie: cookie }))).toBeUndefined();
  });

  test("is the device with a secret until it is blocked, and what it keeps says so", async () => {
    const { access } = HERE.file;
    const secret = newSecret();
    const invitation = access.invitation(hashOfSecret(INVITATION_OF_TESTS))!;
    const device = { name: "Juniper", secretHash: hashOfSecret(secret) };
    access.joinByInvitation({ entryId: "juniper-joins", at: HERE.now() }, device, invitation);
    const [cookie] = (await cookieWith(new Request("http://farm/"), secret)).split(";");
    const juniper = await visitorOf(HERE.file, asked({ Cookie: cookie! }), HERE.now());
    expect(juniper).toMatchObject({ role: "helper", name: "Juniper" });
    expect(await cookieWith(new Request("https://farm/"), secret)).toMatch(/HttpOnly.*Secure/);
    access.block(juniper.deviceId!, HERE.now());
    expect((await visitorOf(HERE.file, asked({ Cookie: cookie! }), HERE.now())).role).toBeUndefined();
    access.unblock(juniper.deviceId!);
    expect(asVisitor(juniper, () => HERE.file.access.deviceOf("juniper-joins"))).toBeUndefined();
  });

  test("knows the passphrase, and no other", async () => {
    const kept = await keptPassphrase("pond gravel seven umbrellas");
    expect(await isPassphrase("pond gravel seven umbrellas", kept)).toBe(true);
    expect(await isPassphrase("pond gravel seven umbrella", kept)).toBe(false);
    expect((await keptPassphrase("pond gravel seven umbrellas")).hash).not.toEqual(kept.hash);
  });
});

/** How a phone comes to trust the farm, before it joins. */
const SHOWN_TO_ALL: ReadonlySet<string> = new Set(["/phone", "/phone/farm.crt"]);

describe("what they may do", () => {
  const statusFor = (role: Role | undefined, method: string, pattern: string, dayId?: string) => {
    const visitor: Visitor = { role, deviceId: role && 1, name: "" };
    try {
      const request = new Request("http://farm/x", { method });
      refuseUnlessMay(HERE, visitor, { request, pattern, params: { dayId } });
      return 200;
    } catch (thrown) {
      return (thrown as Response).status;
    }
  };

  test("strangers open the door and nothing else, and write nowhere but there", () => {
    for (const pattern of Object.keys(ROUTE_ROLES)) {
      const isDoor = pattern === "/sign-in" || pattern === "/join/:secret";
      expect([pattern, statusFor(undefined, "POST", pattern) === 200]).toEqual([pattern, isDoor]);
      if (pattern !== "/sign-out")
        expect([pattern, statusFor(undefined, "GET", pattern) === 200]).toEqual([
          pattern,
          isDoor || SHOWN_TO_ALL.has(pattern),
        ]);
    }
  });

  test("viewers write nothing but their way out, and helpers only what is done with the hands", () => {
    const written = (role: Role) =>
      Object.keys(ROUTE_ROLES).filter((pattern) => statusFor(role, "POST", pattern) === 200);
    expect(written("viewer").toSorted()).toEqual(["/join/:secret", "/sign-in", "/sign-out"]);
    const helpers = written("helper");
    for (const pattern of ["/days/:dayId/run/tap", "/days/:dayId/pack", "/freezers/move"])
      expect(helpers).toContain(pattern);
    for (const pattern of helpers)
      expect(pattern).not.toMatch(/plan|settle|cost|season|batches|books|farm|labels\/sheet|\/products|lots/);
    expect(written("owner")).toHaveLength(Object.keys(ROUTE_ROLES).length);
  });

  test("a route that the table does not know is for owners alone", () => {
    for (const role of ROLES) expect(statusFor(role, "GET", "/new/:thing") === 200).toBe(role === "owner");
    expect(statusFor("helper", "GET", "days/:dayId/run", "1")).toBe(200);
  });

  test("helpers see the days of now, and links lead nobody where they may not go", () => {
    expect(statusFor("helper", "GET", "/days/:dayId/run", "1")).toBe(200);
    startClock("2026-09-30T13:00:00Z");
    expect(statusFor("helper", "GET", "/days/:dayId/run", "1")).toBe(403);
    expect(statusFor("viewer", "GET", "/days/:dayId/run", "1")).toBe(200);
    expect(mayOpen("helper", "/days/new")).toBe(false);
    expect(mayOpen("helper", "/days/3/run?x#y")).toBe(true);
    expect(mayOpen("viewer", "/books")).toBe(false);
  });
});

describe("money", () => {
  test("is named as such wherever a row of the file has it", () => {
    const sources = readdirSync("db", { recursive: true, encoding: "utf8" }).filter((name) =>
      /\.ts$/.test(name),
    );
    const renamed = sources.flatMap((name) =>
      [...readFileSync(join("db", name), "utf8").matchAll(/_cents\w*\)? AS (\w+)/g)].map(([, as]) => as!),
    );
    expect(renamed.length).toBeGreaterThan(10);
    for (const as of renamed) expect(as).toMatch(/cents/i);
  });

  test("is zero in all that is read for those who see none, and stays in the file", () => {
    const covered = withoutMoney(HERE);
    expect(HERE.file.batch(1)!.chickCostCents).toBeGreaterThan(0);
    expect(covered.file.batch(1)!.chickCostCents).toBe(0);
    expect(covered.file.batch(1)).toEqual({ ...HERE.file.batch(1)!, chickCostCents: 0 });
    expect(covered.file.farm()).toMatchObject({ name: "Low Gate", seesMoney: false });
    expect(covered.whole).toBe(HERE);
    const answer = covered.file.together(() => new Map([["one", { costCents: 5, birds: 2 }]]));
    expect(answer).toEqual(new Map([["one", { costCents: 0, birds: 2 }]]));
  });
});
