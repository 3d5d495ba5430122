import type { LineDay } from "#core/processing-line/line-day.ts";
import { neededStations } from "#core/processing-line/line-day.ts";
import { mixed } from "#core/processing-line/line-luck.ts";
import { isBeforeChill, isInFront, type Station } from "#core/processing-line/line-station.ts";
import { Mornings } from "#core/processing-line/line-whatif.ts";

/** Stations that each person may be put at, in the order of the day's people. */
export type Allowed = readonly (readonly Station[])[];

/** Each person's order of preference, in the order of the day's people. */
export type Crew = readonly (readonly Station[])[];

export interface CrewSearch {
  readonly day: LineDay;
  readonly allowed: Allowed;
  readonly seed: number;
}

export interface FoundCrew {
  readonly crew: Crew;
  /** Minute at which half the mornings are over. */
  readonly minute: number;
}

/** Mornings by which a crew is judged, and after how many of them one that is clearly worse is dropped. */
const MORNINGS = 48;
const CHECKS: readonly number[] = [2, 6, 16];
/** Worse by so much of the day after the first few mornings is clearly worse. */
const CLEARLY_WORSE = 0.004;
/** A change must save so many minutes to be taken: less is luck. */
const WORTH_MINUTES = 0.2;
/** Where no more crews than this are possible, all are tried. */
const COUNTABLE_CREWS = 3000;
/** From the best so far two people are shuffled so many times, and the crew bettered again. */
const SHUFFLES = 6;

export const withCrew = (day: LineDay, crew: Crew): LineDay => ({
  ...day,
  people: day.people.map((person, index) => ({ ...person, stations: crew[index]! })),
});

/**
 * A good crew for a day: who stands where, and who helps out where, within what each may do.
 *
 * Starts from everybody at everything and from one cell each, then changes one person at a time, on common luck, for as
 * long as that ends the day sooner. Held to within 2 % of every crew there is on small days, by a test. Yields the
 * best so far after each round, so that its caller decides about time.
 *
 * @throws {RangeError} if somebody may do nothing that the day needs
 */
export function* bestCrew({ day, allowed, seed }: CrewSearch): Generator<FoundCrew, FoundCrew> {
  const needed = neededStations(day);
  const may = allowed.map((stations) => needed.filter((station) => stations.includes(station)));
  const idle = may.findIndex((stations) => stations.length === 0);
  if (idle !== -1) throw new RangeError(`${day.people[idle]!.name} may do nothing that the day needs`);
  const trial = (crew: Crew): Trial => ({ crew, mornings: new Mornings(withCrew(day, crew), seed) });
  const found = ({ crew, mornings }: Trial): FoundCrew => ({ crew, minute: mornings.evenChance(MORNINGS) });
  const starts = startsFor(day, may);
  let best = trial(starts[0]!);
  const orders = may.map(everyOrder);
  if (orders.reduce((product, { length }) => product * length, 1) <= COUNTABLE_CREWS) {
    for (const crew of everyCrew(orders)) {
      const tried = trial(crew);
      if (isBetter(tried.mornings, best.mornings)) best = tried;
    }
    return found(best);
  }
  for (let round = 0; round < starts.length + SHUFFLES; round += 1) {
    let standing = trial(starts[round] ?? shuffled(best.crew, may, mixed(seed + round)));
    for (;;) {
      yield found(best);
      const better = betterCrew(standing, may, trial) ?? betterDivided(standing, trial);
      if (!better) break;
      standing = better;
    }
    if (isBetter(standing.mornings, best.mornings)) best = standing;
  }
  return found(best);
}

/** Two people somewhere else, drawn by a number. */
function shuffled(crew: Crew, may: Allowed, luck: number): Crew {
  const first = (luck >>> 1) % crew.length;
  const second = (first + 1 + ((luck >>> 7) % Math.max(1, crew.length - 1))) % crew.length;
  return crew.map((stations, person) => {
    if (person !== first && person !== second) return stations;
    const own = may[person]!;
    const from = (luck >>> (person === first ? 11 : 17)) % own.length;
    return [...own.slice(from), ...own.slice(0, from)].slice(0, 1 + ((luck >>> 23) % 3));
  });
}

interface Trial {
  readonly crew: Crew;
  readonly mornings: Mornings;
}

/** All changes of one person that are worth it, the best first, each on top of those taken before it. */
function betterCrew(standing: Trial, may: Allowed, trial: (crew: Crew) => Trial): Trial | undefined {
  const changes = standing.crew
    .flatMap((stations, person) => changesOf(stations, may[person]!).map((changed) => ({ person, changed })))
    .map(({ person, changed }) => ({
      person,
      changed,
      tried: trial(changedCrew(standing.crew, person, changed)),
    }))
    .filter(({ tried }) => isBetter(tried.mornings, standing.mornings))
    .toSorted((one, other) => meanFinish(one.tried.mornings) - meanFinish(other.tried.mornings));
  const [first, ...others] = changes;
  if (!first) return undefined;
  let best = first.tried;
  for (const { person, changed } of others) {
    if (best.crew[person] !== standing.crew[person]) continue;
    const both = trial(changedCrew(best.crew, person, changed));
    if (isBetter(both.mornings, best.mornings)) best = both;
  }
  return best;
}

/**
 * Two people who each leave one station to others: worth it where neither alone is, as with two who both wander between
 * scald and table. The best such pair.
 */
