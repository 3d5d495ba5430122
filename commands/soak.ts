import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { SoakPhone } from "#commands/soak/soak-phone.ts";
import { drawsFrom } from "#demo/draws.ts";

/**
 * Eight phones tap a day while the server is killed again and again, two of them without a signal for ten minutes of the
 * day's clock: npm run soak -- [--seconds 60] [--seed 1]
 * Ends with what was lost and what was counted twice, and with a fault if that is not nothing.
 */
const { values } = parseArgs({
  options: { seconds: { type: "string", default: "60" }, seed: { type: "string", default: "1" } },
});
const seconds = Math.min(600, Math.max(10, Number(values.seconds) || 60));
const seed = Number(values.seed) || 1;
const PHONES = 8;
const PORT = 5291;
const AT = `http://127.0.0.1:${PORT}`;
const DAY_ID = 3;
const CLOCK = "2026-09-19T11:00:00Z";
/** Of the day's clock, for two phones in the middle of the soak. */
const WITHOUT_SIGNAL_MINUTES = 10;
const BETWEEN_KILLS_MILLISECONDS = 6000;
const BETWEEN_TAPS_MILLISECONDS = 120;

const folder = mkdtempSync(join(tmpdir(), "pale-morning-soak-"));
const data = join(folder, "farm.sqlite");
spawnSync("node_modules/.bin/tsx", ["commands/make-demo.ts", data], { stdio: "inherit" });
const draws = drawsFrom(seed);
const phones = Array.from({ length: PHONES }, (_, index) => new SoakPhone(AT, DAY_ID, `soak-phone-${index}`));
console.log(`soak: ${PHONES} phones, ${seconds} s, seed ${seed}`);

let server = await served();
let kills = 0;
const startedAt = Date.now();
const share = () => (Date.now() - startedAt) / (seconds * 1000);
/** The day's clock runs so that the phones without a signal miss ten minutes of it in a third of the soak. */
const dayClock = () => Date.parse(CLOCK) + share() * 3 * WITHOUT_SIGNAL_MINUTES * 60_000;

let nextKillAt = Date.now() + BETWEEN_KILLS_MILLISECONDS;
while (share() < 1) {
  for (const [index, phone] of phones.entries()) {
    phone.hasSignal = !(index < 2 && share() > 1 / 3 && share() < 2 / 3);
    phone.tap(draws.uniform(), dayClock());
    void phone.send();
  }
  if (Date.now() > nextKillAt) {
    server.kill("SIGKILL");
    kills += 1;
    await new Promise((resolve) => setTimeout(resolve, 300 * draws.uniform()));
    server = await served();
    nextKillAt = Date.now() + BETWEEN_KILLS_MILLISECONDS * (0.5 + draws.uniform());
  }
  await new Promise((resolve) => setTimeout(resolve, BETWEEN_TAPS_MILLISECONDS));
}
for (const phone of phones) {
  phone.hasSignal = true;
  await phone.flush();
}
const { events } = await (await fetch(`${AT}/days/${DAY_ID}/day.json`)).json();
const there: string[] = events.map(({ entryId }: { entryId: string }) => entryId);
const meant = new Set(phones.flatMap((phone) => phone.meant()));
const lost = [...meant].filter((entryId) => !there.includes(entryId));
const doubled = there.length - new Set(there).size;
const strange = there.filter((entryId) => !meant.has(entryId) && !entryId.endsWith("-start"));
const unlike = phones.filter((phone) => phone.knows() !== [...there].sort().join());
console.log(
  `soak: ${meant.size} facts meant, ${kills} kills; ${lost.length} lost, ${doubled} doubled, ${strange.length} that nobody tapped or that were undone, ${unlike.length} phones that know something else`,
);
server.kill("SIGTERM");
rmSync(folder, { recursive: true, force: true });
process.exitCode = lost.length + doubled + strange.length + unlike.length === 0 ? 0 : 1;

async function served(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ["build/programs/commands/serve.js"], {
    stdio: "inherit",
    env: {
      ...process.env,
      NODE_ENV: "production",
      PORT: String(PORT),
      PALE_MORNING_DATA: data,
      PALE_MORNING_CLOCK: new Date(Date.parse(CLOCK) + 3_600_000).toISOString(),
      PALE_MORNING_LOG: "error",
    },
  });
  for (let attempt = 0; attempt < 300; attempt += 1) {
    if (await fetch(`${AT}/icon.svg`).catch(() => undefined)) return child;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error("the server did not start");
}
