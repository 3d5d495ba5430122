import type { ChillMethod, TankWall } from "#core/chill/chill-constants.ts";
import type { CuttingWork } from "#core/cutting/cutting-constants.ts";
import type { CrewMember, CrewSeat } from "#core/day/crew/crew.ts";
import type { OwnPace } from "#core/day/crew/own-pace.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { WhichBirds } from "#core/growth/flock.ts";
import type { FlockForecast } from "#core/growth/flock-forecast.ts";
import type { Practice } from "#core/processing-line/line-constants.ts";
import type { PluckBy } from "#core/processing-line/line-day.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import type { ScaldMethod } from "#core/scald/scald-constants.ts";
import type { WithdrawalMethod } from "#core/withdrawal/withdrawal-constants.ts";

/** What a person chose for one lot: birds of one batch, and of one owner, on one day. */
export interface LotChoices {
  readonly batchId: number;
  /** Undefined for the farm's own birds. */
  readonly ownerId: number | undefined;
  readonly birds: number;
  /** Of them, to be cut up; the others stay whole. */
  readonly cutUp: number;
  readonly whichBirds: WhichBirds;
  readonly scaldMethod: ScaldMethod;
  /** The bath that was chosen for them; undefined for the method's usual. */
  readonly scaldCelsius: number | undefined;
  readonly withdrawalMethod: WithdrawalMethod;
  readonly keepsGiblets: boolean;
  readonly keepsFeet: boolean;
  /** Pens of the batch that they stand in; empty for wherever the batch stands. */
  readonly pens: readonly string[];
}

/** What a person chose for a day. */
export interface DayChoices {
  /** In the order in which they are killed, at least one. */
  readonly lots: readonly LotChoices[];
  /** First kill, epoch milliseconds UTC. */
  readonly startAt: number;
  readonly people: number;
  readonly cones: number;
  readonly tablePlaces: number;
  readonly breakMinutes: number;
  /** When the break begins, minutes from midnight by the farm's clock. */
  readonly breakAtMinute: number;
  readonly pinPlaces: number;
  /** Packed as soon as they are cold, by the same crew; else after the rest, on another day. */
  readonly packsSameDay: boolean;
  /** Hands outdoors are slower in it. */
  readonly isRainExpected: boolean;
  readonly pluckBy: PluckBy;
  /** Birds are rinsed before the scald, which keeps its water cleaner. */
  readonly rinsesFirst: boolean;
  /** And dipped in cool water after it, which stops the skin from cooking on. */
  readonly coolsAfter: boolean;
  /** The scald's water is changed after so many birds; undefined where it is kept all day. */
  readonly changeWaterBirds: number | undefined;
  /** Salt that the meat is to end up with, by weight; undefined where the birds are not brined. */
  readonly brineFraction: number | undefined;
  /** Who stands where; people beyond these have no name. */
  readonly crew: readonly CrewSeat[];
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
  readonly crateBirds: number;
  /** How birds are cut up, into how many packs, and how they are sealed. */
  readonly cutting: CuttingWork;
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

/** A lot with what is known of its birds. */
export interface LotInput {
  readonly choices: LotChoices;
  readonly batchName: string;
  readonly kind: BirdKind;
  readonly flock: FlockForecast;
  /** Where the lot's birds stand; empty where no one said. */
  readonly pens: readonly PenBirds[];
}

export interface PenBirds {
  readonly name: string;
  readonly birds: number;
}

/** A mean over all birds of some lots; of one lot, its own to the last digit. */
export function meanOfBirds<Lot extends { readonly choices: LotChoices }>(
  lots: readonly Lot[],
  of: (lot: Lot) => number,
): number {
  const first = of(lots[0]!);
  const birds = lots.reduce((sum, { choices }) => sum + choices.birds, 0);
  return first + lots.reduce((sum, lot) => sum + lot.choices.birds * (of(lot) - first), 0) / birds;
}

export interface PlanInput {
  /** In the order in which they are killed. */
  readonly lots: readonly LotInput[];
  readonly choices: DayChoices;
  readonly means: FarmMeans;
  /** As many as people were chosen. */
  readonly crew: readonly CrewMember[];
  /** Minutes after the first bird of a minute of the day by the farm's clock; less than 0 before it. */
  readonly minuteAfterStart: (minuteOfDay: number) => number;
  /** Bags of ice in stock; undefined where no one keeps count of them. */
  readonly iceBagsInStock: number | undefined;
  /** Dusk of the evening before and dawn of the day, epoch milliseconds UTC, where the sun sets at all. */
  readonly night: { readonly duskAt: number; readonly dawnAt: number } | undefined;
}
