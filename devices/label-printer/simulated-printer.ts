import { createServer, type Server, type Socket } from "node:net";
import { linesOf } from "#devices/attached/lines-of.ts";
import { type PrintedLabel, readJob } from "#devices/label-printer/label-job.ts";
import { LONGEST_PRINTER_LINE } from "#devices/label-printer/label-printer-driver.ts";

/** Labels on a new roll, and those whose pictures are kept. */
const ROLL = 60;
const MOST_KEPT = 20;
const MOST_JOBS = 5000;

/** A label printer as a stand-in: what it printed, and how many labels are left on its roll. */
export class SimulatedPrinter {
  #left = ROLL;
  readonly #printed: PrintedLabel[] = [];
  readonly #jobs = new Set<string>();

  /** Prints a job's lines, unless it did before. */
  print(lines: readonly string[]): string {
    const label = readJob(lines);
    if (!label) return "garbled";
    if (this.#jobs.has(label.job)) return `printed ${label.job}`;
    if (this.#left === 0) return "no-paper";
    this.#left -= 1;
    this.#jobs.add(label.job);
    if (this.#jobs.size > MOST_JOBS) this.#jobs.delete([...this.#jobs][0]!);
    this.#printed.push(label);
    if (this.#printed.length > MOST_KEPT) this.#printed.shift();
    return `printed ${label.job}`;
  }

  /** Does what a line says: `status`, `paper 60`, `take-paper`, `show`. */
  obey(line: string): string {
    const [word, amount] = line.trim().split(" ");
    if (word === "take-paper") this.#left = 0;
    else if (word === "paper") this.#left = Math.min(1000, Math.max(0, Math.trunc(Number(amount)) || ROLL));
    else if (word === "show") return this.#show();
    return this.#left > 0 ? `ready ${this.#left} simulated` : "no-paper simulated";
  }

  /** The label that was printed last, on one line of JSON. */
  #show(): string {
    return JSON.stringify(this.#printed.at(-1) ?? null);
  }
}

/** Serves the stand-in over TCP, an answer for each job and each word. */
export function servePrinter(printer: SimulatedPrinter, port: number): Server {
  return createServer((socket) => {
    socket.setEncoding("latin1");
    socket.on("error", () => socket.destroy());
    void serveOne(printer, socket).catch(() => undefined);
  }).listen(port, "127.0.0.1");
}

async function serveOne(printer: SimulatedPrinter, socket: Socket): Promise<void> {
  let job: string[] = [];
  for await (const line of linesOf(socket as AsyncIterable<string>, LONGEST_PRINTER_LINE)) {
    const isInJob = job.length > 0 || line.startsWith("label ");
    if (!isInJob) {
      socket.write(`${printer.obey(line)}\n`, "latin1");
      continue;
    }
    job.push(line);
    if (!line.startsWith("end ")) continue;
    socket.write(`${printer.print(job)}\n`, "latin1");
    job = [];
  }
}
