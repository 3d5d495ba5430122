import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";
import type { Route } from "./+types/take-back.ts";

/** Takes one written-down thing back: it stays in the file and is left out of every sum. Taps and birds have ways of their own. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const fields = await formFields(request);
  const back = String(fields.get("back") ?? "/");
  if (!isOwnPath(back)) throw data("That page can't be returned to.", { status: 400 });
  const entryId = String(fields.get("entryId") ?? "");
  const { role, deviceId } = context.get(visitorContext);
  if (role !== "owner" && here.file.access.deviceOf(entryId) !== deviceId)
    throw data("Someone else recorded this. Ask an owner to remove it.", { status: 403 });
  if (here.file.removeFact(entryId, here.now()) === "not-a-fact") {
    throw data("That can't be removed here. If it belongs to a settled day, reopen the day first.", {
      status: 409,
    });
  }
  return redirect(back, 303);
}

/** Only a path of this application: `//elsewhere` would leave it, and so would one that a browser reads as that. */
const isOwnPath = (path: string) => /^\/(?:[a-z0-9-][\w./?=&%#-]*)?$/i.test(path);
