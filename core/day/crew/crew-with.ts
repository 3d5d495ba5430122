import { type CrewSeat, type Helper, rulesOf, stationsToJoin } from "#core/day/crew/crew.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";
import { NO_RULES } from "#core/safety/person-rules.ts";

/**
 * A crew of other people: those who stay keep their stations; whoever comes new goes where no one stands, or where people
 * usually go.
 *
 * @param who the farm's people who come, by id
 * @param unnamed how many come who are not among them
 * @param year of the day, for the rules of the young
 */
export function crewWith(
  current: readonly CrewSeat[],
  who: readonly number[],
  unnamed: number,
  helpers: readonly Helper[],
  year: number,
): CrewSeat[] {
  const nameless = current.filter(({ personId }) => personId === undefined).slice(0, unnamed);
  const staying = current.filter(({ personId }) => personId !== undefined && who.includes(personId));
  const coming = who.flatMap((id) => {
    const helper = helpers.find((one) => one.id === id);
    return helper && !staying.some(({ personId }) => personId === id) ? [helper] : [];
  });
  const needed = STATIONS.slice(0, 6);
  const seats: CrewSeat[] = [...staying, ...nameless];
  for (const helper of coming)
    seats.push({
      personId: helper.id,
      name: helper.name,
      stations: stationsToJoin(seats, needed, rulesOf(helper, year)),
    });
  for (let more = nameless.length; more < unnamed; more += 1)
    seats.push({
      personId: undefined,
      name: `Helper ${seats.length + 1}`,
      stations: stationsToJoin(seats, needed, NO_RULES),
    });
  return seats;
}
