import { createReadStream } from "node:fs";
import { join } from "node:path";
import { Readable } from "node:stream";
import { data } from "react-router";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { backupsIn } from "#db/life/backup-archive.server.ts";
import type { Route } from "./+types/archive.ts";

/** One backup, to be copied somewhere else. */
export async function loader({ context, params }: Route.LoaderArgs) {
  const { folder } = context.get(farmLifeContext);
  const backup = (await backupsIn(folder)).find(({ name }) => name === params.name);
  if (!backup) throw data("That backup does not exist.", { status: 404 });
  const bytes = Readable.toWeb(createReadStream(join(folder, backup.name))) as ReadableStream;
  return new Response(bytes, {
    headers: {
      "Content-Type": "application/zip",
      "Content-Disposition": `attachment; filename="${backup.name}"`,
      "Cache-Control": "no-store",
    },
  });
}
