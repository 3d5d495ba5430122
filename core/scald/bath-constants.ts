/** Physics of the scald bath; the surface loss and the water carried out are each uncertain by a factor of 2. See docs/sources.md#bath. */
export const BATH = {
  waterJoulePerKilogramKelvin: 4186,
  surfaceOpenWattPerSquareMeterKelvin: 50,
  surfaceLiddedWattPerSquareMeterKelvin: 10,
  wallBareWattPerSquareMeterKelvin: 12,
  wallInsulatedWattPerSquareMeterKelvin: 1.5,
  elementEfficiency: 1,
  burnerEfficiency: 0.4,
  propaneJoulePerKilogram: 46.4e6,
} as const;

/** The bad end of the same constants, for the minute at which it is safe to light. See docs/sources.md#bath. */
export const BATH_AT_WORST = {
  surfaceOpenWattPerSquareMeterKelvin: 80,
  surfaceLiddedWattPerSquareMeterKelvin: 15,
  wallBareWattPerSquareMeterKelvin: 18,
  wallInsulatedWattPerSquareMeterKelvin: 3,
  /** In wind. */
  burnerEfficiency: 0.25,
  elementEfficiency: 1,
} as const;

/** How a bird draws on the bath. See docs/sources.md#bath. */
export const BIRD_IN_BATH = {
  heatedFraction: 0.15,
  joulePerKilogramKelvin: 3400,
  startCelsius: 40,
  carryOutKilogramPerKilogramLive: 0.12,
} as const;

/** Drawing hot water off and making it up from a garden hose, then stirring and reading: choice. See docs/sources.md#bath. */
export const WATER_SWAP = { litersPerMinute: 10, settleSeconds: 60 } as const;
