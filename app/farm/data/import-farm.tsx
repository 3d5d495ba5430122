import { writeFileSync } from "node:fs";
import { rm } from "node:fs/promises";
import { data, Form, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { log } from "#app/server/log.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { filePool } from "#app/server/work-pool.server.ts";
import { AgreedEnd } from "#app/ui/agreed-end.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { countsInWords } from "#app/words/file-words.ts";
import { putInPlace } from "#db/life/restore.server.ts";
import type { Route } from "./+types/import-farm.ts";

export const meta = () => [{ title: "Import a farm · Pale Morning" }];

const MOST_MEGABYTES = 20;

export const loader = ({ context }: Route.LoaderArgs) => ({ counts: context.get(farmContext).file.counts() });

/** Makes the farm of an export in the place of this one, which stays as a backup. All of it or nothing. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const life = context.get(farmLifeContext);
  const fields = await formFields(request);
  const file = fields.get("farm");
  const refuse = (fault: string) => data({ fault }, { status: 422 });
  if (!(file instanceof File) || file.size === 0) return refuse("Choose the file first");
  if (file.size > MOST_MEGABYTES * 1024 * 1024)
    return refuse(
      `This file is larger than ${MOST_MEGABYTES} MB. Use npm run import on the farm's computer instead`,
    );
  if (fields.get("replaces") !== "on") return refuse("Check that this farm's data may be replaced");
  const next = `${life.path}.importing`;
  const from = `${next}.json`;
  try {
    writeFileSync(from, Buffer.from(await file.arrayBuffer()));
    const fault = await filePool().run("import-farm", { from, to: next });
    if (fault !== undefined) return refuse(`${fault}. Nothing was imported`);
    await life.whileClosed(() =>
      putInPlace(next, file.name, { path: life.path, folder: life.folder, now: here.now() }),
    );
    return redirect("/farm/data?done=imported", 303);
  } catch (error) {
    log.error({ err: error }, "the farm could not be imported");
    return refuse(
      "This farm can't be imported: its file is damaged, or the disk is full. Nothing was changed",
    );
  } finally {
    await Promise.all([from, next].map((path) => rm(path, { force: true })));
  }
}

/** A farm that was downloaded as JSON is put in the place of this one. */
export default function ImportFarm({ loaderData, actionData }: Route.ComponentProps) {
  const show = useShow();
  const fault = actionData?.fault;
  return (
    <Page>
      <PageHead title="Import a farm" line="from a file downloaded as JSON" />
      <Sheet heading="The file" className="max-w-prose">
        <Form method="post" encType="multipart/form-data" className="grid gap-4 py-1" noValidate>
          <label className="grid gap-1">
            <span className="font-semibold">Farm file</span>
            <span className="text-sm text-soft">
              A .json file from "Download as JSON", up to {MOST_MEGABYTES} MB. Phones that have joined, and
              the passphrase, are not in it: phones join again.
            </span>
            <input
              type="file"
              name="farm"
              accept=".json,application/json"
              aria-invalid={fault === undefined ? undefined : true}
              className="field-box py-2"
            />
          </label>
          <AgreedEnd name="replaces" fault={fault} submit="Import this farm" cancelTo="/farm/data">
            Replace this farm's data. It now holds {countsInWords(loaderData.counts, show)}; all of it stays
            in a backup that is made first.
          </AgreedEnd>
        </Form>
      </Sheet>
    </Page>
  );
}
