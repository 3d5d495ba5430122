import { devicesOf, FROM_THE_NETWORK, type SoakDevice } from "#commands/soak/devices-of-soak.ts";
import { entriesWithoutFacts } from "#commands/soak/facts-in-file.ts";
import { filledPath, formsOf, ROUTE_PATHS, type ShownForm } from "#commands/soak/forms-of-pages.ts";
import { anyOf, type Draw, hostileRequest, type RawRequest } from "#commands/soak/hostile-request.ts";
import { type RawAnswer, sendRaw } from "#commands/soak/send-raw.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";
import { processorTicks, stolenOfWanted, stolenShare } from "#commands/soak/stolen-time.ts";
import { drawsFrom } from "#demo/draws.ts";

/** As many as a small machine has cores: more would measure how long they wait for one another. */
const AT_ONCE = 2;
/** A request that is never answered is given up after this, and counts as one that hung. */
const PATIENCE_MILLISECONDS = 30_000;
const MOST_GROWTH_MEGABYTES = 100;
/** Requests after which memory counts: by then every thread has met every kind of task. Fewer say nothing of it. */
const WARM_UP_REQUESTS = 20_000;
const MOST_SAID = 12;
const SAID_EVERY = 10_000;

interface Settings {
  readonly requests: number;
  /** An answer that takes longer is a fault, by the time that this machine had its processors. */
  readonly mostMilliseconds: number;
  readonly seed: number;
}

/** Sends made-up requests until there were enough, and says what went wrong. @returns the number of faults */
export async function hostileSoak(
  server: SoakServer,
  { requests, mostMilliseconds, seed }: Settings,
): Promise<number> {
  const draw = drawsFrom(seed).uniform;
  const devices = await devicesOf(server, Date.now());
  const forms = await shownForms(server);
  const faults: string[] = [];
  const byStatus = new Map<number, number>();
  let sent = 0;
  const memory = memoryOf(server);
  const slow = { byClock: 0, slowest: 0, request: "none" };
  const before = processorTicks();
  const fault = (request: RawRequest, what: string) => {
    faults.push(what);
    if (faults.length <= MOST_SAID) console.log(`soak: ${what}: ${inShort(request)}`);
  };
  const one = async () => {
    while (sent < requests) {
      sent += 1;
      const request = fromSomeone(draw, devices, hostileRequest(draw, forms, server.port));
      const ticks = processorTicks();
      const answer = await sendRaw(server.port, request, PATIENCE_MILLISECONDS);
      const own = answer.milliseconds * (1 - stolenOfWanted(ticks, processorTicks()));
      byStatus.set(answer.status, (byStatus.get(answer.status) ?? 0) + 1);
      if (answer.milliseconds > mostMilliseconds) slow.byClock += 1;
      if (own > slow.slowest) Object.assign(slow, { slowest: own, request: inShort(request) });
      const wrong = wrongWith({ ...answer, milliseconds: own }, mostMilliseconds);
      if (wrong) fault(request, wrong);
      if (!server.isUp) await server.start();
      if (sent % 100 === 0) memory.lookAfter(sent);
      if (sent % SAID_EVERY === 0)
        console.log(`soak, hostile: ${sent} sent, ${faults.length} faults, ${memory.inWords()}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  const empty = entriesWithoutFacts(server.data);
  const statuses = [...byStatus]
    .toSorted(([one], [other]) => one - other)
    .map(([status, count]) => `${status}: ${count}`);
  console.log(
    [
      `soak, hostile: seed ${seed}, ${sent} requests over ${ROUTE_PATHS.length} routes and ${forms.length} forms`,
      statuses.join(", "),
      `${slow.byClock} took over ${mostMilliseconds} ms by the clock, with ${inPercent(stolenShare(before, processorTicks()))} of the processors taken by other machines`,
      `slowest by the time this machine had ${Math.round(slow.slowest)} ms (${slow.request.slice(0, 160)})`,
      `${server.deaths} deaths`,
      memory.inWords(),
      `${empty.length} entries without facts`,
      `${faults.length} faults`,
    ].join("; "),
  );
  for (const entry of empty.slice(0, MOST_SAID)) console.log(`soak: entry without a fact: ${entry}`);
  return faults.length + server.deaths + empty.length + (memory.growth() > MOST_GROWTH_MEGABYTES ? 1 : 0);
}

/** The most memory that a server held before it was warm, and since. */
function memoryOf(server: SoakServer) {
  let warm = server.megabytes();
  let most = 0;
  return {
    lookAfter(sent: number): void {
      const now = server.megabytes();
      if (sent > WARM_UP_REQUESTS) most = Math.max(most, now);
      else warm = Math.max(warm, now);
    },
    growth: () => Math.max(0, most - warm),
    inWords: () => `memory ${Math.round(warm)} MB, then ${Math.round(most)} MB`,
  };
}

/** Most requests come from the farm's own computer, the others from a device on its network. */
function fromSomeone(draw: Draw, devices: readonly SoakDevice[], request: RawRequest): RawRequest {
  if (draw() < 0.7) return request;
  const { cookie } = anyOf(draw, devices);
  return { ...request, headers: { cookie, ...request.headers, ...FROM_THE_NETWORK } };
}

function wrongWith(
  { status, milliseconds, location, isHung }: RawAnswer,
  mostMilliseconds: number,
): string | undefined {
  if (isHung) return "never answered";
  if (status >= 500) return `answered ${status}`;
  if (milliseconds > mostMilliseconds) return `took ${Math.round(milliseconds)} ms`;
  if (location !== undefined && !/^\/(?![/\\\t])/.test(location)) return `sent on to ${location}`;
  return undefined;
}

const inPercent = (share: number) => `${Math.round(share * 100)} %`;

const inShort = ({ method, path, body }: RawRequest): string =>
  `${method} ${path.slice(0, 160)} ${JSON.stringify(body.replace(/(.)\1{60,}/g, "$1...").slice(0, 500))}`;

/** The forms of every page of the demo farm. */
async function shownForms(server: SoakServer): Promise<ShownForm[]> {
  const forms: ShownForm[] = [];
  for (const route of ROUTE_PATHS)
    for (const id of route.includes(":") ? ["1", "2", "3"] : ["1"]) {
      const path = filledPath(route, () => id);
      if (/live|news/.test(path)) continue;
      const response = await fetch(server.url + path).catch(() => undefined);
      if (response?.headers.get("content-type")?.startsWith("text/html"))
        forms.push(...formsOf(await response.text(), new URL(response.url).pathname));
    }
  return [
    ...forms,
    {
      path: "/days/3/run/tap",
      fields: [
        ["entryId", "x"],
        ["kind", "kill"],
        ["number", "1"],
        ["at", "1789800000000"],
        ["device", "soak-hostile"],
      ],
    },
  ];
}
