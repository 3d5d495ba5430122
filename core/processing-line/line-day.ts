import { type CuttingWork, sealHandMinutes, USUAL_CUTTING } from "#core/cutting/cutting-constants.ts";
import {
  BIRDS_IN_LINE_EACH,
  BLEED_MINUTES,
  KEPT_FEET_MINUTES,
  PLUCK_BY_HAND_MINUTES,
  SKINNED_MINUTES,
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

/** How feathers come off; a skinned bird is neither scalded nor plucked. */
export const PLUCK_BY = ["drum", "hand", "skin"] as const;
export type PluckBy = (typeof PLUCK_BY)[number];

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
  /** Birds of the day's largest that the chill holds at a time. */
  readonly tankBirds: number;
  /** Packs that the sealer takes at once. */
  readonly sealAtOnce: number;
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

/** Birds of a day that are alike and stay together: they share their times and are done before the next lot's. */
export interface LineLot {
  readonly birds: number;
  /** Of them, cut up where the day packs. */
  readonly cutUp: number;
  readonly minutes: LineMinutes;
  /** Packs that a cut-up bird makes. */
  readonly packsPerBird: number;
  readonly giblets: boolean;
  /** In the chill before a bird may go on. */
  readonly restMinutes: number;
  /** Room a bird takes in the tanks, as a share of that of the day's largest: more than 0, at most 1. */
  readonly tankShare: number;
  /** Undefined where the water never sags, or never comes back. */
  readonly bath: LineBath | undefined;
  /** Until the water that the lot before left is as hot or as cool as this one's; 0 for the first, or where it is the same. */
  readonly settingMinutes: number;
  /** Until new water is as hot as this lot's. */
  readonly waterChangeMinutes: number;
}

/** A day as the line is simulated. Times are minutes after its start, 0 for the first that anybody works. */
export interface LineDay {
  /** In the order in which they are killed, at least one. */
  readonly lots: readonly LineLot[];
  readonly people: readonly LinePerson[];
  readonly kit: LineKit;
  readonly bleedFloorMinutes: number;
  readonly pluckBy: "drum" | "hand";
  /** Birds go on from the chill to packing on the same day. */
  readonly packSameDay: boolean;
  /** In order, not overlapping; no one begins anything in them. */
  readonly breaks: readonly { readonly fromMinute: number; readonly minutes: number }[];
  readonly setUpMinutes: number;
  readonly cleanUpMinutes: number;
  /** A spell in which hands are slower, as in rain. */
  readonly slowSpell:
    | { readonly fromMinute: number; readonly minutes: number; readonly factor: number }
    | undefined;
  /** After so many birds the water is changed and has to heat; undefined where it is kept all day. */
  readonly changeWaterEvery: number | undefined;
  /** Spread of whole days, sd of the logarithm, see DAY_SD_LN. */
  readonly daySdLn: number;
}

export const birdsOf = ({ lots }: { readonly lots: readonly { readonly birds: number }[] }): number =>
  lots.reduce((sum, { birds }) => sum + birds, 0);

/** What of a day decides who is needed. */
interface WhatIsDone {
  readonly packSameDay: boolean;
  readonly lots: readonly Pick<LineLot, "birds" | "cutUp" | "giblets">[];
}

/** Stations that a day needs someone at. */
export function neededStations({ packSameDay, lots }: WhatIsDone): Station[] {
  const isNeeded: Readonly<Record<WhenNeeded, boolean>> = {
    always: true,
    giblets: lots.some(({ giblets }) => giblets),
    "whole-same-day": packSameDay && lots.some(({ cutUp, birds }) => cutUp < birds),
    "cut-up-same-day": packSameDay && lots.some(({ cutUp }) => cutUp > 0),
  };
  return STATIONS.filter((station) => isNeeded[stationRow(station).needed]);
}

/** Birds that may be killed and not yet chilled: so many for each of those who work before the chill. */
export const mostInLine = (people: LineDay["people"]): number =>
  BIRDS_IN_LINE_EACH * people.filter(({ stations }) => stations.some(isBeforeChill)).length;

/** Shares of the tanks are whole 64ths, so that what goes in and comes out again adds up to nothing. */
const TANK_STEPS = 64;

/** Room that a bird takes in the tanks against that of the day's heaviest lot, rounded up. */
export const tankShareOf = (kilograms: number, heaviestKilograms: number): number =>
  Math.min(1, Math.ceil((TANK_STEPS * kilograms) / heaviestKilograms - 1e-9) / TANK_STEPS);

/** A bird's place in its day: its lot, and whether it is cut up. */
export interface BirdOfLot {
  readonly lot: number;
  readonly isCutUp: boolean;
}

/** The day's birds in the order of the kill; those that are cut up are spread evenly over their lot. */
export const birdsByLot = ({ lots }: Pick<LineDay, "lots">): BirdOfLot[] =>
  lots.flatMap(({ birds, cutUp }, lot) =>
    Array.from({ length: birds }, (_, bird) => ({ lot, isCutUp: (bird * cutUp) % birds < cutUp })),
  );

/**
 * Lots that flow as one, since they are scalded and plucked alike one after the other: they share loads and queues. By
 * lot, the first of them.
 */
export function flowsWith({ lots }: Pick<LineDay, "lots">): number[] {
  const firsts: number[] = [];
  for (const [lot, { settingMinutes, minutes }] of lots.entries()) {
    const before = lots[lot - 1];
    const isAlike =
      before !== undefined &&
      settingMinutes === 0 &&
      before.minutes.scald === minutes.scald &&
      before.minutes.pluck === minutes.pluck;
    firsts.push(isAlike ? firsts[lot - 1]! : lot);
  }
  return firsts;
}

/** Medians of a practiced adult for a way of working. A dip longer than the usual load takes its own time. */
export function lineMinutes(of: {
  dipMinutes: number;
  keepsFeet: boolean;
  pluckBy: PluckBy;
  cutting?: CuttingWork;
}): LineMinutes {
  const cutting = of.cutting ?? USUAL_CUTTING;
  const medians = Object.fromEntries(
    STATIONS.map((station) => [station, stationRow(station).medianMinutes]),
  ) as Record<Station, number>;
  return {
    ...medians,
    bleed: BLEED_MINUTES,
    scald: Math.max(medians.scald, of.dipMinutes),
    pluck: of.pluckBy === "drum" ? medians.pluck : PLUCK_BY_HAND_MINUTES,
    ...(of.pluckBy === "skin" && SKINNED_MINUTES),
    feet: medians.feet + (of.keepsFeet ? KEPT_FEET_MINUTES : 0),
    cut: cutting.minutesPerBird,
    seal: sealHandMinutes(cutting),
  };
}
