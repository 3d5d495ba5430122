import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type GateRequest, gateRefusal, ownHosts } from "#app/server/gate.server.ts";

const HOSTS = new Set(["localhost", "127.0.0.1", "[::1]", "barn", "192.168.4.20"]);
const asked = (change: Partial<GateRequest> = {}): GateRequest => ({
  method: "GET",
  url: "/days/3/run",
  headers: { host: "barn:5280" },
  ...change,
});
const write = (headers: GateRequest["headers"], method = "POST") =>
  gateRefusal(asked({ method, url: "/days/3/run/tap", headers: { host: "barn:5280", ...headers } }), HOSTS);

describe("the gate", () => {
  test("answers under this machine's own names and addresses, with any port, and no other", () => {
    for (const host of ["localhost", "LOCALHOST:5280", "127.0.0.1:80", "[::1]:5280", "192.168.4.20"])
      expect(gateRefusal(asked({ headers: { host } }), HOSTS)).toBeUndefined();
    for (const host of ["elsewhere.example", "localhost.elsewhere.example:5280", "192.168.4.21"])
      expect(gateRefusal(asked({ headers: { host } }), HOSTS)).toMatchObject({ status: 403 });
    for (const host of [undefined, "", "a b", "barn:port", "barn/", "barn\r\nx: y", ["barn", "barn"]])
      expect(gateRefusal(asked({ headers: { host } }), HOSTS)).toMatchObject({ status: 400 });
    expect(ownHosts()).toContain("localhost");
    const added = ownHosts("Farm.example, farm.lan,");
    expect(gateRefusal(asked({ headers: { host: "farm.example:5280" } }), added)).toBeUndefined();
    expect(gateRefusal(asked({ headers: { host: "elsewhere.example" } }), added)).toMatchObject({
      status: 403,
    });
  });

  test("takes a write from a page of its own, whatever browser sends it", () => {
    expect(write({ origin: "http://barn:5280" })).toBeUndefined();
    expect(write({ origin: "http://barn:5280", "sec-fetch-site": "same-origin" })).toBeUndefined();
    expect(write({ "sec-fetch-site": "same-origin" })).toBeUndefined();
  });

  test.each([
    ["another site", { origin: "https://elsewhere.example" }],
    ["another port of this machine", { origin: "http://barn:8080" }],
    ["a page that hides where it is", { origin: "null" }],
    ["no origin and another site", { "sec-fetch-site": "cross-site" }],
    ["no origin and a sister site", { "sec-fetch-site": "same-site" }],
    ["our origin and another site", { origin: "http://barn:5280", "sec-fetch-site": "cross-site" }],
    ["nothing at all", {}],
  ])("refuses a write from %s", (_from, headers) => {
    expect(write(headers)).toMatchObject({ status: 403 });
    expect(write(headers)?.words).toContain("nothing was saved");
  });

  test("knows two ways to ask and one to write, and no address longer than ours", () => {
    for (const method of ["TRACE", "PUT", "DELETE", "CONNECT", "OPTIONS", "PATCH"])
      expect(write({ origin: "http://barn:5280" }, method)).toMatchObject({ status: 405 });
    expect(gateRefusal(asked({ url: `/x?${"a".repeat(5000)}` }), HOSTS)).toMatchObject({ status: 414 });
  });

  test("takes no write that is longer than its address takes, or does not say how long it is", () => {
    const sized = (url: string, headers: GateRequest["headers"]) =>
      gateRefusal(
        asked({ method: "POST", url, headers: { host: "barn", origin: "http://barn", ...headers } }),
        HOSTS,
      )?.status;
    expect(sized("/days/3/run/tap", { "content-length": "65536" })).toBeUndefined();
    expect(sized("/days/3/run/tap", { "content-length": "65537" })).toBe(413);
    expect(sized("/season/people/2/read?x", { "content-length": "8388608" })).toBeUndefined();
    expect(sized("/season/people/2/read", { "content-length": "8388609" })).toBe(413);
    expect(sized("/days/3/run/tap", { "transfer-encoding": "chunked" })).toBe(411);
  });

  test("knows no address that can't be read", () => {
    for (const url of ["/%", "/days/%ff", "/days/%00"])
      expect(gateRefusal(asked({ url }), HOSTS)).toMatchObject({ status: 400 });
    expect(gateRefusal(asked({ url: "/days/%F0%9F%90%93?q=%" }), HOSTS)).toBeUndefined();
  });

  test("never lets a write pass whose origin is not the host it goes to", () => {
    fc.assert(
      fc.property(fc.webUrl(), fc.constantFrom(...HOSTS), (origin, host) => {
        const passes = gateRefusal(asked({ method: "POST", headers: { host, origin } }), HOSTS) === undefined;
        expect(passes).toBe(new URL(origin).host === host);
      }),
    );
  });
});
