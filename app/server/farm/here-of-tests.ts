import { tmpdir } from "node:os";
import { join } from "node:path";
import { type RouterContext, RouterContextProvider } from "react-router";
import { clockFrom } from "#app/server/farm/clock.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { type FarmLife, farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { AT_THE_FARM, visitorContext } from "#app/server/visitor/visitor.server.ts";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";

let file: FarmFile | undefined;
let opened: string | undefined;
let clock = clockFrom(Date.parse("2026-09-17T10:12:00Z"));

/** A farm for the tests of one file, in memory. Its clock starts at Thursday, September 17 2026, 06:12 at the farm. */
export const HERE: FarmContext = {
  get file() {
    file ??= openFarmFile(":memory:");
    return file;
  },
  now: () => clock(),
};

/** Starts the clock of the tests at another moment. */
export function startClock(moment: string): void {
  clock = clockFrom(Date.parse(moment));
}

/** Takes another data file in place of the one in memory. */
export function openHere(path: string): FarmFile {
  opened = path;
  file = openFarmFile(path);
  return file;
}

/** Its file and its archives; nothing is put in its place. */
const LIFE: FarmLife = {
  get path() {
    return opened ?? ":memory:";
  },
  folder: join(tmpdir(), `pale-morning-backups-of-tests-${process.pid}`),
  whileClosed: (work) => work(),
};

/** What the framework hands to a route, with that farm in it. */
export const CONTEXT: Readonly<RouterContextProvider> = new RouterContextProvider(
  new Map<RouterContext, unknown>([
    [farmContext, HERE],
    [farmLifeContext, LIFE],
    [visitorContext, AT_THE_FARM],
  ]),
);
