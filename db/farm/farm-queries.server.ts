import type { Database } from "better-sqlite3";
import type { ChillMethod, TankWall } from "#core/chill/chill-constants.ts";
import type { KitItem } from "#core/cost/kit-share.ts";
import type { SharedBy } from "#core/day/settle/day-shares.ts";
import type { Practice } from "#core/processing-line/line-constants.ts";
import type { Currency } from "#core/quantity/currency.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** The farm's own settings. Where the farm has not said, our default stands. */
export interface Farm {
  readonly revision: number;
  readonly name: string;
  readonly latitudeMicrodegrees: number;
  readonly longitudeMicrodegrees: number;
  readonly timeZone: string;
  /** BCP 47 tag: formats of clocks, dates, numbers and paper. */
  readonly locale: string;
  readonly unitSystem: UnitSystem;
  readonly currency: Currency;
  readonly practice: Practice;
  readonly arePensLit: boolean;
  readonly pluckAtOnceCount: number;
  readonly airMillicelsius: number | undefined;
  readonly tapMillicelsius: number | undefined;
  readonly hourRateCents: number | undefined;
  readonly birdsAYearCount: number | undefined;
  readonly tankMilliliters: number | undefined;
  readonly tankWall: TankWall;
  readonly chillMethod: ChillMethod;
  readonly iceBagMilligrams: number | undefined;
  readonly usesOwnDays: boolean;
  readonly jugCount: number | undefined;
  readonly jugMilliliters: number | undefined;
  readonly madeIceMilligrams: number | undefined;
  readonly scalderMilliliters: number | undefined;
  readonly scalderWatts: number | undefined;
  readonly scalderHeat: "electric" | "propane";
  readonly isScalderLidded: boolean;
  readonly isScalderInsulated: boolean;
  readonly scaldAtOnceCount: number;
  readonly scalderFillMillicelsius: number | undefined;
  readonly circuitVolts: number | undefined;
  readonly breakerAmps: number | undefined;
  /** Height above the sea, on which canning depends. */
  readonly altitudeMeters: number | undefined;
  /** What the farm may process for others, in its own words; empty where it has not said. */
  readonly ruleForOthers: string;
  /** How lots share what a day costs as a whole. */
  readonly dayCostSharedBy: SharedBy;
  readonly crateBirdsCount: number | undefined;
  /** Sodium hypochlorite in the farm's bleach, hundredths of a percent by weight. */
  readonly bleachBasisPoints: number | undefined;
}

export type FarmSettings = Omit<Farm, "revision">;

/** What stands in a column, for every setting but the revision. The one place where both names meet. */
const COLUMNS: Readonly<Record<keyof FarmSettings, string>> = {
  name: "name",
  latitudeMicrodegrees: "latitude_microdegrees",
  longitudeMicrodegrees: "longitude_microdegrees",
  timeZone: "time_zone",
  locale: "locale",
  unitSystem: "unit_system",
  currency: "currency",
  practice: "practice",
  arePensLit: "are_pens_lit",
  pluckAtOnceCount: "pluck_at_once_count",
  airMillicelsius: "air_millicelsius",
  tapMillicelsius: "tap_millicelsius",
  hourRateCents: "hour_rate_cents",
  birdsAYearCount: "birds_a_year_count",
  tankMilliliters: "tank_milliliters",
  tankWall: "tank_wall",
  chillMethod: "chill_method",
  iceBagMilligrams: "ice_bag_milligrams",
  usesOwnDays: "uses_own_days",
  jugCount: "jug_count",
  jugMilliliters: "jug_milliliters",
  madeIceMilligrams: "made_ice_milligrams",
  scalderMilliliters: "scalder_milliliters",
  scalderWatts: "scalder_watts",
  scalderHeat: "scalder_heat",
  isScalderLidded: "is_scalder_lidded",
  isScalderInsulated: "is_scalder_insulated",
  scaldAtOnceCount: "scald_at_once_count",
  scalderFillMillicelsius: "scalder_fill_millicelsius",
  circuitVolts: "circuit_volts",
  breakerAmps: "breaker_amps",
  altitudeMeters: "altitude_meters",
  ruleForOthers: "rule_for_others",
  dayCostSharedBy: "day_cost_shared_by",
  crateBirdsCount: "crate_birds_count",
  bleachBasisPoints: "bleach_basis_points",
};

export interface KitRow {
  readonly entryId: string;
  readonly name: string;
  readonly priceCents: number;
  readonly lifeYears: number | undefined;
  readonly lifeBirds: number | undefined;
}

/** Prepares every statement of the farm once; call it once per connection. */
export function farmQueries(database: Database) {
  const entries = entryQueries(database);
  const settings = Object.entries(COLUMNS);
  const selectFarm = database.prepare<[], Farm>(
    `SELECT revision, ${settings.map(([name, column]) => `${column} AS ${name}`).join(", ")} FROM farm`,
  );
  const insertFarm = database.prepare<FarmSettings>(
    `INSERT INTO farm (id, revision, ${settings.map(([, column]) => column).join(", ")})
     VALUES (1, 1, ${settings.map(([name]) => `@${name}`).join(", ")})`,
  );
  const updateFarm = database.prepare<FarmSettings & { revision: number }>(
    `UPDATE farm SET revision = revision + 1, ${settings.map(([name, column]) => `${column} = @${name}`).join(", ")}
      WHERE id = 1 AND revision = @revision`,
  );
  const selectKit = database.prepare<[], KitRow>(`
    SELECT entry_id AS entryId, name, price_cents AS priceCents, life_years AS lifeYears, life_birds AS lifeBirds
      FROM kit_item
     WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY id`);
  const insertKit = database.prepare<KitRow>(`
    INSERT INTO kit_item (entry_id, name, price_cents, life_years, life_birds)
    VALUES (@entryId, @name, @priceCents, @lifeYears, @lifeBirds)`);

  return {
    /** The farm, or undefined in a new file. */
    farm: (): Farm | undefined => selectFarm.get(),

    /** Makes the farm, or changes it if no one else has since the revision that the person saw (0 for a new farm). */
    saveFarm: database.transaction(
      (settings: FarmSettings, seenRevision: number): "saved" | "changed-meanwhile" => {
        const current = selectFarm.get();
        if ((current?.revision ?? 0) !== seenRevision) return "changed-meanwhile";
        if (current) updateFarm.run({ ...settings, revision: seenRevision });
        else insertFarm.run(settings);
        return "saved";
      },
    ).immediate,

    kit: (): KitRow[] => selectKit.all(),
    addKit: (entry: Entry, item: Omit<KitRow, "entryId">): Recorded =>
      entries.once(entry, ["kit", item], () => {
        insertKit.run({ entryId: entry.entryId, ...item });
        return undefined;
      }),
  };
}

/** A row of kit as core calculates with it. */
export function kitItemOf({ priceCents, lifeYears, lifeBirds }: KitRow): KitItem {
  return { priceCents, life: lifeYears === undefined ? { birds: lifeBirds! } : { years: lifeYears } };
}
