import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireOwnPath } from "#app/server/own-path.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { requireOwnEntry } from "#app/server/visitor/own-entry.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";
import { PUT_BACK_WORDS } from "#app/words/file-words.ts";
import type { Route } from "./+types/put-back.ts";

/** Undoes a removal on the page where it was made. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const fields = await formFields(request);
  const back = String(fields.get("back") ?? "/");
  requireOwnPath(back);
  const entryId = String(fields.get("entryId") ?? "");
  requireOwnEntry(here, context.get(visitorContext), entryId);
  const outcome = here.file.history.putBack(entryId, here.now());
  if (outcome === "put-back") return redirect(back, 303);
  throw data(PUT_BACK_WORDS[outcome], { status: 409 });
}
