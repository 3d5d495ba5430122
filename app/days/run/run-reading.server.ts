import { liveDay } from "#app/days/run/live/live-days.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { attachedDevices, bathReadings } from "#app/server/device/attached-devices.server.ts";
import { forecastHours } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { crateBirds, placeOf } from "#app/server/farm/farm-means.server.ts";
import { type LotOfDay, requireDay } from "#app/server/farm/required.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { quotedChillHours } from "#core/chill/chill-deadline.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";
import { neededReadings } from "#core/day/run/bath-readings.ts";
import { runProgress } from "#core/day/run/run-progress.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { MILLIGRAMS_PER_KILOGRAM } from "#core/quantity/conversion.ts";
import { METHOD_BATH, SKIN_CEILING } from "#core/scald/scald-constants.ts";
import { skyBetween, sunOfDay } from "#core/sky/farm-sky.ts";
import { WITHDRAWAL } from "#core/withdrawal/withdrawal-constants.ts";
import type { KeptPlan } from "#db/day/day-queries.server.ts";

/** A lot as the posts show it: by the plan as it was kept, else as it stands now. */
function lotReading(lot: LotOfDay, kept: KeptPlan | undefined, planned: LotPlan | undefined) {
  const keptLot = kept?.lots.find(({ lotId }) => lotId === lot.id);
  const dressedKilograms = keptLot
    ? keptLot.dressedMeanMilligrams / MILLIGRAMS_PER_KILOGRAM
    : (planned?.forecast.dressed.value ?? USUAL_DRESSED_KILOGRAMS);
  return {
    birds: lot.birds,
    batchName: lot.batchName,
    pens: lot.pens,
    scald: {
      kind: lot.batch.kind,
      method: lot.scaldMethod,
      bathCelsius: lot.scaldCelsius ?? METHOD_BATH[lot.scaldMethod].set,
    },
    band: METHOD_BATH[lot.scaldMethod].band,
    skinCeiling: SKIN_CEILING[lot.batch.kind],
    chillHours: quotedChillHours(dressedKilograms),
    windowHours: WITHDRAWAL[lot.withdrawalMethod].windowHours[1],
    feedOffAt: keptLot?.feedOffAt ?? planned?.withdrawal.feedOffAt.value,
  };
}

/** Where neither plan says: a light bird, which has the fewest hours to get cold. */
const USUAL_DRESSED_KILOGRAMS = 1.5;

/** What every yard screen of a day shows or needs. */
export function runReading(here: FarmContext, dayParam: string | undefined) {
  const { farm, day, lots } = requireDay(here, dayParam);
  const { run } = here.file;
  const facts = run.facts(day.id);
  const now = here.now();
  const kept = here.file.keptPlan(day.id);
  const plan = kept ? undefined : planOf(here, farm, day).plan;
  const { startedAt, finishedAt, lastBirdAt } = runProgress(facts, birdsOf(day), now);
  const from = (startedAt ?? day.startAt) - HOUR;
  const until = Math.max(from + 12 * HOUR, (finishedAt ?? lastBirdAt ?? from) + 2 * HOUR);
  const crew = day.crew.map(({ name, stations }) => ({ name, stations }));
  const helpers = here.file.people.people().map(({ name }) => name);
  return {
    day: {
      id: day.id,
      revision: day.revision,
      processedOn: day.processedOn,
      startAt: day.startAt,
      cones: day.cones,
    },
    isToday: localDayOf(now, farm.timeZone) === day.processedOn,
    birds: birdsOf(day),
    lots: lots.map((lot, index) => lotReading(lot, kept, plan?.lots[index])),
    crew,
    people: [...new Set([...crew.map(({ name }) => name), ...helpers])],
    scaldAtOnce: farm.scaldAtOnceCount,
    crateBirds: crateBirds(farm),
    changeWaterBirds: day.changeWaterBirds,
    rinsesFirst: day.rinsesFirst,
    coolsAfter: day.coolsAfter,
    plannedBags: kept?.iceBagCount ?? plan?.chill.bags.value ?? 0,
    plannedEndAt: kept?.likelyAt ?? plan?.line.likelyAt.value ?? day.startAt,
    sunsetAt: sunOfDay(day.processedOn, farm.timeZone, placeOf(farm)).sunset,
    hours: forecastHours(here, farm, day.processedOn),
    sky: skyBetween(from, until, placeOf(farm)),
    fileId: run.fileId(),
    bath: neededReadings(facts, bathReadings(here, from), now),
    devices: attachedDevices(here).statuses(),
    known: { cursor: run.cursor(day.id), facts },
    forecast: liveDay(here, day.id).forecast,
    now,
  };
}

export type RunReading = ReturnType<typeof runReading>;
