import { z } from "zod";
import {
  amount,
  choice,
  localDay,
  money,
  optional,
  tick,
  weight,
  wholeNumber,
  words,
} from "#app/ui/read-field.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import { LIVE_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import { MILLIGRAMS_PER_KILOGRAM } from "#core/quantity/conversion.ts";
import type { Milligrams } from "#core/quantity/quantity.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** A bag of feed weighs between so many kilograms: a small sack to a bulk bag. */
const BAG_RANGE = [0.1, 2000] as const;

export interface FormSetting {
  readonly unitSystem: UnitSystem;
  readonly today: string;
  readonly hatchedOn: string;
}

export const newBatchForm = z
  .object({
    name: words(60, "Give it a name that you will know it by, such as White 26-A"),
    kind: choice(BIRD_KINDS, "Choose the kind that is nearest"),
    malePercent: wholeNumber({ most: 100, ask: "Say how many of 100 are males; 50 if you don't know" }),
    hatchedOn: localDay({ ask: "Say when they hatched, or when they will" }),
    orderedCount: optional(wholeNumber({ least: 1, most: 100_000, ask: "" })),
    arrivedCount: optional(wholeNumber({ least: 1, most: 100_000, ask: "" })),
    chickCost: money("Say what the chicks cost in all; 0 if they were your own"),
  })
  .superRefine(({ arrivedCount, orderedCount }, context) => {
    if (arrivedCount === null && orderedCount === null)
      context.addIssue({
        code: "custom",
        path: ["arrivedCount"],
        message: "Say how many chicks arrived alive, or how many are ordered",
      });
  });

/** A day on which something happened to a batch: not before its hatch, not after today. */
export const happenedOn = ({ today, hatchedOn }: FormSetting) =>
  localDay({
    ask: "Say on which day",
    from: { day: hatchedOn, problem: `They hatched on ${hatchedOn}; choose a day from then on` },
    to: { day: today, problem: `That day is still to come; today is ${today}` },
  });

export const lossForm = (setting: FormSetting) =>
  z.object({
    lostOn: happenedOn(setting),
    birdCount: wholeNumber({ least: 1, most: 100_000, ask: "Say how many were lost" }),
    cause: optional(words(200, "")),
  });

export const feedForm = ({ unitSystem, today }: FormSetting) =>
  z.object({
    boughtOn: localDay({
      ask: "Say when it was bought",
      to: { day: today, problem: `That day is still to come; today is ${today}` },
    }),
    bagCount: wholeNumber({ least: 1, most: 10_000, ask: "Say how many bags" }),
    bagWeight: weight({ unitSystem, ask: "Say what is in a bag", range: BAG_RANGE, what: "a bag of feed" }),
    bagPrice: money("Say what a bag cost", 1_000_000),
    feedKind: optional(words(60, "")),
  });

export const feedLeftForm = (setting: FormSetting) =>
  z.object({
    countedOn: happenedOn(setting),
    bagsLeft: amount({ most: 10_000, ask: "Say how many bags are left; 0 if none, 1.5 for one and a half" }),
  });

export const costForm = ({ today }: FormSetting) =>
  z.object({
    spentOn: localDay({
      ask: "Say on which day",
      to: { day: today, problem: `That day is still to come; today is ${today}` },
    }),
    what: words(200, "Say what it was for, such as bedding"),
    amount: money("Say how much it was"),
  });

export interface TypedWeight {
  readonly weight: Milligrams;
  readonly asTyped: string;
}

/** Most birds that one weigh-in takes. */
const MOST_WEIGHTS = 200;

/** One weight a line, or several on a line with a semicolon between. */
function manyWeights(unitSystem: UnitSystem) {
  const one = weight({
    unitSystem,
    ask: "A line is empty",
    range: LIVE_RANGE_KILOGRAMS,
    what: "a live chicken",
  });
  return z
    .string()
    .default("")
    .transform((text, context): TypedWeight[] => {
      const typed = text
        .split(/[\n;]+/)
        .map((line) => line.trim())
        .filter(Boolean);
      const fault = (message: string) => context.addIssue({ code: "custom", message });
      if (typed.length === 0) fault("Type the weight of at least one bird");
      if (typed.length > MOST_WEIGHTS)
        fault(`At most ${MOST_WEIGHTS} birds at a time; this is ${typed.length}`);
      const weights: TypedWeight[] = [];
      typed.forEach((asTyped, index) => {
        const read = one.safeParse(asTyped);
        if (read.success) weights.push({ weight: read.data, asTyped: asTyped.slice(0, 40) });
        else fault(`Bird ${index + 1}, "${asTyped.slice(0, 40)}": ${read.error.issues[0]!.message}`);
      });
      return weights;
    });
}

export const weighInForm = (setting: FormSetting) =>
  z.object({ weighedOn: happenedOn(setting), weights: manyWeights(setting.unitSystem), isSure: tick });

/** Feed left in bags of a size, as milligrams. */
export const bagsToMilligrams = (bags: number, bagMilligrams: number): number =>
  Math.round(bags * bagMilligrams);

/** A bag of a common size where none was bought yet. */
export const USUAL_BAG_MILLIGRAMS = 25 * MILLIGRAMS_PER_KILOGRAM;
