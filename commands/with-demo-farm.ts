import { spawn } from "node:child_process";

/** A demo farm takes some seconds to be built, made and served on a slow machine. */
const ATTEMPTS = 1200;
const BETWEEN_MILLISECONDS = 100;

/**
 * Serves a new demo farm for as long as the work takes.
 *
 * @param at where it is served, such as http://127.0.0.1:5290
 * @param clock where its clock starts, as an instant
 * @param moment of the demo's day; without one the farm as it always opens
 */
export async function withDemoFarm(
  at: string,
  clock: string,
  work: () => Promise<void>,
  moment?: string,
): Promise<void> {
  const server = spawn(process.execPath, ["commands/demo.mjs", ...(moment ? ["--moment", moment] : [])], {
    stdio: "inherit",
    env: { ...process.env, PORT: new URL(at).port, PALE_MORNING_CLOCK: clock, PALE_MORNING_LOG: "warn" },
  });
  try {
    for (let attempt = 0; !(await fetch(`${at}/icon.svg`).catch(() => undefined)); attempt += 1) {
      if (attempt === ATTEMPTS) throw new Error(`the demo farm was not served at ${at}`);
      await new Promise((resolve) => setTimeout(resolve, BETWEEN_MILLISECONDS));
    }
    await work();
  } finally {
    await new Promise((resolve) => {
      server.once("exit", resolve);
      server.kill("SIGTERM");
    });
  }
}
