import { z } from "zod";
import { weightLines } from "#app/batches/record/weight-lines.ts";
import { amount, choice, money, optional, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import { MILLIGRAMS_PER_KILOGRAM } from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** A bag of feed weighs between so many kilograms: a small sack to a bulk bag. */
const BAG_RANGE = [0.1, 2000] as const;

export interface FormSetting {
  readonly unitSystem: UnitSystem;
  readonly today: string;
  readonly hatchedOn: string;
}

/** What is said of a batch when it begins, and can be put right later. */
const BATCH = {
  name: words(60, "Enter a name, such as White 26-A"),
  kind: choice(BIRD_KINDS, "Choose the closest kind"),
  malePercent: wholeNumber({ most: 100, ask: "Enter the number of males per 100; 50 if you don't know" }),
  hatchedOn: localDay({ ask: "Enter the hatch date, past or expected" }),
  orderedCount: optional(wholeNumber({ least: 1, most: 100_000, ask: "" })),
  chickCost: money("Enter the total cost of the chicks; 0 if they were your own"),
};

export const changeBatchForm = z.object({
  ...BATCH,
  /** The revision that the form was made from. */
  seen: wholeNumber({ most: 1_000_000_000, ask: "Reload the page" }),
});

export const newBatchForm = z
  .object({ ...BATCH, arrivedCount: optional(wholeNumber({ least: 1, most: 100_000, ask: "" })) })
  .superRefine(({ arrivedCount, orderedCount }, context) => {
    if (arrivedCount === undefined && orderedCount === undefined)
      context.addIssue({
        code: "custom",
        path: ["arrivedCount"],
        message: "Enter how many chicks arrived alive, or how many are ordered",
      });
  });

/** A day on which something happened to a batch: not before its hatch, not after today. */
export const happenedOn = ({ today, hatchedOn }: FormSetting) =>
  localDay({
    ask: "Enter the date",
    from: { day: hatchedOn, problem: `They hatched on ${hatchedOn}; choose that date or a later one` },
    to: { day: today, problem: `That date is in the future; today is ${today}` },
  });

export const lossForm = (setting: FormSetting) =>
  z.object({
    lostOn: happenedOn(setting),
    birdCount: wholeNumber({ least: 1, most: 100_000, ask: "Enter how many birds were lost" }),
    cause: optional(words(200, "")),
  });

export const feedForm = ({ unitSystem, today }: FormSetting) =>
  z.object({
    boughtOn: localDay({
      ask: "Enter the date it was bought",
      to: { day: today, problem: `That date is in the future; today is ${today}` },
    }),
    bagCount: wholeNumber({ least: 1, most: 10_000, ask: "Enter the number of bags" }),
    bagWeight: weight({
      unitSystem,
      ask: "Enter the weight of a bag",
      range: BAG_RANGE,
      what: "a bag of feed",
    }),
    bagPrice: money("Enter the price of a bag", 1_000_000),
    feedKind: optional(words(60, "")),
  });

export const feedLeftForm = (setting: FormSetting) =>
  z.object({
    countedOn: happenedOn(setting),
    bagsLeft: amount({
      most: 10_000,
      ask: "Enter how many bags are left; 0 if none, 1.5 for one and a half",
    }),
  });

export const costForm = ({ today }: FormSetting) =>
  z.object({
    spentOn: localDay({
      ask: "Enter the date",
      to: { day: today, problem: `That date is in the future; today is ${today}` },
    }),
    what: words(200, "Enter what it was for, such as bedding"),
    amount: money("Enter the amount"),
  });

export const weighInForm = (setting: FormSetting) =>
  z.object({ weighedOn: happenedOn(setting), weights: weightLines(setting.unitSystem), isSure: tick });

/** Feed left in bags of a size, as milligrams. */
export const bagsToMilligrams = (bags: number, bagMilligrams: number): number =>
  Math.round(bags * bagMilligrams);

/** A bag of a common size where none was bought yet. */
export const USUAL_BAG_MILLIGRAMS = 25 * MILLIGRAMS_PER_KILOGRAM;
