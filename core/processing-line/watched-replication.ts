import { Replications } from "#core/processing-line/alternatives/line-whatif.ts";
import { IN_PLUCKER, IN_SCALD, LAST_WORK, lineContext } from "#core/processing-line/line-context.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { playReplication } from "#core/processing-line/line-run.ts";
import { CONES, PLUCK, RINSE, SCALD, STATIONS, type Station } from "#core/processing-line/line-station.ts";
import { lookedAtReplications } from "#core/processing-line/replications.ts";

/** Where a bird is: in its crate, at a station, waiting for one, or in the chill. A bird in a cone waits there for the scald. */
export type BirdPlace =
  | { readonly at: "crate" | "chill" }
  | { readonly at: "station" | "before"; readonly station: Station };

export interface BirdStep {
  readonly minute: number;
  readonly place: BirdPlace;
}

export interface WatchedReplication {
  /** By bird in the order of the kill: where it went and when, in order; before the first it is in its crate. */
  readonly birds: readonly (readonly BirdStep[])[];
  /** First and last minute of the line, after the day's start. */
  readonly from: number;
  readonly to: number;
  /** The minute at which most birds wait. */
  readonly worstMinute: number;
}

/** One ordinary replication, step by step: of some dozens the one whose end is nearest to the middle. */
export function typicalReplication(day: LineDay, seed: number): WatchedReplication {
  const replications = new Replications(day, seed);
  const lookedAt = lookedAtReplications(day);
  const middle = replications.likelyMinutes(lookedAt);
  let chosen = 0;
  for (let replication = 1; replication < lookedAt; replication += 1)
    if (Math.abs(replications.finish(replication) - middle) < Math.abs(replications.finish(chosen) - middle))
      chosen = replication;
  return watchedReplication(day, seed, chosen);
}

/** A given replication, step by step. */
export function watchedReplication(day: LineDay, seed: number, replication: number): WatchedReplication {
  const context = lineContext(day, seed);
  const { state } = context;
  const birds: BirdStep[][] = Array.from({ length: context.birds }, () => []);
  const loadAt = (station: number, first: number): number[] => {
    if (station === SCALD) return Array.from(state.inScald.subarray(0, state.counts[IN_SCALD]));
    if (station === PLUCK && !context.isPluckedByHand)
      return Array.from(state.inPlucker.subarray(0, state.counts[IN_PLUCKER]));
    return [first];
  };
  const step = (load: readonly number[], minute: number, place: BirdPlace) => {
    for (const bird of load) birds[bird]!.push({ minute, place });
  };
  playReplication(context, replication, {
    passes: () => undefined,
    begins: (minute, station, _person, first) => {
      if (station <= RINSE)
        step(loadAt(station, first), minute, { at: "station", station: STATIONS[station]! });
    },
    ends: (minute, station, _person, first) => {
      if (station === RINSE) step([first], minute, { at: "chill" });
      else if (station > CONES && station < RINSE)
        step(loadAt(station, first), minute, { at: "before", station: STATIONS[station + 1]! });
    },
  });
  return { birds, from: context.setUpMinutes, to: state.clock[LAST_WORK]!, worstMinute: worstMinute(birds) };
}

/** Where a bird is at a minute. */
export function placeAt(steps: readonly BirdStep[], minute: number): BirdPlace {
  let place: BirdPlace = { at: "crate" };
  for (const step of steps) {
    if (step.minute > minute) break;
    place = step.place;
  }
  return place;
}

function worstMinute(birds: readonly (readonly BirdStep[])[]): number {
  const changes = birds
    .flatMap((steps) =>
      steps.map(({ minute, place }, index) => ({
        minute,
        by: Number(place.at === "before") - Number(steps[index - 1]?.place.at === "before"),
      })),
    )
    .toSorted((one, other) => one.minute - other.minute);
  let waiting = 0;
  let most = -1;
  let worst = 0;
  for (const { minute, by } of changes) {
    waiting += by;
    if (waiting > most) {
      most = waiting;
      worst = minute;
    }
  }
  return worst;
}
