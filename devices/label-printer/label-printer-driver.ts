import { connect, type Socket } from "node:net";
import { linesOf } from "#devices/attached/lines-of.ts";
import type { DeviceAddress } from "#devices/attached/tcp-lines.ts";
import { jobLines, type LabelJob } from "#devices/label-printer/label-job.ts";

export const LONGEST_PRINTER_LINE = 300;
/** A stand-in shows what it printed on one line. */
const LONGEST_ANSWER = 60_000;
const PATIENCE_MILLISECONDS = 4000;

export type PrintAnswer =
  | { readonly printed: true }
  | { readonly printed: false; readonly reason: "no-paper" | "garbled" | "not-reached" };

/** What the address of a label printer is filed under. */
export const LABEL_PRINTER = "label-printer";

/**
 * Prints labels one after the other; the first that is not printed ends it. A job that was printed before is answered as printed and
 * not printed again, so that a page may ask twice.
 *
 * @returns an answer for each job that was tried
 */
export async function printLabels(address: DeviceAddress, jobs: readonly LabelJob[]): Promise<PrintAnswer[]> {
  const answers: PrintAnswer[] = [];
  try {
    await withPrinter(address, async (ask) => {
      for (const job of jobs) {
        const line = await ask(jobLines(job));
        const answer = answerOf(line);
        answers.push(answer);
        if (!answer.printed) return;
      }
    });
  } catch {
    if (answers.length < jobs.length) answers.push({ printed: false, reason: "not-reached" });
  }
  return answers;
}

function answerOf(line: string): PrintAnswer {
  if (line.startsWith("printed ")) return { printed: true };
  return { printed: false, reason: line === "no-paper" ? "no-paper" : "garbled" };
}

/** Asks the printer one thing and answers with its line; undefined where it can't be reached. */
export async function askPrinter(address: DeviceAddress, line: string): Promise<string | undefined> {
  try {
    return await withPrinter(address, (ask) => ask([line]));
  } catch {
    return undefined;
  }
}

/** @throws {Error} where the printer can't be reached, or goes away */
async function withPrinter<Result>(
  { host, port }: DeviceAddress,
  work: (ask: (lines: readonly string[]) => Promise<string>) => Promise<Result>,
): Promise<Result> {
  const socket = connect({ host, port });
  socket.setEncoding("latin1");
  socket.setTimeout(PATIENCE_MILLISECONDS, () =>
    socket.destroy(new Error(`${host}:${port} does not answer`)),
  );
  try {
    const answers = linesOf(socket as AsyncIterable<string>, LONGEST_ANSWER)[Symbol.asyncIterator]();
    return await work((lines) => asked(socket, answers, lines));
  } finally {
    socket.destroy();
  }
}

async function asked(
  socket: Socket,
  answers: AsyncIterator<string>,
  lines: readonly string[],
): Promise<string> {
  socket.write(`${lines.join("\n")}\n`, "latin1");
  const { value, done } = await answers.next();
  if (done) throw new Error("the printer went away");
  return value;
}
