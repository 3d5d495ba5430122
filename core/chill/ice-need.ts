import { ICE, TANK } from "#core/chill/chill-constants.ts";

export interface IceNeedInput {
  readonly birds: number;
  readonly carcassKilograms: number;
  readonly carcassStartCelsius: number;
  readonly carcassEndCelsius: number;
  readonly waterKilograms: number;
  readonly tapCelsius: number;
  readonly bathCelsius: number;
  /** Heat leaking in through the walls, W/K. */
  readonly lossWattPerKelvin: number;
  readonly ambientCelsius: number;
  readonly hours: number;
  readonly iceCelsius: number;
  readonly margin: number;
  readonly bagKilograms: number;
}

/**
 * Ice to bring carcasses and water down and hold them: the heat of each, over the cold in a kilogram of ice,
 * plus a margin, in whole bags. See docs/sources.md#ice.
 *
 * @throws {RangeError} if a bag does not weigh more than 0
 */
export function iceNeed(need: IceNeedInput) {
  if (!(need.bagKilograms > 0))
    throw new RangeError(`a bag must weigh more than 0 kg, got ${need.bagKilograms}`);
  const carcassJoules =
    need.birds *
    need.carcassKilograms *
    ICE.carcassJoulePerKilogramKelvin *
    (need.carcassStartCelsius - need.carcassEndCelsius);
  const waterJoules =
    need.waterKilograms * WATER_JOULE_PER_KILOGRAM_KELVIN * (need.tapCelsius - need.bathCelsius);
  const wallJoules = need.lossWattPerKelvin * (need.ambientCelsius - need.bathCelsius) * need.hours * 3600;
  const coldPerKilogramJoules =
    ICE.iceJoulePerKilogramKelvin * -need.iceCelsius +
    ICE.latentJoulePerKilogram +
    WATER_JOULE_PER_KILOGRAM_KELVIN * need.bathCelsius;
  const balanceKilograms = (carcassJoules + waterJoules + wallJoules) / coldPerKilogramJoules;
  const iceKilograms = balanceKilograms * (1 + need.margin);
  return {
    carcassJoules,
    waterJoules,
    wallJoules,
    coldPerKilogramJoules,
    balanceKilograms,
    iceKilograms,
    bags: Math.ceil(iceKilograms / need.bagKilograms - 1e-9),
  };
}

const WATER_JOULE_PER_KILOGRAM_KELVIN = 4186;

export interface TankShare {
  readonly waterRatio: number;
  readonly iceRatio: number;
  readonly headroom: number;
}

/** Room one carcass takes in the tank with its water and ice, and how many fit. See docs/sources.md#ice. */
export function tankRoom(carcassKilograms: number, tankLiters: number, share: TankShare = TANK) {
  const perKilogram =
    1 / TANK.carcassKilogramPerLiter + share.waterRatio + share.iceRatio / TANK.iceKilogramPerLiter;
  const litersPerBird = carcassKilograms * perKilogram * (1 + share.headroom);
  return { litersPerBird, birdsThatFit: Math.floor(tankLiters / litersPerBird + 1e-9) };
}
