import { Replications } from "#core/processing-line/alternatives/line-whatif.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { neededStations } from "#core/processing-line/line-day.ts";
import { scrambled } from "#core/processing-line/line-draws.ts";
import { isBeforeChill, isInFront, type Station } from "#core/processing-line/line-station.ts";

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
  /** Minute at which half the replications are over. */
  readonly minute: number;
}

/** Replications by which a crew is judged. */
const REPLICATIONS = 48;
/** After so many replications a crew that is worse by so much of the day is dropped; the fewer, the more chance is in it. */
const CHECKS: readonly (readonly [replications: number, worse: number])[] = [
  [2, 0.03],
  [6, 0.012],
  [16, 0.004],
];
/** A change must save this many minutes to be kept: less is chance. */
const WORTH_MINUTES = 0.2;
/** Where no more crews than this are possible, all are tried. */
const COUNTABLE_CREWS = 3000;
const GLANCE_MORNINGS = 8;
const GLANCE_CREWS = 60;
/** From the best so far two people are shuffled so many times, and the crew bettered again. */
const SHUFFLES = 6;

export const withCrew = (day: LineDay, crew: Crew): LineDay => ({
  ...day,
  people: day.people.map((person, index) => ({ ...person, stations: crew[index]! })),
});

/**
 * A good crew for a day: who stands where, and who helps out where, within what each may do.
 *
 * Starts from the crew that stands, from one cell each and from everyone at everything, then changes one person or two at
 * a time, on common random numbers, for as long as that ends the day sooner. Held to within 2 % of every crew there is on small
 * days, by a test. Who may do nothing that the day needs stays where they are. Yields the best so far after each round,
 * so that its caller decides about time.
 */
export function* bestCrew({ day, allowed, seed }: CrewSearch): Generator<FoundCrew, FoundCrew> {
  const may = mayAtNeeded(day, allowed);
  const trial = (crew: Crew): Trial => ({ crew, replications: new Replications(withCrew(day, crew), seed) });
  const found = ({ crew, replications }: Trial): FoundCrew => ({
    crew,
    minute: replications.likelyMinutes(REPLICATIONS),
  });
  const currentCrew = day.people.map(({ stations }, person) => {
    const own = stations.filter((station) => may[person]!.includes(station));
    return own.length > 0 ? own : may[person]!;
  });
  const starts = [currentCrew, ...startsFor(day, may)];
  let best = trial(currentCrew);
  const orders = may.map(everyOrder);
  if (orders.reduce((product, { length }) => product * length, 1) <= COUNTABLE_CREWS) {
    const byGlance = (one: Trial, other: Trial) =>
      meanFinish(one.replications, GLANCE_MORNINGS) - meanFinish(other.replications, GLANCE_MORNINGS);
    const promising = everyCrew(orders).map(trial).toSorted(byGlance).slice(0, GLANCE_CREWS);
    const isSooner = (one: Trial, other: Trial) =>
      meanFinish(one.replications) < meanFinish(other.replications);
    return found(promising.reduce((least, one) => (isSooner(one, least) ? one : least), best));
  }
  for (let round = 0; round < starts.length + SHUFFLES; round += 1) {
    let current = trial(starts[round] ?? shuffled(best.crew, may, scrambled(seed + round)));
    for (;;) {
      if (isBetter(current.replications, best.replications)) best = current;
      yield found(best);
      const better = betterCrew(current, may, trial) ?? betterDivided(current, trial);
      if (!better) break;
      current = better;
    }
  }
  return found(best);
}

function mayAtNeeded(day: LineDay, allowed: Allowed): Allowed {
  const needed = neededStations(day);
  return allowed.map((stations, person) => {
    const may = needed.filter((station) => stations.includes(station));
    return may.length > 0 ? may : day.people[person]!.stations;
  });
}

/** Two people somewhere else, drawn by a number. */
function shuffled(crew: Crew, may: Allowed, draws: number): Crew {
  const first = (draws >>> 1) % crew.length;
  const second = (first + 1 + ((draws >>> 7) % Math.max(1, crew.length - 1))) % crew.length;
  return crew.map((stations, person) => {
    if (person !== first && person !== second) return stations;
    const own = may[person]!;
    const from = (draws >>> (person === first ? 11 : 17)) % own.length;
    return [...own.slice(from), ...own.slice(0, from)].slice(0, 1 + ((draws >>> 23) % 3));
  });
}

interface Trial {
  readonly crew: Crew;
  readonly replications: Replications;
}

/** All changes of one person that are worth it, the best first, each on top of those taken before it. */
function betterCrew(current: Trial, may: Allowed, trial: (crew: Crew) => Trial): Trial | undefined {
  const changes = current.crew
    .flatMap((stations, person) => changesOf(stations, may[person]!).map((changed) => ({ person, changed })))
    .map(({ person, changed }) => ({
      person,
      changed,
      tried: trial(changedCrew(current.crew, person, changed)),
    }))
    .filter(({ tried }) => isBetter(tried.replications, current.replications))
    .toSorted((one, other) => meanFinish(one.tried.replications) - meanFinish(other.tried.replications));
  const [first, ...others] = changes;
  if (!first) return undefined;
  let best = first.tried;
  for (const { person, changed } of others) {
    if (best.crew[person] !== current.crew[person]) continue;
    const both = trial(changedCrew(best.crew, person, changed));
    if (isBetter(both.replications, best.replications)) best = both;
  }
  return best;
}

