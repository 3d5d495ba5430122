import type { ChillMethod, TankWall } from "#core/chill/chill-constants.ts";
import type { CrewMember, CrewSeat } from "#core/day/crew/crew.ts";
import type { OwnPace } from "#core/day/crew/own-pace.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { WhichBirds } from "#core/growth/flock.ts";
import type { FlockForecast } from "#core/growth/flock-forecast.ts";
import type { Practice } from "#core/processing-line/line-constants.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { ScaldMethod } from "#core/scald/scald-constants.ts";
import type { WithdrawalMethod } from "#core/withdrawal/withdrawal-constants.ts";

/** What a person chose for a day. */
export interface DayChoices {
  readonly birds: number;
  /** Of them, to be cut up; the others stay whole. */
  readonly cutUp: number;
  /** First kill, epoch milliseconds UTC. */
  readonly startAt: number;
  readonly people: number;
  readonly cones: number;
  readonly tablePlaces: number;
  readonly breakMinutes: number;
  /** When the break begins, minutes from midnight by the farm's clock. */
  readonly breakAtMinute: number;
  readonly pinPlaces: number;
  readonly keepsGiblets: boolean;
  readonly keepsFeet: boolean;
  /** Packed as soon as they are cold, by the same crew; else after the rest, on another day. */
  readonly packsSameDay: boolean;
  /** Hands outdoors are slower in it. */
  readonly isRainExpected: boolean;
  readonly pluckBy: "drum" | "hand";
  /** The scald's water is changed after so many birds; undefined where it is kept all day. */
  readonly changeWaterBirds: number | undefined;
  /** Salt that the meat is to end up with, by weight; undefined where the birds are not brined. */
  readonly brineFraction: number | undefined;
  /** Who stands where; people beyond these have no name. */
  readonly crew: readonly CrewSeat[];
  readonly scaldMethod: ScaldMethod;
  readonly withdrawalMethod: WithdrawalMethod;
  readonly whichBirds: WhichBirds;
}

export interface Scalder {
  readonly waterLiters: Setting;
  readonly powerWatts: Setting;
  readonly heat: "electric" | "propane";
  readonly isLidded: boolean;
  readonly isInsulated: boolean;
  readonly fillCelsius: Setting;
  readonly scaldAtOnce: number;
  /** The circuit of an electric element, where the farm gave it. */
  readonly circuit: { readonly volts: number; readonly breakerAmps: number } | undefined;
}

/** What the farm has to work with, each number its own or our default. */
export interface FarmMeans {
  readonly scalder: Scalder;
  readonly pluckAtOnce: number;
  readonly practice: Practice;
  readonly ownPace: OwnPace;
  readonly ambientCelsius: Setting;
  readonly tapCelsius: Setting;
  readonly tankLiters: Setting;
  readonly tankWall: TankWall;
  readonly chillMethod: ChillMethod;
  readonly bagKilograms: Setting;
  /** Ice that the farm has without buying: frozen in jugs, and from its own machine. */
  readonly ownIce: { readonly jugKilograms: number; readonly madeKilograms: number };
  /** Lamps burn in the pens until the feed is pulled, so that dusk does not end the eating. */
  readonly arePensLit: boolean;
}

export interface PlanInput {
  readonly kind: BirdKind;
  readonly flock: FlockForecast;
  readonly choices: DayChoices;
  readonly means: FarmMeans;
  /** As many as people were chosen. */
  readonly crew: readonly CrewMember[];
  /** Minutes after the first bird of a minute of the day by the farm's clock; less than 0 before it. */
  readonly minuteAfterStart: (minuteOfDay: number) => number;
  /** Where the flock stands; empty where no one said. */
  readonly pens: readonly { readonly name: string; readonly birds: number }[];
  /** Bags of ice in stock; undefined where no one keeps count of them. */
  readonly iceBagsInStock: number | undefined;
  /** Dusk of the evening before and dawn of the day, epoch milliseconds UTC, where the sun sets at all. */
  readonly night: { readonly duskAt: number; readonly dawnAt: number } | undefined;
}
