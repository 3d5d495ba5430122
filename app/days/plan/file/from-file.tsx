import { data, Form, redirect } from "react-router";
import { readLineFile } from "#app/days/plan/file/read-line-file.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { requireBatch } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { Button, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/from-file.ts";

export const meta = () => [{ title: "Start from a plan file · Pale Morning" }];

/** A plan's file is one or two thousand letters; it travels on in the address of the page that it fills in. */
const MOST_BYTES = 6000;

const batchOf = (here: FarmContext, request: Request) =>
  requireBatch(here, new URL(request.url).searchParams.get("batch") ?? undefined);

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { batchName: batchOf(here, request).name };
}

/** Reads the file and fills in a new day with it; nothing is kept until that is saved. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const batch = batchOf(here, request);
  const file = (await formFields(request)).get("plan");
  const refuse = (...problems: string[]) => data({ problems }, { status: 422 });
  if (!(file instanceof File) || file.size === 0) return refuse("Choose the file first");
  const text = await file.text();
  const read = readLineFile(text);
  if ("problems" in read) return refuse(...read.problems);
  const short = JSON.stringify(JSON.parse(text));
  if (short.length > MOST_BYTES)
    return refuse(`The file is too long for a plan: at most ${MOST_BYTES} characters`);
  return redirect(`/days/new?${new URLSearchParams({ batch: String(batch.id), plan: short })}`, 303);
}

export default function FromFile({ loaderData: { batchName }, actionData }: Route.ComponentProps) {
  const problems = actionData?.problems ?? [];
  return (
    <Page>
      <PageHead title="Start from a plan file" line={batchName} />
      <Sheet heading="The file" className="max-w-prose">
        <Form method="post" encType="multipart/form-data" className="grid gap-3 py-1">
          <label className="grid gap-1">
            <span className="font-semibold">Plan file</span>
            <span className="text-sm text-soft">
              A .json file exported from a plan. Birds, people, stations, equipment, and break come from it;
              the date, methods, and each person's speed come from your farm. Of several lots, the first is
              filled in; add the others once the day is scheduled. Nothing is saved until you save the day.
            </span>
            <input
              type="file"
              name="plan"
              accept=".json,application/json"
              aria-invalid={problems.length > 0 ? true : undefined}
              className="field-box py-2"
            />
          </label>
          {problems.length > 0 && (
            <ul role="alert" className="text-sm font-semibold text-barn">
              {problems.map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
            </ul>
          )}
          <div>
            <Button>Use this file</Button>
          </div>
        </Form>
      </Sheet>
    </Page>
  );
}
