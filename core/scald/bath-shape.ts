/** Joules to warm the vessel one degree, for each litre it holds: about 0.2 kg of steel a litre. See docs/sources.md#bath. */
const VESSEL_JOULE_PER_KELVIN_LITRE = 100;

/**
 * Surface and walls of a bath known only by its volume: a drum as tall as it is wide, its bottom counted as wall.
 * Our guess; a wide shallow tank loses more. See docs/sources.md#bath.
 *
 * @param litres water in it, more than 0
 * @throws {RangeError} if the volume is not more than 0
 */
export function bathOfVolume(litres: number) {
  if (!(litres > 0)) throw new RangeError(`a bath must hold more than 0 litres, got ${litres}`);
  const diameter = Math.cbrt((4 * litres) / 1000 / Math.PI);
  const surfaceSquareMetres = (Math.PI * diameter ** 2) / 4;
  return {
    surfaceSquareMetres,
    wallSquareMetres: Math.PI * diameter ** 2 + surfaceSquareMetres,
    vesselJoulePerKelvin: litres * VESSEL_JOULE_PER_KELVIN_LITRE,
  };
}
