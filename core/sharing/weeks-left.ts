import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { inputSetting, type Setting } from "#core/reckoning/setting.ts";

const WEEKS_OF_YEAR = 52;

/** What a household has in its freezers, and how fast it eats. */
export interface HouseholdStock {
  readonly wholeBirds: number;
  readonly cutKilograms: number;
  /** What one bird weighs, so that cuts can be counted as birds. */
  readonly kilogramsPerBird: Setting;
  readonly birdsPerWeek: Setting;
}

export interface WeeksLeft {
  /** Whole birds, and cuts counted as birds. */
  readonly birds: Reckoning;
  /** Undefined where they eat none. */
  readonly weeks: Reckoning | undefined;
  /** Birds that are missing for a year of eating as they do now. */
  readonly shortForYear: number;
}

/**
 * For how many weeks a household's birds last, and how many are missing for the year.
 *
 * @throws {RangeError} if a bird weighs nothing
 */
export function weeksLeft(stock: HouseholdStock): WeeksLeft {
  const { wholeBirds, cutKilograms, kilogramsPerBird, birdsPerWeek } = stock;
  if (!(kilogramsPerBird.value > 0))
    throw new RangeError(`a bird must weigh more than 0 kg, got ${kilogramsPerBird.value}`);
  const have = wholeBirds + cutKilograms / kilogramsPerBird.value;
  const birds = reckoning({
    value: have,
    unit: "birds",
    inputs: [
      input("whole-birds-stored", wholeBirds, "birds", "measured"),
      input("cuts-stored", cutKilograms, "kg", "measured"),
      inputSetting("weight-of-a-bird", kilogramsPerBird, "carcass-kg"),
    ],
    rule: "birds-in-stock",
    source: "sharing",
  });
  return {
    birds,
    weeks:
      birdsPerWeek.value > 0
        ? reckoning({
            value: have / birdsPerWeek.value,
            unit: "weeks",
            inputs: [
              input("birds-in-stock", have, "birds", "calculated"),
              inputSetting("birds-a-week", birdsPerWeek, "per-week"),
            ],
            rule: "weeks-of-stock",
            source: "sharing",
          })
        : undefined,
    shortForYear: Math.max(0, Math.ceil(WEEKS_OF_YEAR * birdsPerWeek.value - have - 1e-9)),
  };
}
