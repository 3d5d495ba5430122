import { parseArgs } from "node:util";
import { makeSmallFarm } from "#commands/soak/farm-of-soak.ts";
import { gatesSoak } from "#commands/soak/gates.ts";
import { hostileSoak } from "#commands/soak/hostile.ts";
import { killsSoak } from "#commands/soak/kills.ts";
import { loadSoak } from "#commands/soak/load.ts";
import { migrationsSoak } from "#commands/soak/migrations.ts";
import { phonesSoak } from "#commands/soak/phones.ts";
import { SoakServer } from "#commands/soak/soak-server.ts";
import { drawsFrom } from "#demo/draws.ts";

/**
 * Wears out the built server, each part on a file of its own:
 * npm run soak -- [--part gates] [--short] [--seed 1]
 * Says what was found, and ends with a fault if it is anything.
 */
const { values } = parseArgs({
  options: {
    part: { type: "string" },
    short: { type: "boolean", default: false },
    seed: { type: "string", default: String(Date.now() % 100_000) },
  },
});
const seed = Number(values.seed) || 1;
const size = values.short
  ? { requests: 800, mostMilliseconds: 10_000, phoneSeconds: 10, loadSeconds: 8, kills: 6, updateKills: 4 }
  : {
      requests: 100_000,
      mostMilliseconds: 2000,
      phoneSeconds: 60,
      loadSeconds: 600,
      kills: 200,
      updateKills: 60,
    };
const BEFORE_THE_DAY = "2026-09-19T12:00:00Z";
const DAY_BEGINS = "2026-09-19T11:00:00Z";
const SMALL_FARM_CLOCK = "2026-09-19T13:00:00Z";
const PORT = 5291;
const draw = drawsFrom(seed).uniform;

const PARTS: Readonly<Record<string, () => Promise<number>>> = {
  gates: () =>
    on(new SoakServer(PORT, SMALL_FARM_CLOCK, makeSmallFarm), (server) =>
      gatesSoak(server, SMALL_FARM_CLOCK),
    ),
  hostile: () =>
    on(new SoakServer(PORT, BEFORE_THE_DAY), (server) =>
      hostileSoak(server, { requests: size.requests, mostMilliseconds: size.mostMilliseconds, seed }),
    ),
  kills: () =>
    on(new SoakServer(PORT, SMALL_FARM_CLOCK, makeSmallFarm), (server) =>
      killsSoak(server, { kills: size.kills, draw }),
    ),
  updates: () => migrationsSoak(size.updateKills, draw),
  phones: () =>
    on(new SoakServer(PORT, BEFORE_THE_DAY), (server) =>
      phonesSoak(server, { seconds: size.phoneSeconds, draw, clock: DAY_BEGINS }),
    ),
  load: () => on(new SoakServer(PORT, BEFORE_THE_DAY), (server) => loadSoak(server, size.loadSeconds, draw)),
};

/** Speed is measured on a machine that does nothing else, so a short soak leaves the load out. */
const isPart = (part: string) => part !== "load" || !values.short;
const parts = values.part === undefined ? Object.keys(PARTS).filter(isPart) : [values.part];
let faults = 0;
for (const part of parts) {
  const run = PARTS[part];
  if (!run) throw new Error(`there is no part ${part}: ${Object.keys(PARTS).join(", ")}`);
  const startedAt = Date.now();
  const found = await run();
  console.log(
    `soak, ${part}: seed ${seed}, ${found} faults, ${Math.round((Date.now() - startedAt) / 1000)} s`,
  );
  faults += found;
}
console.log(`soak: ${faults} faults`);
process.exit(faults === 0 ? 0 : 1);

async function on(server: SoakServer, part: (server: SoakServer) => Promise<number>): Promise<number> {
  await server.start();
  try {
    return await part(server);
  } finally {
    await server.remove();
  }
}
