import { HOUR } from "#core/calendar/milliseconds.ts";
import {
  type FreezerAtWork,
  freezeLoad,
  type LoadFrozen,
  type PackToFreeze,
  warmingOfFrozen,
} from "#core/freezing/freeze-load.ts";
import { MEAT } from "#core/freezing/freezing-constants.ts";

export interface FreezerInPlan extends FreezerAtWork {
  readonly id: number;
  /** Spaces left in it, a space being what a whole bird takes. */
  readonly room: number;
  readonly frozenKilograms: number;
  /** Shelves or floor that one layer can lie on, m²; undefined where nobody has said, or packs are stacked anyway. */
  readonly layerSquareMeters?: number | undefined;
}

export interface PlannedPack extends PackToFreeze {
  readonly id: number;
  /** Spaces that it takes. */
  readonly spaces: number;
}

export interface NightLoad {
  readonly freezerId: number;
  /** 0 for the first night. */
  readonly night: number;
  readonly startAt: number;
  readonly packIds: readonly number[];
  readonly load: LoadFrozen;
  /** Packs that find no place in one layer: with them all are reckoned as stacked. */
  readonly beyondLayer: number;
  /** Undefined where it never gets hard. */
  readonly hardAt: number | undefined;
  /** What lies frozen there may warm by this, K. */
  readonly warmsBy: number;
}

export interface FreezePlan {
  readonly loads: readonly NightLoad[];
  /** Packs for which no freezer has room. */
  readonly leftOver: readonly number[];
  /** When all is hard; undefined where something never gets hard or has no room. */
  readonly hardAt: number | undefined;
}

/** From one night to the next, hours. */
const NIGHT_HOURS = 24;

/**
 * Spreads packs over freezers and nights: each freezer gets heat in proportion to what it can take away, as far as it has room, and
 * each night its equal part. What one night leaves, the next night's load waits for.
 *
 * @param packs in the order in which they are to go in
 * @param nights whole number, at least 1
 */
export function freezePlan(
  packs: readonly PlannedPack[],
  freezers: readonly FreezerInPlan[],
  { startAt, nights, startCelsius }: { startAt: number; nights: number; startCelsius: number },
): FreezePlan {
  const { of, leftOver } = sharedOut(packs, freezers);
  const loads = freezers
    .flatMap((freezer) => nightsOf(of.get(freezer.id) ?? [], freezer, { startAt, nights, startCelsius }))
    .toSorted((one, other) => one.night - other.night);
  const isAllHard = leftOver.length === 0 && loads.every(({ hardAt }) => hardAt !== undefined);
  return {
    loads,
    leftOver,
    hardAt: isAllHard && loads.length > 0 ? Math.max(...loads.map(({ hardAt }) => hardAt!)) : undefined,
  };
}

/** Each pack goes where the heat of what is there already is least for the freezer's watts, and there is room. */
function sharedOut(packs: readonly PlannedPack[], freezers: readonly FreezerInPlan[]) {
  const of = new Map<number, PlannedPack[]>();
  const room = new Map(freezers.map(({ id, room: spaces }) => [id, spaces]));
  const kilograms = new Map<number, number>();
  const leftOver: number[] = [];
  const afterwards = ({ id, spareWatts }: FreezerInPlan, pack: PlannedPack) =>
    ((kilograms.get(id) ?? 0) + pack.kilograms) / Math.max(spareWatts, 1e-9);
  for (const pack of packs) {
    const [best] = freezers
      .filter(({ id, spareWatts }) => spareWatts > 0 && room.get(id)! >= pack.spaces)
      .toSorted((one, other) => afterwards(one, pack) - afterwards(other, pack));
    if (!best) {
      leftOver.push(pack.id);
      continue;
    }
    of.set(best.id, [...(of.get(best.id) ?? []), pack]);
    room.set(best.id, room.get(best.id)! - pack.spaces);
    kilograms.set(best.id, (kilograms.get(best.id) ?? 0) + pack.kilograms);
  }
  return { of, leftOver };
}

