/** What a processing day uses up, our estimate until the farm's own days speak. All choices. See docs/sources.md#needs. */
export const NEEDS = {
  /** Bags tear and labels are spoiled: so many more, share. */
  spareShare: 0.05,
  /** Vent tubes are boiled and used again; so many lie ready. */
  tubesReady: 6,
  /** Vacuum bags for one bird cut up: breasts, quarters, half a bag of wings, half a bag of frames. */
  vacuumBagsPerCutBird: 3,
  /** Birds whose giblets fill a bag. */
  birdsPerGibletBag: 8,
  /** A pair to begin with, and another after so many hours. */
  hoursPerGlovePair: 2,
  birdsPerTowelRoll: 20,
  birdsPerBinBag: 10,
  /** Bin bags beyond those for feathers and offal. */
  otherBinBags: 2,
  /** Sanitizing water, made afresh after so many hours, and once more for the cleanup. */
  sanitizerLiters: 20,
  hoursPerSanitizer: 4,
  /** Within the customary 50 to 200 mg/l on surfaces that food touches. */
  sanitizerMilligramsPerLiter: 100,
} as const;
