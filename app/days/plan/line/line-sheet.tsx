import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { useEffect, useId, useState } from "react";
import { MILD_FAULTS } from "#app/days/plan/cautions/line-cautions.tsx";
import { CrewFoot } from "#app/days/plan/choices/crew-foot.tsx";
import { type Selection, seatId } from "#app/days/plan/choices/selection.ts";
import { BusyLegend, percent, StationColumn } from "#app/days/plan/choices/station-column.tsx";
import { FoldedSheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, type Show } from "#app/words/show.ts";
import { RULE_BROKEN_WORDS, STATION_WORDS } from "#app/words/words.ts";
import type { CrewMember, CrewSeat, Helper } from "#core/day/crew/crew.ts";
import { moveSeat } from "#core/day/crew/crew-moves.ts";
import type { LinePlan } from "#core/day/plan/line-plan.ts";
import type { DayChoices, FarmMeans } from "#core/day/plan/plan-input.ts";
import { neededStations } from "#core/processing-line/line-day.ts";
import { isAfterChill, type Station } from "#core/processing-line/line-station.ts";
import { ruleAgainst } from "#core/safety/person-rules.ts";

interface LineSheetProps {
  line: LinePlan;
  crew: readonly CrewMember[];
  helpers: readonly Helper[];
  choices: DayChoices;
  means: FarmMeans;
  /** Of each lot. */
  dipSeconds: readonly number[];
  year: number;
  /** Undefined where no station holds the line; its minutes, while they are not known. */
  holding: { readonly station: Station; readonly savedMinutes: number | undefined } | undefined;
  onCrew: (seats: readonly CrewSeat[]) => void;
}

/** A number and its unit stay on one line. */
const NO_BREAK = "\u00a0";

/**
 * Stations in a row, the people at each, and the one that holds the line. A name is moved by dragging it, by tapping it
 * and then a station, or by the arrow keys.
 */
export function LineSheet(props: LineSheetProps) {
  const { line, crew, holding } = props;
  const { day } = line.setup;
  const stations = neededStations(day);
  const moving = useMoving(props, stations);
  const kit = useKitWords(props);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 8 } }));
  const contextId = useId();
  const column = (station: Station) => (
    <StationColumn
      key={station}
      station={station}
      kit={kit[station] ?? ""}
      crew={crew}
      share={line.answer.stations[station]}
      holds={station === holding?.station}
      selected={moving.selected}
      onSelect={moving.select}
      onMove={moving.move}
      onStep={moving.step}
    />
  );
  return (
    <FoldedSheet
      id="line"
      heading="The line"
      beside={holding ? `${STATION_WORDS[holding.station]} limits it` : "who works where"}
      isOpen={line.faults.some(({ what }) => !MILD_FAULTS.includes(what))}
      isForPhones
    >
      <p className="pb-1 text-sm text-soft">Drag a name, tap it, or use the arrow keys.</p>
      <DndContext id={contextId} sensors={sensors} onDragEnd={moving.drop}>
        <ol
          className="-mx-4 grid sm:grid-flow-col sm:auto-cols-fr sm:divide-x sm:divide-rule"
          aria-label="Stations, in the order birds reach them"
        >
          {stations.filter((station) => !isAfterChill(station)).map(column)}
          <li className="flex flex-col gap-1 px-3 py-2 text-sm sm:px-2">
            <h3 className="font-sans font-semibold tracking-tighter">Chill</h3>
            <p className="text-soft">room for {plural(day.kit.tankBirds, "bird")}</p>
          </li>
          {stations.filter(isAfterChill).map(column)}
        </ol>
      </DndContext>
      <p role="status" className="text-sm empty:hidden">
        {moving.said}
      </p>
      <Working line={line} holding={holding} />
      <CrewFoot {...props} selected={moving.selected} onSelect={moving.select} stations={stations} />
    </FoldedSheet>
  );
}

/** Who is picked, and moving them: to a station, to the next one, or where they were dropped. */
function useMoving({ crew, onCrew }: LineSheetProps, stations: readonly Station[]) {
  const [selected, select] = useState<Selection>();
  // A name that went on by a key is drawn anew at its next station, and the key's focus goes with it.
  const [followed, follow] = useState<Selection>();
  useEffect(() => {
    if (followed) document.getElementById(seatId(followed))?.focus();
  }, [followed]);
  const [said, setSaid] = useState("");
  const move = (from: Selection, to: Station) => {
    const member = crew[from.seat];
    if (!member || from.station === to) return;
    const broken = ruleAgainst(member.rules, to);
    if (broken) {
      setSaid(`${member.name} stays: ${RULE_BROKEN_WORDS[broken]} at ${STATION_WORDS[to].toLowerCase()}.`);
      return;
    }
    onCrew(moveSeat(crew, from.seat, from.station, to));
    select({ seat: from.seat, station: to });
    setSaid(`${member.name} is at ${STATION_WORDS[to].toLowerCase()} now.`);
  };
  /** The nearest station to either side at which a rule keeps no one from it. */
  const step = (from: Selection, by: 1 | -1) => {
    const member = crew[from.seat]!;
    const onThatSide =
      by === 1
        ? stations.slice(stations.indexOf(from.station) + 1)
        : stations.slice(0, stations.indexOf(from.station)).reverse();
    const next = onThatSide.find((station) => !ruleAgainst(member.rules, station));
    if (!next) return setSaid(`${member.name} may not work any further on that side.`);
    move(from, next);
    follow({ seat: from.seat, station: next });
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (over) move(active.data.current as Selection, over.id as Station);
  };
  return { selected, select, said, move, step, drop };
}

/** What stands at each station. */
/** How long birds are dipped, from the lot that takes least to the one that takes most. */
function dipWords(dipSeconds: readonly number[], show: Show): string {
  const [least, most] = [Math.min(...dipSeconds), Math.max(...dipSeconds)].map((of) =>
    show.value(of, "seconds").replace(" ", NO_BREAK),
  );
  return least === most ? least! : `${least} to ${most}`;
}

function useKitWords({ line, choices, means, dipSeconds }: LineSheetProps): Partial<Record<Station, string>> {
  const show = useShow();
  const { places } = line.setup.day.kit;
  const placesAt = (station: keyof typeof places) => plural(places[station], "place");
  return {
    cones: plural(choices.cones, "cone"),
    scald: `${means.scalder.scaldAtOnce} at once, ${dipWords(dipSeconds, show)}`,
    pluck: { drum: `${means.pluckAtOnce} at once`, hand: "by hand", skin: "skinned" }[choices.pluckBy],
    feet: placesAt("feet"),
    pins: placesAt("pins"),
    gut: placesAt("gut"),
    rinse: placesAt("rinse"),
    giblets: placesAt("giblets"),
    pack: placesAt("pack"),
    cut: placesAt("cut"),
    seal: placesAt("seal"),
  };
}

/** What holds the line, and how much of their time everyone works. */
function Working({ line, holding }: Pick<LineSheetProps, "line" | "holding">) {
  const show = useShow();
  const shares = line.setup.day.people.map(
    ({ name }, person) => `${name} ${percent(line.answer.people[person]!)}`,
  );
  return (
    <div className="grid gap-1 border-t border-rule py-2 text-sm">
      {holding?.savedMinutes !== undefined && (
        <p>
          <b>{STATION_WORDS[holding.station]} limits the line:</b> 10 % faster there would finish the day{" "}
          {show.minutes(Math.max(1, Math.round(holding.savedMinutes)))} sooner.
        </p>
      )}
      <p>Share of time spent working: {shares.join(", ")}.</p>
      <BusyLegend />
    </div>
  );
}
