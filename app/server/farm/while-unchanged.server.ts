import { type FarmContext, wholeOf } from "#app/server/farm/farm-context.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";

/** More answers than this are not kept: a page asks for a handful. */
const MOST_KEPT = 200;

interface KeptOfFile {
  state: string;
  readonly answers: Map<string, unknown>;
}

const keptOf = new WeakMap<FarmFile, KeptOfFile>();

/**
 * What is read from the file, kept until anything in the file changes: for what many parts of one page ask for.
 *
 * @param key names what is read, and all that it depends on but the file; it must show no money
 */
export function whileUnchanged<Read>(
  here: FarmContext,
  key: string,
  read: (whole: FarmContext) => Read,
): Read {
  const whole = wholeOf(here);
  const state = whole.file.state();
  let kept = keptOf.get(whole.file);
  if (kept?.state !== state) {
    kept = { state, answers: new Map() };
    keptOf.set(whole.file, kept);
  }
  if (kept.answers.has(key)) return kept.answers.get(key) as Read;
  const answer = read(whole);
  if (kept.answers.size < MOST_KEPT) kept.answers.set(key, answer);
  return answer;
}
