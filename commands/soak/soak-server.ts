import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const PROGRAMS = "build/programs/commands";
const START_ATTEMPTS = 300;

function makeDemo(path: string): void {
  spawnSync(process.execPath, [`${PROGRAMS}/make-demo.js`, path], { stdio: "inherit" });
}

/** The built server on a farm of its own, which can be killed and started again. */
export class SoakServer {
  readonly folder = mkdtempSync(join(tmpdir(), "pale-morning-soak-"));
  readonly data = join(this.folder, "farm.sqlite");
  readonly port: number;
  readonly #clock: string;
  /** Writes its data file over, as it was at first. */
  readonly makeAnew: () => void;
  #child: ChildProcess | undefined;
  #isWanted = false;
  /** Times that it ended without being told to. */
  deaths = 0;

  /** @param makeFile writes the data file that it serves */
  constructor(port: number, clock: string, makeFile: (path: string) => void = makeDemo) {
    this.port = port;
    this.#clock = clock;
    this.makeAnew = () => makeFile(this.data);
    this.makeAnew();
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts it and waits until it answers. */
  async start(): Promise<void> {
    this.begin();
    for (let attempt = 0; attempt < START_ATTEMPTS; attempt += 1) {
      if (await fetch(`${this.url}/icon.svg`).catch(() => undefined)) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error("the server did not start");
  }

  /** Starts it. */
  begin(): void {
    this.#isWanted = true;
    const child = spawn(process.execPath, [`${PROGRAMS}/serve.js`], {
      stdio: "inherit",
      env: {
        ...process.env,
        NODE_ENV: "production",
        PORT: String(this.port),
        PALE_MORNING_DATA: this.data,
        PALE_MORNING_CLOCK: this.#clock,
        PALE_MORNING_LOG: process.env.PALE_MORNING_LOG ?? "fatal",
      },
    });
    this.#child = child;
    child.once("exit", () => {
      if (this.#isWanted && this.#child === child) this.deaths += 1;
    });
  }

  /** Whether it still runs. */
  get isUp(): boolean {
    return this.#child?.exitCode === null && this.#child.signalCode === null;
  }

  /** Memory that it holds, megabytes. */
  megabytes(): number {
    const status = readFileSync(`/proc/${this.#child?.pid}/status`, "utf8");
    return Number(/VmRSS:\s+(\d+) kB/.exec(status)?.[1] ?? 0) / 1024;
  }

  async end(signal: "SIGKILL" | "SIGTERM"): Promise<void> {
    this.#isWanted = false;
    const child = this.#child;
    if (!child || !this.isUp) return;
    const ended = new Promise((resolve) => child.once("exit", resolve));
    child.kill(signal);
    await ended;
  }

  /** Ends it, and removes its file. */
  async remove(): Promise<void> {
    await this.end("SIGTERM");
    rmSync(this.folder, { recursive: true, force: true });
  }
}
