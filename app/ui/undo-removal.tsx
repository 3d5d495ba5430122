import { Form, useLocation, useSearchParams } from "react-router";
import { Button, Notice } from "#app/ui/sheet.tsx";

/** What was just removed, and the way back, for as long as the page is open. */
export function UndoRemoval() {
  const [search] = useSearchParams();
  const { pathname } = useLocation();
  const entryId = search.get("undo");
  if (entryId === null) return null;
  const rest = new URLSearchParams(search);
  for (const name of ["undo", "what"]) rest.delete(name);
  const query = rest.toString();
  return (
    <div className="p-4 pb-0 md:px-6 print:hidden">
      <Notice tone="plain">
        <Form method="post" action="/put-back" className="flex flex-wrap items-center gap-3">
          <input type="hidden" name="entryId" value={entryId} />
          <input type="hidden" name="back" value={query === "" ? pathname : `${pathname}?${query}`} />
          <span role="status">Removed: {search.get("what")}.</span>
          <Button kind="plain">Undo</Button>
        </Form>
      </Notice>
    </div>
  );
}
