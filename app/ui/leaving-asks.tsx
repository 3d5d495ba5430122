import { AlertDialog } from "radix-ui";
import { useBeforeUnload, useBlocker } from "react-router";
import { Button } from "#app/ui/sheet.tsx";

/**
 * Asks before a page with changes is left, by a link, the back button or a reload. What the page sends to itself goes
 * through: that is the saving.
 *
 * @param unsaved what would be lost, as the start of a sentence: "2 changes"; undefined while there is nothing
 */
export function LeavingAsks({ unsaved }: { unsaved: string | undefined }) {
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      unsaved !== undefined && currentLocation.pathname !== nextLocation.pathname,
  );
  useBeforeUnload((event) => {
    if (unsaved !== undefined) event.preventDefault();
  });
  if (blocker.state !== "blocked") return null;
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-20 bg-night opacity-70" />
        <AlertDialog.Content className="fixed inset-x-4 top-24 z-30 mx-auto grid max-w-md gap-3 rounded-sheet bg-leaf p-6 text-ink">
          <AlertDialog.Title className="text-2xl">Leave without saving?</AlertDialog.Title>
          <AlertDialog.Description>{unsaved} you haven't saved will be lost.</AlertDialog.Description>
          <div className="flex flex-wrap gap-3">
            <AlertDialog.Cancel asChild>
              <Button type="button" onClick={() => blocker.reset()}>
                Stay here
              </Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button type="button" kind="plain" onClick={() => blocker.proceed()}>
                Leave without saving
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
