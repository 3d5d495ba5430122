import { NO_HAZARD, type StationRules } from "#core/safety/station-rules.ts";

/** When a day needs someone at a station. */
export type WhenNeeded = "always" | "giblets" | "whole-same-day" | "cut-up-same-day";

export interface StationRow {
  /** Front: cones to plucker. Back: the table to the rinse. Aside: done beside the line. After: once birds are cold. */
  readonly cell: "front" | "back" | "aside" | "after-chill";
  /** Who works at one bench moves between its stations without losing time. */
  readonly bench: string;
  /** Median of a practiced adult, minutes for a bird or, at scald and drum, for a load. See docs/sources.md#line. */
  readonly medianMinutes: number;
  /** Spread of one bird's time about its median, coefficient of variation. See docs/sources.md#line. */
  readonly spread: number;
  /**
   * Stream of chance that its times are drawn from, its own and never changed: a new station takes the next free number
   * (10 to 12 are bleeding, people and the day, see line-draws.ts), and plans made before keep their random draws.
   */
  readonly drawStream: number;
  /** How many can work side by side where the farm has not said; undefined where the equipment decides. */
  readonly places: number | undefined;
  /** Birds that can wait before it; undefined where nothing limits them or the equipment decides. */
  readonly buffer: number | undefined;
  readonly needed: WhenNeeded;
  readonly rules: StationRules;
}

const BLADE: StationRules = { ...NO_HAZARD, usesBlade: true };

/**
 * Every station of the line, in the order in which a bird meets them up to the rinse; then giblets, worked beside the
 * line, and packing after the chill. All lists of stations derive from this table. See docs/adding.md.
 *
 * Medians and spreads: our choice until the farm's own days speak; places and buffers: our estimate of a small farm's
 * tables. See docs/sources.md#line. Rules: our caution; local law on young workers decides. See docs/sources.md#people.
 */
export const STATION_TABLE = {
  cones: {
    cell: "front",
    bench: "cones",
    medianMinutes: 0.6,
    spread: 0.3,
    drawStream: 0,
    places: undefined,
    buffer: undefined,
    needed: "always",
    rules: { ...BLADE, isHeavy: true },
  },
  scald: {
    cell: "front",
    bench: "scald",
    medianMinutes: 1.2,
    spread: 0.3,
    drawStream: 1,
    places: undefined,
    buffer: undefined,
    needed: "always",
    rules: { ...NO_HAZARD, isHot: true, isHeavy: true },
  },
  pluck: {
    cell: "front",
    bench: "plucker",
    medianMinutes: 0.7,
    spread: 0.3,
    drawStream: 2,
    places: undefined,
    buffer: undefined,
    needed: "always",
    rules: { ...NO_HAZARD, hasMachine: true, isHeavy: true },
  },
  feet: {
    cell: "back",
    bench: "pinning-table",
    medianMinutes: 0.8,
    spread: 0.3,
    drawStream: 13,
    places: 2,
    buffer: 8,
    needed: "always",
    rules: { ...BLADE, mayBeGranted: true },
  },
  pins: {
    cell: "back",
    bench: "pinning-table",
    medianMinutes: 1.2,
    spread: 0.3,
    drawStream: 3,
    places: 2,
    buffer: 8,
    needed: "always",
    rules: NO_HAZARD,
  },
  gut: {
    cell: "back",
    bench: "evisceration-table",
    medianMinutes: 4.0,
    spread: 0.35,
    drawStream: 4,
    places: 2,
    buffer: 8,
    needed: "always",
    rules: BLADE,
  },
  rinse: {
    cell: "back",
    bench: "rinse",
    medianMinutes: 1.0,
    spread: 0.3,
    drawStream: 5,
    places: 1,
    buffer: 6,
    needed: "always",
    rules: NO_HAZARD,
  },
  giblets: {
    cell: "aside",
    bench: "giblets",
    medianMinutes: 1.2,
    spread: 0.3,
    drawStream: 6,
    places: 1,
    buffer: undefined,
    needed: "giblets",
    rules: { ...BLADE, mayBeGranted: true },
  },
  pack: {
    cell: "after-chill",
    bench: "packing-table",
    medianMinutes: 3.5,
    spread: 0.3,
    drawStream: 7,
    places: 2,
    buffer: undefined,
    needed: "whole-same-day",
    rules: NO_HAZARD,
  },
  cut: {
    cell: "after-chill",
    bench: "cutting-table",
    medianMinutes: 2.5,
    spread: 0.35,
    drawStream: 8,
    places: 2,
    buffer: undefined,
    needed: "cut-up-same-day",
    rules: BLADE,
  },
  seal: {
    cell: "after-chill",
    bench: "sealer",
    medianMinutes: 1.6,
    spread: 0.3,
    drawStream: 9,
    places: 1,
    buffer: 20,
    needed: "cut-up-same-day",
    rules: NO_HAZARD,
  },
} as const satisfies Record<string, StationRow>;

export type Station = keyof typeof STATION_TABLE;

/** Stations whose column holds a number. */
type StationsWith<Column extends "places" | "buffer"> = {
  [One in Station]: (typeof STATION_TABLE)[One][Column] extends number ? One : never;
}[Station];

export type PlaceStation = StationsWith<"places">;
export type BufferStation = StationsWith<"buffer">;
