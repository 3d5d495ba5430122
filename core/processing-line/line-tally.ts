import {
  CHILLED,
  CONES_TAKEN,
  EVENTS,
  IN_BREAK,
  KILLED,
  LAST_WORK,
  type LineContext,
  lineContext,
  MOMENT,
  QUEUED,
  ROOMY,
  WAIT_TO_CHILL,
  WAIT_TO_SCALD,
  WATER_IS_SHUT,
} from "#core/processing-line/line-context.ts";
import { type LineDay, neededStations } from "#core/processing-line/line-day.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import { CONES, isBeforeChill, SCALD, STATIONS, type Station } from "#core/processing-line/line-station.ts";
import type { LineWatch } from "#core/processing-line/line-work.ts";

/** Minutes by which so many replications of a hundred are over. */
export interface Spread {
  readonly p05: number;
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
  readonly p95: number;
}

/** What a station's places did, as shares of the time that the line ran, breaks left out; they add to 1. */
export interface StationShare {
  readonly busy: number;
  /** Work before it and a free place, but no room after it. */
  readonly blocked: number;
  /** Nothing before it. */
  readonly starved: number;
  /** Work, place and room, and no one free. */
  readonly unmanned: number;
  /** The most birds waiting before it on an ordinary replication. */
  readonly peakQueue: number;
}

/** What thousands of replications came to. Minutes are after the day's start. */
export interface LineAnswer {
  readonly replications: number;
  /** All work done and cleaned up; undefined where most replications get stuck. */
  readonly finish: Spread | undefined;
  /** Last bird in the chill. */
  readonly lastInChill: Spread | undefined;
  /** Replications that got stuck with birds left: no one there who may do what is next. */
  readonly stuckReplications: number;
  /** Birds that reached the chill on an ordinary replication. */
  readonly chilledBirds: number;
  readonly stations: Readonly<Partial<Record<Station, StationShare>>>;
  /** Share of the time that the line ran, in the order of the day's people. */
  readonly people: readonly number[];
  /** Of the bird that waited longest on an ordinary replication, minutes. */
  readonly longestWait: { readonly bleedToScald: number; readonly pluckToChill: number };
  /** By bird in the order of the kill. */
  readonly kills: readonly Moment[];
  /** By bird in the order of reaching the chill. */
  readonly chills: readonly Moment[];
  /** When each replication's last bird reached the chill, sorted: for its curve. */
  readonly lastChills: readonly number[];
  readonly eventsPerReplication: number;
}

/** A moment of the day, minutes after its start: as likely earlier as later, and one in ten before and after. */
export interface Moment {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** Replications of which every bird's times are kept, and of which each station's shares are watched: more change little. */
const KEPT_MORNINGS = 400;
const WATCHED_MORNINGS = 60;

/** Plays replications of a day and keeps count; the caller decides how many, and when to look. */
export class LineTally {
  readonly #day: LineDay;
  readonly #context: LineContext;
  readonly #finishes: number[] = [];
  readonly #lastInChill: number[] = [];
  readonly #waits: { bleedToScald: number[]; pluckToChill: number[] } = {
    bleedToScald: [],
    pluckToChill: [],
  };
  readonly #chilledBirds: number[] = [];
  readonly #kills: Float64Array[] = [];
  readonly #chills: Float64Array[] = [];
  readonly #personWork: Float64Array;
  readonly #watch: Watch;
  #played = 0;
  #events = 0;
  #minutes = 0;

  /** @throws {RangeError} if the day holds no bird, no one or no cone */
  constructor(day: LineDay, seed: number) {
    this.#day = day;
    this.#context = lineContext(day, seed);
    this.#personWork = new Float64Array(day.people.length);
    this.#watch = new Watch(day);
  }

  get played(): number {
    return this.#played;
  }

