import type { Selection } from "#app/days/plan/choices/selection.ts";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { plural } from "#app/words/show.ts";
import { RULE_BROKEN_WORDS, STATION_WORDS } from "#app/words/words.ts";
import { absences } from "#core/day/crew/absences.ts";
import { type CrewMember, type CrewSeat, type Helper, joinCrew } from "#core/day/crew/crew.ts";
import { helpAt, leaveStation, standFirst } from "#core/day/crew/crew-moves.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { ruleAgainst } from "#core/safety/person-rules.ts";

interface CrewFootProps {
  crew: readonly CrewMember[];
  helpers: readonly Helper[];
  stations: readonly Station[];
  /** Of the day, by which someone is young. */
  year: number;
  selected: Selection | undefined;
  onSelect: (selected: Selection | undefined) => void;
  onCrew: (seats: readonly CrewSeat[]) => void;
}

const BUTTON = "min-h-12 rounded-sheet border border-soft bg-white px-3";

/** Below the line: all of the stations of whoever is picked, or who else could come. */
export function CrewFoot(props: CrewFootProps) {
  const { crew, selected } = props;
  const member = selected && crew[selected.seat];
  return member ? <Picked {...props} member={member} seat={selected.seat} /> : <Others {...props} />;
}

interface PickedProps extends CrewFootProps {
  member: CrewMember;
  seat: number;
}

function Picked(props: PickedProps) {
  const { crew, stations, onSelect, onCrew, member, seat } = props;
  const [first, ...others] = member.stations.map((station) => STATION_WORDS[station].toLowerCase());
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">{`Stations for ${member.name}`}</legend>
      <p>
        <b>{member.name}</b>
        {` is at ${first}${others.length > 0 ? ` and helps at ${others.join("; ")}` : ""}.`}
      </p>
      <div className="flex flex-wrap gap-2">
        {stations.map((station) => (
          <StationChoice key={station} {...props} station={station} />
        ))}
      </div>
      <div className="flex flex-wrap gap-2">
        <button type="button" className={BUTTON} onClick={() => onSelect(undefined)}>
          Done with {member.name}
        </button>
        {crew.length > 1 && (
          <button
            type="button"
            className={BUTTON}
            onClick={() => {
              onSelect(undefined);
              onCrew(crew.filter((_, index) => index !== seat));
            }}
          >
            {member.name} is not coming
          </button>
        )}
      </div>
    </fieldset>
  );
}

/** A station at which someone stands or does not, first or to help; or the rule that keeps them from it. */
function StationChoice({ crew, onCrew, member, seat, station }: PickedProps & { station: Station }) {
  const broken = ruleAgainst(member.rules, station);
  const words = STATION_WORDS[station];
  if (broken) {
    return (
      <span className="grid min-h-12 content-center px-2 text-sm text-soft">
        {words}: {RULE_BROKEN_WORDS[broken]}
      </span>
    );
  }
  const isThere = member.stations.includes(station);
  return (
    <label className="flex min-h-12 cursor-pointer items-center gap-2 rounded-sheet border border-rule bg-white px-3">
      <input
        type="checkbox"
        className="size-5 accent-pine"
        checked={isThere}
        disabled={isThere && member.stations.length === 1}
        onChange={() => onCrew(isThere ? leaveStation(crew, seat, station) : helpAt(crew, seat, station))}
      />
      {words}
      {isThere && station !== member.stations[0] && (
        <button
          type="button"
          className="-mr-2 min-h-11 min-w-11 px-1 text-sm text-pine underline"
          onClick={(event) => {
            event.preventDefault();
            onCrew(standFirst(crew, seat, station));
          }}
        >
          first<span className="sr-only"> at {words}</span>
        </button>
      )}
    </label>
  );
}

function Others({ crew, helpers, stations, year, onCrew }: CrewFootProps) {
  const { processedOn, around } = usePlan();
  const others = helpers.filter(({ id }) => !crew.some(({ personId }) => personId === id));
  const away = absences(around.people, around.personDays, processedOn);
  const cantCome = away.filter(({ personId }) => others.some(({ id }) => id === personId));
  const canCome = others.filter(({ id }) => !away.some(({ personId }) => personId === id));
  const add = (helper: Helper | undefined) => onCrew(joinCrew(crew, helper, { needed: stations, year }));
  return (
    <div className="flex flex-wrap items-center gap-2 border-t border-rule pt-2 print:hidden">
      <span className="pr-2">{plural(crew.length, "person", "people")}. Add:</span>
      {crew.length < MOST_PEOPLE &&
        canCome.map((helper) => (
          <button key={helper.id} type="button" className={BUTTON} onClick={() => add(helper)}>
            {helper.name}
          </button>
        ))}
      {crew.length < MOST_PEOPLE && (
        <button type="button" className={BUTTON} onClick={() => add(undefined)}>
          Add a helper
        </button>
      )}
      {cantCome.length > 0 && (
        <p className="w-full text-sm text-soft">
          Can't come that day:{" "}
          {cantCome.map(({ name, why }) => (why === "" ? name : `${name} (${why})`)).join(", ")}.
        </p>
      )}
    </div>
  );
}
