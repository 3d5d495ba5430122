import type { Database } from "better-sqlite3";
import type { SeasonRule } from "#core/season/season-problem.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** What the season is calculated with. A number left out: our default stands. A price left out: the rule is firm. */
export interface SeasonSetting {
  readonly wholeCentsPerKilogram: number | undefined;
  readonly cutCentsPerKilogram: number | undefined;
  readonly oddSizeOffPercent: number | undefined;
  readonly leavingAWeekCount: number | undefined;
  readonly longestLineMinutes: number | undefined;
  readonly leastBirdsCount: number | undefined;
  readonly restDaysCount: number | undefined;
  readonly yearlyCapCount: number | undefined;
  readonly hiredThing: string;
  readonly hireCents: number | undefined;
  readonly mustBeBooked: boolean;
  readonly everyonePlacedCents: number | undefined;
  readonly latestAgeCents: number | undefined;
  readonly crewCents: number | undefined;
  readonly leastBirdsCents: number | undefined;
  readonly restRoomCents: number | undefined;
  readonly freezerRoomCents: number | undefined;
  readonly yearlyCapCents: number | undefined;
}

/** The price of each rule among the settings. */
export const RULE_PRICE: Readonly<Record<SeasonRule, keyof SeasonSetting & `${string}Cents`>> = {
  "everyone-placed": "everyonePlacedCents",
  "latest-age": "latestAgeCents",
  crew: "crewCents",
  "least-birds": "leastBirdsCents",
  "rest-room": "restRoomCents",
  "freezer-room": "freezerRoomCents",
  "yearly-cap": "yearlyCapCents",
};

/** What stands in a column, for every setting. The one place where both names meet. */
const COLUMNS: Readonly<Record<keyof SeasonSetting, string>> = {
  wholeCentsPerKilogram: "whole_cents_per_kilogram",
  cutCentsPerKilogram: "cut_cents_per_kilogram",
  oddSizeOffPercent: "odd_size_off_percent",
  leavingAWeekCount: "leaving_a_week_count",
  longestLineMinutes: "longest_line_minutes",
  leastBirdsCount: "least_birds_count",
  restDaysCount: "rest_days_count",
  yearlyCapCount: "yearly_cap_count",
  hiredThing: "hired_thing",
  hireCents: "hire_cents",
  mustBeBooked: "must_be_booked",
  everyonePlacedCents: "everyone_placed_cents",
  latestAgeCents: "latest_age_cents",
  crewCents: "crew_cents",
  leastBirdsCents: "least_birds_cents",
  restRoomCents: "rest_room_cents",
  freezerRoomCents: "freezer_room_cents",
  yearlyCapCents: "yearly_cap_cents",
};

/** A farm that has said nothing: room, crew and cap are firm; the rest are wishes at prices of ours. See docs/sources.md#season. */
const UNSAID: SeasonSetting = {
  wholeCentsPerKilogram: undefined,
  cutCentsPerKilogram: undefined,
  oddSizeOffPercent: undefined,
  leavingAWeekCount: undefined,
  longestLineMinutes: undefined,
  leastBirdsCount: undefined,
  restDaysCount: undefined,
  yearlyCapCount: undefined,
  hiredThing: "",
  hireCents: undefined,
  mustBeBooked: false,
  everyonePlacedCents: 1500,
  latestAgeCents: 500,
  crewCents: undefined,
  leastBirdsCents: 400,
  restRoomCents: undefined,
  freezerRoomCents: undefined,
  yearlyCapCents: undefined,
};

interface Fact {
  readonly entryId: string;
}
export interface WantedSize extends Fact {
  readonly who: string;
  readonly leastMilligrams: number | undefined;
  readonly mostMilligrams: number | undefined;
  readonly birdCount: number;
}
export interface DayMark extends Fact {
  readonly fromOn: string;
  readonly toOn: string;
  readonly kind: "out" | "market" | "note";
  readonly what: string;
  readonly priceCents: number | undefined;
}
export interface Booking extends Fact {
  readonly thing: string;
  readonly fromOn: string;
  readonly toOn: string;
}
export interface SeasonPin extends Fact {
  readonly batchId: number;
  readonly pinnedOn: string;
  readonly birdCount: number;
}
export interface WeatherSpell extends Fact {
  readonly fromOn: string;
  readonly toOn: string;
  readonly meanMillicelsius: number;
  readonly what: string;
}
export interface KeptProposal {
  readonly madeAt: number;
  readonly basis: string;
  readonly content: string;
}

type New<Row extends Fact> = Omit<Row, "entryId">;