  play(replications: number): void {
    const { state, personOf, setUpMinutes } = this.#context;
    for (const last = this.#played + replications; this.#played < last; this.#played += 1) {
      const isFinished =
        this.#played < WATCHED_MORNINGS
          ? playReplication(this.#context, this.#played, this.#watch)
          : playReplication(this.#context, this.#played);
      if (this.#played < WATCHED_MORNINGS) this.#watch.closeMorning();
      this.#events += state.counts[EVENTS]!;
      const chilled = state.counts[CHILLED]!;
      this.#chilledBirds.push(chilled);
      this.#waits.bleedToScald.push(state.clock[WAIT_TO_SCALD]!);
      this.#waits.pluckToChill.push(state.clock[WAIT_TO_CHILL]!);
      this.#minutes += state.clock[LAST_WORK]! - setUpMinutes;
      for (const [index, person] of personOf.entries())
        this.#personWork[person] = this.#personWork[person]! + state.personWork[index]!;
      if (!isFinished) continue;
      this.#finishes.push(state.clock[LAST_WORK]! + this.#day.cleanUpMinutes);
      this.#lastInChill.push(state.chilledAt[chilled - 1]!);
      if (this.#kills.length < KEPT_MORNINGS) {
        this.#kills.push(state.killedAt.slice());
        this.#chills.push(state.chilledAt.slice());
      }
    }
  }

  answer(): LineAnswer {
    const stuckReplications = this.#played - this.#finishes.length;
    const isMostlyStuck = stuckReplications * 2 > this.#played;
    const lastChills = Float64Array.from(this.#lastInChill).sort();
    return {
      replications: this.#played,
      finish: isMostlyStuck ? undefined : spreadOf(Float64Array.from(this.#finishes).sort()),
      lastInChill: isMostlyStuck ? undefined : spreadOf(lastChills),
      stuckReplications,
      chilledBirds: median(this.#chilledBirds),
      stations: this.#watch.shares(),
      people: Array.from(this.#personWork, (minutes) => (this.#minutes > 0 ? minutes / this.#minutes : 0)),
      longestWait: {
        bleedToScald: median(this.#waits.bleedToScald),
        pluckToChill: median(this.#waits.pluckToChill),
      },
      kills: momentsOf(this.#kills),
      chills: momentsOf(this.#chills),
      lastChills: [...lastChills],
      eventsPerReplication: this.#events / this.#played,
    };
  }
}

/** Adds up, replication by replication, what each station's free places were waiting for. */
class Watch implements LineWatch {
  readonly #stations: readonly number[];
  readonly #hands: readonly number[];
  readonly #waiting: Float64Array[] = [];
  readonly #peaks: number[][];
  readonly #peak: Int32Array;
  #minutes = 0;

  constructor(day: LineDay) {
    this.#stations = neededStations(day).map((station) => STATIONS.indexOf(station));
    this.#hands = this.#stations.map((number) => placesToFill(day, STATIONS[number]!));
    this.#waiting = this.#stations.map(() => new Float64Array(3));
    this.#peaks = this.#stations.map(() => []);
    this.#peak = new Int32Array(this.#stations.length);
  }

  passes({ state, momentFlags, birds, coneCount }: LineContext, from: number, to: number): void {
    const { counts, head, tail, working } = state;
    if ((momentFlags[counts[MOMENT]!]! & IN_BREAK) !== 0) return;
    const minutes = to - from;
    this.#minutes += minutes;
    for (let index = 0; index < this.#stations.length; index += 1) {
      const station = this.#stations[index]!;
      const queue = station === CONES ? birds - counts[KILLED]! : tail[station]! - head[station]!;
      if (station !== CONES && queue > this.#peak[index]!) this.#peak[index] = queue;
      const free = this.#hands[index]! - working[station]!;
      if (free <= 0) continue;
      const isOpen =
        station === CONES
          ? counts[CONES_TAKEN]! < coneCount
          : station === SCALD
            ? counts[WATER_IS_SHUT] === 0
            : (counts[ROOMY]! & (1 << station)) !== 0;
      const hasWork = station === CONES ? queue > 0 : (counts[QUEUED]! & (1 << station)) !== 0;
      const why = hasWork ? (isOpen ? UNMANNED : BLOCKED) : STARVED;
      const sum = this.#waiting[index]!;
      sum[why] = sum[why]! + (minutes * free) / this.#hands[index]!;
    }
  }

  begins(): void {}
  ends(): void {}

  closeMorning(): void {
    for (const [index, peaks] of this.#peaks.entries()) peaks.push(this.#peak[index]!);
    this.#peak.fill(0);
  }

  shares(): Partial<Record<Station, StationShare>> {
    return Object.fromEntries(
      this.#stations.map((station, index) => {
        const [blocked, starved, unmanned] = Array.from(this.#waiting[index]!, (sum) =>
          this.#minutes > 0 ? sum / this.#minutes : 0,
        );
        const share: StationShare = {
          busy: Math.max(0, 1 - blocked! - starved! - unmanned!),
          blocked: blocked!,
          starved: starved!,
          unmanned: unmanned!,
          peakQueue: median(this.#peaks[index]!),
        };
        return [STATIONS[station]!, share];
      }),
    );
  }
}

const BLOCKED = 0;
const STARVED = 1;
const UNMANNED = 2;

/** Places at a station that there is someone for, at least one. */
export function placesToFill({ kit, people, pluckBy }: LineDay, station: Station): number {
  const able = people.filter(({ stations }) => stations.includes(station)).length;
  const places =
    station === "cones" || (station === "pluck" && pluckBy === "hand")
      ? able
      : station === "scald" || station === "pluck"
        ? 1
        : kit.places[station];
  return Math.max(1, Math.min(places, able));
}

/** The busiest station before the chill: a first guess of what holds the line, until `bottleneck` has been asked. */
export function busiestStation({ stations }: Pick<LineAnswer, "stations">): Station | undefined {
  const shares = Object.entries(stations).filter(([station]) => isBeforeChill(station as Station));
  const [busiest] = shares.toSorted(([, one], [, other]) => other.busy - one.busy);
  return busiest?.[0] as Station | undefined;
}

/** Value below which a share of sorted numbers lies, straight between neighbors; Infinity of none. */
export function quantile(sorted: Float64Array, share: number): number {
  if (sorted.length === 0) return Infinity;
  const place = share * (sorted.length - 1);
  const low = Math.floor(place);
  const above = sorted[Math.min(low + 1, sorted.length - 1)]!;
  if (above === sorted[low]) return above;
  return sorted[low]! + (above - sorted[low]!) * (place - low);
}

const median = (numbers: readonly number[]) => quantile(Float64Array.from(numbers).sort(), 0.5);

const spreadOf = (sorted: Float64Array): Spread => ({
  p05: quantile(sorted, 0.05),
  p10: quantile(sorted, 0.1),
  p50: quantile(sorted, 0.5),
  p90: quantile(sorted, 0.9),
  p95: quantile(sorted, 0.95),
});

function momentsOf(replications: readonly Float64Array[]): Moment[] {
  const first = replications[0];
  if (!first) return [];
  return Array.from(first, (_, index) => {
    const sorted = Float64Array.from(replications, (times) => times[index]!).sort();
    return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) };
  });
}
