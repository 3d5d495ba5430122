import type { CrewSearchState } from "#app/days/plan/line/use-line.ts";
import { Button, Sheet } from "#app/ui/sheet.tsx";
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

/** A better crew, looked for on the same luck and within everyone's rules; taken whole or one person at a time. */
export function BestCrewSheet({ crew, search, currentKey, onSearch, onCrew }: BestCrewSheetProps) {
  const show = useShow();
  const found = search.state === "found" && search.key === currentKey ? search.proposed : undefined;
  const seatsWith = (people: readonly number[]): CrewSeat[] =>
    crew.map((member, seat) =>
      people.includes(seat) ? { ...member, stations: found!.crew[seat]! } : member,
    );
  const single = found?.single;
  const isBetter = found !== undefined && found.savedMinutes >= 1 && found.moves.length > 0;
  return (
    <Sheet heading="Best crew">
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
      {found && isBetter && (
        <>
          <p role="status">
            Done <b>{show.minutes(found.savedMinutes)}</b> sooner
            {found.bottleneck && `; then ${STATION_WORDS[found.bottleneck].toLowerCase()} limits the line`}.
          </p>
          <table className="my-2 w-full text-sm">
            <caption className="sr-only">Who would move</caption>
            <thead>
              <tr className="border-b border-ink text-left">
                <th className="py-1 pr-2">Who</th>
                <th className="pr-2">Now</th>
                <th className="pr-2">Then</th>
                <th className="pr-2 text-right">Alone</th>
                <th className="sr-only">Use</th>
              </tr>
            </thead>
            <tbody>
              {found.moves.map(({ person, savedMinutes }) => (
                <tr key={person} className="border-b border-rule align-baseline">
                  <th scope="row" className="py-1 pr-2 text-left">
                    {crew[person]!.name}
                  </th>
                  <td className="pr-2">{inWords(crew[person]!.stations)}</td>
                  <td className="pr-2">{inWords(found.crew[person]!)}</td>
                  <td className="pr-2 text-right font-mono">{minutesInWords(savedMinutes, show.minutes)}</td>
                  <td>
                    <Button
                      type="button"
                      kind="plain"
                      className="px-3"
                      onClick={() => onCrew(seatsWith([person]))}
                    >
                      Use
                      <span className="sr-only"> {crew[person]!.name} only</span>
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="flex flex-wrap items-center gap-3">
            <Button type="button" onClick={() => onCrew(seatsWith(found.moves.map(({ person }) => person)))}>
              Use the whole crew
            </Button>
            {single && (
              <Button
                type="button"
                kind="plain"
                onClick={() =>
                  onCrew(
                    crew.map((member, seat) =>
                      seat === single.person ? { ...member, stations: single.stations } : member,
                    ),
                  )
                }
              >
                One move: {crew[single.person]!.name} at {inWords(single.stations)}, −
                {show.minutes(single.savedMinutes)}
              </Button>
            )}
          </div>
        </>
      )}
    </Sheet>
  );
}

function minutesInWords(saved: number, minutes: (value: number) => string): string {
  if (!Number.isFinite(saved)) return "not alone";
  if (Math.abs(saved) < 1) return "0 min";
  return saved > 0 ? `−${minutes(saved)}` : `+${minutes(-saved)}`;
}
