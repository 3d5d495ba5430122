import { CHILL, ICE, SURFACE_COEFFICIENT } from "#core/chill/chill-constants.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import { tankRoom } from "#core/chill/ice-need.ts";
import { type CrewMember, linePeople } from "#core/day/crew/crew.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import { bathSetup, type ScaldPlan, settingChange } from "#core/day/plan/scald-plan.ts";
import { likelyMinutes } from "#core/processing-line/alternatives/line-whatif.ts";
import {
  BLEED_FLOOR_MINUTES,
  CLEAN_UP_MINUTES,
  RAIN_FACTOR,
  RINSE_OR_COOL_MINUTES,
} from "#core/processing-line/line-constants.ts";
import {
  type LineBath,
  type LineDay,
  type LineLot,
  lineMinutes,
  neededStations,
  tankShareOf,
} from "#core/processing-line/line-day.ts";
import {
  DEFAULT_BUFFERS,
  DEFAULT_PLACES,
  STATIONS,
  type Station,
} from "#core/processing-line/line-station.ts";
import { ruleAgainst } from "#core/safety/person-rules.ts";
import { bathHeatUp, bathThroughput } from "#core/scald/bath.ts";
import { BATH } from "#core/scald/bath-constants.ts";
import { bathDunk } from "#core/scald/bath-day.ts";
import { METHOD_BATH, SCALD_DOSE } from "#core/scald/scald-constants.ts";

/** Something about the line that keeps it from running as it was planned. */
export type LineFault =
  /** Whether anybody of those who come may stand there at all. */
  | { readonly what: "no-one-at"; readonly station: Station; readonly mayAnybody: boolean }
  | { readonly what: "no-room-in-tanks" }
  | { readonly what: "break-before-start" }
  | { readonly what: "leaves-too-early" }
  | { readonly what: "break-after-end" | "break-longer-than-work" }
  | { readonly what: "arrives-after-end"; readonly name: string };

export interface LineSetup {
  /** The day as it is to be played. Where no one stands at a station everyone does, so that the rest still answers. */
  readonly day: LineDay;
  readonly faults: readonly LineFault[];
}

/** Rain slows hands from the first bird to the last. See docs/sources.md#line. */
const ALL_DAY_RAIN = { fromMinute: 0, minutes: 2 * 24 * 60, factor: RAIN_FACTOR } as const;

/** The day's line, from its first bird: who, kit, tanks, breaks, and the bath as it sags and comes back. */
export function lineSetup(plan: PlanInput, scalds: readonly ScaldPlan[]): LineSetup {
  const { choices, means, crew, minuteAfterStart } = plan;
  const heaviest = Math.max(...plan.lots.map(({ flock }) => flock.dressed.value));
  const room = tankRoom(heaviest, means.tankLiters.value).birdsThatFit;
  const breakFrom = minuteAfterStart(choices.breakAtMinute);
  const hasBreak = choices.breakMinutes > 0 && breakFrom >= 0;
  const changesWater = isWaterChanged(plan, scalds);
  const day: LineDay = {
    lots: plan.lots.map((_, index) => lineLot(plan, scalds, index, heaviest)),
    people: linePeople(choices.pluckBy === "skin" ? crew.map(skinner) : crew, means, minuteAfterStart),
    kit: {
      cones: choices.cones,
      scaldAtOnce: means.scalder.scaldAtOnce,
      pluckAtOnce: means.pluckAtOnce,
      places: {
        ...DEFAULT_PLACES,
        feet: choices.pinPlaces,
        pins: choices.pinPlaces,
        gut: choices.tablePlaces,
      },
      buffers: DEFAULT_BUFFERS,
      tankBirds: Math.max(1, room),
      sealAtOnce: means.cutting.sealAtOnce,
    },
    bleedFloorMinutes: BLEED_FLOOR_MINUTES,
    pluckBy: choices.pluckBy === "drum" ? "drum" : "hand",
    packSameDay: choices.packsSameDay,
    breaks: hasBreak ? [{ fromMinute: breakFrom, minutes: choices.breakMinutes }] : [],
    setUpMinutes: 0,
    cleanUpMinutes: CLEAN_UP_MINUTES,
    slowSpell: choices.isRainExpected ? ALL_DAY_RAIN : undefined,
    changeWaterEvery: changesWater ? choices.changeWaterBirds : undefined,
    daySdLn: means.ownPace.daySdLn,
  };
  const manned = new Set(day.people.flatMap(({ stations }) => stations));
  const unmanned = neededStations(day).filter((station) => !manned.has(station));
  const faults: LineFault[] = [
    ...unmanned.map((station) => ({
      what: "no-one-at" as const,
      station,
      mayAnybody: crew.some(({ rules }) => ruleAgainst(rules, station) === undefined),
    })),
    ...(room < 1 ? [{ what: "no-room-in-tanks" as const }] : []),
    ...(choices.breakMinutes > 0 && !hasBreak ? [{ what: "break-before-start" as const }] : []),
  ];
  const manning =
    unmanned.length === 0
      ? day
      : { ...day, people: day.people.map((one) => ({ ...one, stations: STATIONS })) };
  const setup = { day: manning, faults };
  return isStuck(manning) ? withEveryoneStaying(setup) : setup;
}

