import { randomUUID } from "node:crypto";
import { entriesWithoutFacts, rowsByEntry } from "#commands/soak/facts-in-file.ts";
import { KEPT_FORMS, type KeptForm } from "#commands/soak/farm-of-soak.ts";
import { soakBackups } from "#commands/soak/soak-backups.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";

const WRITERS = 8;
const RETRY_MILLISECONDS = 60;
const PATIENCE_MILLISECONDS = 5000;
/** How long the server runs between kills, once it answers. */
const LEAST_RUN_MILLISECONDS = 200;
const MORE_RUN_MILLISECONDS = 1800;

/** A form that was answered as kept. */
interface Kept {
  readonly entryId: string;
  readonly path: string;
}

/**
 * Eight writers send forms of every kind of fact, each until it is answered, while the server is killed again and again and
 * backups are made, some of which are killed too.
 *
 * @returns what was answered and is lost, is there twice, or is there in part, and backups that don't hold
 */
export async function killsSoak(
  server: SoakServer,
  { kills, draw }: { readonly kills: number; readonly draw: () => number },
): Promise<number> {
  const kept: Kept[] = [];
  await once(server, kept);
  const backups = soakBackups(server, draw);
  let isOver = false;
  const writers = Array.from({ length: WRITERS }, () => write(server, kept, draw, () => isOver));
  for (let kill = 0; kill < kills; kill += 1) {
    await pause(LEAST_RUN_MILLISECONDS + MORE_RUN_MILLISECONDS * draw());
    await server.end("SIGKILL");
    await server.start();
  }
  isOver = true;
  await Promise.all(writers);
  const badBackups = await backups.end();
  const rows = rowsByEntry(server.data);
  const lost = kept.filter(({ entryId }) => !rows.has(entryId));
  const doubled = unlikeOthers(kept, rows);
  const empty = entriesWithoutFacts(server.data);
  for (const { path, entryId } of [...lost, ...doubled].slice(0, 10)) console.log(`soak: ${path} ${entryId}`);
  for (const bad of [...empty, ...badBackups]) console.log(`soak: ${bad}`);
  console.log(
    `soak, kills: ${kills} kills under ${WRITERS} writers of ${new Set(kept.map(({ path }) => path)).size} kinds of facts; ${kept.length} answered, ${lost.length} lost, ${doubled.length} doubled, ${empty.length} in part; ${backups.made()} backups beside them, ${badBackups.length} that don't hold`,
  );
  return lost.length + doubled.length + empty.length + badBackups.length;
}

/** Sends one of every kind, in order: some can be kept only once. */
async function once(server: SoakServer, kept: Kept[]): Promise<void> {
  for (const form of KEPT_FORMS) {
    const entryId = randomUUID();
    if (await isKept(server, form, entryId)) kept.push({ entryId, path: form.path });
    else throw new Error(`${form.path} was not kept`);
  }
}

async function write(server: SoakServer, kept: Kept[], draw: () => number, isOver: () => boolean) {
  const refused = new Set<KeptForm>();
  while (!isOver()) {
    const form = KEPT_FORMS[Math.floor(draw() * KEPT_FORMS.length)]!;
    if (refused.has(form)) continue;
    const entryId = randomUUID();
    if (await isKept(server, form, entryId)) kept.push({ entryId, path: form.path });
    else if (draw() < 0.2) refused.add(form);
    await pause(RETRY_MILLISECONDS * draw());
  }
}

/** Sends a form until it is answered. */
async function isKept(server: SoakServer, { path, fields }: KeptForm, entryId: string): Promise<boolean> {
  for (;;) {
    const response = await fetch(server.url + path, {
      method: "POST",
      body: new URLSearchParams({ ...fields, entryId }),
      headers: { Origin: server.url },
      redirect: "manual",
      signal: AbortSignal.timeout(PATIENCE_MILLISECONDS),
    }).catch(() => undefined);
    if (response && response.status < 500) return response.status < 400;
    await pause(RETRY_MILLISECONDS);
  }
}

/** Entries with more or fewer rows than most others of their kind. */
function unlikeOthers(kept: readonly Kept[], rows: ReadonlyMap<string, number>): Kept[] {
  const countsOf = new Map<string, Map<number, number>>();
  for (const { path, entryId } of kept) {
    const counts = countsOf.get(path) ?? new Map<number, number>();
    const count = rows.get(entryId) ?? 0;
    counts.set(count, (counts.get(count) ?? 0) + 1);
    countsOf.set(path, counts);
  }
  return kept.filter(({ path, entryId }) => {
    const [[usual] = [0]] = [...countsOf.get(path)!].toSorted(([, one], [, other]) => other - one);
    return (rows.get(entryId) ?? 0) !== usual;
  });
}

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));
