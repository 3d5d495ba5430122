import { type ChildProcess, spawn } from "node:child_process";
import { expect, type Page } from "@playwright/test";
import { freePort } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

export interface StandIn {
  readonly port: number;
  readonly child: ChildProcess;
}

/** Starts a stand-in, as npm run devices does, on a port of its own. */
export async function startDevice(name: string, words: readonly string[] = []): Promise<StandIn> {
  const port = await freePort();
  const program = [`build/programs/devices/${name}/simulate.js`, "--port", String(port), ...words];
  const child = spawn(process.execPath, program, { stdio: ["pipe", "inherit", "inherit"] });
  return { port, child };
}

/** Attaches a stand-in under its name, and waits until it is there. */
export async function attach(page: Page, url: string, name: string, { port }: StandIn): Promise<void> {
  const walk = new FarmWalk(page, url);
  await page.goto(`${url}/farm/devices`);
  await walk.choose(name);
  await walk.fill({ Address: "127.0.0.1", Port: String(port) });
  await walk.press("Attach");
  await expect(
    page
      .getByRole("region", { name })
      .getByText(/^Simulated/)
      .first(),
  ).toBeVisible();
}
