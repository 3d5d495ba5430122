import { useDraggable, useDroppable } from "@dnd-kit/core";
import { sum } from "d3-array";
import { type Selection, seatId } from "#app/days/plan/choices/selection.ts";
import { RULE_BROKEN_WORDS, STATION_WORDS } from "#app/words/words.ts";
import type { CrewMember } from "#core/day/crew/crew.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import type { StationShare } from "#core/processing-line/line-tally.ts";
import { ruleAgainst } from "#core/safety/person-rules.ts";

interface StationColumnProps {
  station: Station;
  kit: string;
  crew: readonly CrewMember[];
  share: StationShare | undefined;
  holds: boolean;
  selected: Selection | undefined;
  onSelect: (selected: Selection | undefined) => void;
  onMove: (from: Selection, to: Station) => void;
  onStep: (from: Selection, by: 1 | -1) => void;
}

/** One station: its kit, who stands or helps there, how busy it is, and whether it holds the line. */
export function StationColumn(props: StationColumnProps) {
  const { station, kit, crew, share, holds, selected, onMove } = props;
  const { setNodeRef, isOver } = useDroppable({ id: station });
  const here = crew.flatMap((member, seat) => (member.stations.includes(station) ? [{ member, seat }] : []));
  const selectedCard = selected && crew[selected.seat];
  const broken = selectedCard && ruleAgainst(selectedCard.rules, station);
  const canPut = selectedCard && !broken && selected.station !== station;
  return (
    <li
      ref={setNodeRef}
      className={`grid grid-cols-3 items-center gap-x-2 gap-y-1 border-b border-rule px-3 py-2 text-sm sm:flex sm:flex-col sm:items-stretch sm:border-b-0 sm:px-2 ${holds ? "bg-blush" : isOver ? "bg-mist" : ""}`}
    >
      <div className="grid gap-1">
        <h3 className="font-sans font-semibold tracking-tighter">{STATION_WORDS[station]}</h3>
        {holds && <p className="w-fit bg-barn px-1 text-xs font-semibold text-white">limits the line</p>}
        <p className="text-soft">{kit}</p>
      </div>
      <ul className="col-span-2 flex flex-wrap gap-1 sm:grid">
        {here.map(({ member, seat }) => (
          <li key={seat}>
            <NameTag {...props} member={member} seat={seat} />
          </li>
        ))}
        {here.length === 0 && <li className="font-semibold text-barn">nobody</li>}
      </ul>
      {canPut && (
        <button
          type="button"
          className="col-span-3 min-h-12 rounded-sheet border border-pine bg-white px-2 text-left text-pine"
          onClick={() => onMove(selected, station)}
        >
          {selectedCard.name} to here
        </button>
      )}
      {selectedCard && broken && <p className="text-soft">{RULE_BROKEN_WORDS[broken]}</p>}
      {share && <Busy share={share} />}
    </li>
  );
}

/** A name at a station: solid where they stand first, dashed where they help. */
function NameTag({
  member,
  seat,
  station,
  selected,
  onSelect,
  onStep,
}: StationColumnProps & { member: CrewMember; seat: number }) {
  const own: Selection = { seat, station };
  const isSelected = selected?.seat === seat && selected.station === station;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: `${seat}-${station}`,
    data: own,
  });
  const isFirst = member.stations[0] === station;
  return (
    <button
      ref={setNodeRef}
      type="button"
      id={seatId(own)}
      {...listeners}
      // A drag that is under way moves with the pointer.
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      aria-pressed={isSelected}
      aria-label={`${member.name} ${isFirst ? "at" : "helps at"} ${STATION_WORDS[station]}`}
      className={`seat ${
        isFirst ? "border-mist bg-mist" : "border-dashed border-pine bg-leaf"
      } ${isSelected ? "border-solid border-ink font-semibold" : ""} ${isDragging ? "z-10 opacity-80" : ""}`}
      onClick={() => onSelect(isSelected ? undefined : own)}
      onKeyDown={(event) => {
        if (event.key === "Escape") onSelect(undefined);
        const by = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : undefined;
        if (by === undefined) return;
        event.preventDefault();
        onStep(own, by);
      }}
    >
      {member.name}
    </button>
  );
}

/** What a station's places did, in the order of the bar. */
const PARTS = [
  { part: "busy", words: "worked", className: "fill-pine" },
  { part: "unmanned", words: "no one free", className: "fill-barn" },
  { part: "blocked", words: "next station full", className: "fill-dawn" },
  { part: "starved", words: "waiting for birds", className: "fill-rule" },
] as const;

function Busy({ share }: { share: StationShare }) {
  return (
    <div className="col-span-3 mt-auto grid gap-0.5 pt-1">
      <svg aria-hidden="true" viewBox="0 0 1 0.08" preserveAspectRatio="none" className="h-2 w-full">
        {PARTS.map(({ part, className }, index) => (
          <rect
            key={part}
            x={thousandth(sum(PARTS.slice(0, index), ({ part }) => share[part]))}
            width={thousandth(share[part])}
            height="0.08"
            className={className}
          />
        ))}
      </svg>
      <p className="font-mono">
        <span aria-hidden="true">{percent(share.busy)}</span>
        <span className="sr-only">
          {PARTS.map(({ part, words }) => `${percent(share[part])} ${words}`).join(", ")}
        </span>
        <span className="pl-3 text-soft sm:block sm:pl-0">
          {share.peakQueue >= 1 && `${Math.round(share.peakQueue)} wait`}&nbsp;
        </span>
      </p>
    </div>
  );
}

const thousandth = (value: number) => Math.round(value * 1000) / 1000;

/** What the bars below the stations are made of. */
export function BusyLegend() {
  return (
    <ul aria-label="Bars, left to right" className="flex flex-wrap gap-x-4 text-soft">
      {PARTS.map(({ part, words, className }) => (
        <li key={part} className="flex items-center gap-1">
          <svg aria-hidden="true" viewBox="0 0 10 10" className="size-2.5">
            <rect width="10" height="10" className={className} />
          </svg>
          {words}
        </li>
      ))}
    </ul>
  );
}

export const percent = (share: number) => `${Math.round(100 * share)} %`;
