import { randomUUID } from "node:crypto";
import { createReadStream, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { filePool } from "#app/server/work-pool.server.ts";
import type { Route } from "./+types/farm-json.ts";

/** The whole farm as JSON: docs/data.md says how it is written. */
export async function loader({ context }: Route.LoaderArgs) {
  const { path } = context.get(farmLifeContext);
  const to = join(tmpdir(), `pale-morning-export-${randomUUID()}.json`);
  try {
    await filePool().run("export-farm", { path, to });
  } catch (error) {
    rmSync(to, { force: true });
    throw error;
  }
  const file = createReadStream(to);
  file.once("close", () => rmSync(to, { force: true }));
  return new Response(Readable.toWeb(file) as ReadableStream, {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": 'attachment; filename="farm.json"',
      "Cache-Control": "no-store",
    },
  });
}