/** A freezer's packs night by night, and what each night waits for. */
function nightsOf(
  packs: readonly PlannedPack[],
  freezer: FreezerInPlan,
  { startAt, nights, startCelsius }: { startAt: number; nights: number; startCelsius: number },
): NightLoad[] {
  const perNight = Math.ceil(packs.length / nights);
  const loads: NightLoad[] = [];
  let backlogJoules = 0;
  let frozenKilograms = freezer.frozenKilograms;
  for (let night = 0; night * perNight < packs.length; night += 1) {
    const own = packs.slice(night * perNight, (night + 1) * perNight);
    const beyondLayer = own.length - fittingInLayer(own, freezer.layerSquareMeters);
    const air = beyondLayer > 0 && freezer.air === "still" ? "stacked" : freezer.air;
    const load = freezeLoad(own, { ...freezer, air }, startCelsius, backlogJoules);
    const nightAt = startAt + night * NIGHT_HOURS * HOUR;
    loads.push({
      freezerId: freezer.id,
      night,
      startAt: nightAt,
      packIds: own.map(({ id }) => id),
      load,
      beyondLayer,
      hardAt: load.possible ? nightAt + load.hours * HOUR : undefined,
      warmsBy: warmingOfFrozen(load, freezer, frozenKilograms),
    });
    const heatJoules = load.possible ? load.heatJoules : 0;
    backlogJoules = Math.max(0, backlogJoules + heatJoules - freezer.spareWatts * NIGHT_HOURS * 3600);
    frozenKilograms += load.kilograms;
  }
  return loads;
}

/** Between packs of a layer air must get through: of its area packs cover so much. Choice. See docs/sources.md#freezing. */
const COVERED_SHARE = 0.7;

/** How many of some packs lie side by side on an area, in their order; all where it is not known. */
export function fittingInLayer(packs: readonly PackToFreeze[], squareMeters: number | undefined): number {
  if (squareMeters === undefined) return packs.length;
  let left = squareMeters * COVERED_SHARE;
  let fitting = 0;
  for (const { kilograms, halfThicknessMeters } of packs) {
    left -= kilograms / MEAT.unfrozenKilogramPerCubicMeter / (2 * halfThicknessMeters);
    if (left < 0) break;
    fitting += 1;
  }
  return fitting;
}

export interface FreezeAdvice {
  /** The night's load that takes longest. */
  readonly slowest: NightLoad;
  /** What helps, where the meat limits: the hours in one layer, and in moving air. */
  readonly oneLayerHours: number | undefined;
  readonly movingAirHours: number | undefined;
  /** What a second freezer like it would make of it, where the watts limit. */
  readonly secondFreezerHours: number | undefined;
}

/** What would help the slowest load. Advice follows the model: air for the meat, watts for the freezer. */
export function freezeAdvice(
  plan: FreezePlan,
  packs: readonly PlannedPack[],
  freezers: readonly FreezerInPlan[],
  startCelsius: number,
): FreezeAdvice | undefined {
  const slowest = plan.loads
    .filter(({ load }) => load.possible)
    .toSorted((one, other) => hoursOf(other) - hoursOf(one))[0];
  const freezer = freezers.find(({ id }) => id === slowest?.freezerId);
  if (!slowest || !freezer || !slowest.load.possible) return undefined;
  const own = packs.filter(({ id }) => slowest.packIds.includes(id));
  const hoursWith = (change: Partial<FreezerAtWork>, some = own): number | undefined => {
    const load = freezeLoad(some, { ...freezer, ...change }, startCelsius);
    return load.possible && load.hours < hoursOf(slowest) - 0.5 ? load.hours : undefined;
  };
  const isMeat = slowest.load.limitedBy === "meat";
  return {
    slowest,
    oneLayerHours: isMeat && freezer.air === "stacked" ? hoursWith({ air: "still" }) : undefined,
    movingAirHours: isMeat && freezer.air !== "moving" ? hoursWith({ air: "moving" }) : undefined,
    secondFreezerHours: isMeat ? undefined : hoursWith({}, own.slice(0, Math.ceil(own.length / 2))),
  };
}

const hoursOf = ({ load }: NightLoad): number => (load.possible ? load.hours : 0);
