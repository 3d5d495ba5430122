import {
  BIRDS_IN_LINE_EACH,
  BLEED_MINUTES,
  KEPT_FEET_MINUTES,
  PLUCK_BY_HAND_MINUTES,
} from "#core/processing-line/line-constants.ts";
import {
  type BufferStation,
  isBeforeChill,
  type PlaceStation,
  STATIONS,
  type Station,
  stationRow,
} from "#core/processing-line/line-station.ts";
import type { WhenNeeded } from "#core/processing-line/station-table.ts";

/** Someone on the line. Times are minutes after the day's start. */
export interface LinePerson {
  readonly name: string;
  /** Order of preference, at least one, each once. See workOrder. */
  readonly stations: readonly Station[];
  /** Multiplies the time: 1 for a practiced adult, 1.8 for a beginner; absent is 1. */
  readonly pace: Readonly<Partial<Record<Station, number>>>;
  /** There from this minute up to that one. */
  readonly fromMinute: number;
  readonly toMinute: number;
}

export interface LineKit {
  readonly cones: number;
  readonly scaldAtOnce: number;
  readonly pluckAtOnce: number;
  /** How many can work side by side. */
  readonly places: Readonly<Record<PlaceStation, number>>;
  /** Birds that can wait before a station. */
  readonly buffers: Readonly<Record<BufferStation, number>>;
  /** Birds that the chill holds at a time. */
  readonly tankBirds: number;
}

/** Medians of a practiced adult, minutes a bird, or a load at scald and drum (by hand a bird), and of bleeding. */
export type LineMinutes = Readonly<Record<Station | "bleed", number>>;

/** How the scald's water sags and comes back, °C below its setting. */
export interface LineBath {
  readonly sagPerBird: number;
  readonly recoveryPerMinute: number;
  /** Colder than this below its setting, the scald waits for the water. */
  readonly waitBelow: number;
  /** The dose's z: so many °C colder, ten times the dip. */
  readonly zCelsius: number;
}

/** A day as the line is simulated. Times are minutes after its start, 0 for the first that anybody works. */
export interface LineDay {
  readonly birds: number;
  readonly people: readonly LinePerson[];
  readonly kit: LineKit;
  readonly minutes: LineMinutes;
  readonly bleedFloorMinutes: number;
  readonly pluckBy: "drum" | "hand";
  readonly giblets: boolean;
  /** Birds go on from the chill to packing on the same day, and so many of them are cut up. */
  readonly packSameDay: boolean;
  readonly cutUp: number;
  /** In the chill before a bird may go on. */
  readonly restMinutes: number;
  /** In order, not overlapping; no one begins anything in them. */
  readonly breaks: readonly { readonly fromMinute: number; readonly minutes: number }[];
  readonly setUpMinutes: number;
  readonly cleanUpMinutes: number;
  /** A spell in which hands are slower, as in rain. */
  readonly slowSpell:
    | { readonly fromMinute: number; readonly minutes: number; readonly factor: number }
    | undefined;
  /** After so many birds the water is changed and has to heat. */
  readonly waterChange: { readonly everyBirds: number; readonly minutes: number } | undefined;
  readonly bath: LineBath | undefined;
  /** Spread of whole days, sd of the logarithm, see DAY_SD_LN. */
  readonly daySdLn: number;
}

/** Stations that a day needs someone at. */
export function neededStations(day: Pick<LineDay, "giblets" | "packSameDay" | "cutUp" | "birds">): Station[] {
  const isNeeded: Readonly<Record<WhenNeeded, boolean>> = {
    always: true,
    giblets: day.giblets,
    "whole-same-day": day.packSameDay && day.cutUp < day.birds,
    "cut-up-same-day": day.packSameDay && day.cutUp > 0,
  };
  return STATIONS.filter((station) => isNeeded[stationRow(station).needed]);
}

/** Birds that may be killed and not yet chilled: so many for each of those who work before the chill. */
export const mostInLine = (people: LineDay["people"]): number =>
  BIRDS_IN_LINE_EACH * people.filter(({ stations }) => stations.some(isBeforeChill)).length;

/** Whether the bird of this number is cut up: they are spread evenly over the day. */
export function isCutUp(bird: number, { birds, cutUp }: Pick<LineDay, "birds" | "cutUp">): boolean {
  return (bird * cutUp) % birds < cutUp;
}

/** Medians of a practiced adult for a way of working. A dip longer than the usual load takes its own time. */
export function lineMinutes(of: {
  dipMinutes: number;
  keepsFeet: boolean;
  pluckBy: "drum" | "hand";
}): LineMinutes {
  const medians = Object.fromEntries(
    STATIONS.map((station) => [station, stationRow(station).medianMinutes]),
  ) as Record<Station, number>;
  return {
    ...medians,
    bleed: BLEED_MINUTES,
    scald: Math.max(medians.scald, of.dipMinutes),
    pluck: of.pluckBy === "hand" ? PLUCK_BY_HAND_MINUTES : medians.pluck,
    feet: medians.feet + (of.keepsFeet ? KEPT_FEET_MINUTES : 0),
  };
}
