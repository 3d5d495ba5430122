import { sum } from "d3-array";
import { farmPace } from "#app/server/day/own-pace.server.ts";
import { restDaysOf } from "#app/server/day/rest-days.server.ts";
import { forecastDays } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { farmMeans, hourRate } from "#app/server/farm/farm-means.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { crewReachInPool } from "#app/server/pooled/sums.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import type { GroupFacts, HeldDay, SeasonFacts, SeasonTerms } from "#core/day/season/season-facts.ts";
import { MILLIGRAMS_PER_KILOGRAM } from "#core/quantity/conversion.ts";
import { type Setting, settingOr } from "#core/reckoning/setting.ts";
import { SEASON_DEFAULTS as OURS } from "#core/season/season-constants.ts";
import { SEASON_RULES, type SeasonRule, type Strength } from "#core/season/season-problem.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import { RULE_PRICE, type SeasonSetting } from "#db/season/season-queries.server.ts";

/** Longest that a season looks ahead, days; the weather and what people said are read so far. */
const AHEAD_DAYS = 400;

/** Room of a farm that has not said what it has: more than birds will ever fill. */
const ROOM_UNSAID = 1_000_000;

/** All that the season is calculated from, read from the file; with only one batch in it, if it is named. */
export function seasonFacts(here: FarmContext, farm: Farm, onlyBatchId?: number): SeasonFacts {
  const file = here.file;
  const today = localDayOf(here.now(), farm.timeZone);
  const terms = seasonTerms(here, farm, file.season.setting(), today);
  const batches = onlyBatchId === undefined ? file.batches() : [file.batch(onlyBatchId)!];
  const held = heldDays(here, terms);
  const groups = batches
    .filter(({ aliveCount }) => aliveCount > 0)
    .map((batch) => ({ batch, birds: file.freeForDay(batch.id) }))
    .filter(({ birds }) => birds > 0)
    .map(({ batch, birds }) => groupFacts(here, farm, batch, file.story(batch.id), birds));
  const [last] = file.lastDays(1);
  const places = file.places();
  const capacity = (is: (place: (typeof places)[number]) => boolean) =>
    sum(places.filter(is), ({ capacityCount }) => capacityCount);
  // A farm that has named no fridge has not said that it has none.
  const unsaid = (kind: "fridge" | "freezer") =>
    places.some((place) => place.kind === kind) ? 0 : ROOM_UNSAID;
  return {
    today,
    groups,
    held,
    people: file.people.people(),
    personDays: file.people.personDays(today, addDays(today, AHEAD_DAYS)),
    marks: file.season
      .marks()
      .map(({ priceCents, ...mark }) => ({ ...mark, priceCents: priceCents ?? undefined })),
    bookings: file.season.bookings(),
    pins: file.season
      .pins()
      .map(({ batchId, pinnedOn, birdCount }) => ({ batchId, pinnedOn, birds: birdCount })),
    sizes: wantedSizes(here),
    terms,
    means: { ...farmMeans(farm), ownPace: farmPace(here, farm) },
    crewReach: crewReachInPool,
    cones: last?.cones ?? 3,
    tablePlaces: last?.tablePlaces ?? 2,
    rooms: {
      fridge: capacity(({ kind, canFreeze }) => kind === "fridge" && !canFreeze) + unsaid("fridge"),
      freezer: capacity(({ kind }) => kind === "freezer") + unsaid("freezer"),
      either: capacity(({ canFreeze }) => canFreeze),
      frozenNow: file.freezers.storedCount(),
      restingNow: [],
    },
    // A limit on the farm's own birds does not count a neighbor's.
    dressedByYear: Object.fromEntries(
      file.books
        .dressedByYear()
        .filter(({ ownerId }) => ownerId === undefined)
        .map(({ year, birds }) => [year, birds]),
    ),
    highs: forecastDays(here, farm, today, AHEAD_DAYS).map(({ highCelsius }) => highCelsius),
  };
}

function wantedSizes(here: FarmContext): SeasonFacts["sizes"] {
  const kilograms = (milligrams: number | undefined) =>
    milligrams === undefined ? undefined : milligrams / MILLIGRAMS_PER_KILOGRAM;
  return here.file.season.sizes().map(({ who, leastMilligrams, mostMilligrams, birdCount }) => ({
    who,
    leastKilograms: kilograms(leastMilligrams),
    mostKilograms: kilograms(mostMilligrams),
    birds: birdCount,
  }));
}

export function groupFacts(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  story: BatchStory,
  birds: number,
): GroupFacts {
  return {
    batchId: batch.id,
    name: batch.name,
    birds,
    flock: flockOf(here, farm, batch, story),
    feedCentsPerKilogram: feedPrice(story),
  };
}

/** What the batch's last bag cost, or ours. */
export function feedPrice({ feed }: Pick<BatchStory, "feed">): Setting {
  const last = feed.at(-1);
  return settingOr(
    last ? (last.bagPriceCents * MILLIGRAMS_PER_KILOGRAM) / last.bagMilligrams : undefined,
    OURS.feedCentsPerKilogram,
  );
}

/** Each lot of a scheduled day is a held day of its own: they take room and birds alike. */
function heldDays(here: FarmContext, terms: SeasonTerms): HeldDay[] {
  return here.file.openDays().flatMap((day) =>
    lotsOfDay(here, day).map((lot) => ({
      dayId: day.id,
      day: day.processedOn,
      batchId: lot.batchId,
      batchName: lot.batchName,
      birds: lot.birds,
      cutUp: lot.cutUp,
      restDays: restDaysOf(here, day, [lot], terms.restDays),
    })),
  );
}

/** Money and limits, the farm's own where it said so. */
export function seasonTerms(
  here: FarmContext,
  farm: Farm,
  setting: SeasonSetting,
  today: LocalDay,
): SeasonTerms {
  const strengthOf = (rule: SeasonRule): Strength => {
    const cents = setting[RULE_PRICE[rule]];
    return cents === undefined ? { isFirm: true } : { isFirm: false, cents };
  };
  const leaving =
    here.file.freezers.birdsOutBetween(addDays(today, -WEEKS_LOOKED_BACK * 7), today) / WEEKS_LOOKED_BACK;
  return {
    wholeCentsPerKilogram: settingOr(setting.wholeCentsPerKilogram, OURS.wholeCentsPerKilogram),
    cutCentsPerKilogram: settingOr(setting.cutCentsPerKilogram, OURS.cutCentsPerKilogram),
    oddSizeOffPercent: settingOr(setting.oddSizeOffPercent, OURS.oddSizeOffPercent),
    leavingAWeek:
      setting.leavingAWeekCount === undefined && leaving > 0
        ? { value: leaving, provenance: "measured" }
        : settingOr(setting.leavingAWeekCount, OURS.leavingAWeek),
    longestLineMinutes: settingOr(setting.longestLineMinutes, OURS.longestLineMinutes),
    leastBirds: settingOr(setting.leastBirdsCount, OURS.leastBirds),
    centsAnHour: hourRate(farm),
    restDays: setting.restDaysCount ?? undefined,
    yearlyCap: setting.yearlyCapCount ?? undefined,
    hiredThing: setting.hiredThing,
    hireCents: setting.hireCents ?? 0,
    mustBeBooked: setting.mustBeBooked,
    strength: Object.fromEntries(
      SEASON_RULES.map((rule) => [rule, strengthOf(rule)]),
    ) as SeasonTerms["strength"],
  };
}

/** Weeks of birds sold and eaten from which their pace is read. */
const WEEKS_LOOKED_BACK = 8;