/** Prepares every statement of the season once; call it once per connection. */
export function seasonQueries(database: Database) {
  const entries = entryQueries(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const columns = Object.entries(COLUMNS);
  const selectSetting = database.prepare<[], SeasonSetting & { revision: number }>(
    `SELECT revision, ${columns.map(([name, column]) => `${column} AS ${name}`).join(", ")} FROM season_setting`,
  );
  const writeSetting = database.prepare<SeasonSetting & { revision: number }>(`
    INSERT INTO season_setting (id, revision, ${columns.map(([, column]) => column).join(", ")})
    VALUES (1, @revision, ${columns.map(([name]) => `@${name}`).join(", ")})
    ON CONFLICT (id) DO UPDATE SET revision = excluded.revision, ${columns
      .map(([, column]) => `${column} = excluded.${column}`)
      .join(", ")}`);
  const selectSizes = database.prepare<[], WantedSize>(`
    SELECT entry_id AS entryId, who, least_milligrams AS leastMilligrams, most_milligrams AS mostMilligrams,
           bird_count AS birdCount
      FROM wanted_size WHERE ${current} ORDER BY coalesce(least_milligrams, 0), id`);
  const insertSize = database.prepare<WantedSize>(`
    INSERT INTO wanted_size (entry_id, who, least_milligrams, most_milligrams, bird_count)
    VALUES (@entryId, @who, @leastMilligrams, @mostMilligrams, @birdCount)`);
  const selectMarks = database.prepare<[], DayMark>(`
    SELECT entry_id AS entryId, from_on AS fromOn, to_on AS toOn, kind, what, price_cents AS priceCents
      FROM day_mark WHERE ${current} ORDER BY from_on, id`);
  const insertMark = database.prepare<DayMark>(`
    INSERT INTO day_mark (entry_id, from_on, to_on, kind, what, price_cents)
    VALUES (@entryId, @fromOn, @toOn, @kind, @what, @priceCents)`);
  const selectBookings = database.prepare<[], Booking>(`
    SELECT entry_id AS entryId, thing, from_on AS fromOn, to_on AS toOn
      FROM booking WHERE ${current} ORDER BY from_on, id`);
  const insertBooking = database.prepare<Booking>(
    "INSERT INTO booking (entry_id, thing, from_on, to_on) VALUES (@entryId, @thing, @fromOn, @toOn)",
  );
  const selectPins = database.prepare<[], SeasonPin>(`
    SELECT entry_id AS entryId, batch_id AS batchId, pinned_on AS pinnedOn, bird_count AS birdCount
      FROM season_pin WHERE ${current} ORDER BY pinned_on, id`);
  const insertPin = database.prepare<SeasonPin>(`
    INSERT INTO season_pin (entry_id, batch_id, pinned_on, bird_count)
    VALUES (@entryId, @batchId, @pinnedOn, @birdCount)`);
  const selectSpells = database.prepare<[], WeatherSpell>(`
    SELECT entry_id AS entryId, from_on AS fromOn, to_on AS toOn, mean_millicelsius AS meanMillicelsius, what
      FROM weather_spell WHERE ${current} ORDER BY id`);
  const insertSpell = database.prepare<WeatherSpell>(`
    INSERT INTO weather_spell (entry_id, from_on, to_on, mean_millicelsius, what)
    VALUES (@entryId, @fromOn, @toOn, @meanMillicelsius, @what)`);
  const selectProposal = database.prepare<[], KeptProposal>(
    "SELECT made_at AS madeAt, basis, content FROM season_proposal",
  );
  const writeProposal = database.prepare<KeptProposal>(`
    INSERT INTO season_proposal (id, made_at, basis, content) VALUES (1, @madeAt, @basis, @content)
    ON CONFLICT (id) DO UPDATE SET made_at = excluded.made_at, basis = excluded.basis, content = excluded.content`);
  const dropProposal = database.prepare("DELETE FROM season_proposal");

  /** Keeps a fact once, unless there is a reason against it. */
  const keep = <Row extends Fact, Reason extends string = never>(
    name: string,
    insert: { run: (row: Row) => unknown },
    refuse: (fact: New<Row>) => Reason | undefined = () => undefined,
  ) => {
    return (entry: Entry, fact: New<Row>): Recorded<Reason> =>
      entries.once<Reason>(entry, [name, fact], () => {
        const reason = refuse(fact);
        if (reason === undefined) insert.run({ entryId: entry.entryId, ...fact } as unknown as Row);
        return reason as NoInfer<Reason> | undefined;
      });
  };

  return {
    setting: (): SeasonSetting & { revision: number } => selectSetting.get() ?? { ...UNSAID, revision: 0 },
    saveSetting: database.transaction(
      (setting: SeasonSetting, seenRevision: number): "saved" | "changed-meanwhile" => {
        if ((selectSetting.get()?.revision ?? 0) !== seenRevision) return "changed-meanwhile";
        writeSetting.run({ ...setting, revision: seenRevision + 1 });
        return "saved";
      },
    ).immediate,

    sizes: (): WantedSize[] => selectSizes.all(),
    addSize: keep<WantedSize>("size", insertSize),
    marks: (): DayMark[] => selectMarks.all(),
    addMark: keep<DayMark>("mark", insertMark),
    bookings: (): Booking[] => selectBookings.all(),
    /** A thing is not booked twice for one day. */
    addBooking: keep<Booking, "overlaps">("booking", insertBooking, ({ thing, fromOn, toOn }) =>
      selectBookings
        .all()
        .some(
          (one) =>
            one.thing.toLowerCase() === thing.toLowerCase() && one.fromOn <= toOn && fromOn <= one.toOn,
        )
        ? "overlaps"
        : undefined,
    ),
    pins: (): SeasonPin[] => selectPins.all(),
    addPin: keep<SeasonPin>("pin", insertPin),
    spells: (): WeatherSpell[] => selectSpells.all(),
    addSpell: keep<WeatherSpell>("spell", insertSpell),

    proposal: (): KeptProposal | undefined => selectProposal.get(),
    keepProposal: (proposal: KeptProposal): void => void writeProposal.run(proposal),
    dropProposal: (): void => void dropProposal.run(),
  };
}