/** Skinning is knife work: who uses no knives does not stand where birds are plucked on other days. */
function skinner(member: CrewMember): CrewMember {
  const stations = member.rules.usesKnives
    ? member.stations
    : member.stations.filter((station) => station !== "pluck");
  return stations.length > 0 ? { ...member, stations } : { ...member, stations: ["rinse"] };
}

/** The same day as if everyone stayed from its start to its end, since their hours do not get the birds done. */
export function withEveryoneStaying({ day, faults }: LineSetup): LineSetup {
  const staying = day.people.map((one) => ({ ...one, fromMinute: 0, toMinute: Infinity }));
  return { day: { ...day, people: staying }, faults: [...faults, { what: "leaves-too-early" }] };
}

/** Whether an ordinary morning ends with birds left, since no one is there any more who may do what is next. */
function isStuck(day: LineDay): boolean {
  const hasHours = day.people.some(({ fromMinute, toMinute }) => fromMinute > 0 || toMinute < Infinity);
  return hasHours && likelyMinutes(day, 1, 5) === Infinity;
}

/** Water that never gets hot again is not changed. */
const isWaterChanged = (plan: PlanInput, scalds: readonly ScaldPlan[]): boolean =>
  plan.choices.changeWaterBirds !== undefined &&
  plan.choices.pluckBy !== "skin" &&
  scalds.every((scald) => waterChangeMinutes(plan, scald) !== undefined);

/** @param heaviestKilograms mean of the day's heaviest lot, dressed */
function lineLot(
  plan: PlanInput,
  scalds: readonly ScaldPlan[],
  index: number,
  heaviestKilograms: number,
): LineLot {
  const { means } = plan;
  const lot = plan.lots[index]!;
  const scald = scalds[index]!;
  const isSkinned = plan.choices.pluckBy === "skin";
  const extraDips = Number(plan.choices.rinsesFirst) + Number(plan.choices.coolsAfter);
  return {
    birds: lot.choices.birds,
    cutUp: lot.choices.cutUp,
    minutes: lineMinutes({
      dipMinutes: scald.seconds.value / 60 + extraDips * RINSE_OR_COOL_MINUTES,
      keepsFeet: lot.choices.keepsFeet,
      pluckBy: plan.choices.pluckBy,
      cutting: means.cutting,
    }),
    packsPerBird: means.cutting.packsPerBird,
    giblets: lot.choices.keepsGiblets,
    restMinutes: chillMinutes(lot, means),
    tankShare: tankShareOf(lot.flock.dressed.value, heaviestKilograms),
    bath: isSkinned ? undefined : bathOnLine(lot, means, scald),
    settingMinutes: isSkinned ? 0 : (settingChange(means, scalds[index - 1], scald)?.seconds ?? 0) / 60,
    waterChangeMinutes: isWaterChanged(plan, scalds) ? waterChangeMinutes(plan, scald)! : 0,
  };
}

/** Until a bird is cold through and may give up its place in the tank, minutes. */
function chillMinutes({ flock }: LotInput, means: PlanInput["means"]): number {
  const { finish } = chillTime({
    carcassKilograms: flock.dressed.value,
    surfaceCoefficient: SURFACE_COEFFICIENT[means.chillMethod],
    startCelsius: ICE.carcassStartCelsius,
    mediumCelsius: ICE.bathCelsius,
    targetCelsius: CHILL.targetCelsius,
  });
  return finish!.seconds / 60;
}

/** Undefined where the bath has no heat to spare with its lid off: it never comes back, and a caution says so. */
function bathOnLine(
  { choices, flock }: LotInput,
  means: PlanInput["means"],
  scald: ScaldPlan,
): LineBath | undefined {
  const bath = bathSetup(means, "likely", "open");
  const setCelsius = scald.bath.value;
  const live = { liveKilograms: flock.live.value, tapCelsius: means.tapCelsius.value, isToppedUp: true };
  const { netWatts } = bathThroughput({ bath, setCelsius, ...live });
  if (netWatts <= 0) return undefined;
  const { sagKelvin } = bathDunk({ bath, bathCelsius: setCelsius, setCelsius, birds: 1, ...live });
  const capacity = bath.waterKilograms * BATH.waterJoulePerKilogramKelvin + bath.vesselJoulePerKelvin;
  const method = METHOD_BATH[choices.scaldMethod];
  return {
    sagPerBird: sagKelvin,
    recoveryPerMinute: (netWatts * 60) / capacity,
    waitBelow: method.set - method.band[0],
    zCelsius: SCALD_DOSE.zCelsius,
  };
}

/** Until new water is as hot as a lot's bath; undefined where it never gets there. */
function waterChangeMinutes({ means }: PlanInput, scald: ScaldPlan): number | undefined {
  const { seconds } = bathHeatUp(
    bathSetup(means, "likely", "as-it-is"),
    means.scalder.fillCelsius.value,
    scald.bath.value,
  );
  return seconds === undefined ? undefined : seconds / 60;
}
