import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { ownerNames } from "#app/server/farm/owners.server.ts";
import type { LotOfDay } from "#app/server/farm/required.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import type { DayPlan, LotPlan } from "#core/day/plan/day-plan.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import type { KeptPlan, ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/**
 * A day as its file has it. What a day of one lot has always had stands where it always stood, of the first lot; `lots` has
 * every lot, and is all that tells a day of several.
 */
export function dayInFile(here: FarmContext, farm: Farm, day: ProcessingDay, lots: readonly LotOfDay[]) {
  const { file } = here;
  const { plan } = planOf(here, farm, day);
  const { lots: settled } = settlementOf(here, farm, day);
  const kept = file.keptPlan(day.id);
  const owners = ownerNames(here, day);
  return {
    format: "pale-morning-day",
    version: 1,
    farm: { name: farm.name, time_zone: farm.timeZone, currency: farm.currency },
    batch: lots[0]!.batch,
    day: dayAsOneLot(day),
    plan: planAsOneLot(plan),
    kept_plan: kept ? keptAsOneLot(kept) : null,
    events: file.run.facts(day.id),
    bath: bathOf(here, day),
    pictures: file.picturing.pictures(day.id),
    carcasses: file.pack.carcasses(day.id),
    packs: packsInFile(here, day.id),
    rest: { program: file.resting.program(day.id) ?? null, facts: file.resting.facts(day.id) },
    by_products: file.byProducts.loads(day.id),
    costs: file.settling.costs(day.id),
    settlement: settled[0]?.settlement ?? null,
    lots: lots.map(({ batch, batchName: _name, ...lot }, index) => ({
      ...lot,
      batch,
      owner: owners[lot.id] ?? null,
      plan: plan.lots[index],
      kept_plan: kept?.lots.find(({ lotId }) => lotId === lot.id) ?? null,
      settlement: settled[index]?.settlement ?? null,
    })),
  };
}

/** Every pack that stands, with its code and the name of its product. */
const packsInFile = ({ file }: FarmContext, dayId: number) => {
  const products = file.catalog.products();
  return file.pack.packs(dayId).map((pack) => ({
    code: packCode(pack.id),
    product: productName(products.find(({ id }) => id === pack.productId)!),
    ...pack,
  }));
};

/** From filling the bath to the end of a long day. */
const BEFORE_START = 2 * HOUR;
const AFTER_START = 16 * HOUR;

/** What the probe read of the bath, °C, thinned as it is kept. */
const bathOf = ({ file }: FarmContext, { startAt }: ProcessingDay) =>
  file.readings
    .measured("bath-probe", "bath-temperature", startAt - BEFORE_START, startAt + AFTER_START)
    .map(({ at, valueThousandths }) => ({ at, celsius: valueThousandths / 1000 }));

function dayAsOneLot({ lots, ...day }: ProcessingDay) {
  const { id: _id, ownerId: _owner, pens: _pens, scaldCelsius: _bath, ...first } = lots[0]!;
  return { ...day, ...first };
}

/** Without what each of its mornings came to, which is long and can be played again. */
function planAsOneLot({ lots, heat, bath, line, chill, tanks }: DayPlan) {
  const { answer, setup, ...rest } = line;
  const { lastChills: _lastChills, kills: _kills, chills: _chills, ...summary } = answer;
  const {
    batchName: _name,
    kind: _kind,
    choices: _choices,
    forecast: _forecast,
    ...first
  } = lotToWrite(lots[0]!);
  const { lots: baths, ...bathOfDay } = bath;
  const { setting: _setting, ...bathOfFirst } = baths[0]!;
  return {
    ...first,
    scald: { ...first.scald, ...heat },
    bath: { ...bathOfFirst, ...bathOfDay },
    line: { ...rest, setup: { ...setup, day: lineAsOneLot(setup.day) }, answer: summary },
    chill,
    tanks,
  };
}

const lotToWrite = ({ birdsBefore: _before, ...lot }: LotPlan) => lot;

function lineAsOneLot({ lots, changeWaterEvery, ...day }: LineDay) {
  const { tankShare: _share, settingMinutes: _setting, waterChangeMinutes, ...first } = lots[0]!;
  return {
    ...day,
    ...first,
    waterChange:
      changeWaterEvery === undefined
        ? undefined
        : { everyBirds: changeWaterEvery, minutes: waterChangeMinutes },
  };
}

function keptAsOneLot({ lots, ...kept }: KeptPlan) {
  const [first] = lots;
  return {
    ...kept,
    feedOffAt: first?.feedOffAt,
    liveMeanMilligrams: first?.liveMeanMilligrams,
    dressedMeanMilligrams: first?.dressedMeanMilligrams,
  };
}
