import { randomUUID } from "node:crypto";
import { createReadStream, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { filePool } from "#app/server/work-pool.server.ts";

/** Has the pool write the whole farm into a file that is sent and removed. */
export async function exported(
  task: "export-farm" | "export-csv",
  path: string,
  { name, type }: { readonly name: string; readonly type: string },
): Promise<Response> {
  const to = join(tmpdir(), `pale-morning-export-${randomUUID()}`);
  try {
    await filePool().run(task, { path, to });
  } catch (error) {
    rmSync(to, { force: true });
    throw error;
  }
  const file = createReadStream(to);
  file.once("close", () => rmSync(to, { force: true }));
  return new Response(Readable.toWeb(file) as ReadableStream, {
    headers: {
      "Content-Type": type,
      "Content-Disposition": `attachment; filename="${name}"`,
      "Cache-Control": "no-store",
    },
  });
}
