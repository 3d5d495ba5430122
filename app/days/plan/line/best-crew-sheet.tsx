import type { CrewSearchState } from "#app/days/plan/line/use-line.ts";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { Button, FoldedSheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { STATION_WORDS } from "#app/words/words.ts";
import type { CrewMember, CrewSeat } from "#core/day/crew/crew.ts";
import type { Station } from "#core/processing-line/line-station.ts";

interface BestCrewSheetProps {
  crew: readonly CrewMember[];
  search: CrewSearchState;
  /** The line as it stands, so that a crew found for another is not offered. */
  currentKey: string;
  onSearch: () => void;
  onCrew: (seats: readonly CrewSeat[]) => void;
}

const inWords = (stations: readonly Station[]) =>
  stations.map((station) => STATION_WORDS[station].toLowerCase()).join(", then ");

/** A better crew, looked for on the same random draws and within everyone's rules; taken whole or one person at a time. */
export function BestCrewSheet(props: BestCrewSheetProps) {
  const { search, currentKey, onSearch } = props;
  const found = search.state === "found" && search.key === currentKey ? search.proposed : undefined;
  const isBetter = found !== undefined && found.savedMinutes >= 1 && found.moves.length > 0;
  return (
    <FoldedSheet isForScreens id="crew" heading="Best crew" beside="who would work best where">
      {!found && (
        <div className="flex flex-wrap items-center gap-3">
          <Button type="button" kind="plain" disabled={search.state === "searching"} onClick={onSearch}>
            {search.state === "searching" ? "Trying crews" : "Find a better crew"}
          </Button>
          <span role="status" className="text-sm text-soft">
            {search.state === "failed"
              ? "The search failed on this device. The plan is unchanged."
              : "Follows everyone's rules; takes about three seconds."}
          </span>
        </div>
      )}
      {found && !isBetter && <p role="status">No other arrangement of these people finishes sooner.</p>}
      {found && isBetter && <Better {...props} found={found} />}
    </FoldedSheet>
  );
}

type Found = Extract<CrewSearchState, { state: "found" }>["proposed"];
type Move = Found["moves"][number];

function Better({ crew, onCrew, found }: BestCrewSheetProps & { found: Found }) {
  const show = useShow();
  const { single } = found;
  const use = (people: readonly number[]) =>
    onCrew(
      crew.map((member, seat) =>
        people.includes(seat) ? { ...member, stations: found.crew[seat]! } : member,
      ),
    );
  const columns: Column<Move>[] = [
    { head: "Who", cell: ({ person }) => <b>{crew[person]!.name}</b> },
    { head: "Now", cell: ({ person }) => inWords(crew[person]!.stations) },
    { head: "Then", cell: ({ person }) => inWords(found.crew[person]!) },
    {
      head: "Alone",
      cell: ({ savedMinutes }) => minutesInWords(savedMinutes, show.minutes),
      isNumber: true,
    },
    {
      head: "Use",
      isHeadHidden: true,
      cell: ({ person }) => (
        <Button type="button" kind="plain" className="px-3" onClick={() => use([person])}>
          Use<span className="sr-only"> {crew[person]!.name} only</span>
        </Button>
      ),
    },
  ];
  return (
    <>
      <p role="status">
        Done <b>{show.minutes(found.savedMinutes)}</b> sooner
        {found.bottleneck && `; then ${STATION_WORDS[found.bottleneck].toLowerCase()} limits the line`}.
      </p>
      <DataTable
        caption="Who would move"
        columns={columns}
        rows={found.moves}
        keyOf={({ person }) => person}
      />
      <div className="flex flex-wrap items-center gap-3">
        <Button type="button" onClick={() => use(found.moves.map(({ person }) => person))}>
          Use the whole crew
        </Button>
        {single && (
          <Button type="button" kind="plain" onClick={() => onCrew(withStations(crew, single))}>
            {`One move: ${crew[single.person]!.name} at ${inWords(single.stations)}, −${show.minutes(single.savedMinutes)}`}
          </Button>
        )}
      </div>
    </>
  );
}

const withStations = (
  crew: readonly CrewMember[],
  { person, stations }: { person: number; stations: readonly Station[] },
): CrewSeat[] => crew.map((member, seat) => (seat === person ? { ...member, stations } : member));

function minutesInWords(saved: number, minutes: (value: number) => string): string {
  if (!Number.isFinite(saved)) return "not alone";
  if (Math.abs(saved) < 1) return "0 min";
  return saved > 0 ? `−${minutes(saved)}` : `+${minutes(-saved)}`;
}
