import { chillLog } from "#app/days/run/log/log-rows.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { FACT_WORDS, LOOK_WORDS, MARK_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { type DayFact, LOOKS, MARKS } from "#core/day/run/day-fact.ts";
import { marksNow } from "#core/day/run/marks-now.ts";
import type { DayPicture } from "#db/day/picture-queries.server.ts";

interface WithFacts {
  readonly facts: readonly DayFact[];
}

/** Ice and temperatures, as they were tapped. */
export function Chill({ facts }: WithFacts) {
  const show = useShow();
  const rows = chillLog(facts);
  return (
    <Sheet heading="Chill log">
      <div className="py-1">
        {rows.length === 0 ? (
          <p>No temperature was read and no ice was counted. The chill tanks' post takes both.</p>
        ) : (
          <DataTable
            caption="Ice, and temperatures of tanks and carcasses"
            columns={[
              { head: "Time", cell: ({ at }) => show.time(at), isOneLine: true },
              { head: "Tank", cell: ({ number }) => number ?? 1, isNumber: true },
              { head: "What", cell: ({ kind, bags }) => CHILL_WORDS[kind](bags) },
              {
                head: "Temperature",
                cell: ({ celsius }) => (celsius === undefined ? "" : show.temperature(celsius)),
                isNumber: true,
                isOneLine: true,
              },
              { head: "Who", cell: ({ person }) => person },
            ]}
            rows={rows}
            keyOf={({ entryId }) => entryId}
          />
        )}
      </div>
    </Sheet>
  );
}

const CHILL_WORDS = {
  ice: (bags: number | undefined) => plural(bags ?? 0, "bag of ice", "bags of ice"),
  "tank-temperature": () => "water",
  "carcass-temperature": () => "thickest breast",
} as const;

/** What the table noted, and what the birds are for. */
export function Marks({ facts }: WithFacts) {
  const { birds, marks, looks, hints } = marksNow(facts);
  const rows = [
    ...MARKS.map((mark) => ({ what: MARK_WORDS[mark].name, count: marks[mark] })),
    ...LOOKS.map((look) => ({ what: LOOK_WORDS[look], count: looks[look] })),
  ].filter(({ count }) => count > 0);
  return (
    <Sheet heading="Marks and inspection">
      <div className="grid gap-3 py-1">
        {rows.length === 0 && <p>Nothing was marked.</p>}
        {rows.length > 0 && (
          <DataTable
            caption={`Of ${plural(birds, "bird")}`}
            columns={[
              { head: "What", cell: ({ what }) => what },
              { head: "Birds", cell: ({ count }) => count, isNumber: true },
            ]}
            rows={rows}
            keyOf={({ what }) => what}
          />
        )}
        {hints.map((mark) => (
          <p key={mark}>
            <strong>{MARK_WORDS[mark].name}.</strong> {MARK_WORDS[mark].hint}
          </p>
        ))}
      </div>
    </Sheet>
  );
}

/** Birds that somebody took a picture of. */
export function Pictures({
  dayId,
  facts,
  pictures,
}: WithFacts & { dayId: number; pictures: readonly DayPicture[] }) {
  const show = useShow();
  if (pictures.length === 0) return null;
  return (
    <Sheet heading="Pictures">
      <div className="grid grid-cols-2 gap-3 py-2 md:grid-cols-3">
        {pictures.map(({ entryId, of }) => {
          const look = facts.find((fact) => fact.entryId === of);
          const words = look ? FACT_WORDS.look(look) : "A bird";
          return (
            <figure key={entryId} className="m-0">
              <a href={`/days/${dayId}/run/picture/${entryId}`}>
                <img
                  src={`/days/${dayId}/run/picture/${entryId}`}
                  alt={words}
                  loading="lazy"
                  className="aspect-square w-full rounded-sheet object-cover"
                />
              </a>
              <figcaption className="text-sm">
                {words}
                {look && `, ${show.time(look.at)}`}
              </figcaption>
            </figure>
          );
        })}
      </div>
    </Sheet>
  );
}
