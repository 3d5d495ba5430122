/** Whole birds, or birds cut up. */
export const WAYS = ["whole", "cut"] as const;
export type Way = (typeof WAYS)[number];

/** A rule holds firm, or is a wish that may be given up at a price. */
export type Strength = { readonly isFirm: true } | { readonly isFirm: false; readonly cents: number };

/** What a season must or should keep to. The price of a wish is for each bird (or bird and day) past it. */
export const SEASON_RULES = [
  "everyone-placed",
  "latest-age",
  "crew",
  "least-birds",
  "rest-room",
  "freezer-room",
  "yearly-cap",
] as const;
export type SeasonRule = (typeof SEASON_RULES)[number];

/** A day on which birds may be processed. */
export interface CandidateDay {
  /** Days since 1970-01-01. */
  readonly number: number;
  /** Spent once if the day is held at all: hire, setup and cleanup, and wishes given up for it. */
  readonly openCents: number;
  /** Work that the crew of that day can do, in whole birds. */
  readonly mostWork: number;
  /** Work and birds of what is scheduled there already; the day is then held anyhow. */
  readonly heldWork: number;
  readonly heldBirds: number;
}

/** A way to take birds of a group on a day. */
export interface GroupOption {
  /** Index of the candidate day. */
  readonly day: number;
  readonly way: Way;
  /** What one bird brings less what it costs from today on, cents; may be negative. */
  readonly centsEach: number;
  /** Work of one bird, in whole birds. */
  readonly workEach: number;
  /** Room that one bird takes in the freezer, in whole birds. */
  readonly freezerRoomEach: number;
  /** The birds are past their latest age. */
  readonly isLate: boolean;
}

/** Birds of a batch that have no day yet. */
export interface SeasonGroup {
  readonly name: string;
  readonly birds: number;
  /** Every bird must have a day within the season; if not, those left over wait for a later one. */
  readonly mustBePlaced: boolean;
  /** What a bird that is not placed costs, cents: it goes on eating. */
  readonly unplacedCents: number;
  /** Days, from that of the kill, for which its birds lie in the rest room before they are frozen. */
  readonly restDays: number;
  readonly options: readonly GroupOption[];
}

/** Birds that a person has fixed on a day; the season is calculated around them. */
export interface Pin {
  readonly group: number;
  readonly day: number;
  readonly birds: number;
}

export interface SeasonProblem {
  readonly days: readonly CandidateDay[];
  readonly groups: readonly SeasonGroup[];
  readonly pins: readonly Pin[];
  readonly leastBirds: number;
  readonly strength: Readonly<Record<SeasonRule, Strength>>;
  readonly room: {
    /** Birds that can rest whatever the freezer holds. */
    readonly rest: number;
    readonly freezer: number;
    /** Places that either rest birds or freeze them, never both on one day. */
    readonly eitherRest: number;
    readonly eitherFreezer: number;
    /** Room taken in the freezer when the season begins, in whole birds. */
    readonly frozenNow: number;
    /** The first day of the lists below, days since 1970-01-01. */
    readonly from: number;
    /** Birds of scheduled days that rest on each day. */
    readonly resting: readonly number[];
    /** Room that goes into the freezer on each day from scheduled days, in whole birds. */
    readonly entering: readonly number[];
    /** What scheduled days alone already take past the rooms on each day; it is forgiven, since no choice here mends it. */
    readonly restSlack: readonly number[];
    readonly freezerSlack: readonly number[];
    /** Room that is eaten and sold free on each day, in whole birds. */
    readonly leaving: readonly number[];
  };
  /** Birds that each calendar year may still take, after those processed and set; years not named have no cap. */
  readonly yearly: readonly { readonly fromDay: number; readonly toDay: number; readonly birds: number }[];
}

/** Birds of one group on one day in one way. */
export interface Placement {
  readonly group: number;
  readonly day: number;
  readonly way: Way;
  readonly birds: number;
}

export interface SeasonAnswer {
  readonly placements: readonly Placement[];
}
