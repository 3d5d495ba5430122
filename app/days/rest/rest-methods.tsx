import { DataTable } from "#app/ui/data-table.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { REST_METHOD_WORDS } from "#app/words/packing/rest-words.ts";
import { REST_METHOD_HOURS, REST_METHODS, type RestMethod, restTimes } from "#core/rest/rest-part.ts";
import { restLoss } from "#core/rest/rest-reckoning.ts";
import type { Route } from "./+types/rest.ts";

/** The ways of resting side by side: what each asks of the refrigerator, what it costs in weight, and what is said for it. */
export function RestMethods({ parts, birdKilograms, room }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  const [first] = parts;
  if (!first) return null;
  const rows = REST_METHODS.map((method) => ({
    method,
    ...restTimes({
      kind: first.kind,
      cover: "open",
      method,
      killedAt: [first.times.firstKillAt, ...parts.map(({ times }) => times.lastKillAt)],
    }),
  }));
  return (
    <Sheet heading="Ways to rest" beside="none is the only right one" className="print:hidden">
      <DataTable
        caption="Ways to rest, side by side"
        columns={[
          { head: "Rest", isOneLine: true, cell: ({ method }) => REST_METHOD_WORDS[method].name },
          { head: "Nights", isNumber: true, cell: ({ nights }) => nights },
          {
            head: "Refrigerator",
            isNumber: true,
            cell: ({ method }) => roomInWords(room.find((one) => one.method === method)),
          },
          { head: "Ready", isNumber: true, cell: ({ dueAt }) => show.dayTime(dueAt) },
          {
            head: "A bird loses",
            isNumber: true,
            cell: ({ lostFraction }) => show.bird(lostFraction * birdKilograms * 1e6),
          },
          {
            head: "What is said for it",
            isWideOnly: true,
            cell: ({ method }) => REST_METHOD_WORDS[method].saidFor,
          },
        ]}
        rows={rows}
        keyOf={({ method }) => method}
        isMarked={({ method }) => parts.some((part) => part.method === method)}
      />
      <LossWorking rows={rows} birdKilograms={birdKilograms} />
      <p className="pb-2 text-sm text-soft">
        A leg that bends freely decides. The loss is drip and drying of an open bird in the refrigerator, our
        estimate for a mean bird of {show.bird(birdKilograms * 1e6)}; a cover keeps most of the drying.
      </p>
    </Sheet>
  );
}

interface LossWorkingProps {
  rows: readonly { readonly method: RestMethod; readonly lostFraction: number }[];
  birdKilograms: number;
}

function LossWorking({ rows, birdKilograms }: LossWorkingProps) {
  return (
    <details className="print:hidden">
      <summary className="lone-link text-sm text-soft">How the loss is worked out</summary>
      {rows.map(({ method, lostFraction }) => (
        <Figure
          key={method}
          size="small"
          label={REST_METHOD_WORDS[method].name}
          reckoning={restLoss(birdKilograms, {
            hours: REST_METHOD_HOURS[method],
            cover: "open",
            lostFraction,
          })}
        />
      ))}
    </details>
  );
}

/** Whether all of the birds find room through the nights of a way of resting. */
function roomInWords(room: Route.ComponentProps["loaderData"]["room"][number] | undefined): string {
  if (room?.free === undefined) return "–";
  return room.free >= room.birds ? `room for ${room.free}` : `${room.birds - room.free} too many`;
}
