import { Form } from "react-router";
import { entryDetail } from "#app/farm/history/history-detail.ts";
import { deviceWords, entryWords } from "#app/farm/history/history-words.ts";
import { Moment } from "#app/farm/history/moment.tsx";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import type { PastEntry } from "#db/history/history-queries.server.ts";

/** What was entered, or what of it was removed, the newest first. */
export function Entries({ entries, list }: { entries: readonly PastEntry[]; list: "entered" | "removed" }) {
  const show = useShow();
  if (entries.length === 0)
    return (
      <p className="py-1">
        {list === "removed"
          ? "Nothing has been removed. What is removed by mistake can be put back here."
          : "Nothing yet. Everything that is entered on this farm is listed here, with the phone it came from."}
      </p>
    );
  return (
    <DataTable
      caption={list === "removed" ? "Removed, the newest first" : "Entered, the newest first"}
      columns={columnsOf(show)}
      rows={entries}
      keyOf={({ entryId }) => entryId}
    />
  );
}

const columnsOf = (show: Show): Column<PastEntry>[] => [
  { head: "When", cell: ({ at }) => <Moment at={at} /> },
  {
    head: "What",
    cell: ({ content }) => (
      <>
        {entryWords(String(content[0]))}
        <span className="block text-sm text-soft">{entryDetail(content, show)}</span>
      </>
    ),
  },
  { head: "From", isWideOnly: true, cell: ({ deviceName }) => deviceWords(deviceName) },
  {
    head: "Removed",
    cell: ({ removedAt, removedByName, entryId, canPutBack }) =>
      removedAt === undefined ? (
        ""
      ) : (
        <div className="flex flex-wrap items-center gap-3">
          <span>
            <Moment at={removedAt} />
            <span className="block text-sm text-soft">{deviceWords(removedByName)}</span>
          </span>
          {canPutBack && (
            <Form method="post" action="/farm/history" className="print:hidden">
              <Button kind="plain" name="entryId" value={entryId}>
                Put back
              </Button>
            </Form>
          )}
        </div>
      ),
  },
];
