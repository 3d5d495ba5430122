/**
 * Share of a standard normal population below z.
 *
 * A rational approximation of the tail (Hart's coefficients), and a continued fraction far out; held to the worked cases
 * of size classes.
 */
export function normalShareBelow(z: number): number {
  const size = Math.abs(z);
  const tail = size > 37 ? 0 : size < 7.07106781186547 ? hartTail(size) : farTail(size);
  return z > 0 ? 1 - tail : tail;
}

function hartTail(z: number): number {
  const above = [
    3.52624965998911e-2, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871,
    221.213596169931, 220.206867912376,
  ];
  const below = [
    8.83883476483184e-2, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674,
    637.333633378831, 793.826512519948, 440.413735824752,
  ];
  return (Math.exp((-z * z) / 2) * polynomial(above, z)) / polynomial(below, z);
}

const polynomial = (coefficients: readonly number[], z: number) =>
  coefficients.reduce((sum, coefficient) => sum * z + coefficient, 0);

/** Continued fraction for the far tail. */
function farTail(z: number): number {
  const fraction = z + 1 / (z + 2 / (z + 3 / (z + 4 / (z + 0.65))));
  return Math.exp((-z * z) / 2) / (fraction * 2.506628274631);
}

/** Height of the standard normal curve at z. */
export function normalDensity(z: number): number {
  return Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
}

/** The z below which a share of the standard normal lies, by Newton's method. @param start a guess near it */
export function normalQuantile(share: number, start = 0): number {
  if (!(share > 0 && share < 1)) throw new RangeError(`share must be between 0 and 1, got ${share}`);
  let z = start;
  for (let step = 0; step < 60; step += 1) {
    const change = (normalShareBelow(z) - share) / normalDensity(z);
    // Far out the tangent overshoots; half a deviation at a time always comes back.
    z -= Math.max(-0.5, Math.min(0.5, change));
    if (Math.abs(change) < 1e-13) break;
  }
  return z;
}
