import type { LocalDay } from "#core/calendar/local-day.ts";
import type { Helper } from "#core/day/crew/crew.ts";
import type { Reach } from "#core/day/crew/crew-reach.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";
import type { Flock } from "#core/growth/flock.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { SeasonRule, Strength } from "#core/season/season-problem.ts";

/** A batch with birds that have no day yet. */
export interface GroupFacts {
  readonly batchId: number;
  readonly name: string;
  /** Birds alive, or awaited, that no day has taken. */
  readonly birds: number;
  readonly flock: Flock;
  readonly feedCentsPerKilogram: Setting;
}

/** A scheduled day that is not settled. */
export interface HeldDay {
  readonly dayId: number;
  readonly day: LocalDay;
  readonly batchId: number;
  readonly batchName: string;
  readonly birds: number;
  readonly cutUp: number;
  readonly restDays: number;
}

export interface PersonFacts extends Helper {
  /** Bit 0 for Monday to bit 6 for Sunday. */
  readonly weekdayMask: number;
}

export interface DayMarkFacts {
  readonly fromOn: LocalDay;
  readonly toOn: LocalDay;
  readonly kind: "out" | "market" | "note";
  readonly what: string;
  /** Undefined: out is out. */
  readonly priceCents: number | undefined;
}

/** Money and limits of the season, each the farm's own or ours. */
export interface SeasonTerms {
  readonly wholeCentsPerKilogram: Setting;
  readonly cutCentsPerKilogram: Setting;
  readonly oddSizeOffPercent: Setting;
  readonly leavingAWeek: Setting;
  readonly longestLineMinutes: Setting;
  readonly leastBirds: Setting;
  readonly centsAnHour: Setting;
  /** Days of rest of every kind, if the farm said so. */
  readonly restDays: number | undefined;
  readonly yearlyCap: number | undefined;
  /** What is borrowed or hired for a day; empty for nothing. */
  readonly hiredThing: string;
  readonly hireCents: number;
  /** Only days for which it is booked may be held. */
  readonly mustBeBooked: boolean;
  readonly strength: Readonly<Record<SeasonRule, Strength>>;
}

export interface WantedSizeFacts {
  readonly who: string;
  readonly leastKilograms: number | undefined;
  readonly mostKilograms: number | undefined;
  readonly birds: number;
}

/** All that a season is calculated from. */
export interface SeasonFacts {
  readonly today: LocalDay;
  readonly groups: readonly GroupFacts[];
  readonly held: readonly HeldDay[];
  readonly people: readonly PersonFacts[];
  /** In the order in which it was said: the last word stands. */
  readonly personDays: readonly {
    readonly personId: number;
    readonly onDay: LocalDay;
    readonly canCome: boolean;
    readonly why: string;
  }[];
  readonly marks: readonly DayMarkFacts[];
  readonly bookings: readonly {
    readonly thing: string;
    readonly fromOn: LocalDay;
    readonly toOn: LocalDay;
  }[];
  readonly pins: readonly { readonly batchId: number; readonly pinnedOn: LocalDay; readonly birds: number }[];
  readonly sizes: readonly WantedSizeFacts[];
  readonly terms: SeasonTerms;
  readonly means: FarmMeans;
  /** Birds that a crew does in a day: the same few crews are asked for day after day, so it may be remembered. */
  readonly crewReach: (reach: Reach) => number;
  /** Kit of the last day, or ours. */
  readonly cones: number;
  readonly tablePlaces: number;
  readonly rooms: {
    readonly fridge: number;
    readonly freezer: number;
    /** A place that does either. */
    readonly either: number;
    readonly frozenNow: number;
    /** Birds of late days that still rest, by the day on which they go into the freezer. */
    readonly restingNow: readonly { readonly until: LocalDay; readonly birds: number }[];
  };
  /** Birds processed so far in each calendar year, scheduled days left out. */
  readonly dressedByYear: Readonly<Record<string, number>>;
  /** Highs of the days to come from today on, °C. */
  readonly highs: readonly number[];
}
