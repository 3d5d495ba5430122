import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { test as base, expect } from "@playwright/test";

/** A served farm with its own data file and clock. */
export interface FarmServer {
  readonly url: string;
  /** Path of its data file. */
  readonly data: string;
  /** Ends the process at once, as a power cut would. */
  kill(): Promise<void>;
  /** Asks the process to end, and answers with its exit code. */
  stop(): Promise<number | null>;
  /** Serves the same file again, at the same address. */
  restart(): Promise<void>;
}

interface FarmOptions {
  /** Where the farm's clock starts. */
  clock: string;
  /** Whether the file holds the demo farm, or nothing. */
  isDemo: boolean;
  /** Folder of the built application. */
  root: string;
}

/** Each test gets a farm of its own, served by the built application. */
export const test = base.extend<FarmOptions & { farm: FarmServer }>({
  clock: ["2026-09-17T10:12:00Z", { option: true }],
  isDemo: [false, { option: true }],
  root: [process.cwd(), { option: true }],
  /** No script of a page may fail, nor may a page be drawn anew in the browser because its HTML was not what the server meant. */
  page: async ({ page }, use) => {
    const errors: string[] = [];
    page.context().on("weberror", (error) => errors.push(`${error.page()?.url()}: ${error.error()}`));
    await use(page);
    expect(errors).toEqual([]);
  },
  farm: async ({ clock, isDemo, root }, use) => {
    const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
    const data = join(folder, "farm.sqlite");
    const programOf = (name: string) => join(root, "build", "programs", "commands", `${name}.js`);
    if (isDemo) spawnSync(process.execPath, [programOf("make-demo"), data], { stdio: "inherit" });
    const port = await freePort();
    const url = `http://127.0.0.1:${port}`;
    let child = await serve();
    await use({
      url,
      data,
      kill: () => ended(child, "SIGKILL").then(() => undefined),
      stop: () => ended(child, "SIGTERM"),
      restart: async () => {
        child = await serve();
      },
    });
    await ended(child, "SIGTERM");
    rmSync(folder, { recursive: true });

    async function serve(): Promise<ChildProcess> {
      const environment = {
        ...process.env,
        NODE_ENV: "production",
        PORT: String(port),
        PALE_MORNING_DATA: data,
        PALE_MORNING_CLOCK: clock,
        PALE_MORNING_LOG: "warn",
      };
      const started = spawn(process.execPath, [programOf("serve")], {
        stdio: "inherit",
        env: environment,
      });
      for (let attempt = 0; attempt < 100; attempt += 1) {
        if (await fetch(`${url}/icon.svg`).catch(() => undefined)) return started;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
      throw new Error("the server did not start");
    }
  },
});

export { expect };

function ended(child: ChildProcess, signal: "SIGTERM" | "SIGKILL"): Promise<number | null> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve(child.exitCode);
  return new Promise((resolve) => {
    child.once("exit", (code) => resolve(code));
    child.kill(signal);
  });
}

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });
}
