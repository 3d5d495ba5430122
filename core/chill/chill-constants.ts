/** Heat of carcass and ice, and the margin for spilled and wet ice (choice, 0.10 to 0.30). See docs/sources.md#ice. */
export const ICE = {
  carcassJoulePerKilogramKelvin: 3500,
  latentJoulePerKilogram: 334_000,
  iceJoulePerKilogramKelvin: 2050,
  margin: 0.15,
  carcassStartCelsius: 40,
  carcassEndCelsius: 4,
  bathCelsius: 1,
  iceCelsius: -3,
} as const;

/** Properties of meat and the slab that stands for a carcass. See docs/sources.md#chill. */
export const CHILL = {
  wattPerMeterKelvin: 0.47,
  kilogramPerCubicMeter: 1060,
  joulePerKilogramKelvin: 3500,
  halfThicknessMeters: 0.024,
  ofKilograms: 2,
  /** 40 °F. */
  targetCelsius: 40 / 9,
} as const;

export const CHILL_METHODS = ["packed", "still", "agitated"] as const;
export type ChillMethod = (typeof CHILL_METHODS)[number];

/** Heat taken from the skin, W/m²K: ice packed round it, still slush stirred now and then, pumped or bubbled. See docs/sources.md#chill. */
export const SURFACE_COEFFICIENT: Readonly<Record<ChillMethod, number>> = {
  packed: 40,
  still: 100,
  agitated: 400,
};

/** A household refrigerator with warm birds in it: heat it takes from the skin, W/m²K, and can move, W. See docs/sources.md#chill. */
export const REFRIGERATOR = { surfaceCoefficient: 10, celsius: 2, spareWatts: 120 } as const;

/** Water taken up in slush as a share of weight, with its times, and what drains off again. See docs/sources.md#uptake. */
export const SLUSH_UPTAKE = {
  mostFraction: 0.06,
  tauHours: 1.5,
  drainHours: 0.5,
  drainKeptFraction: 0.6,
  drainTauHours: 0.5,
} as const;

export const TANK_WALLS = ["insulated", "thick", "bare"] as const;
export type TankWall = (typeof TANK_WALLS)[number];

/** Heat leaking into the farm's tanks together, W/K: insulated coolers, thick-walled tubs, bare metal. See docs/sources.md#ice. */
export const TANK_LOSS: Readonly<Record<TankWall, number>> = { insulated: 1.5, thick: 5, bare: 16 };

/** Liters a bird takes in the tank: water and ice by weight of carcass, and headroom (choice). See docs/sources.md#ice. */
export const TANK = {
  waterRatio: 0.8,
  iceRatio: 0.5,
  headroom: 0.1,
  carcassKilogramPerLiter: 1.06,
  iceKilogramPerLiter: 0.917,
} as const;

/** A light and a heavy bird stand this many standard deviations from the mean: about 1 in 40 is beyond. */
export const END_BIRD_DEVIATIONS = 2;
