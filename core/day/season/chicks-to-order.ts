import { addDays, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import { seasonDay } from "#core/day/season/season-day.ts";
import type { SeasonFacts } from "#core/day/season/season-facts.ts";
import { BIRD_KINDS, type BirdKind } from "#core/growth/bird-kind.ts";
import { sizeClasses, timesSpread } from "#core/growth/bird-spread.ts";
import { flockPath } from "#core/growth/flock-path.ts";
import { EIGHT_IN_TEN } from "#core/growth/growth-update.ts";
import { proposedRestDays } from "#core/rest/rest.ts";
import { AGE_WINDOW_DAYS, CHICKS, COLD_DAY_CELSIUS } from "#core/season/season-constants.ts";

/** So many birds, in the freezer by a day or whenever they come. */
export interface Need {
  readonly what: string;
  readonly birds: number;
  readonly by: LocalDay | undefined;
}

export interface ChickOrder {
  readonly what: string;
  readonly by: LocalDay | undefined;
  readonly birds: number;
  readonly chicks: number;
  readonly orderOn: LocalDay;
  readonly hatchOn: LocalDay;
  readonly processOn: LocalDay;
  /** The chicks would have had to be ordered before today. */
  readonly isTooLate: boolean;
  /** Mean of the days' highs while they need the brooder, °C, where that is winter; undefined where it is not. */
  readonly coldCelsius: number | undefined;
  /** The high of the processing day, °C, likewise. */
  readonly coldOnDayCelsius: number | undefined;
}

export interface ChickPlan {
  readonly kind: BirdKind;
  readonly ageDays: number;
  readonly dressedKilograms: number;
  /** Of birds of a kind that nobody has weighed yet the mean lies between these 8 times in 10. */
  readonly dressedBand: readonly [number, number];
  /** Share of the birds past the size that is wanted at most. */
  readonly biggerShare: number;
  /** Even at the kind's youngest age too many would be too big. */
  readonly isAlwaysTooBig: boolean;
  readonly feedKilogramsEach: number;
  /** What a good day's crew brings in, and what the freezers hold when they are empty; undefined where neither limits a batch. */
  readonly mostOfABatch: number | undefined;
  readonly orders: readonly ChickOrder[];
}

const LOOK_AHEAD_DAYS = 240;

/**
 * Chicks to order for what is needed, for each kind: how many with losses allowed for, and for which day, so that the
 * birds are killed on a day when hands are free, before most are too big, and no batch is more than a day or the
 * freezers take. See docs/sources.md#chicks.
 */
export function chicksToOrder(
  facts: SeasonFacts,
  needs: readonly Need[],
  mostDressedKilograms: number | undefined,
): ChickPlan[] {
  return BIRD_KINDS.map((kind) => planOfKind(facts, needs, mostDressedKilograms, kind));
}

function planOfKind(
  facts: SeasonFacts,
  needs: readonly Need[],
  mostKilograms: number | undefined,
  kind: BirdKind,
): ChickPlan {
  const hatchedOn = facts.today;
  const path = flockPath({ kind, maleShare: 0.5, hatchedOn, weighings: [] });
  const bigger = (ageDays: number) =>
    mostKilograms === undefined
      ? 0
      : sizeClasses(timesSpread(path.at(ageDays).spread, DRESSED_FRACTION[kind]), [mostKilograms])[1]!;
  const { earliest, latest } = AGE_WINDOW_DAYS[kind];
  let ageDays = mostKilograms === undefined ? CHICKS.usualAgeDays[kind] : latest;
  while (ageDays > earliest && bigger(ageDays) > CHICKS.biggerShare) ageDays -= 1;
  const dressedKilograms = path.at(ageDays).meanKilograms * DRESSED_FRACTION[kind];
  const unsure = Math.exp(EIGHT_IN_TEN * path.at(ageDays).sdLn);
  const most = mostOfABatch(facts, addDays(facts.today, CHICKS.orderAheadDays + ageDays));
  return {
    kind,
    ageDays,
    dressedKilograms,
    dressedBand: [dressedKilograms / unsure, dressedKilograms * unsure],
    mostOfABatch: Number.isFinite(most) ? most : undefined,
    biggerShare: bigger(ageDays),
    isAlwaysTooBig: bigger(ageDays) > CHICKS.biggerShare,
    feedKilogramsEach: path.feedKilograms(ageDays),
    orders: ordersOf(facts, needs, kind, ageDays),
  };
}

function ordersOf(facts: SeasonFacts, needs: readonly Need[], kind: BirdKind, ageDays: number): ChickOrder[] {
  const restDays = facts.terms.restDays ?? proposedRestDays(kind);
  const soonest = addDays(facts.today, CHICKS.orderAheadDays + ageDays);
  const groups = needs.flatMap((need) => inLots(need, mostOfABatch(facts, soonest)));
  const dated = groups.filter(({ by }) => by !== undefined);
  const open = groups.filter(({ by }) => by === undefined);
  const orders: ChickOrder[] = dated.map((need) => {
    const target = addDays(need.by!, -restDays);
    return orderOf(facts, kind, need, ageDays, openDay(facts, target, -1) ?? target);
  });
  let from = soonest;
  for (const need of open) {
    const processOn = openDay(facts, from, 1) ?? from;
    orders.push(orderOf(facts, kind, need, ageDays, processOn));
    from = addDays(processOn, CHICKS.brooderDays);
  }
  return orders.toSorted((one, other) => (one.hatchOn < other.hatchOn ? -1 : 1));
}

/** A need in parts that a day's crew and the freezers take. */
function inLots(need: Need, most: number): Need[] {
  const parts = Math.max(1, Math.ceil(need.birds / most));
  return Array.from({ length: parts }, (_, index) => ({
    ...need,
    birds: Math.floor((need.birds + index) / parts),
  })).filter(({ birds }) => birds > 0);
}

/** Birds that the best day about then takes, and no more than the freezers hold when they are empty. */
function mostOfABatch(facts: SeasonFacts, about: LocalDay): number {
  const { freezer, either } = facts.rooms;
  const crews = Array.from({ length: 7 }, (_, day) => seasonDay(facts, addDays(about, day)).mostBirds);
  const crew = Math.max(...crews) || Number.POSITIVE_INFINITY;
  const room = freezer + either || Number.POSITIVE_INFINITY;
  return Math.min(crew, room);
}

function orderOf(
  facts: SeasonFacts,
  kind: BirdKind,
  need: Need,
  ageDays: number,
  processOn: LocalDay,
): ChickOrder {
  const hatchOn = addDays(processOn, -ageDays);
  const orderOn = addDays(hatchOn, -CHICKS.orderAheadDays);
  return {
    what: need.what,
    by: need.by,
    birds: need.birds,
    chicks: Math.ceil(need.birds / (1 - CHICKS.lossShare[kind]) - 1e-9),
    orderOn,
    hatchOn,
    processOn,
    isTooLate: orderOn < facts.today,
    coldCelsius: meanHighIfCold(facts, hatchOn, CHICKS.brooderDays),
    coldOnDayCelsius: meanHighIfCold(facts, processOn, 1),
  };
}

/** Of so many days from one on, as far as the forecast knows them. See docs/sources.md#chicks. */
function meanHighIfCold({ today, highs: all }: SeasonFacts, day: LocalDay, days: number): number | undefined {
  const from = daysBetween(today, day);
  const highs = all.slice(Math.max(0, from), Math.max(0, from + days));
  if (highs.length === 0) return undefined;
  const mean = highs.reduce((sum, high) => sum + high, 0) / highs.length;
  return mean < CHICKS.coldHighCelsius ? mean : undefined;
}

/** The nearest day from a day on, forwards or back, with hands and nothing against it; what must be booked can be booked yet. Forwards the winter is passed over. */
function openDay(facts: SeasonFacts, from: LocalDay, step: 1 | -1): LocalDay | undefined {
  for (let away = 0; away < LOOK_AHEAD_DAYS; away += 1) {
    const day = addDays(from, step * away);
    const { shut, highCelsius } = seasonDay(facts, day);
    const isCold = step === 1 && highCelsius < COLD_DAY_CELSIUS;
    if (CHICKS.daysOff.includes(day.slice(5))) continue;
    if (!isCold && (shut === undefined || shut === "not-booked")) return day;
  }
  return undefined;
}
