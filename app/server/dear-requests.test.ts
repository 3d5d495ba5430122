import { once } from "node:events";
import type { AddressInfo } from "node:net";
import express from "express";
import { expect, test } from "vitest";
import { DEAR_PATHS, dearRequests } from "#app/server/dear-requests.server.ts";
import { PEER_HEADER } from "#app/server/visitor/peer.server.ts";

test("a device on the network is slowed down when it asks for papers without end, and for nothing else", async () => {
  let peer = "network";
  const app = express();
  app.use((request, _response, next) => {
    request.headers[PEER_HEADER] = peer;
    next();
  });
  app.use(DEAR_PATHS, dearRequests);
  app.use((request, response) => {
    response.send(request.url);
  });
  const server = app.listen(0, "127.0.0.1");
  await once(server, "listening");
  const { port } = server.address() as AddressInfo;
  const statusOf = async (path: string) => (await fetch(`http://127.0.0.1:${port}${path}`)).status;
  const dear = [
    "/days/3/run-sheet.pdf",
    "/farm/data/csv.zip",
    "/days/3/compare?shift=1",
    "/days/3/compare.data",
  ];
  const statuses: number[] = [];
  for (let count = 0; count < 61; count += 1) statuses.push(await statusOf(dear[count % dear.length]!));
  expect(statuses.slice(0, 60)).toEqual(Array(60).fill(200));
  expect(statuses[60]).toBe(429);
  for (const path of ["/", "/days/3/plan", "/farm", "/days/3/run/news?x=/a.pdf"])
    expect(await statusOf(path)).toBe(200);
  peer = "here";
  expect(await statusOf("/farm/data")).toBe(200);
  server.close();
});
