/** Joules to warm the vessel one degree, for each liter it holds: about 0.2 kg of steel a liter. See docs/sources.md#bath. */
const VESSEL_JOULE_PER_KELVIN_LITER = 100;

/**
 * Surface and walls of a bath known only by its volume: a drum as tall as it is wide, its bottom counted as wall.
 * Our guess; a wide shallow tank loses more. See docs/sources.md#bath.
 *
 * @param liters water in it, more than 0
 * @throws {RangeError} if the volume is not more than 0
 */
export function bathOfVolume(liters: number) {
  if (!(liters > 0)) throw new RangeError(`a bath must hold more than 0 liters, got ${liters}`);
  const diameter = Math.cbrt((4 * liters) / 1000 / Math.PI);
  const surfaceSquareMeters = (Math.PI * diameter ** 2) / 4;
  return {
    surfaceSquareMeters,
    wallSquareMeters: Math.PI * diameter ** 2 + surfaceSquareMeters,
    vesselJoulePerKelvin: liters * VESSEL_JOULE_PER_KELVIN_LITER,
  };
}