function betterDivided(standing: Trial, trial: (crew: Crew) => Trial): Trial | undefined {
  const dropped = standing.crew.flatMap((stations, person) =>
    stations.length < 2
      ? []
      : stations.map((station) => ({ person, changed: stations.filter((other) => other !== station) })),
  );
  let best: Trial | undefined;
  for (const [index, one] of dropped.entries()) {
    const crew = changedCrew(standing.crew, one.person, one.changed);
    for (const other of dropped.slice(index + 1)) {
      if (other.person === one.person) continue;
      const tried = trial(changedCrew(crew, other.person, other.changed));
      if (isBetter(tried.mornings, (best ?? standing).mornings)) best = tried;
    }
  }
  return best;
}

const changedCrew = (crew: Crew, person: number, changed: readonly Station[]): Crew =>
  crew.map((stations, index) => (index === person ? changed : stations));

const meanFinish = (mornings: Mornings, count = MORNINGS) => {
  let sum = 0;
  for (let morning = 0; morning < count; morning += 1) sum += mornings.finish(morning);
  return sum / count;
};

/** Whether mornings end sooner than others on the same luck. Most are not, and most of those show it at once. */
function isBetter(mornings: Mornings, standing: Mornings): boolean {
  for (const check of CHECKS)
    if (meanFinish(mornings, check) > meanFinish(standing, check) * (1 + CLEARLY_WORSE)) return false;
  return meanFinish(mornings) < meanFinish(standing) - WORTH_MINUTES;
}

/** A person's stations in every way that plays differently: each subset, with the front or the back as home. */
function everyOrder(may: readonly Station[]): Station[][] {
  return Array.from({ length: (1 << may.length) - 1 }, (_, index) =>
    may.filter((__, bit) => ((index + 1) >> bit) & 1),
  ).flatMap((subset) => {
    const turned = backFirst(subset);
    return turned[0] === subset[0] ? [subset] : [subset, turned];
  });
}

function everyCrew([first, ...others]: readonly (readonly Station[][])[]): Crew[] {
  if (!first) return [[]];
  const rest = everyCrew(others);
  return first.flatMap((order) => rest.map((crew) => [order, ...crew]));
}

/** A person's stations with one more, one fewer, only one, or another first. */
function changesOf(stations: readonly Station[], may: readonly Station[]): Station[][] {
  const more = may.filter((station) => !stations.includes(station)).map((station) => [...stations, station]);
  const fewer =
    stations.length > 1 ? stations.map((_, index) => stations.filter((__, other) => other !== index)) : [];
  const only = stations.length > 1 || may.length > 1 ? may.map((station) => [station]) : [];
  const first = stations
    .slice(1)
    .filter((station) => isInFront(station) !== isInFront(stations[0]!))
    .map((station) => [station, ...stations.filter((other) => other !== station)]);
  return [...more, ...fewer, ...only, ...first];
}

/** Crews to start from: a front cell of two, one or half of the people and the rest behind; all at everything. */
function startsFor(day: LineDay, may: Allowed): Crew[] {
  const people = day.people.length;
  const fronts = [...new Set([2, 1, Math.round(people / 2)])].filter((count) => count < people);
  const cells = fronts.map((count) => {
    const front = may
      .map((stations, person) => ({ person, front: stations.filter(isInFront).length }))
      .toSorted((one, other) => other.front - one.front)
      .slice(0, count)
      .map(({ person }) => person);
    return may.map((stations, person) => {
      const cell = stations.filter((station) => isInFront(station) === front.includes(person));
      return cell.length > 0 ? cell : [...stations];
    });
  });
  const isManned = (crew: Crew) =>
    neededStations(day).every((station) => crew.some((stations) => stations.includes(station)));
  return [...cells.filter(isManned), may.map(backFirst)];
}

/** With work behind the plucker first, so that a person's home is there. */
const backFirst = (stations: readonly Station[]): Station[] => [
  ...stations.filter((station) => isBeforeChill(station) && !isInFront(station)),
  ...stations.filter((station) => isInFront(station)),
  ...stations.filter((station) => !isBeforeChill(station)),
];

/** A found crew beside the one that stands. */
export interface CrewProposal {
  readonly crew: Crew;
  /** Minutes by which half the mornings are over sooner. */
  readonly savedMinutes: number;
  /** The people who would stand elsewhere, and what each would save if they alone moved; most first. */
  readonly moves: readonly { readonly person: number; readonly savedMinutes: number }[];
}

/** What a found crew saves against the one that stands, as a whole and person by person, on common luck. */
export function crewProposal(day: LineDay, { crew }: FoundCrew, seed: number): CrewProposal {
  const now = new Mornings(day, seed).evenChance(MORNINGS);
  const standing = day.people.map(({ stations }) => stations);
  const saved = (changed: Crew) => {
    const then = new Mornings(withCrew(day, changed), seed).evenChance(MORNINGS);
    return then === now ? 0 : now - then;
  };
  const moves = crew
    .flatMap((stations, person) =>
      stations.join() === standing[person]!.join()
        ? []
        : [{ person, savedMinutes: saved(changedCrew(standing, person, stations)) }],
    )
    .toSorted((one, other) => other.savedMinutes - one.savedMinutes);
  return { crew, savedMinutes: saved(crew), moves };
}
