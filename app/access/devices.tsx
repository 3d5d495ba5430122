import { Form } from "react-router";
import { ROLE_WORDS } from "#app/access/role-words.ts";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Show } from "#app/words/show.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { JoinedDevice } from "#db/access/access-queries.server.ts";

/** A device that was seen so lately is in use. */
const NOW_MILLISECONDS = 6 * MINUTE;

/** The phones and computers that joined, each with a button to block it. */
export function Devices({ devices, now }: { devices: readonly JoinedDevice[]; now: number }) {
  const show = useShow();
  return (
    <Sheet heading="Joined phones and computers">
      {devices.length === 0 ? (
        <p className="py-1">
          None yet. Each phone that joins is listed here with its role and when it was last used. Block a
          phone that is lost or no longer needs access.
        </p>
      ) : (
        <DataTable
          caption="Joined phones and computers"
          rows={devices}
          keyOf={({ id }) => id}
          columns={columnsOf(show, now)}
        />
      )}
    </Sheet>
  );
}

function columnsOf(show: Show, now: number): Column<JoinedDevice>[] {
  return [
    { head: "Whose", cell: ({ name }) => name },
    { head: "Role", cell: ({ role }) => ROLE_WORDS[role].name },
    { head: "Joined", cell: ({ joinedAt }) => show.dateTime(joinedAt) },
    {
      head: "Last used",
      cell: ({ lastSeenAt, blockedAt }) => {
        if (blockedAt !== undefined) return `blocked ${show.dateTime(blockedAt)}`;
        return now - lastSeenAt < NOW_MILLISECONDS ? "now" : show.dateTime(lastSeenAt);
      },
    },
    {
      head: "Block",
      isHeadHidden: true,
      cell: ({ id, name, blockedAt }) => (
        <Form method="post" preventScrollReset>
          <input type="hidden" name="device" value={id} />
          <button
            type="submit"
            name="deed"
            value={blockedAt === undefined ? "block" : "unblock"}
            className="min-h-12 px-2 underline"
            aria-label={blockedAt === undefined ? `Block: ${name}` : `Unblock: ${name}`}
          >
            {blockedAt === undefined ? "Block" : "Unblock"}
          </button>
        </Form>
      ),
    },
  ];
}
