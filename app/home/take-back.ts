import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireOwnPath } from "#app/server/own-path.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { requireOwnEntry } from "#app/server/visitor/own-entry.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";
import type { Route } from "./+types/take-back.ts";

/** Takes one written-down thing back: it stays in the file and is left out of every sum. Taps and birds have ways of their own. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const fields = await formFields(request);
  const back = String(fields.get("back") ?? "/");
  requireOwnPath(back);
  const entryId = String(fields.get("entryId") ?? "");
  requireOwnEntry(here, context.get(visitorContext), entryId);
  if (here.file.removeFact(entryId, here.now()) === "not-a-fact") {
    throw data("That can't be removed here. If it belongs to a settled day, reopen the day first.", {
      status: 409,
    });
  }
  const what = here.file.history.canPutBack(entryId) ? String(fields.get("what") ?? "") : "";
  return redirect(withUndo(back, entryId, what), 303);
}

const MOST_WORDS = 80;

/** The page to go back to, which then offers to undo the removal of what is named. */
function withUndo(back: string, entryId: string, what: string): string {
  if (what === "") return back;
  const url = new URL(back, "http://farm");
  url.searchParams.set("undo", entryId);
  url.searchParams.set("what", what.slice(0, MOST_WORDS));
  return `${url.pathname}${url.search}${url.hash}`;
}
