import { data, redirect } from "react-router";
import { askedEntry } from "#app/home/asked-entry.server.ts";
import { PUT_BACK_WORDS } from "#app/words/file-words.ts";
import type { Route } from "./+types/put-back.ts";

/** Undoes a removal on the page where it was made. */
export async function action(asked: Route.ActionArgs) {
  const { here, back, entryId } = await askedEntry(asked);
  const outcome = here.file.history.putBack(entryId, here.now());
  if (outcome === "put-back") return redirect(back, 303);
  throw data(PUT_BACK_WORDS[outcome], { status: 409 });
}
