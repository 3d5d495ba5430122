import { spawn } from "node:child_process";
import { createInterface } from "node:readline";

/**
 * The lines that a program writes, as they come.
 *
 * @throws {Error} if it can't be started, or ends with a fault
 */
export async function* programLines(
  program: string,
  words: readonly string[],
  { folder, signal }: { readonly folder: string; readonly signal: AbortSignal },
): AsyncIterable<string> {
  const child = spawn(program, words, { cwd: folder, signal, stdio: ["ignore", "pipe", "inherit"] });
  const ended = new Promise<number | undefined>((resolve, reject) => {
    child.once("error", reject);
    child.once("exit", resolve);
  });
  ended.catch(() => undefined);
  yield* createInterface({ input: child.stdout, crlfDelay: Infinity });
  const code = await ended;
  if (code !== 0) throw new Error(`${words.at(-1)} ended with ${code}`);
}
