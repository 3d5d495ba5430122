import { data, Link, redirect } from "react-router";
import { Changes } from "#app/farm/history/changes.tsx";
import { Entries } from "#app/farm/history/entries.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { PUT_BACK_WORDS } from "#app/words/file-words.ts";
import type { Route } from "./+types/history.ts";

export const meta = () => [{ title: "History · Pale Morning" }];

const ROWS = 50;
const MOST_PAGES = 10_000;

/** What the list shows: everything that was entered, only what was removed, or settings and plans that were changed. */
const LISTS = ["entered", "removed", "changed"] as const;
type List = (typeof LISTS)[number];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const asked = new URL(request.url).searchParams;
  const list: List = LISTS.find((one) => one === asked.get("list")) ?? "entered";
  const page = Math.min(MOST_PAGES, Math.max(0, Math.floor(Number(asked.get("page")) || 0)));
  // One more than is shown tells whether there are more.
  const part = { from: page * ROWS, most: ROWS + 1 };
  const { history } = here.file;
  const entries =
    list === "changed" ? [] : list === "removed" ? history.removed(part) : history.entries(part);
  const changes = list === "changed" ? history.changes(part) : [];
  return {
    list,
    page,
    entries: entries.slice(0, ROWS),
    changes: changes.slice(0, ROWS),
    hasMore: entries.length + changes.length > ROWS,
    isPutBack: asked.get("done") === "put-back",
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const entryId = String((await formFields(request)).get("entryId") ?? "");
  const outcome = here.file.history.putBack(entryId, here.now());
  if (outcome === "put-back") return redirect("/farm/history?list=removed&done=put-back", 303);
  return data({ problem: PUT_BACK_WORDS[outcome] }, { status: 409 });
}

const LIST_WORDS: Readonly<Record<List, string>> = {
  entered: "Entered",
  removed: "Removed",
  changed: "Changed",
};

/** Who entered, removed or changed what, when, and from which device. */
export default function History({ loaderData, actionData }: Route.ComponentProps) {
  const { list, page, entries, changes, hasMore, isPutBack } = loaderData;
  return (
    <Page isWide>
      <PageHead title="History" line="what was entered, removed, and changed, when, and from which device" />
      {isPutBack && <Notice tone="plain">Put back. It counts again.</Notice>}
      {actionData && (
        <div role="alert">
          <Notice tone="heed">{actionData.problem}</Notice>
        </div>
      )}
      <nav aria-label="Lists of the history" className="flex flex-wrap gap-2 print:hidden">
        {LISTS.map((one) => (
          <Link
            key={one}
            to={`/farm/history?list=${one}`}
            aria-current={one === list ? "page" : undefined}
            className="flex min-h-11 items-center rounded-sheet border border-rule px-4 aria-[current=page]:bg-pine aria-[current=page]:text-leaf"
          >
            {LIST_WORDS[one]}
          </Link>
        ))}
      </nav>
      <Sheet heading={LIST_WORDS[list]}>
        {list === "changed" ? <Changes changes={changes} /> : <Entries entries={entries} list={list} />}
        <div className="flex gap-4 py-2 print:hidden">
          {page > 0 && (
            <ButtonLink kind="plain" to={`/farm/history?list=${list}&page=${page - 1}`}>
              Newer
            </ButtonLink>
          )}
          {hasMore && (
            <ButtonLink kind="plain" to={`/farm/history?list=${list}&page=${page + 1}`}>
              Older
            </ButtonLink>
          )}
        </div>
      </Sheet>
    </Page>
  );
}