/**
 * Two people who each leave one station to others: worth it where neither alone is, as with two who both wander between
 * scald and table. The best such pair.
 */
function betterDivided(current: Trial, trial: (crew: Crew) => Trial): Trial | undefined {
  const dropped = current.crew.flatMap((stations, person) =>
    stations.length < 2
      ? []
      : stations.map((station) => ({ person, changed: stations.filter((other) => other !== station) })),
  );
  let best: Trial | undefined;
  for (const [index, one] of dropped.entries()) {
    const crew = changedCrew(current.crew, one.person, one.changed);
    for (const other of dropped.slice(index + 1)) {
      if (other.person === one.person) continue;
      const tried = trial(changedCrew(crew, other.person, other.changed));
      if (isBetter(tried.replications, (best ?? current).replications)) best = tried;
    }
  }
  return best;
}

const changedCrew = (crew: Crew, person: number, changed: readonly Station[]): Crew =>
  crew.map((stations, index) => (index === person ? changed : stations));

const meanFinish = (replications: Replications, count = REPLICATIONS) => {
  if (replications.finish(0) === Infinity) return Infinity;
  let sum = 0;
  for (let replication = 0; replication < count; replication += 1) sum += replications.finish(replication);
  return sum / count;
};

/** Whether replications end sooner than others on the same random numbers. Most are not, and most of those show it at once. */
function isBetter(replications: Replications, current: Replications): boolean {
  if (replications === current) return false;
  for (const [check, worse] of CHECKS)
    if (meanFinish(replications, check) > meanFinish(current, check) * (1 + worse)) return false;
  return meanFinish(replications) < meanFinish(current) - WORTH_MINUTES;
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
  /** Minutes by which half the replications are over sooner. */
  readonly savedMinutes: number;
  /** The people who would stand elsewhere, and what each would save if they alone moved; most first. */
  readonly moves: readonly { readonly person: number; readonly savedMinutes: number }[];
  /** The one move that saves most by itself; undefined where none is worth it. */
  readonly single:
    | { readonly person: number; readonly stations: readonly Station[]; readonly savedMinutes: number }
    | undefined;
}

/** A change that costs no more than this is not worth asking someone to learn another station. */
const NEAR_MINUTES = 1;

/**
 * What a found crew saves against the one that stands, as a whole and person by person, on common random numbers. People who can
 * stay where they are for no more than a minute do, and no one helps where it makes no difference.
 */
export function crewProposal({ day, allowed, seed }: CrewSearch, found: FoundCrew): CrewProposal {
  const trial = (crew: Crew): Trial => ({ crew, replications: new Replications(withCrew(day, crew), seed) });
  const current = trial(day.people.map(({ stations }) => stations));
  const now = current.replications.likelyMinutes(REPLICATIONS);
  const saved = ({ replications }: Trial) => {
    const then = replications.likelyMinutes(REPLICATIONS);
    return then === now ? 0 : now - then;
  };
  const crew = nearest(trial(found.crew), current.crew, trial);
  const moves = crew.crew
    .flatMap((stations, person) =>
      stations.join() === current.crew[person]!.join()
        ? []
        : [{ person, savedMinutes: saved(trial(changedCrew(current.crew, person, stations))) }],
    )
    .toSorted((one, other) => other.savedMinutes - one.savedMinutes);
  return { crew: crew.crew, savedMinutes: saved(crew), moves, single: singleMove() };

  function singleMove(): CrewProposal["single"] {
    const may = mayAtNeeded(day, allowed);
    let best = current;
    let person = -1;
    for (const [index, stations] of current.crew.entries())
      for (const changed of changesOf(stations, may[index]!)) {
        const tried = trial(changedCrew(current.crew, index, changed));
        if (!isBetter(tried.replications, best.replications)) continue;
        best = tried;
        person = index;
      }
    return person === -1 ? undefined : { person, stations: best.crew[person]!, savedMinutes: saved(best) };
  }
}

/** The same crew with as few changes against another as can be had for next to nothing. */
function nearest(found: Trial, current: Crew, trial: (crew: Crew) => Trial): Trial {
  const mostMinutes = meanFinish(found.replications) + NEAR_MINUTES;
  let best = found;
  const take = (crew: Crew) => {
    const tried = trial(crew);
    if (meanFinish(tried.replications) <= mostMinutes) best = tried;
  };
  for (const person of current.keys()) {
    if (best.crew[person]!.join() === current[person]!.join()) continue;
    take(changedCrew(best.crew, person, current[person]!));
    for (const station of best.crew[person]!) {
      const fewer = best.crew[person]!.filter((other) => other !== station);
      if (fewer.length > 0 && !current[person]!.includes(station))
        take(changedCrew(best.crew, person, fewer));
    }
  }
  return best;
}
