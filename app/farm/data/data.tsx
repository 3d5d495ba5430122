import { basename, join } from "node:path";
import { data, Form, Link, redirect } from "react-router";
import { z } from "zod";
import { backUp } from "#app/server/farm/daily-backup.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { type FarmLife, farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { log } from "#app/server/log.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { filePool } from "#app/server/work-pool.server.ts";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { choice } from "#app/ui/read/read-field.ts";
import { Button, ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { BACKUP_REASON_WORDS, countsInWords } from "#app/words/file-words.ts";
import type { Show } from "#app/words/show.ts";
import { type Backup, backupsIn } from "#db/life/backup-archive.server.ts";
import { restoreBackup } from "#db/life/restore.server.ts";
import type { Route } from "./+types/data.ts";

export const meta = () => [{ title: "Data · Pale Morning" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { path, folder } = context.get(farmLifeContext);
  const asked = new URL(request.url).searchParams;
  const backups = await backupsIn(folder);
  return {
    path,
    folder,
    backups,
    chosen: backups.find(({ name }) => name === asked.get("restore")),
    counts: here.file.counts(),
    // Said after something was done.
    done: DONE_WORDS[asked.get("done") ?? ""],
  };
}

const DONE_WORDS: Readonly<Record<string, string | undefined>> = {
  "backed-up": "Backed up.",
  whole: "The whole file was checked. No damage was found.",
  imported: "Imported. What stood before is the newest backup below.",
  restored: "Restored. What stood before is the newest backup below.",
};

const dataForm = z.object({
  deed: choice(["back-up", "check", "restore"], ""),
  name: z.string().max(120).default(""),
});

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const life = context.get(farmLifeContext);
  const read = dataForm.safeParse(Object.fromEntries(await formFields(request)));
  if (!read.success) throw data("Choose what to do. Nothing was changed.", { status: 422 });
  const { deed, name } = read.data;
  if (deed === "restore") return restored(here, life, name);
  try {
    if (deed === "back-up") {
      await backUp(here, life, "asked");
      return redirect("/farm/data?done=backed-up", 303);
    }
    const damage = await filePool().run("check-file", life.path);
    if (damage.length === 0) return redirect("/farm/data?done=whole", 303);
    return data({ problem: `The file is damaged: ${damage[0]}. Restore the last backup.` }, { status: 409 });
  } catch (error) {
    log.error({ err: error }, "the data file could not be packed or read");
    const problem =
      "That did not work: the folder of the backups can't be written, or its disk is full. The farm's data is unchanged.";
    return data({ problem }, { status: 409 });
  }
}

/** Puts a backup in the place of the data file, while every other request waits. */
async function restored(here: FarmContext, life: FarmLife, name: string) {
  const known = (await backupsIn(life.folder)).some((backup) => backup.name === basename(name));
  if (!known)
    return data({ problem: "That backup is not there any more. Reload the page." }, { status: 409 });
  try {
    await life.whileClosed(() =>
      restoreBackup(join(life.folder, basename(name)), {
        path: life.path,
        folder: life.folder,
        now: here.now(),
      }),
    );
    return redirect("/farm/data?done=restored", 303);
  } catch (error) {
    log.error({ err: error }, "the backup could not be restored");
    const problem =
      "This backup can't be restored: it is damaged, or of a newer version. The farm's data is unchanged.";
    return data({ problem }, { status: 409 });
  }
}

export default function Data({ loaderData, actionData }: Route.ComponentProps) {
  const { chosen, done, backups } = loaderData;
  return (
    <Page isWide>
      <PageHead title="Data" line="the farm's file, its backups, and the way back to one" />
      {done && <Notice tone="plain">{done}</Notice>}
      {actionData && (
        <div role="alert">
          <Notice tone="heed">{actionData.problem}</Notice>
        </div>
      )}
      {chosen && <RestoreThis {...loaderData} chosen={chosen} />}
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <Sheet heading="Backups" className="lg:col-span-2">
          {backups.length === 0 ? (
            <p className="py-1">
              None yet. One is made every day while Pale Morning runs, and before each update and each
              restore; the last 14 of those are kept, and every one that you ask for.
            </p>
          ) : (
            <Backups backups={backups} />
          )}
        </Sheet>
        <ThisFile {...loaderData} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Backups({ backups }: Pick<Loaded, "backups">) {
  const show = useShow();
  return (
    <DataTable
      caption="Backups, the newest first"
      columns={columnsOf(show)}
      rows={backups}
      keyOf={({ name }) => name}
    />
  );
}

const columnsOf = (show: Show): Column<Backup>[] => [
  { head: "Made", isOneLine: true, cell: ({ madeAt }) => show.dateTime(madeAt) },
  { head: "Why", cell: ({ reason }) => BACKUP_REASON_WORDS[reason] },
  { head: "Holds", isWideOnly: true, cell: ({ counts }) => countsInWords(counts, show) },
  {
    head: "Take it",
    isHeadHidden: true,
    cell: ({ name }) => (
      <a href={`/farm/data/archive/${name}`} download className="lone-link">
        Download
      </a>
    ),
  },
  {
    head: "Go back to it",
    isHeadHidden: true,
    cell: ({ name }) => (
      <Link to={`/farm/data?restore=${name}`} className="lone-link">
        Restore
      </Link>
    ),
  },
];

function ThisFile({ path, folder, counts }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="This file">
      <p className="py-1">It holds {countsInWords(counts, show)}.</p>
      <p className="py-1 text-sm text-soft">
        <span className="break-all font-mono">{path}</span>, with its backups in{" "}
        <span className="break-all font-mono">{folder}</span>. Copy a backup to a stick or another computer
        now and then: a disk that fails takes both.
      </p>
      <Form method="post" className="flex flex-wrap gap-3 py-2">
        <Button name="deed" value="back-up">
          Back up now
        </Button>
        <Button kind="plain" name="deed" value="check">
          Check the whole file
        </Button>
        <ButtonLink kind="plain" to="/farm/data/farm.json" reloadDocument>
          Download as JSON
        </ButtonLink>
        <ButtonLink kind="plain" to="/farm/data/csv.zip" reloadDocument>
          Download as CSV
        </ButtonLink>
        <ButtonLink kind="plain" to="/farm/data/import">
          Import a farm
        </ButtonLink>
      </Form>
    </Sheet>
  );
}

/** What a restore would change, before it is done. */
function RestoreThis({ chosen, counts }: Loaded & { chosen: Backup }) {
  const show = useShow();
  return (
    <Notice tone="heed">
      <p>
        <b>Go back to {show.dateTime(chosen.madeAt)}?</b> The backup holds{" "}
        {countsInWords(chosen.counts, show)}. The file now holds {countsInWords(counts, show)}. What was
        written since then is gone from the farm, and stays in a backup that is made first.
      </p>
      <Form method="post" action="/farm/data" className="flex flex-wrap gap-3 pt-2">
        <input type="hidden" name="name" value={chosen.name} />
        <Button name="deed" value="restore">
          Restore this backup
        </Button>
        <ButtonLink kind="plain" to="/farm/data">
          Cancel
        </ButtonLink>
      </Form>
    </Notice>
  );
}
