import type { LiveForecast, PlayedOn } from "#core/processing-line/forecast/forecast-answer.ts";
import { type LineNow, lineNow } from "#core/processing-line/forecast/line-now.ts";
import { type Snapshot, takeOver } from "#core/processing-line/forecast/taken-over.ts";
import { LAST_WORK, type LineContext, lineContext } from "#core/processing-line/line-context.ts";
import { type LineDay, type LinePerson, neededStations } from "#core/processing-line/line-day.ts";
import { replicationKey } from "#core/processing-line/line-draws.ts";
import { playOn } from "#core/processing-line/line-run.ts";
import { isBeforeChill, type Station } from "#core/processing-line/line-station.ts";
import { quantile } from "#core/processing-line/line-tally.ts";

/** Something that the people of a running day could do now. */
export type Move =
  /** From now on works there and nowhere else, or there as well. */
  | { readonly what: "only-at" | "also-at"; readonly name: string; readonly station: Station }
  | { readonly what: "break-later"; readonly fromMinute: number; readonly toMinute: number }
  | { readonly what: "pack-later" };

export interface LiveMove {
  readonly move: Move;
  /** By which all work is done sooner, in the middle of the replications. */
  readonly savedMinutes: number;
}

/** Replications that choose what is worth a closer look. */
const FIRST_LOOK = 8;
const LOOKED_AT = 5;
const MOST_MOVES = 2;
/** Less is not worth moving for. */
const LEAST_SAVED_MINUTES = 3;
const BREAK_LATER_MINUTES = 30;

/**
 * The one or two moves that would get the day done soonest, from where it stands.
 *
 * @param mayStand where a person may stand by their rules; without it, where the day has them
 * @returns most minutes saved first; none where nothing would save three minutes
 */
export function liveMoves(
  day: LineDay,
  forecast: LiveForecast,
  seed: number,
  mayStand: (person: LinePerson) => readonly Station[] = ({ stations }) => stations,
  now: LineNow = lineNow(day, forecast, seed),
): LiveMove[] {
  if (forecast.finish === undefined) return [];
  const { context, minute, drawn, snapshots } = now;
  const asItIs = snapshots.map((one, index) => finishFrom(context, one, drawn[index]!, minute));
  const saved = ({ changed }: Tried, looks: number): number => {
    const other = lineContext(changed, seed);
    const every = Math.floor(snapshots.length / looks) || 1;
    const gains = snapshots.flatMap((one, index) =>
      index % every === 0 ? [asItIs[index]! - finishFrom(other, one, drawn[index]!, minute)] : [],
    );
    return quantile(Float64Array.from(gains).sort(), 0.5);
  };
  return movesOf(day, minute, mayStand)
    .map((tried) => ({ tried, first: saved(tried, FIRST_LOOK) }))
    .toSorted((one, other) => other.first - one.first)
    .slice(0, LOOKED_AT)
    .map(({ tried }) => ({ move: tried.move, savedMinutes: saved(tried, now.snapshots.length) }))
    .filter(({ savedMinutes }) => savedMinutes >= LEAST_SAVED_MINUTES)
    .toSorted((one, other) => other.savedMinutes - one.savedMinutes)
    .slice(0, MOST_MOVES);
}

interface Tried {
  readonly move: Move;
  readonly changed: LineDay;
}

function movesOf(
  day: LineDay,
  nowMinute: number,
  mayStand: (person: LinePerson) => readonly Station[],
): Tried[] {
  const needed = neededStations(day).filter(isBeforeChill);
  const here = day.people.filter(
    ({ fromMinute, toMinute }) => fromMinute <= nowMinute && nowMinute < toMinute,
  );
  const moved = (person: LinePerson, stations: readonly Station[]): LineDay => ({
    ...day,
    people: day.people.map((one) => (one === person ? { ...one, stations } : one)),
  });
  const people = here.flatMap((person) =>
    needed
      .filter((station) => mayStand(person).includes(station))
      .flatMap((station): Tried[] => {
        const { name } = person;
        const also: Tried = {
          move: { what: "also-at", name, station },
          changed: moved(person, [...person.stations, station]),
        };
        const only: Tried = {
          move: { what: "only-at", name, station },
          changed: moved(person, [station]),
        };
        const isThereAlready = person.stations.includes(station);
        return isThereAlready ? (person.stations.length > 1 ? [only] : []) : [also, only];
      }),
  );
  const ahead = day.breaks.find(({ fromMinute }) => fromMinute > nowMinute);
  const toMinute = (ahead?.fromMinute ?? 0) + BREAK_LATER_MINUTES;
  const later: Tried[] = ahead
    ? [
        {
          move: { what: "break-later", fromMinute: ahead.fromMinute, toMinute },
          changed: {
            ...day,
            breaks: day.breaks.map((one) => (one === ahead ? { ...one, fromMinute: toMinute } : one)),
          },
        },
      ]
    : [];
  const packLater: Tried[] = day.packSameDay
    ? [{ move: { what: "pack-later" }, changed: { ...day, packSameDay: false } }]
    : [];
  return [...people, ...later, ...packLater];
}

/** When all work is done on a replication that goes on from where it stands; Infinity where it gets stuck. */
function finishFrom(
  context: LineContext,
  snapshot: Snapshot,
  { replication }: PlayedOn,
  minute: number,
): number {
  takeOver(context, snapshot, minute);
  const key = replicationKey(context.seed, replication);
  return playOn(context, key, undefined) === "done" ? context.state.clock[LAST_WORK]! : Infinity;
}
