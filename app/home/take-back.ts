import { data, redirect } from "react-router";
import { askedEntry } from "#app/home/asked-entry.server.ts";
import type { Route } from "./+types/take-back.ts";

/** Takes one written-down thing back: it stays in the file and is left out of every sum. Taps and birds have ways of their own. */
export async function action(asked: Route.ActionArgs) {
  const { here, back, entryId, what } = await askedEntry(asked);
  const outcome = here.file.removeFact(entryId, here.now());
  if (outcome === "out-again")
    throw data("That pack was sold or taken out again since. Undo that first.", { status: 409 });
  if (outcome === "not-a-fact") {
    throw data("That can't be removed here. If it belongs to a settled day, reopen the day first.", {
      status: 409,
    });
  }
  const offersUndo = what !== "" && here.file.history.canPutBack(entryId);
  return redirect(offersUndo ? withUndo(back, entryId, what) : back, 303);
}

const MOST_WORDS = 80;

/** The page to go back to, which then offers to undo the removal of what is named. */
function withUndo(back: string, entryId: string, what: string): string {
  const url = new URL(back, "http://farm");
  url.searchParams.set("undo", entryId);
  url.searchParams.set("what", what.slice(0, MOST_WORDS));
  return `${url.pathname}${url.search}${url.hash}`;
}
