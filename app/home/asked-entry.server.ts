import type { RouterContextProvider } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireOwnPath } from "#app/server/own-path.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { requireOwnEntry } from "#app/server/visitor/own-entry.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";

/**
 * The entry that somebody asks to remove or to put back, and the page to go back to.
 *
 * @throws a 400 page for a path that is not ours, and a 403 page for someone else's entry
 */
export async function askedEntry({
  context,
  request,
}: {
  context: Readonly<RouterContextProvider>;
  request: Request;
}) {
  const here = context.get(farmContext);
  const fields = await formFields(request);
  const back = String(fields.get("back") ?? "/");
  requireOwnPath(back);
  const entryId = String(fields.get("entryId") ?? "");
  requireOwnEntry(here, context.get(visitorContext), entryId);
  return { here, back, entryId, what: String(fields.get("what") ?? "") };
}
