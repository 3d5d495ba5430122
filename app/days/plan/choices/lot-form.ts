import { z } from "zod";
import { temperatureAsTyped } from "#app/ui/read/as-typed.ts";
import { choice, optional, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { temperature } from "#app/ui/read/read-measure.ts";
import { plural } from "#app/words/show.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { WHICH_BIRDS } from "#core/growth/flock.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import { SCALD_METHODS, SKIN_CEILING } from "#core/scald/scald-constants.ts";
import { WITHDRAWAL_METHODS } from "#core/withdrawal/withdrawal-constants.ts";

/** Far past what a small farm dresses in a day (250), and short of what a slip of the key makes of it. */
export const MOST_BIRDS_A_DAY = 2000;
/** A cooler bath loosens no feather; a hotter one cooks the skin of any bird. */
const LEAST_BATH_CELSIUS = 50;
const MOST_BATH_CELSIUS = 70;

/** A batch that a lot of the day is of. */
export interface LotSetting {
  readonly batchId: number;
  readonly batchName: string;
  readonly kind: BirdKind;
  readonly hatchedOn: string;
  /** Birds alive that no other day has taken. */
  readonly freeCount: number;
  /** Pens that the batch stands in. */
  readonly pens: readonly { readonly name: string; readonly birds: number }[];
}

/** Pens that can be told apart in the form: a farm with more takes birds from all of them. */
const MOST_PENS = 8;
/** A box for each pen that a lot may be taken from; which box a pen has does not matter. */
export const PEN_FIELDS = Array.from({ length: MOST_PENS }, (_, pen) => `pen${pen}`) as [string, ...string[]];

/** Boxes of a lot. */
export const LOT_TICKS = ["keepsGiblets", "keepsFeet"] as const;

/** Birds of one batch, and what is done with them. */
export function lotForm(settings: readonly LotSetting[], unitSystem: UnitSystem) {
  return z
    .object({
      batchId: wholeNumber({ least: 1, most: 1_000_000_000, ask: "Choose a batch" }),
      birdCount: wholeNumber({ least: 1, most: MOST_BIRDS_A_DAY, ask: "Enter the number of birds" }),
      cutUpCount: wholeNumber({
        most: MOST_BIRDS_A_DAY,
        ask: "Enter how many birds to cut up; 0 if all stay whole",
      }),
      whichBirds: choice(WHICH_BIRDS, "Choose which birds to process"),
      scaldMethod: choice(SCALD_METHODS, "Choose how you scald"),
      scaldBath: optional(
        temperature({ unitSystem, least: LEAST_BATH_CELSIUS, most: MOST_BATH_CELSIUS, ask: "" }),
      ),
      withdrawalMethod: choice(WITHDRAWAL_METHODS, "Choose a feed withdrawal method"),
      keepsGiblets: tick,
      keepsFeet: tick,
      ownerId: optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" })),
      ...Object.fromEntries(PEN_FIELDS.map((name) => [name, z.string().max(60).optional()])),
    })
    .transform(({ birdCount, cutUpCount, scaldBath, ...rest }, context): LotChoices => {
      const { same, pens } = withoutPens(rest);
      const fault = (field: string, message: string) =>
        context.addIssue({ code: "custom", path: [field], message });
      const setting = settings.find(({ batchId }) => batchId === same.batchId);
      if (!setting) fault("birdCount", "This batch is no longer part of the day. Reload the page");
      else if (birdCount > setting.freeCount) fault("birdCount", tooManyBirds(setting.freeCount));
      if (setting && scaldBath !== undefined && scaldBath / 1000 >= SKIN_CEILING[setting.kind])
        fault("scaldBath", "That bath cooks the skin of these birds whatever the time. Choose a cooler one");
      const penned = setting?.pens.filter(({ name }) => pens.includes(name)) ?? [];
      const inThem = penned.reduce((sum, { birds }) => sum + birds, 0);
      if (penned.length > 0 && inThem < birdCount)
        fault(PEN_FIELDS[0], `Only ${plural(inThem, "bird")} there. Tick another pen, or none`);
      if (cutUpCount > birdCount) fault("cutUpCount", `Only ${plural(birdCount, "bird")} to cut up`);
      return {
        ...same,
        birds: birdCount,
        cutUp: cutUpCount,
        ownerId: same.ownerId ?? undefined,
        scaldCelsius: scaldBath === undefined ? undefined : scaldBath / 1000,
        pens,
      };
    });
}

/** A lot's fields without those of its pens, and the pens that were ticked. */
function withoutPens<Lot extends object>(lot: Lot): { same: Lot; pens: string[] } {
  const isPen = ([name]: readonly [string, unknown]) => PEN_FIELDS.includes(name);
  const fields = Object.entries(lot);
  return {
    same: Object.fromEntries(fields.filter((field) => !isPen(field))) as Lot,
    pens: fields.filter(isPen).flatMap(([, pen]) => (pen ? [String(pen)] : [])),
  };
}

export function tooManyBirds(freeCount: number): string {
  return freeCount <= 0
    ? "All birds in this batch are processed, lost, or scheduled for another day"
    : `Only ${freeCount} left alive and not scheduled for another day`;
}

/** A lot's choices, as a person would type them. */
export const lotFields = (lot: LotChoices, unitSystem: UnitSystem): Record<string, string> => ({
  batchId: String(lot.batchId),
  birdCount: String(lot.birds),
  cutUpCount: String(lot.cutUp),
  whichBirds: lot.whichBirds,
  scaldMethod: lot.scaldMethod,
  scaldBath:
    lot.scaldCelsius === undefined ? "" : temperatureAsTyped(unitSystem, Math.round(lot.scaldCelsius * 1000)),
  withdrawalMethod: lot.withdrawalMethod,
  ...Object.fromEntries(LOT_TICKS.map((name) => [name, lot[name] ? "on" : ""])),
  ownerId: lot.ownerId === undefined ? "" : String(lot.ownerId),
  ...Object.fromEntries(lot.pens.slice(0, MOST_PENS).map((pen, index) => [PEN_FIELDS[index]!, pen])),
});
